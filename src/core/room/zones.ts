import type { Door, PlanPoint, RoomSpec } from '../records/index.ts';
import { getPointOf, getWallLine, getWallPoint } from '../storage/index.ts';
import { createBody, type Body, type Piece } from './bodies.ts';
import { computeRangeInStrip, type Polygon } from './polygon.ts';

/** What the space before a piece is for; figures of the room in figures.md. */
export type ZoneUse = 'stand' | 'drawer' | 'leaf' | 'chair' | 'around';

/** Space that a side of a piece needs to be used. */
export interface Zone {
  readonly body: Body;
  readonly use: ZoneUse;
  /** Clockwise from the front: 0 front, 1 right, 2 back, 3 left, seen from its front. */
  readonly side: 0 | 1 | 2 | 3;
  readonly neededMm: number;
  /** Edges that may be in the way a little: one reaches round them. */
  readonly insetShare: number;
}

/** A walkway, and what one must have at the least. */
export const WALKWAY_MM = 900;
export const LEAST_WALKWAY_MM = 600;
const CHAIR_MM = 900;
const AROUND_MM = 750;

/** The space that a piece needs before it, by what opens there. */
export function listZones(body: Body): Zone[] {
  const { piece } = body;
  if (!piece) return [];
  const { unit, slots } = piece;
  const front = { body, side: 0, insetShare: 0 } as const;
  if (unit.kind === 'table') {
    const isAround = unit.access === 'around';
    if (!isAround) return [{ ...front, use: 'chair', neededMm: CHAIR_MM }];
    return ([0, 1, 2, 3] as const).map((side) => ({ ...front, side, use: 'around', neededMm: AROUND_MM }));
  }
  const drawer = Math.max(0, ...slots.filter((slot) => slot.opening === 'drawer').map((slot) => slot.depthMm));
  if (drawer > 0) return [{ ...front, use: 'drawer', neededMm: drawer + LEAST_WALKWAY_MM }];
  if (slots.some((slot) => slot.opening === 'door'))
    return [{ ...front, use: 'leaf', neededMm: Math.max(LEAST_WALKWAY_MM, unit.widthMm / unit.columns) }];
  return [{ ...front, use: 'stand', neededMm: LEAST_WALKWAY_MM, insetShare: 0.15 }];
}

/** The ground of a zone, so deep from the side of its piece. */
export function getZonePolygon({ body, side, insetShare }: Zone, deepMm: number): Polygon {
  const { print } = body;
  const isAcross = side % 2 === 1;
  const [length, from] = isAcross ? [print.depthMm, print.widthMm / 2] : [print.widthMm, print.depthMm / 2];
  const half = (length / 2) * (1 - 2 * insetShare);
  const turned = { ...print, turnDeg: print.turnDeg - 90 * side };
  const point = (across: number, front: number) => getPointOf(turned, across, front);
  return [point(-half, from), point(half, from), point(half, from + deepMm), point(-half, from + deepMm)];
}

/** A point as the side of a zone sees it: across from its middle, and away from its edge, mm. */
function seeFrom({ body, side }: Zone, point: PlanPoint): [number, number] {
  const { print } = body;
  const angle = ((print.turnDeg - 90 * side) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [dx, dy] = [point.xMm - print.xMm, point.yMm - print.yMm];
  const away = (side % 2 === 1 ? print.widthMm : print.depthMm) / 2;
  return [dx * cos + dy * sin, -dx * sin + dy * cos - away];
}

/** Reaching over a table to the wall behind it. */
const REACH_OVER_MM = 700;

/** Whether one stands before a piece in spite of a body, because one is above the other. */
function isReachedOver(zone: Zone, other: Body): boolean {
  const { body } = zone;
  // A shelf or peg field over a table is reached over it; drawers under a table are pulled out from under it.
  if (body.fromMm >= other.toMm - 5) return other.print.depthMm <= REACH_OVER_MM;
  return other.piece?.unit.kind === 'table' && other.fromMm >= body.toMm - 5;
}

/** How far one can step away from a side before something is in the way; and what that is. */
export interface Free {
  readonly freeMm: number;
  /** The body in the way; null for a wall. */
  readonly by: Body | null;
}

/** Nobody hits the head on what is higher, nor the feet on what is lower. */
const FEET_MM = 60;
const HEAD_MM = 1800;

/** Free space before a side, up to what it needs. `outline` is the room's. */
export function computeFree(zone: Zone, bodies: readonly Body[], outline: Polygon): Free {
  const { body, side, insetShare, neededMm } = zone;
  const length = side % 2 === 1 ? body.print.depthMm : body.print.widthMm;
  const half = (length / 2) * (1 - 2 * insetShare) - 1;
  let best: Free = { freeMm: neededMm, by: null };
  for (const other of bodies) {
    if (other.id === body.id || other.toMm <= FEET_MM || other.fromMm >= HEAD_MM || isReachedOver(zone, other))
      continue;
    const range = computeRangeInStrip(
      other.corners.map((corner) => seeFrom(zone, corner)),
      -half,
      half,
    );
    if (!range || range[1] <= 1 || range[0] >= best.freeMm) continue;
    best = { freeMm: Math.max(0, range[0]), by: other };
  }
  // Walls: the nearest stretch of the outline that lies before the side.
  const seen = outline.map((corner) => seeFrom(zone, corner));
  for (const [i, a] of seen.entries()) {
    const b = seen[(i + 1) % seen.length]!;
    const range = computeRangeInStrip([a, b], -half, half);
    if (range && range[1] > 1 && range[0] < best.freeMm) best = { freeMm: Math.max(0, range[0]), by: null };
  }
  return best;
}

/** The ground that a door sweeps, or that must be free before it: a face without notches. */
export function getDoorPolygon(room: RoomSpec, door: Door): Polygon {
  const wall = getWallLine(room, door.wallId);
  const [left, right] = [door.xMm, door.xMm + door.widthMm];
  if (door.swing !== 'in')
    return [
      getWallPoint(wall, left),
      getWallPoint(wall, right),
      getWallPoint(wall, right, LEAST_WALKWAY_MM),
      getWallPoint(wall, left, LEAST_WALKWAY_MM),
    ];
  const [hinge, sign] = door.hinge === 'left' ? [left, 1] : [right, -1];
  const steps = 8;
  const arc = Array.from({ length: steps + 1 }, (_, n) => {
    const angle = (n * Math.PI) / 2 / steps;
    return getWallPoint(wall, hinge + sign * door.widthMm * Math.cos(angle), door.widthMm * Math.sin(angle));
  });
  return [getWallPoint(wall, hinge), ...arc];
}

/** Bodies of all pieces and fixtures of a room. */
export function listBodies(room: RoomSpec, pieces: readonly Piece[], fixtures: readonly Body[]): Body[] {
  return [...pieces.map((piece) => createBody(room, piece)), ...fixtures];
}
