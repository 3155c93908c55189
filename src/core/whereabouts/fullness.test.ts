import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { findOverloads } from '../room/index.ts';
import type { Item, Lot, Place, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { computePlaceState, listStrained } from './index.ts';

function look(places: readonly Place[], items: readonly Item[], lots: readonly Lot[]) {
  const household = createHousehold(places, items, lots);
  const tree = createPlaceTree(household.places);
  return {
    household,
    tree,
    stateOf: (id: string) => {
      const inside = lots.filter((lot) => lot.placeId === id);
      return computePlaceState(household, tree, tree.places.get(id as PlaceId)!, inside, 'is');
    },
  };
}
const cube = createUnit('cube', { columns: 3, widthMm: 1114 });

describe('full', () => {
  it('means the same of piles as of rows: two folds in a cube leave it nearly empty, however little is left beside them', () => {
    const cloths = [createCloth('one'), createCloth('two')];
    const { stateOf } = look(
      cube,
      cloths,
      cloths.map((cloth) => createLot(cloth, 'cube-A1')),
    );
    // 2 m × 1 m folded to 300 × 280 is 32 mm high; two of them in 350 mm of height, one pile wide.
    const state = stateOf('cube-A1');
    expect(state.fill).toBeCloseTo(64 / 350, 9);
    expect(state.widthLeftMm).toBeCloseTo(50, 9);
    expect(state).toMatchObject({ isOverFull: false, lots: 2 });
  });

  it('is no more than all of a place where everything was packed into it', () => {
    // Boxes of half the drawer each fill it to the last litre; by the share that nearly always packs they would not.
    const drawer = createUnit('chest', { kind: 'drawers', columns: 1, rows: 1 }, { opening: 'drawer', mode: 'volume' });
    const { id, slot } = drawer.find((place) => place.slot)!;
    const { widthMm, depthMm, heightMm } = slot!;
    const size = { widthMm: Math.floor(widthMm / 2), depthMm, heightMm };
    const boxes = ['a', 'b'].map((id) =>
      createThing(id, { forms: ['box'], box: { ...createThing('x').box!, ...size, isSoft: false } }),
    );
    const { stateOf } = look(
      drawer,
      boxes,
      boxes.map((box) => createLot(box, id)),
    );
    expect(stateOf(id)).toMatchObject({ fill: 1, isOverFull: false });
  });

  it('and crowded are told of the whole household', () => {
    const cloths = Array.from({ length: 14 }, (_, i) => createCloth(`c${i}`));
    // Ten stacks of 32 mm are 320 of 350 mm: over 85 %; fourteen are 448.
    const ten = cloths.slice(0, 10).map((cloth) => createLot(cloth, 'cube-A1'));
    const { household, tree } = look(cube, cloths, ten);
    expect(listStrained(household, tree)).toEqual({ full: [], crowded: ['cube-A1'] });
    const more = look(
      cube,
      cloths,
      cloths.map((cloth) => createLot(cloth, 'cube-B1')),
    );
    expect(listStrained(more.household, more.tree)).toEqual({ full: ['cube-B1'], crowded: ['cube-B1'] });
  });
});

describe('too heavy', () => {
  it('is told of the drawer, and of every place that carries more than it may', () => {
    const drawer = createUnit(
      'chest',
      { kind: 'drawers', columns: 1, rows: 2 },
      { opening: 'drawer', mode: 'volume', loadG: 8000 },
    );
    const [first, second] = drawer.flatMap((place) => (place.slot ? [place.id] : []));
    const box = { ...createThing('x').box!, widthMm: 100, depthMm: 100, heightMm: 60, massG: 12_900 };
    const iron = createThing('weights', { forms: ['box'], box });
    const { household, tree, stateOf } = look(drawer, [iron], [createLot(iron, first)]);
    expect(stateOf(first!)).toMatchObject({ massG: 12_900, loadG: 8000, isTooHeavy: true, isOverFull: false });
    expect(stateOf(second!)).toMatchObject({ massG: 0, isTooHeavy: false });
    expect(findOverloads(household, tree)).toEqual([{ placeId: first, massG: 12_900, limitG: 8000 }]);
  });
});
