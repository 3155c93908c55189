import type { PlaceId, PlanPoint, RoomSpec, Stand, Station, UnitSpec } from '../records/index.ts';
import {
  computeInsideMm,
  getWallAxes,
  getWallLine,
  getWallPoint,
  listWalls,
  type Axes,
  type WallLine,
} from './room.ts';

/** Directions of a piece or wall turned clockwise by so much on a plan whose y runs down. */
export function getAxes(turnDeg: number): Axes {
  const angle = (turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { along: [cos, sin], inward: [-sin, cos] };
}

/** How far a wall is turned, clockwise, ° from -180 to 180; 0 runs to the right along the top of the plan. */
export function getTurnDeg(from: PlanPoint, to: PlanPoint): number {
  return (Math.atan2(to.yMm - from.yMm, to.xMm - from.xMm) * 180) / Math.PI;
}

/** A rectangle on the plan, of which one long side is its front. */
export interface Footprint extends Stand {
  readonly widthMm: number;
  readonly depthMm: number;
}

/** Where a piece of furniture stands on the plan: free, or with its back to its wall. */
export function computeFootprint(room: RoomSpec, unit: UnitSpec): Footprint {
  const { widthMm, depthMm, stand } = unit;
  if (stand) return { ...stand, widthMm, depthMm };
  const wall = getWallLine(room, unit.wallId);
  const centre = getWallPoint(wall, unit.xMm + widthMm / 2, depthMm / 2);
  return { ...centre, turnDeg: getTurnDeg(wall.from, wall.to), widthMm, depthMm };
}

/** A point of a rectangle: so far to the right of its middle, and so far in front of it, seen from its front. */
export function getPointOf({ xMm, yMm, turnDeg }: Stand, acrossMm: number, frontMm: number): PlanPoint {
  const { along, inward } = getAxes(turnDeg);
  return {
    xMm: xMm + along[0] * acrossMm + inward[0] * frontMm,
    yMm: yMm + along[1] * acrossMm + inward[1] * frontMm,
  };
}

/** Corners of a rectangle, clockwise from its back left. */
export function listCorners(print: Footprint): PlanPoint[] {
  const [w, d] = [print.widthMm / 2, print.depthMm / 2];
  return [getPointOf(print, -w, -d), getPointOf(print, w, -d), getPointOf(print, w, d), getPointOf(print, -w, d)];
}

/** Distance at which one stands before what one reaches into, mm. */
const ARM_MM = 300;

/** Where one works at a station: before its piece of furniture, or at its own spot. */
export function computeStationPoint(
  room: RoomSpec,
  station: Station,
  getUnit: (id: PlaceId) => UnitSpec | null | undefined,
): PlanPoint {
  const unit = station.unitId ? getUnit(station.unitId) : null;
  if (!unit) return station.at;
  return getPointOf(computeFootprint(room, unit), 0, unit.depthMm / 2 + ARM_MM);
}

/** Where one stands to reach so far along a piece of furniture, mm from its left edge. */
export function computeReachPoint(room: RoomSpec, unit: UnitSpec, alongMm: number): PlanPoint {
  return getPointOf(computeFootprint(room, unit), alongMm - unit.widthMm / 2, unit.depthMm / 2 + ARM_MM);
}

/**
 * A unit put somewhere on the plan: with its back to a wall, or free. What stands free keeps the wall that is
 * seen behind it and its place along that wall, so that the wall's drawing shows it.
 */
export function standUnit(room: RoomSpec, unit: UnitSpec, stand: Stand): UnitSpec {
  const { inward } = getAxes(stand.turnDeg);
  let best: WallLine | null = null;
  let bestScore = -Infinity;
  for (const wall of listWalls(room)) {
    const own = getWallAxes(wall).inward;
    const facing = own[0] * inward[0] + own[1] * inward[1];
    const score = facing - Math.abs(computeInsideMm(wall, stand)) / 1e5;
    if (score > bestScore) [best, bestScore] = [wall, score];
  }
  const wall = best!;
  const { along } = getWallAxes(wall);
  const middle = (stand.xMm - wall.from.xMm) * along[0] + (stand.yMm - wall.from.yMm) * along[1];
  const xMm = Math.max(0, Math.min(Math.max(0, wall.lengthMm - unit.widthMm), middle - unit.widthMm / 2));
  return { ...unit, wallId: wall.id, xMm, stand };
}
