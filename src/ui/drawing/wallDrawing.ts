import { computeWallDrawing, type WallDrawing, type WallView } from '../../core/drawing/index.ts';
import type { Household } from '../../core/records/index.ts';
import type { BandsFor } from '../../core/storage/index.ts';
import { derive, getTree, getWalls } from '../state/derived.ts';
import { getWordsInside } from './wordsInside.ts';

const getDrawings = derive(() => new Map<string, WallDrawing | null>());
/** Each wall as it was drawn last: what an act did not touch is not drawn again. */
const drawnLast = new Map<string, WallDrawing>();

/** A wall as things are on it, or will be, drawn once for as long as they are so; null where there is no such wall. */
export function getWallDrawing(
  household: Household,
  wallId: string,
  view: WallView = 'is',
  bandsFor: BandsFor = 'standing',
): WallDrawing | null {
  const drawings = getDrawings(household);
  const key = `${wallId} ${view} ${bandsFor}`;
  const hit = drawings.get(key);
  if (hit !== undefined) return hit;
  const at = getWalls(household).find(({ id }) => id === wallId);
  const how = { view, bandsFor, wordInside: getWordsInside(household), before: drawnLast.get(key) };
  const drawn = at ? computeWallDrawing(household, getTree(household), at.room, at.wall, how) : null;
  drawings.set(key, drawn);
  if (drawn) drawnLast.set(key, drawn);
  return drawn;
}
