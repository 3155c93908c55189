import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit, ROOM } from '../../../tests/household.ts';
import type { Household, Lot, Place, PlaceId, StationId } from '../records/index.ts';
import { applyChanges, foldEvents, isSame } from './fold.ts';
import { checkInvariants } from './invariants.ts';

const tool = createThing('tool');
const places = createUnit('cube', {});
const good = createHousehold(places, [tool], [createLot(tool, 'cube-A1')]);
const faultsOf = (household: Household) => checkInvariants(household).map(({ path, code }) => `${path} ${code}`);
const withPlaces = (...more: Place[]): Household => ({
  ...good,
  places: new Map([...good.places, ...more.map((place) => [place.id, place] as const)]),
});
const withLot = (change: Partial<Lot>): Household => ({
  ...good,
  lots: new Map([['lot-tool' as Lot['id'], { ...createLot(tool, 'cube-A1'), ...change }]]),
});

describe('invariants', () => {
  it('hold for a good household', () => expect(faultsOf(good)).toEqual([]));

  it.each<[string, Household, string]>([
    ['a lot of nothing', withLot({ itemId: 'ghost' as Lot['itemId'] }), 'lots.lot-tool.itemId dangling'],
    ['a lot in no place', withLot({ placeId: 'ghost' as PlaceId }), 'lots.lot-tool.placeId dangling'],
    [
      'two labels with one code',
      {
        ...withLot({ label: { code: '222222222', says: [], swatches: [] } }),
        places: new Map(
          [...good.places].map(([id, place]) => [
            id,
            id === 'cube-A1' ? { ...place, label: { code: '222222222', says: [], swatches: [] } } : place,
          ]),
        ),
      },
      'places.cube-A1.label code-twice',
    ],
    ['a home that is no more', withLot({ homeId: 'ghost' as PlaceId }), 'lots.lot-tool.homeId dangling'],
    ['a lot on a whole shelf', withLot({ placeId: 'cube' as PlaceId }), 'lots.lot-tool.placeId not-a-leaf'],
    ['what is gone and yet there', withLot({ state: 'gone' }), 'lots.lot-tool gone-but-placed'],
    [
      'a thing used nowhere',
      { ...good, items: new Map([[tool.id, { ...tool, stationId: 'moon' as StationId }]]) },
      'items.tool.stationId no-station',
    ],
    [
      'a slot without a unit',
      withPlaces({ ...places[1]!, id: 'x' as PlaceId, parentId: 'gone' as PlaceId }),
      'places.x tree',
    ],
    ['a slot in a room', withPlaces({ ...places[1]!, id: 'x' as PlaceId, parentId: ROOM.id }), 'places.x tree'],
    ['a place in itself', withPlaces({ ...places[1]!, id: 'x' as PlaceId, parentId: 'x' as PlaceId }), 'places.x tree'],
  ])('catch %s', (_, household, fault) => expect(faultsOf(household)).toContain(fault));

  it('catch a container that does not fit its slot', () => {
    const bin: Place = {
      id: 'bin' as PlaceId,
      parentId: 'cube-A1' as PlaceId,
      level: 'container',
      name: 'Bin',
      order: 0,
      container: {
        kind: 'bin',
        outerWidthMm: 360,
        outerDepthMm: 300,
        outerHeightMm: 300,
        wallMm: 3,
        mode: 'volume',
        tareG: 500,
        loadG: 5000,
        isSeeThrough: false,
        hasLid: false,
      },
    };
    // The cube is 382 - 2 × 16 = 350 mm wide inside.
    expect(faultsOf(withPlaces(bin))).toContain('places.cube-A1 container-does-not-fit');
    // And the lot that lay in the slot itself now lies where nothing can.
    expect(faultsOf(withPlaces(bin))).toContain('lots.lot-tool.placeId not-a-leaf');
  });
});

describe('changes', () => {
  const id = 'lot-tool';
  it.each([
    ['a record that is there already', { table: 'lots', id, after: createLot(tool) }],
    ['a record that is not there', { table: 'lots', id: 'x', before: { count: 1 }, after: { count: 2 } }],
    ['another value than the one it was made from', { table: 'lots', id, before: { count: 9 }, after: { count: 2 } }],
    ['another record than the one to be removed', { table: 'lots', id, before: { id } }],
    ['the settings away', { table: 'settings', id: 'household', before: good.settings }],
    ['nothing into nothing', { table: 'lots', id: 'x' }],
  ] as const)('are refused that would put %s', (_, change) => {
    const result = applyChanges(good, [change as never]);
    expect(result).toMatchObject({ ok: false, fault: { code: 'conflict' } });
  });

  it('are all applied or none', () => {
    const first = { table: 'lots', id, before: { count: 1 }, after: { count: 5 } } as const;
    const second = { table: 'lots', id: 'x', before: { count: 1 }, after: { count: 2 } } as const;
    expect(applyChanges(good, [first, second]).ok).toBe(false);
    expect(good.lots.get(id as Lot['id'])?.count).toBe(1);
  });

  it('leave alone what they do not name', () => {
    const change = { table: 'lots', id, before: { count: 1 }, after: { count: 5 } } as const;
    const next = applyChanges(good, [change]);
    if (!next.ok) throw new Error('conflict');
    expect(next.value.items).toBe(good.items);
    expect(next.value.lots).not.toBe(good.lots);
    expect(next.value.lots.get(id as Lot['id'])).toEqual({ ...createLot(tool, 'cube-A1'), count: 5 });
  });

  it('do not fold from a daybook that begins in the middle', () => {
    const event = {
      id: 'e1',
      seq: 0,
      atMs: 0,
      type: 'tookOut',
      subject: '',
      changes: [{ table: 'lots', id, before: { count: 1 }, after: { count: 2 } }],
    } as never;
    expect(foldEvents([event]).ok).toBe(false);
  });
});

describe('sameness', () => {
  it.each([
    [{ a: [1, { b: 2 }] }, { a: [1, { b: 2 }] }, true],
    [{ a: 1 }, { a: 1, b: undefined }, true],
    [[1], { 0: 1 }, false],
    [null, {}, false],
    ['1', 1, false],
  ])('%o and %o: %s', (a, b, same) => expect(isSame(a, b)).toBe(same));
});
