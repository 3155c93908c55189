import type { Door, Place, PlaceId, PlanPoint, RoomSpec, Stand, Station, UnitSpec } from '../records/index.ts';

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
interface Axes {
  readonly along: readonly [number, number];
  readonly inward: readonly [number, number];
}

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

/** Directions of a wall. */
function getWallAxes({ from, to }: Pick<WallLine, 'from' | 'to'>): Axes {
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
    return { id, name, from, to, lengthMm, ceiling: computeCeilingLine(room, from, to, lengthMm) };
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

/** The middle of a door. */
export function computeDoorPoint(room: RoomSpec, door: Door): PlanPoint {
  return getWallPoint(getWallLine(room, door.wallId), door.xMm + door.widthMm / 2);
}

/** A spot in a room. */
export interface StandPoint extends PlanPoint {
  readonly roomId: PlaceId;
}

interface DoorNode {
  readonly roomId: PlaceId;
  readonly at: PlanPoint;
}

/** Ways between rooms, by the doors one would take. */
export interface Ways {
  /** One way on foot, mm; straight within a room, the shortest over the doors to another. */
  readonly computeMm: (from: StandPoint, to: StandPoint) => number;
}

/** Works out the shortest ways from every door to every other, over rooms, straight passages and the hall. */
export function createWays(rooms: readonly Place[]): Ways {
  const nodes: DoorNode[] = [];
  const doors: { door: Door; node: number }[] = [];
  for (const { id, room } of rooms)
    for (const door of room?.doors ?? []) {
      doors.push({ door, node: nodes.length });
      nodes.push({ roomId: id, at: computeDoorPoint(room!, door) });
    }
  const hall = nodes.length;
  const size = nodes.length + 1;
  const way = Array.from({ length: size }, (_, i) => Array.from({ length: size }, (__, j) => (i === j ? 0 : Infinity)));
  const link = (a: number, b: number, mm: number) => {
    way[a]![b] = Math.min(way[a]![b]!, mm);
    way[b]![a] = way[a]![b]!;
  };
  for (const { door, node } of doors) {
    const other = door.leadsTo ? doors.find((one) => one.door.id === door.leadsTo && one.node !== node) : undefined;
    const isLedTo = doors.some((one) => one.door.leadsTo === door.id && one.node !== node);
    if (other) link(node, other.node, door.wayMm);
    else if (!isLedTo) link(node, hall, door.wayMm);
  }
  for (const [i, a] of nodes.entries())
    for (const [j, b] of nodes.entries())
      if (i < j && a.roomId === b.roomId) link(i, j, Math.hypot(a.at.xMm - b.at.xMm, a.at.yMm - b.at.yMm));
  for (let k = 0; k < size; k += 1)
    for (let i = 0; i < size; i += 1)
      for (let j = 0; j < size; j += 1) way[i]![j] = Math.min(way[i]![j]!, way[i]![k]! + way[k]![j]!);
  const byRoom = new Map<PlaceId, number[]>();
  for (const [n, { roomId }] of nodes.entries()) byRoom.set(roomId, [...(byRoom.get(roomId) ?? []), n]);
  const computeMm = (from: StandPoint, to: StandPoint) => {
    const straight = Math.hypot(from.xMm - to.xMm, from.yMm - to.yMm);
    if (from.roomId === to.roomId) return straight;
    let best = Infinity;
    for (const a of byRoom.get(from.roomId) ?? [])
      for (const b of byRoom.get(to.roomId) ?? []) {
        const [p, q] = [nodes[a]!.at, nodes[b]!.at];
        const mm =
          Math.hypot(from.xMm - p.xMm, from.yMm - p.yMm) + way[a]![b]! + Math.hypot(to.xMm - q.xMm, to.yMm - q.yMm);
        best = Math.min(best, mm);
      }
    // A room without a door is drawn unfinished: what is in it counts as it lies on the plan.
    return Number.isFinite(best) ? best : straight;
  };
  return { computeMm };
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
