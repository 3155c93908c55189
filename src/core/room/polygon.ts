import type { PlanPoint } from '../records/index.ts';

/** Corners in order round a face without crossings, mm on the plan. */
export type Polygon = readonly PlanPoint[];

/** Twice the area with its sign: positive where the corners go clockwise on a plan whose y runs down, mm². */
export function computeSignedArea2(polygon: Polygon): number {
  let sum = 0;
  for (const [i, a] of polygon.entries()) {
    const b = polygon[(i + 1) % polygon.length]!;
    sum += a.xMm * b.yMm - b.xMm * a.yMm;
  }
  return sum;
}

/** Whether a point lies in a polygon, by the parity of crossings; on its edge either may be answered. */
export function isInside(polygon: Polygon, { xMm, yMm }: PlanPoint): boolean {
  let is = false;
  for (const [i, a] of polygon.entries()) {
    const b = polygon[(i + 1) % polygon.length]!;
    if (a.yMm > yMm !== b.yMm > yMm && xMm < ((b.xMm - a.xMm) * (yMm - a.yMm)) / (b.yMm - a.yMm) + a.xMm) is = !is;
  }
  return is;
}

/** Distance from a point to a stretch of line, mm. */
export function computeDistanceToLine(point: PlanPoint, a: PlanPoint, b: PlanPoint): number {
  const [dx, dy] = [b.xMm - a.xMm, b.yMm - a.yMm];
  const square = dx * dx + dy * dy;
  const share =
    square === 0 ? 0 : Math.min(1, Math.max(0, ((point.xMm - a.xMm) * dx + (point.yMm - a.yMm) * dy) / square));
  return Math.hypot(point.xMm - a.xMm - share * dx, point.yMm - a.yMm - share * dy);
}

/** How far a point is outside of a polygon, mm; 0 inside. */
export function computeOutsideMm(polygon: Polygon, point: PlanPoint): number {
  if (isInside(polygon, point)) return 0;
  let least = Infinity;
  for (const [i, a] of polygon.entries())
    least = Math.min(least, computeDistanceToLine(point, a, polygon[(i + 1) % polygon.length]!));
  return least;
}

/** The range that a polygon covers along a direction. */
function project(polygon: Polygon, x: number, y: number): [number, number] {
  let [min, max] = [Infinity, -Infinity];
  for (const point of polygon) {
    const at = point.xMm * x + point.yMm * y;
    if (at < min) min = at;
    if (at > max) max = at;
  }
  return [min, max];
}

/**
 * How deep two convex polygons are in each other: the shortest push that parts them, mm; 0 where they do not
 * meet. By separating axes: convex faces are apart exactly when some edge's normal parts them.
 */
export function computeOverlapMm(a: Polygon, b: Polygon): number {
  let least = Infinity;
  for (const polygon of [a, b])
    for (const [i, p] of polygon.entries()) {
      const q = polygon[(i + 1) % polygon.length]!;
      const length = Math.hypot(q.xMm - p.xMm, q.yMm - p.yMm);
      if (length === 0) continue;
      const [x, y] = [(q.yMm - p.yMm) / length, (p.xMm - q.xMm) / length];
      const [aMin, aMax] = project(a, x, y);
      const [bMin, bMax] = project(b, x, y);
      const push = Math.min(aMax - bMin, bMax - aMin);
      if (push <= 0) return 0;
      if (push < least) least = push;
    }
  return least;
}

/** Shortest distance between two convex polygons, mm; 0 where they meet. */
export function computeGapMm(a: Polygon, b: Polygon): number {
  if (computeOverlapMm(a, b) > 0) return 0;
  let least = Infinity;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const)
    for (const point of one)
      for (const [i, p] of other.entries())
        least = Math.min(least, computeDistanceToLine(point, p, other[(i + 1) % other.length]!));
  return least;
}

function turn(a: PlanPoint, b: PlanPoint, c: PlanPoint): number {
  return (b.xMm - a.xMm) * (c.yMm - a.yMm) - (b.yMm - a.yMm) * (c.xMm - a.xMm);
}

/** Whether two stretches of line cross or touch in more than a common end. */
export function doCross(a: PlanPoint, b: PlanPoint, c: PlanPoint, d: PlanPoint): boolean {
  const [abc, abd, cda, cdb] = [turn(a, b, c), turn(a, b, d), turn(c, d, a), turn(c, d, b)];
  if (abc * abd < 0 && cda * cdb < 0) return true;
  const isOn = (p: PlanPoint, q: PlanPoint, point: PlanPoint, side: number) =>
    side === 0 &&
    Math.min(p.xMm, q.xMm) <= point.xMm &&
    point.xMm <= Math.max(p.xMm, q.xMm) &&
    Math.min(p.yMm, q.yMm) <= point.yMm &&
    point.yMm <= Math.max(p.yMm, q.yMm);
  return isOn(a, b, c, abc) || isOn(a, b, d, abd) || isOn(c, d, a, cda) || isOn(c, d, b, cdb);
}

/**
 * The part of a convex polygon, given in coordinates of its own, that lies in the strip `from ≤ x ≤ to`:
 * the least and greatest y there, or null where there is none.
 */
export function computeRangeInStrip(
  polygon: readonly (readonly [number, number])[],
  from: number,
  to: number,
): [number, number] | null {
  let [min, max] = [Infinity, -Infinity];
  const see = (y: number) => {
    if (y < min) min = y;
    if (y > max) max = y;
  };
  for (const [i, [ax, ay]] of polygon.entries()) {
    const [bx, by] = polygon[(i + 1) % polygon.length]!;
    if (ax >= from && ax <= to) see(ay);
    for (const x of [from, to]) if (ax < x !== bx < x && ax !== bx) see(ay + ((by - ay) * (x - ax)) / (bx - ax));
  }
  return min <= max ? [min, max] : null;
}
