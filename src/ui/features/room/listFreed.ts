import type { Place, RoomSpec } from '../../../core/records/index.ts';
import { computeFootprint, standUnit, type PlaceTree } from '../../../core/storage/index.ts';

/** What stood at a wall that is no more stands where it stood, free. */
export function listFreed(tree: PlaceTree, room: Place, next: RoomSpec): Place[] {
  const walls = new Set(next.walls.map((wall) => wall.id));
  return tree.getChildren(room.id).flatMap((place): Place[] => {
    const { unit } = place;
    if (!unit || walls.has(unit.wallId)) return [];
    const { xMm, yMm, turnDeg } = computeFootprint(room.room!, unit);
    return [{ ...place, unit: standUnit(next, unit, { xMm, yMm, turnDeg }) }];
  });
}
