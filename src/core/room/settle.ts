import type { RoomSpec, Stand, UnitSpec } from '../records/index.ts';
import {
  computeFootprint,
  computeInsideMm,
  getAxes,
  getPointOf,
  getTurnDeg,
  getWallPoint,
  listCorners,
  listWalls,
  standUnit,
  type Footprint,
} from '../storage/index.ts';

/** Turns that differ by less than this are meant to be alike, °. */
const SAME_TURN_DEG = 6;

/** The least turn from one direction to another, -180 to 180 °. */
function getTurnBetween(a: number, b: number): number {
  return ((((b - a) % 360) + 540) % 360) - 180;
}

/** A turn within a full one, -180 to 180 °. */
export function normaliseTurn(turnDeg: number): number {
  return getTurnBetween(0, turnDeg);
}

/** The nearest of some marks within reach, or the value itself. */
function snap(value: number, marks: readonly number[], withinMm: number): number {
  let best = value;
  let off = withinMm;
  for (const mark of marks)
    if (Math.abs(mark - value) <= off) {
      best = mark;
      off = Math.abs(mark - value);
    }
  return best;
}

/**
 * A piece where it was let go: with its back to a wall that is near and runs as it stands, beside a neighbour
 * or in a corner that is near; otherwise free, on whole centimetres. `withinMm` is how near is near; with 0 it
 * stays exactly where it was put.
 */
export function settleUnit(
  room: RoomSpec,
  unit: UnitSpec,
  stand: Stand,
  neighbours: readonly UnitSpec[],
  withinMm: number,
): UnitSpec {
  const back = getPointOf(stand, 0, -unit.depthMm / 2);
  let best: { wallId: string; turnDeg: number; offMm: number; xMm: number; lengthMm: number } | null = null;
  for (const wall of listWalls(room)) {
    const turnDeg = computeFootprint(room, { ...unit, wallId: wall.id, stand: undefined }).turnDeg;
    const offMm = Math.abs(computeInsideMm(wall, back));
    if (Math.abs(getTurnBetween(turnDeg, stand.turnDeg)) > SAME_TURN_DEG || offMm > withinMm + 0.5) continue;
    const { along } = getAxes(turnDeg);
    const middle = (back.xMm - wall.from.xMm) * along[0] + (back.yMm - wall.from.yMm) * along[1];
    if (middle < 0 || middle > wall.lengthMm || (best && best.offMm <= offMm)) continue;
    best = { wallId: wall.id, turnDeg, offMm, xMm: middle - unit.widthMm / 2, lengthMm: wall.lengthMm };
  }
  if (!best) {
    const round = (mm: number) => (withinMm > 0 ? Math.round(mm / 10) * 10 : mm);
    const free = { xMm: round(stand.xMm), yMm: round(stand.yMm), turnDeg: normaliseTurn(stand.turnDeg) };
    return standUnit(room, unit, free);
  }
  const end = Math.max(0, best.lengthMm - unit.widthMm);
  const beside = neighbours.filter(
    (other) =>
      !other.stand &&
      other.wallId === best.wallId &&
      other.yMm < unit.yMm + unit.heightMm &&
      unit.yMm < other.yMm + other.heightMm,
  );
  const marks = [0, end, ...beside.flatMap((other) => [other.xMm - unit.widthMm, other.xMm + other.widthMm])];
  const within = Math.min(end, Math.max(0, best.xMm));
  const snapped = snap(within, marks, withinMm);
  // Without a mark near, whole centimetres.
  const xMm = snapped === within && withinMm > 0 ? Math.round(within / 10) * 10 : snapped;
  return { ...unit, wallId: best.wallId, xMm: Math.min(end, Math.max(0, xMm)), stand: undefined };
}

/** A piece moved on the plan; away from its wall it stands free, and along it, it keeps its back to it. */
export function moveUnit(
  room: RoomSpec,
  unit: UnitSpec,
  byMm: { readonly xMm: number; readonly yMm: number },
  neighbours: readonly UnitSpec[],
  withinMm: number,
): UnitSpec {
  const { xMm, yMm, turnDeg } = computeFootprint(room, unit);
  return settleUnit(room, unit, { xMm: xMm + byMm.xMm, yMm: yMm + byMm.yMm, turnDeg }, neighbours, withinMm);
}

/** Shifted so far from each wall that a footprint goes through as it sticks out there. */
function pushInside(room: RoomSpec, print: Footprint): Stand {
  let { xMm, yMm } = print;
  for (const wall of listWalls(room)) {
    const corners = listCorners({ ...print, xMm, yMm });
    // Only past a wall that it stands before: in a notch another wall is meant.
    const { along } = getAxes(getTurnDeg(wall.from, wall.to));
    const middle = (xMm - wall.from.xMm) * along[0] + (yMm - wall.from.yMm) * along[1];
    const least = Math.min(...corners.map((corner) => computeInsideMm(wall, corner)));
    const most = Math.max(...corners.map((corner) => computeInsideMm(wall, corner)));
    if (least >= 0 || most <= 0 || middle < 0 || middle > wall.lengthMm) continue;
    const [from, to] = [getWallPoint(wall, 0, 0), getWallPoint(wall, 0, -least)];
    xMm += to.xMm - from.xMm;
    yMm += to.yMm - from.yMm;
  }
  return { xMm, yMm, turnDeg: print.turnDeg };
}

/** A piece turned clockwise about its middle and kept in the room; it stands free, unless its back comes to a wall. */
export function turnUnit(room: RoomSpec, unit: UnitSpec, byDeg: number): UnitSpec {
  const { xMm, yMm, turnDeg } = computeFootprint(room, unit);
  const print = { ...computeFootprint(room, unit), xMm, yMm, turnDeg: normaliseTurn(turnDeg + byDeg) };
  return settleUnit(room, unit, pushInside(room, print), [], 0);
}

/**
 * A piece slid along its wall and up it, as seen from the front: edge to edge with what is near, onto the floor, or
 * on whole centimetres; never through the floor or past the ends of the wall.
 */
export function slideUnit(
  unit: UnitSpec,
  to: { readonly xMm: number; readonly yMm: number },
  wallMm: number,
  neighbours: readonly UnitSpec[],
  withinMm: number,
): UnitSpec {
  const end = Math.max(0, wallMm - unit.widthMm);
  const edges = (start: 'xMm' | 'yMm', size: 'widthMm' | 'heightMm') =>
    neighbours.flatMap((other) => {
      const [from, over] = [other[start], other[start] + other[size]];
      // Beside it, and flush with it.
      return [from - unit[size], over, from, over - unit[size]];
    });
  const settle = (value: number, marks: readonly number[], most: number) => {
    const within = Math.min(most, Math.max(0, value));
    const snapped = snap(within, marks, withinMm);
    const rounded = snapped === within && withinMm > 0 ? Math.round(within / 10) * 10 : snapped;
    return Math.min(most, Math.max(0, rounded));
  };
  return {
    ...unit,
    xMm: settle(to.xMm, [0, end, ...edges('xMm', 'widthMm')], end),
    yMm: settle(to.yMm, [0, ...edges('yMm', 'heightMm')], 10_000),
    stand: undefined,
  };
}
