import type { PlanPoint, RoomSpec } from '../records/index.ts';
import { computeStationPoint } from '../storage/index.ts';
import { isStationFor, type Task } from '../tasks/index.ts';
import { listFixtureBodies, type Piece } from './bodies.ts';
import { createFloorGrid, findFreeCell, measureWalk } from './floorGrid.ts';
import { listBodies } from './zones.ts';

/** A way that is walked again and again while one sews, there and back. */
export interface Leg {
  readonly from: string;
  readonly to: string;
  /** One way; null where none leads. */
  readonly lengthMm: number | null;
  readonly perHour: number;
}

/** The ways of an hour of sewing, and how far they are in all. */
export interface Triangle {
  readonly legs: readonly Leg[];
  readonly metresPerHour: number;
}

/**
 * How often one gets up in an hour of sewing: a seam is pressed after every five minutes at the machine, cloth is
 * fetched or trimmed at the table after every quarter. Estimates, in the order of the stations by what they are.
 */
const TRIPS: readonly (readonly [Task, Task, number])[] = [
  ['sewing', 'pressing', 12],
  ['sewing', 'cutting', 4],
  ['cutting', 'pressing', 2],
];

const CELL_MM = 50;
/** Half of a body that turns sideways a little. */
const BODY_HALF_MM = 225;

/** Metres walked between cutting, sewing and pressing in an hour, round what stands in the way; null without two of them. */
export function computeTriangle(room: RoomSpec, pieces: readonly Piece[]): Triangle | null {
  const getUnit = (id: string) => pieces.find((piece) => piece.id === id)?.unit;
  const points = room.stations.map((station) => ({
    name: station.name,
    at: computeStationPoint(room, station, getUnit),
  }));
  const findStation = (task: Task) => points.find(({ name }) => isStationFor(name, task));
  const trips = TRIPS.flatMap(([a, b, perHour]) => {
    const [from, to] = [findStation(a), findStation(b)];
    return from && to && from !== to ? [{ from, to, perHour }] : [];
  });
  if (trips.length === 0) return null;
  const outline = room.walls.map((wall) => wall.from);
  const grid = createFloorGrid(outline, listBodies(room, pieces, listFixtureBodies(room)), CELL_MM);
  const walks = new Map<PlanPoint, Float64Array>();
  const legs = trips.map(({ from, to, perHour }): Leg => {
    const walk = walks.get(from.at) ?? measureWalk(grid, from.at, BODY_HALF_MM);
    walks.set(from.at, walk);
    const cell = findFreeCell(grid, to.at, BODY_HALF_MM);
    const mm = cell < 0 ? Infinity : walk[cell]!;
    return { from: from.name, to: to.name, lengthMm: Number.isFinite(mm) ? mm : null, perHour };
  });
  const metresPerHour = legs.reduce((sum, leg) => sum + (2 * (leg.lengthMm ?? 0) * leg.perHour) / 1000, 0);
  return { legs, metresPerHour };
}
