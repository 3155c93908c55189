import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createSpool,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import type { Item, Lot, Place, PlaceId } from '../records/index.ts';
import { computeSpace, createPlaceTree } from '../storage/index.ts';
import { type Standing, computeContents, computeStanding, groupLotsByPlace } from './locate.ts';

/** Where each lot stands in a place, in the order of the lots given. */
function standings(places: readonly Place[], placeId: string, things: readonly [Item, Partial<Lot>?][]): Standing[] {
  const lots = things.map(([item, change], order) => createLot(item, placeId, { order, ...change }));
  const household = createHousehold(
    places,
    things.map(([item]) => item),
    lots,
  );
  const tree = createPlaceTree(household.places);
  const place = tree.places.get(placeId as PlaceId)!;
  const inside = computeContents(household, tree, place.id, lots);
  const space = computeSpace(tree, place);
  return lots.map((lot) => computeStanding(inside, lot, space));
}
const shelf = createUnit('shelf', { kind: 'bookcase', widthMm: 1032 });

describe('where a thing stands', () => {
  it('on a shelf is counted from the left', () => {
    const things = [createThing('a'), createThing('b'), createThing('c')].map((item): [Item] => [item]);
    expect(
      standings(shelf, 'shelf-Shelf 1', things).map((one) => one.kind === 'row' && [one.nth, one.of, one.from]),
    ).toEqual([
      [1, 3, 'left'],
      [2, 3, 'left'],
      [3, 3, 'left'],
    ]);
  });

  it('in a pile is counted from the top, pile by pile', () => {
    // 350 mm high inside, stacks of 32 mm: ten to a pile, so the eleventh begins the second.
    const things = Array.from({ length: 12 }, (_, i): [Item] => [createCloth(`c${i}`)]);
    const found = standings(shelf, 'shelf-Shelf 1', things);
    expect(found[0]).toEqual({ kind: 'pile', nth: 10, of: 10, pile: 1, piles: 2 });
    expect(found[9]).toEqual({ kind: 'pile', nth: 1, of: 10, pile: 1, piles: 2 });
    expect(found[11]).toEqual({ kind: 'pile', nth: 1, of: 2, pile: 2, piles: 2 });
  });

  it('in a row of spines a pile beside them counts once', () => {
    const things: [Item][] = [[createThing('a')], [createCloth('b')], [createCloth('c')], [createThing('d')]];
    const found = standings(shelf, 'shelf-Shelf 1', things);
    expect(found[0]).toMatchObject({ kind: 'row', nth: 1, of: 3 });
    expect(found[3]).toMatchObject({ kind: 'row', nth: 3, of: 3 });
  });

  it('in a drawer is counted from the front, lane by lane', () => {
    // 500 mm deep less its back board: 488 inside. A lane is 155 mm wide; envelopes are 5 mm thick.
    const drawer = createUnit(
      'chest',
      { kind: 'drawers', rows: 1, widthMm: 374, heightMm: 274, depthMm: 500, boardMm: 12 },
      { mode: 'line' },
    );
    const many = createPattern('many', 1);
    const found = standings(drawer, 'chest-Drawer 1', [[many, { count: 97 }], [createPattern('next', 2)]]);
    expect(found[0]).toMatchObject({ kind: 'row', nth: 1, from: 'front', row: 1, rows: 2 });
    expect(found[1]).toMatchObject({ kind: 'row', nth: 1, of: 1, from: 'front', row: 2, rows: 2 });
  });

  it('on pins is counted row by row from the top left', () => {
    const rack = createUnit('rack', { kind: 'spoolRack', widthMm: 192, heightMm: 96, depthMm: 75, boardMm: 0 });
    const things = Array.from({ length: 6 }, (_, i): [Item] => [createSpool(`s${i}`)]);
    const found = standings(rack, 'rack-Pins', things);
    expect(found[3]).toMatchObject({ kind: 'row', nth: 4, of: 4, row: 1, rows: 2 });
    expect(found[4]).toMatchObject({ kind: 'row', nth: 1, of: 2, row: 2, rows: 2 });
  });

  it('in a bin, or where it does not go in, is only among the others', () => {
    const bin = createUnit('bin', {}, { mode: 'volume' });
    expect(standings(bin, 'bin-A1', [[createThing('a')], [createThing('b')]])[1]).toEqual({ kind: 'among', of: 2 });
    const full = Array.from({ length: 40 }, (_, i): [Item] => [createThing(`t${i}`)]);
    expect(standings(shelf, 'shelf-Shelf 1', full)[7]).toEqual({ kind: 'among', of: 40 });
  });
});

describe('lots by place', () => {
  const [a, b, c] = [createThing('a'), createThing('b'), createThing('c')];
  const household = createHousehold(
    shelf,
    [a, b, c],
    [
      createLot(a, 'shelf-Shelf 1', { order: 2, homeId: undefined }),
      createLot(b, 'shelf-Shelf 1', { order: 1 }),
      createLot(c, null, { state: 'gone' }),
    ],
  );
  it('stand in their order, by where they are or where they belong', () => {
    const ids = (which: 'is' | 'home') =>
      (groupLotsByPlace(household, which).get('shelf-Shelf 1' as PlaceId) ?? []).map((lot) => lot.itemId);
    expect(ids('is')).toEqual(['b', 'a']);
    expect(ids('home')).toEqual(['b']);
  });
});
