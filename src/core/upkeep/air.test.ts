import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createThing,
  createUnit,
  CUTTING,
  ROOM,
  SEWING,
} from '../../../tests/household.ts';
import type { Item, Place } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { computeSunYear, listAgainstClimate, listCarried, listFading } from './index.ts';

/** The upper edge of the plan is north: this window looks south. */
const sunny: Place = {
  ...ROOM,
  room: {
    ...ROOM.room!,
    windows: [{ id: 'w', wallId: 'south', xMm: 1000, sillMm: 800, widthMm: 2000, heightMm: 1400 }],
  },
};
const build = (room: Place, items: Item[], places: Place[]) => {
  const household = createHousehold(
    places,
    items,
    items.map((item) => createLot(item, 'case-A1', { lengthMm: 2000 })),
  );
  const all = { ...household, places: new Map(household.places).set(room.id, room) };
  return { household: all, tree: createPlaceTree(all.places) };
};

describe('light', () => {
  it('falls on what lies before a window through the year, and not behind it', () => {
    const spot = { xMm: 2000, yMm: 2500, zMm: 800 };
    expect(computeSunYear(sunny.room!, spot)).toBeGreaterThan(500);
    expect(computeSunYear(ROOM.room!, spot)).toBe(0);
  });

  it('fades what stands open in it', () => {
    const shirt = createCloth('shirt', { care: ['fades'] });
    // At the north wall, opposite the window: low winter sun comes so far.
    const open = build(sunny, [shirt, createCloth('plain')], createUnit('case', { xMm: 1800 }));
    const [found] = listFading(open.household, open.tree);
    expect(found).toMatchObject({ placeId: 'case-A1', lotIds: ['lot-shirt'] });
    expect(found!.hours).toBeGreaterThan(60);
    const closed = build(sunny, [shirt], createUnit('case', { xMm: 1800 }, { opening: 'door', isSeeThrough: false }));
    expect(listFading(closed.household, closed.tree)).toEqual([]);
    const dark = build(ROOM, [shirt], createUnit('case', { xMm: 1800 }));
    expect(listFading(dark.household, dark.tree)).toEqual([]);
  });
});

describe('air', () => {
  it('says what should not stay in a damp room, and nothing of a dry one', () => {
    const wool = createCloth('wool', { fabric: { ...createCloth('x').fabric!, fibre: 'wool' } });
    const damp: Place = { ...ROOM, room: { ...ROOM.room!, climates: ['damp', 'cold'] } };
    const { household, tree } = build(damp, [wool, createCloth('cotton')], createUnit('case', {}));
    expect(listAgainstClimate(household, tree)).toEqual([{ roomId: 'room', climate: 'damp', lotIds: ['lot-wool'] }]);
    const dry = build(ROOM, [wool], createUnit('case', {}));
    expect(listAgainstClimate(dry.household, dry.tree)).toEqual([]);
  });
});

describe('tools that are carried', () => {
  it('pay to have twice by the minutes that they are carried', () => {
    const shears = createThing('shears', {
      stationId: CUTTING,
      otherStationIds: [SEWING],
      usesPerMonth: 120,
      cost: 20,
    });
    const own = createThing('own', { usesPerMonth: 120 });
    const { household, tree } = build(ROOM, [shears, own], createUnit('case', {}));
    const [found] = listCarried(household, tree);
    // From (2000, 1500) to (1000, 2000) are 1.118 m; 60 times there and back at 0.63 s a metre are 84.5 s.
    expect(found).toMatchObject({ item: { id: 'shears' }, cost: 20 });
    expect(found!.minutesPerMonth).toBeCloseTo((60 * 2 * 1.118034 * 0.63) / 60, 3);
    expect(listCarried(household, tree)).toHaveLength(1);
  });

  it('need not be carried where they lie on a cart that is rolled to all their stations', () => {
    const shears = createThing('shears', { stationId: CUTTING, otherStationIds: [SEWING], usesPerMonth: 120 });
    const on = (homes: string) => {
      const cart = createUnit('cart', { xMm: 800, hasWheels: true, stationIds: [CUTTING, SEWING] });
      const { household, tree } = build(ROOM, [], [...createUnit('case', {}), ...cart]);
      const lot = createLot(shears, homes);
      return listCarried({ ...household, items: new Map([[shears.id, shears]]), lots: new Map([[lot.id, lot]]) }, tree);
    };
    expect(on('case-A1')).toMatchObject([{ cart: { id: 'cart' } }]);
    expect(on('cart-A1')).toEqual([]);
  });
});
