import { computeFootprint, getAxes, getPointOf, type Footprint } from '../storage/index.ts';
import type { Lamp, PlanPoint, RoomSpec, UnitSpec } from '../records/index.ts';
import type { Body } from './bodies.ts';
import type { Finding, Scene } from './findings.ts';

/** One who sits or stands at a table: a trunk and a bent head, as shares of stature, after Drillis and Contini 1966. */
const SHOULDER_SHARE = 0.82;
/** Half of the shoulders' breadth, and a little less, for they are not round. */
const TRUNK_SHARE = 0.115;
const HEAD_SHARE = 0.93;
const HEAD_RADIUS_SHARE = 0.07;
/** What is above the seat of one who sits. */
const HIP_SHARE = 0.53;
const KNEE_SHARE = 0.285;
const SEATED_TOP_MM = 800;
/** The trunk stays so far before the edge; the head is over it. */
const BEFORE_EDGE_MM = 120;

/** Where hands and eyes are: from the front edge in, and to both sides. */
const PATCH_FROM_MM = 120;
const PATCH_TO_MM = 360;
const PATCH_HALF_MM = 200;
const SAMPLES_ACROSS = 5;
const SAMPLES_DEEP = 3;
/** In the shade by half, the work is dark. */
const SHADE_SHARE = 0.5;
/** A lamp further off than this, seen from above, no longer lights a table. */
const LIGHTS_MM = 3000;
const STEP_MM = 50;
const MOST_SHIFT_MM = 2000;

interface Point extends PlanPoint {
  readonly zMm: number;
}

/** The one who works: an upright cylinder and a ball. */
interface Worker {
  readonly trunk: PlanPoint;
  readonly trunkMm: number;
  readonly trunkTopMm: number;
  readonly head: Point;
  readonly headMm: number;
}

function createWorker(print: Footprint, unit: UnitSpec, statureMm: number): Worker {
  const isSeated = unit.access !== 'around' && unit.yMm + unit.heightMm <= SEATED_TOP_MM;
  // Who sits is as high as the seat and what is above the hip.
  const lowerMm = isSeated ? (HIP_SHARE - KNEE_SHARE) * statureMm : 0;
  return {
    trunk: getPointOf(print, 0, print.depthMm / 2 + BEFORE_EDGE_MM),
    trunkMm: TRUNK_SHARE * statureMm,
    trunkTopMm: SHOULDER_SHARE * statureMm - lowerMm,
    head: { ...getPointOf(print, 0, print.depthMm / 2), zMm: HEAD_SHARE * statureMm - lowerMm },
    headMm: HEAD_RADIUS_SHARE * statureMm,
  };
}

/** The least distance of a stretch from a point, by coordinates of any number. */
function computeDistance(from: readonly number[], to: readonly number[], point: readonly number[]): number {
  const along = to.map((value, i) => value - from[i]!);
  const length2 = along.reduce((sum, value) => sum + value * value, 0);
  const dot = along.reduce((sum, value, i) => sum + value * (point[i]! - from[i]!), 0);
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, dot / length2));
  return Math.hypot(...along.map((value, i) => from[i]! + t * value - point[i]!));
}

/** Whether the worker stands between a point of the work and a lamp. */
function isShaded(work: Point, lamp: Point, worker: Worker): boolean {
  const { head, trunk } = worker;
  const byHead = computeDistance(
    [work.xMm, work.yMm, work.zMm],
    [lamp.xMm, lamp.yMm, lamp.zMm],
    [head.xMm, head.yMm, head.zMm],
  );
  if (byHead < worker.headMm) return true;
  // Of the ray only what is lower than the shoulders meets the trunk.
  const rise = lamp.zMm - work.zMm;
  const share = rise <= 0 ? 1 : Math.min(1, Math.max(0, (worker.trunkTopMm - work.zMm) / rise));
  const top = [work.xMm + share * (lamp.xMm - work.xMm), work.yMm + share * (lamp.yMm - work.yMm)];
  return computeDistance([work.xMm, work.yMm], top, [trunk.xMm, trunk.yMm]) < worker.trunkMm;
}

