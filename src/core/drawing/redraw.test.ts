import { describe, expect, it } from 'vitest';
import { Life } from '../../../tests/life.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createTakeOut } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { createPlaceTree, getRoomSpec, listWalls } from '../storage/index.ts';
import type { Household, Lot, LotId } from '../records/index.ts';
import { computeWallDrawing, type WallDrawing, type WallView } from './index.ts';

const wordInside = (lots: readonly Lot[]) => lots.map(({ itemId }) => itemId).join(' ');

/** Every wall of a household; `known` are the drawings of the one before, `treeOf` its tree where the places are the same. */
function drawAll(household: Household, view: WallView, known?: ReadonlyMap<string, WallDrawing>, seen = new Map()) {
  const tree = (seen.get(household.places) as ReturnType<typeof createPlaceTree>) ?? createPlaceTree(household.places);
  seen.set(household.places, tree);
  return new Map(
    tree.rooms.flatMap((room) =>
      listWalls(getRoomSpec(room)).map((wall) => {
        const key = `${room.id} ${wall.id}`;
        const how = { view, wordInside, before: known?.get(key) };
        return [key, computeWallDrawing(household, tree, room, wall, how)] as const;
      }),
    ),
  );
}

const strip = (drawn: ReadonlyMap<string, WallDrawing>) =>
  [...drawn].map(([key, { layers, ...rest }]) => [key, rest, layers.map(({ id, figures }) => [id, figures])]);

describe('a wall drawn again', () => {
  it('is as one drawn afresh, whatever was done between', () => {
    for (const seed of [1, 2, 3]) {
      const life = new Life(createSampleHousehold(seed, 50), seed);
      const seen = new Map();
      let known = { is: drawAll(life.household, 'is', undefined, seen), home: drawAll(life.household, 'home') };
      for (let n = 0; n < 40; n += 1) {
        life.live();
        known = {
          is: drawAll(life.household, 'is', known.is, seen),
          home: drawAll(life.household, 'home', known.home, seen),
        };
        expect(strip(known.is)).toEqual(strip(drawAll(life.household, 'is')));
        expect(strip(known.home)).toEqual(strip(drawAll(life.household, 'home')));
      }
    }
  });

  it('takes over all but the place that a thing was taken out of', () => {
    const { household } = createSampleHousehold();
    const seen = new Map();
    const before = drawAll(household, 'is', undefined, seen);
    const lot = [...household.lots.values()].find(({ state, placeId }) => state === 'in' && placeId !== undefined)!;
    const draft = createTakeOut(household, lot.id as LotId, 0);
    const after = draft.ok ? applyChanges(household, draft.value.changes) : null;
    if (!after?.ok) throw new Error('nothing was taken out');
    const drawn = drawAll(after.value, 'is', before, seen);
    const kept = new Set([...before.values()].flatMap(({ layers }) => layers));
    const fresh = [...drawn.values()].flatMap(({ layers }) => layers.filter((layer) => !kept.has(layer)));
    expect(fresh).toHaveLength(1);
    expect(fresh[0]!.places.has(lot.placeId!)).toBe(true);
  });
});
