import { useDeferredValue } from 'react';
import { drawWallInSlices, type WallDrawing, type WallView } from '../../core/drawing/index.ts';
import type { Household } from '../../core/records/index.ts';
import type { BandsFor } from '../../core/storage/index.ts';
import type { Slices } from '../../core/slices/index.ts';
import { getTree, getWalls } from '../state/derived.ts';
import { groupInSlices } from '../state/groups.ts';
import { deriveSlowly, slowlyBy } from '../state/slowly.ts';
import { getWordsInside } from './wordsInside.ts';

/** Draws a wall of households: what an act did not touch is taken over as it was drawn last. */
function createDrawn(wallId: string, view: WallView, bandsFor: BandsFor) {
  let before: WallDrawing | undefined;
  return deriveSlowly(function* (household): Slices<WallDrawing | null> {
    const at = getWalls(household).find(({ id }) => id === wallId);
    if (!at) return null;
    yield* groupInSlices(household);
    const how = { view, bandsFor, wordInside: getWordsInside(household), before };
    before = yield* drawWallInSlices(household, getTree(household), at.room, at.wall, how);
    return before;
  });
}

const drawnBy = slowlyBy<WallDrawing | null>();
const getDrawn = (wallId: string, view: WallView, bandsFor: BandsFor) =>
  drawnBy(`${wallId} ${view} ${bandsFor}`, () => createDrawn(wallId, view, bandsFor));

/** A wall as things are on it, or will be, drawn once for as long as they are so; null where there is no such wall. */
export const getWallDrawing = (
  household: Household,
  wallId: string,
  view: WallView = 'is',
  bandsFor: BandsFor = 'standing',
): WallDrawing | null => getDrawn(wallId, view, bandsFor).get(household);

/** The same for what waits for it: it may be asked for in a loop. */
export const readWallDrawing = (household: Household, wallId: string): WallDrawing | null =>
  getDrawn(wallId, 'is', 'standing').use(household);

/** The wall of a screen: a full one is drawn in slices, and what was there stays until it is. */
export function useWallDrawing(
  household: Household,
  wallId: string | null | undefined,
  view: WallView = 'is',
  bandsFor: BandsFor = 'standing',
): WallDrawing | null {
  const drawn = useDeferredValue(typeof wallId !== 'string' ? null : getDrawn(wallId, view, bandsFor));
  return drawn && drawn.use(household);
}