/** The share of the work on a table that lies in the worker's own shadow from one lamp, 0 to 1. */
export function computeShade(room: RoomSpec, unit: UnitSpec, lamp: Lamp, statureMm: number): number {
  const print = computeFootprint(room, unit);
  const worker = createWorker(print, unit, statureMm);
  const zMm = unit.yMm + unit.heightMm;
  const at = { ...lamp.at, zMm: lamp.heightMm };
  if (at.zMm <= zMm) return 1;
  let shaded = 0;
  for (let i = 0; i < SAMPLES_ACROSS; i += 1)
    for (let j = 0; j < SAMPLES_DEEP; j += 1) {
      const across = PATCH_HALF_MM * ((2 * i) / (SAMPLES_ACROSS - 1) - 1);
      const inward = PATCH_FROM_MM + ((PATCH_TO_MM - PATCH_FROM_MM) * j) / (SAMPLES_DEEP - 1);
      const work = { ...getPointOf(print, across, print.depthMm / 2 - inward), zMm };
      if (isShaded(work, at, worker)) shaded += 1;
    }
  return shaded / (SAMPLES_ACROSS * SAMPLES_DEEP);
}

/** How far a lamp goes sideways, along the table, until the work is out of the shade; null where that is too far. */
function findShift(room: RoomSpec, unit: UnitSpec, lamp: Lamp, statureMm: number): number | null {
  const [ax, ay] = getAxes(computeFootprint(room, unit).turnDeg).along;
  for (let mm = STEP_MM; mm <= MOST_SHIFT_MM; mm += STEP_MM)
    for (const sign of [1, -1]) {
      const at = { xMm: lamp.at.xMm + sign * mm * ax, yMm: lamp.at.yMm + sign * mm * ay };
      if (computeShade(room, unit, { ...lamp, at }, statureMm) < SHADE_SHARE) return mm;
    }
  return null;
}

/** The lamp whose shadow is told, and how far aside it would go. */
interface Shadow {
  readonly lamp: Lamp;
  readonly missingMm: number;
}

/** What is known of a table where it stands; one that does not move is not asked twice. */
const shadowOn = new WeakMap<UnitSpec, { room: RoomSpec; statureMm: number; shadow: Shadow | null }>();

function computeShadow(room: RoomSpec, unit: UnitSpec, statureMm: number): Shadow | null {
  const print = computeFootprint(room, unit);
  const off = (lamp: Lamp) => Math.hypot(lamp.at.xMm - print.xMm, lamp.at.yMm - print.yMm);
  const lit = (room.lamps ?? []).filter((lamp) => off(lamp) <= LIGHTS_MM).toSorted((a, b) => off(a) - off(b));
  const [lamp] = lit;
  if (!lamp || lit.some((one) => computeShade(room, unit, one, statureMm) < SHADE_SHARE)) return null;
  return { lamp, missingMm: findShift(room, unit, lamp, statureMm) ?? 0 };
}

/** The worker's own shadow on a table at which something is done, where every lamp that lights it throws one. */
export function findShadow({ room, statureMm }: Scene, body: Body): Finding[] {
  const unit = body.piece?.unit;
  const isWorkedAt = unit?.kind === 'table' && room.stations.some((station) => station.unitId === body.id);
  if (!unit || !isWorkedAt) return [];
  let known = shadowOn.get(unit);
  if (known?.room !== room || known.statureMm !== statureMm) {
    known = { room, statureMm, shadow: computeShadow(room, unit, statureMm) };
    shadowOn.set(unit, known);
  }
  if (!known.shadow) return [];
  const { lamp, missingMm } = known.shadow;
  const { print } = body;
  const front = print.depthMm / 2;
  const where = [
    [-PATCH_HALF_MM, front - PATCH_FROM_MM],
    [PATCH_HALF_MM, front - PATCH_FROM_MM],
    [PATCH_HALF_MM, front - PATCH_TO_MM],
    [-PATCH_HALF_MM, front - PATCH_TO_MM],
  ].map(([across, deep]) => getPointOf(print, across!, deep!));
  return [{ code: 'own-shadow', isFault: false, bodyId: body.id, otherId: lamp.id, missingMm, neededMm: 0, where }];
}
