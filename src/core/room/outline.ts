import type { PlanPoint, RoomSpec } from '../records/index.ts';
import { computeCeilingAt, getWallPoint, listWalls } from '../storage/index.ts';
import { computeSignedArea2, doCross, isInside } from './polygon.ts';

/** What is wrong with a room as it was drawn; `at` is the wall, door, window, socket or fixture. */
export interface RoomFault {
  readonly code:
    | 'walls-cross'
    | 'wall-too-short'
    | 'goes-round-wrong'
    | 'knee-above-ceiling'
    | 'beyond-wall'
    | 'above-ceiling'
    | 'doors-overlap'
    | 'outside';
  readonly at: string;
  readonly neededMm?: number;
  readonly availableMm?: number;
}

const MIN_WALL_MM = 50;

/** Walls that go round, doors and windows within them, fixtures inside: every fault of a room, none where it is sound. */
export function checkRoom(room: RoomSpec): RoomFault[] {
  const faults: RoomFault[] = [];
  const walls = listWalls(room);
  for (const wall of walls)
    if (wall.lengthMm < MIN_WALL_MM)
      faults.push({ code: 'wall-too-short', at: wall.id, neededMm: MIN_WALL_MM, availableMm: wall.lengthMm });
  for (const [i, a] of walls.entries())
    for (const [j, b] of walls.entries()) {
      // Neighbours share a corner; they cross only where one folds back onto the other.
      const isNext = j === i + 1 || (i === 0 && j === walls.length - 1);
      if (j <= i) continue;
      if (isNext ? isFolded(walls.length > 2 && j === i + 1 ? [a, b] : [b, a]) : doCross(a.from, a.to, b.from, b.to))
        faults.push({ code: 'walls-cross', at: b.id });
    }
  if (faults.length === 0 && computeSignedArea2(walls.map((wall) => wall.from)) < 0)
    faults.push({ code: 'goes-round-wrong', at: walls[0]!.id });
  for (const { wallId, kneeMm } of room.slopes)
    if (kneeMm > room.heightMm)
      faults.push({ code: 'knee-above-ceiling', at: wallId, neededMm: kneeMm, availableMm: room.heightMm });
  const lengthOf = (id: string) => walls.find((wall) => wall.id === id)?.lengthMm ?? 0;
  for (const one of [...room.doors, ...room.windows]) {
    const availableMm = lengthOf(one.wallId) - one.xMm;
    if (one.widthMm > availableMm + 0.5)
      faults.push({ code: 'beyond-wall', at: one.id, neededMm: one.widthMm, availableMm: Math.max(0, availableMm) });
    else {
      const top = 'sillMm' in one ? (one.isInSlope ? 0 : one.sillMm + one.heightMm) : one.heightMm;
      const wall = walls.find((line) => line.id === one.wallId)!;
      const ceiling = Math.min(
        ...[one.xMm, one.xMm + one.widthMm].map((x) => computeCeilingAt(room, getWallPoint(wall, x))),
      );
      if (top > ceiling + 0.5) faults.push({ code: 'above-ceiling', at: one.id, neededMm: top, availableMm: ceiling });
    }
  }
  for (const [i, a] of room.doors.entries())
    for (const b of room.doors.slice(i + 1))
      if (a.wallId === b.wallId && a.xMm < b.xMm + b.widthMm && b.xMm < a.xMm + a.widthMm)
        faults.push({ code: 'doors-overlap', at: b.id });
  for (const socket of room.sockets)
    if (socket.xMm > lengthOf(socket.wallId) + 0.5)
      faults.push({
        code: 'beyond-wall',
        at: socket.id,
        neededMm: socket.xMm,
        availableMm: lengthOf(socket.wallId),
      });
  const outline = walls.map((wall) => wall.from);
  for (const fixture of room.fixtures)
    if (!isInside(outline, fixture.at)) faults.push({ code: 'outside', at: fixture.id });
  for (const { id, at, heightMm } of room.lamps ?? []) {
    if (!isInside(outline, at)) {
      faults.push({ code: 'outside', at: id });
      continue;
    }
    const availableMm = computeCeilingAt(room, at);
    if (heightMm > availableMm + 0.5) faults.push({ code: 'above-ceiling', at: id, neededMm: heightMm, availableMm });
  }
  return faults;
}

/** Whether a wall turns back onto the one before it. */
function isFolded([a, b]: readonly [{ from: PlanPoint; to: PlanPoint }, { from: PlanPoint; to: PlanPoint }]): boolean {
  const [ax, ay] = [a.to.xMm - a.from.xMm, a.to.yMm - a.from.yMm];
  const [bx, by] = [b.to.xMm - b.from.xMm, b.to.yMm - b.from.yMm];
  return ax * by - ay * bx === 0 && ax * bx + ay * by < 0;
}
