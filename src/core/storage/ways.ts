import type { Door, Place, PlaceId, PlanPoint, RoomSpec } from '../records/index.ts';
import { getWallLine, getWallPoint } from './room.ts';

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
  const way = Array.from({ length: size }, (_, i) => new Float64Array(size).fill(Infinity).fill(0, i, i + 1));
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
  for (const [k, on] of way.entries())
    for (const from of way) {
      const first = from[k]!;
      if (first === Infinity) continue;
      for (let j = 0; j < size; j += 1) if (first + on[j]! < from[j]!) from[j] = first + on[j]!;
    }
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
