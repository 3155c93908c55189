import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createLot,
  createPattern,
  createSpool,
  createThing,
  createUnit,
  ROOM,
} from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import {
  DEFAULT_SETTINGS,
  dropAbsent,
  getFetchSeconds,
  parseRecord,
  type ContainerSpec,
  type Place,
  type PlaceId,
} from './index.ts';

/** Every fault as `path rule`. */
/** Of a record in which `undefined` stands for a field that is not there. */
function faultsOf(table: Parameters<typeof parseRecord>[0], record: unknown): string[] {
  const parsed = parseRecord(table, dropAbsent(record));
  return parsed.ok ? [] : parsed.fault.map(({ path, rule }) => `${path} ${rule}`);
}
const [unit, slot] = createUnit('cube', {}) as [Place, Place];
const BOX: ContainerSpec = {
  kind: 'box',
  outerWidthMm: 200,
  outerDepthMm: 200,
  outerHeightMm: 200,
  wallMm: 3,
  mode: 'volume',
  tareG: 500,
  loadG: 5000,
  isSeeThrough: false,
  hasLid: true,
};
const bin: Place = {
  id: 'bin' as PlaceId,
  parentId: slot.id,
  level: 'container',
  name: 'Bin',
  order: 0,
  container: BOX,
};

describe('good records', () => {
  it('pass as they are', () => {
    for (const item of [createCloth('a'), createPattern('b', 7), createSpool('c'), createThing('d')])
      expect(faultsOf('items', item)).toEqual([]);
    for (const place of [ROOM, unit, slot, bin]) expect(faultsOf('places', place)).toEqual([]);
    expect(faultsOf('lots', createLot(createCloth('a'), 'cube-A1'))).toEqual([]);
    expect(faultsOf('settings', DEFAULT_SETTINGS)).toEqual([]);
    const [event] = createSampleHousehold(1, 10).events;
    expect(faultsOf('events', event)).toEqual([]);
  });

  it('come back unchanged, not as copies', () => {
    const item = createCloth('a');
    const parsed = parseRecord('items', item);
    expect(parsed.ok && parsed.value).toBe(item);
  });
});

describe('an item', () => {
  const cloth = createCloth('a');
  it.each([
    ['no name', { ...cloth, name: '' }, 'name minLength'],
    ['a name without end', { ...cloth, name: 'x'.repeat(121) }, 'name maxLength'],
    ['a strange kind', { ...cloth, kind: 'sofa' }, 'kind isIn'],
    ['a strange form', { ...cloth, forms: ['heap'] }, 'forms isIn'],
    ['a strange mark', { ...cloth, care: ['rude'] }, 'care isIn'],
    ['a colour that is none', { ...cloth, colours: ['red'] }, 'colours isHexColor'],
    ['too many colours', { ...cloth, colours: Array.from({ length: 9 }, () => '#ffffff') }, 'colours arrayMaxSize'],
    ['uses below nothing', { ...cloth, usesPerMonth: -1 }, 'usesPerMonth min'],
    ['uses that are not a number', { ...cloth, usesPerMonth: Number.NaN }, 'usesPerMonth isNumber'],
    ['an id with a path in it', { ...cloth, id: '../a' }, 'id matches'],
    ['a field too many', { ...cloth, price: 3 }, 'price whitelistValidation'],
    ['a negative width', { ...cloth, fabric: { ...cloth.fabric!, widthMm: -1400 } }, 'fabric.widthMm min'],
    ['a field too many inside', { ...cloth, fabric: { ...cloth.fabric!, x: 1 } }, 'fabric.x whitelistValidation'],
    ['no cloth in a cloth', { ...cloth, fabric: undefined }, 'fabric missing'],
  ])('with %s is refused', (_, item, fault) => expect(faultsOf('items', item)).toContain(fault));

  it.each([
    ['pattern', createPattern('p', 1)],
    ['thread', createSpool('s')],
    ['box', createThing('t')],
  ])('of its kind has its %s', (spec, item) =>
    expect(faultsOf('items', { ...item, [spec]: undefined })).toEqual([`${spec} missing`]),
  );
});

describe('a lot', () => {
  const lot = createLot(createCloth('a'), 'cube-A1');
  it.each([
    ['in, but nowhere', { ...lot, placeId: undefined }, 'placeId onePlace'],
    ['out, but somewhere', { ...lot, state: 'out' }, 'placeId onePlace'],
    ['of less than nothing', { ...lot, lengthMm: -1 }, 'lengthMm min'],
    ['of half a piece', { ...lot, count: 0.5 }, 'count isInt'],
    ['in a strange state', { ...lot, state: 'lost' }, 'state isIn'],
    ['without a time', { ...lot, sinceMs: undefined }, 'sinceMs isNumber'],
  ])('%s is refused', (_, record, fault) => expect(faultsOf('lots', record)).toContain(fault));
});

