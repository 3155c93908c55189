import type { PlanPoint, RoomSpec } from '../records/index.ts';

/** A wall with what follows from the outline: where it ends, and the line of the ceiling over it. */
export interface WallLine {
  readonly id: string;
  readonly name: string;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly lengthMm: number;
  /** x along the wall and height there, in mm, from left to right. */
  readonly ceiling: readonly PlanPoint[];
}

/** A line on the plan as a direction: along it, and into the room, both of length 1. */
export interface Axes {
  readonly along: readonly [number, number];
  readonly inward: readonly [number, number];
}

/** Directions of a wall. */
export function getWallAxes({ from, to }: Pick<WallLine, 'from' | 'to'>): Axes {
  const length = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) || 1;
  const [x, y] = [(to.xMm - from.xMm) / length, (to.yMm - from.yMm) / length];
  return { along: [x, y], inward: [-y, x] };
}

/** How far a point is inside of a wall's line, mm; negative on its other side. */
export function computeInsideMm(wall: Pick<WallLine, 'from' | 'to'>, point: PlanPoint): number {
  const { inward } = getWallAxes(wall);
  return (point.xMm - wall.from.xMm) * inward[0] + (point.yMm - wall.from.yMm) * inward[1];
}

/** Each slope's wall line; a slope over a wall that is no more has none. */
function listSlopes(room: RoomSpec) {
  return room.slopes.flatMap(({ wallId, kneeMm, runMm }) => {
    const i = room.walls.findIndex((wall) => wall.id === wallId);
    const from = room.walls[i]?.from;
    const to = room.walls[(i + 1) % room.walls.length]?.from;
    return from && to ? [{ from, to, kneeMm, runMm }] : [];
  });
}

/** Height of the ceiling over a point of the plan, mm. */
export function computeCeilingAt(room: RoomSpec, point: PlanPoint): number {
  const { heightMm } = room;
  return Math.min(
    heightMm,
    ...listSlopes(room).map(
      ({ from, to, kneeMm, runMm }) =>
        kneeMm + ((heightMm - kneeMm) * Math.max(0, computeInsideMm({ from, to }, point))) / runMm,
    ),
  );
}

/** The ceiling along a line: the lowest of flat lines, so it bends only where two of them cross. */
function computeCeilingLine(room: RoomSpec, from: PlanPoint, to: PlanPoint, lengthMm: number): PlanPoint[] {
  const slopes = listSlopes(room);
  const lines = slopes.map(({ from: a, to: b, kneeMm, runMm }) => {
    const at = (point: PlanPoint) =>
      kneeMm + ((room.heightMm - kneeMm) * computeInsideMm({ from: a, to: b }, point)) / runMm;
    const [start, end] = [at(from), at(to)];
    return { start, perMm: lengthMm > 0 ? (end - start) / lengthMm : 0, kneeMm };
  });
  const all = [
    { start: room.heightMm, perMm: 0 },
    ...lines,
    ...lines.map(({ kneeMm }) => ({ start: kneeMm, perMm: 0 })),
  ];
  const bends = new Set([0, lengthMm]);
  for (const [i, a] of all.entries())
    for (const b of all.slice(i + 1)) {
      const x = (b.start - a.start) / (a.perMm - b.perMm);
      if (x > 0 && x < lengthMm) bends.add(x);
    }
  const share = (x: number): PlanPoint => ({
    xMm: from.xMm + ((to.xMm - from.xMm) * x) / (lengthMm || 1),
    yMm: from.yMm + ((to.yMm - from.yMm) * x) / (lengthMm || 1),
  });
  const points = [...bends].toSorted((a, b) => a - b).map((xMm) => ({ xMm, yMm: computeCeilingAt(room, share(xMm)) }));
  // Points on a straight run say nothing.
  return points.filter((point, i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (!before || !after) return true;
    const straight = before.yMm + ((after.yMm - before.yMm) * (point.xMm - before.xMm)) / (after.xMm - before.xMm || 1);
    return Math.abs(straight - point.yMm) > 0.01;
  });
}

const wallsOf = new WeakMap<RoomSpec, readonly WallLine[]>();

/** All walls of a room in the order of its outline. */
export function listWalls(room: RoomSpec): readonly WallLine[] {
  const known = wallsOf.get(room);
  if (known) return known;
  const walls = room.walls.map(({ id, name, from }, i): WallLine => {
    const to = room.walls[(i + 1) % room.walls.length]!.from;
    const lengthMm = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm);
    let ceiling: readonly PlanPoint[] | null = null;
    return {
      id,
      name,
      from,
      to,
      lengthMm,
      // Of most walls nobody asks.
      get ceiling() {
        return (ceiling ??= computeCeilingLine(room, from, to, lengthMm));
      },
    };
  });
  wallsOf.set(room, walls);
  return walls;
}

/** The wall of that id, or the first where there is none of it. */
export function getWallLine(room: RoomSpec, id: string): WallLine {
  const walls = listWalls(room);
  return walls.find((wall) => wall.id === id) ?? walls[0]!;
}

/** A point so far along a wall and so far into the room. */
export function getWallPoint(wall: Pick<WallLine, 'from' | 'to'>, alongMm: number, inwardMm = 0): PlanPoint {
  const { along, inward } = getWallAxes(wall);
  return {
    xMm: wall.from.xMm + along[0] * alongMm + inward[0] * inwardMm,
    yMm: wall.from.yMm + along[1] * alongMm + inward[1] * inwardMm,
  };
}

/** The largest and the least of each coordinate of a room's outline, mm. */
export function getExtent({ walls }: RoomSpec) {
  const xs = walls.map(({ from }) => from.xMm);
  const ys = walls.map(({ from }) => from.yMm);
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}
