import { computeWallDrawing, type WallDrawing } from '../../core/drawing/index.ts';
import type { Household } from '../../core/records/index.ts';
import { derive, getTree, getWalls } from '../state/derived.ts';
import { getWordsInside } from './wordsInside.ts';

const getDrawings = derive(() => new Map<string, WallDrawing | null>());

/** A wall as things are on it, drawn once for as long as they are so; null where there is no such wall. */
export function getWallDrawing(household: Household, wallId: string): WallDrawing | null {
  const drawings = getDrawings(household);
  const hit = drawings.get(wallId);
  if (hit !== undefined) return hit;
  const at = getWalls(household).find(({ id }) => id === wallId);
  const drawn = at
    ? computeWallDrawing(household, getTree(household), at.room, at.wall, 'is', undefined, getWordsInside(household))
    : null;
  drawings.set(wallId, drawn);
  return drawn;
}