describe('a place', () => {
  it.each([
    ['a room in a room', { ...ROOM, parentId: 'room' }, 'parentId tree'],
    ['a slot in nothing', { ...slot, parentId: undefined }, 'parentId tree'],
    ['a unit without measures', { ...unit, unit: undefined }, 'unit missing'],
    ['no columns', { ...unit, unit: { ...unit.unit!, columns: 0 } }, 'unit.columns min'],
    ['a room without a wall', { ...ROOM, room: { ...ROOM.room!, walls: [] } }, 'room.walls arrayMinSize'],
    [
      'two walls only',
      { ...ROOM, room: { ...ROOM.room!, walls: ROOM.room!.walls.slice(0, 2) } },
      'room.walls arrayMinSize',
    ],
    [
      'walls that fill the box',
      { ...bin, container: { ...BOX, outerWidthMm: 60, wallMm: 30 } },
      'container.wallMm max',
    ],
    ['a load below nothing', { ...slot, slot: { ...slot.slot!, loadG: -1 } }, 'slot.loadG min'],
    ['a light that is none', { ...slot, slot: { ...slot.slot!, light: 'moon' } }, 'slot.light isIn'],
  ])('with %s is refused', (_, record, fault) => expect(faultsOf('places', record)).toContain(fault));
});

describe('settings', () => {
  it.each([
    ['a giant', { statureMm: 3000 }, 'statureMm max'],
    ['bins filled beyond their rim', { fillTarget: 1.2 }, 'fillTarget max'],
    ['a unit of its own', { units: 'ells' }, 'units isIn'],
    [
      'a school that there is none',
      { sorting: { ...DEFAULT_SETTINGS.sorting, tool: { ...DEFAULT_SETTINGS.sorting.tool, levels: ['moon'] } } },
      'sorting.tool.levels isIn',
    ],
    [
      'time running back',
      { estimates: { ...DEFAULT_SETTINGS.estimates, drawerSeconds: -3 } },
      'estimates.drawerSeconds min',
    ],
  ])('with %s are refused', (_, change, fault) =>
    expect(faultsOf('settings', { ...DEFAULT_SETTINGS, ...change })).toContain(fault),
  );
});

describe('anything else', () => {
  it('has no list where one thing is meant', () => {
    expect(faultsOf('items', { ...createCloth('a'), fabric: [] })).toEqual(['fabric isObject']);
    expect(faultsOf('places', { ...ROOM, room: [] })).toEqual(['room isObject']);
    expect(faultsOf('settings', { ...DEFAULT_SETTINGS, estimates: [] })).toEqual(['estimates isObject']);
  });

  it('that says of a field that it has no value is refused: the field is left out', () => {
    const parsed = parseRecord('items', { ...createCloth('a'), notes: undefined });
    expect(parsed).toMatchObject({ ok: false, fault: [{ path: 'notes', rule: 'absent' }] });
  });

  it.each([[null], [7], ['text'], [[]], [undefined]])('%o is no record', (raw) => {
    for (const table of ['items', 'lots', 'places', 'plans', 'settings', 'events'] as const)
      expect(parseRecord(table, raw, 'here.3')).toMatchObject({ ok: false, fault: [{ path: 'here.3' }] });
  });

  it('is told every fault at once, each with its path', () =>
    expect(faultsOf('items', {}).map((fault) => fault.split(' ')[0])).toEqual(
      expect.arrayContaining(['id', 'kind', 'name', 'colours', 'usesPerMonth', 'stationId', 'care', 'forms']),
    ));
});

describe('the headline figure', () => {
  it('is the way and the search, without crowding, carrying and wear', () =>
    expect(
      getFetchSeconds({
        unplacedWeight: 0,
        cautions: 0,
        seconds: 63,
        parts: {
          fetching: 1,
          searching: 2,
          splitting: 4,
          crowding: 8,
          moving: 16,
          wear: 32,
          rent: 64,
          company: 128,
          holding: 256,
        },
      }),
    ).toBe(7));
});

describe('a bin with dividers', () => {
  const bin = (columns: number, thickMm: number) => ({
    id: 'b',
    parentId: 's',
    level: 'container',
    name: 'Bin',
    order: 0,
    container: {
      kind: 'bin',
      outerWidthMm: 100,
      outerDepthMm: 100,
      outerHeightMm: 100,
      wallMm: 3,
      mode: 'volume',
      tareG: 0,
      loadG: 1000,
      isSeeThrough: false,
      hasLid: false,
      dividers: { columns, rows: 1, thickMm },
    },
  });

  it('has cells of 5 mm and more, or is refused', () => {
    // 94 inside: ten cells with nine walls of 2 are 7.6 each; of 10 they are 0.4.
    expect(parseRecord('places', bin(10, 2)).ok).toBe(true);
    expect(parseRecord('places', bin(10, 10))).toMatchObject({ ok: false, fault: [{ path: 'container.dividers' }] });
    expect(parseRecord('places', bin(20, 20)).ok).toBe(false);
  });
});
