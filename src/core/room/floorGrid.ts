import type { PlanPoint } from '../records/index.ts';
import type { Body } from './bodies.ts';
import type { Polygon } from './polygon.ts';

/** The floor in squares: how far each is from anything that one cannot walk through. */
export interface FloorGrid {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly originX: number;
  readonly originY: number;
  /** Distance from the middle of each square to the nearest thing in the way, mm; 0 in it. */
  readonly clearMm: Float64Array;
}

/** What one steps over, and what one walks under. */
const STEP_MM = 60;
const UNDER_MM = 1900;

/** Fills squares whose middle lies in a face, row by row between the edges that cross it. */
function fill(grid: Omit<FloorGrid, 'clearMm'>, blocked: Uint8Array, polygon: Polygon): void {
  const { cellMm, columns, rows, originX, originY } = grid;
  const ys = polygon.map((point) => point.yMm);
  const first = Math.max(0, Math.floor((Math.min(...ys) - originY) / cellMm));
  const last = Math.min(rows - 1, Math.ceil((Math.max(...ys) - originY) / cellMm));
  for (let row = first; row <= last; row += 1) {
    const y = originY + (row + 0.5) * cellMm;
    const crossed: number[] = [];
    for (const [i, a] of polygon.entries()) {
      const b = polygon[(i + 1) % polygon.length]!;
      if (a.yMm > y !== b.yMm > y) crossed.push(((b.xMm - a.xMm) * (y - a.yMm)) / (b.yMm - a.yMm) + a.xMm);
    }
    crossed.sort((a, b) => a - b);
    for (let i = 0; i + 1 < crossed.length; i += 2) {
      // Middles at or after the first edge and before the second, as `isInside` has it.
      const from = Math.max(0, Math.ceil((crossed[i]! - originX) / cellMm - 0.5));
      const to = Math.min(columns, Math.ceil((crossed[i + 1]! - originX) / cellMm - 0.5));
      if (to > from) blocked.fill(1, row * columns + from, row * columns + to);
    }
  }
}

/**
 * Squared distances to the nearest marked square along one line, exactly, by the lower envelope of parabolas
 * (Felzenszwalb and Huttenlocher, Distance Transforms of Sampled Functions, 2012). `values` is read and written
 * from `start` in steps of `step`.
 */
function transformLine(values: Float64Array, start: number, step: number, n: number, room: LineRoom): void {
  const { f, v, z } = room;
  for (let i = 0; i < n; i += 1) f[i] = values[start + i * step]!;
  let k = 0;
  v[0] = 0;
  z[0] = -Infinity;
  z[1] = Infinity;
  for (let q = 1; q < n; q += 1) {
    let s: number;
    do {
      const p = v[k]!;
      s = (f[q]! + q * q - (f[p]! + p * p)) / (2 * q - 2 * p);
    } while (s <= z[k]! && --k >= 0);
    k += 1;
    v[k] = q;
    z[k] = s;
    z[k + 1] = Infinity;
  }
  k = 0;
  for (let q = 0; q < n; q += 1) {
    while (z[k + 1]! < q) k += 1;
    const p = v[k]!;
    values[start + q * step] = (q - p) * (q - p) + f[p]!;
  }
}

interface LineRoom {
  readonly f: Float64Array;
  readonly v: Int32Array;
  readonly z: Float64Array;
}

/** Farther than any room is wide, in squares; finite, so that the arithmetic stays so. */
const FAR = 1e9;

/** Lays squares over the room and measures how wide it is around each. */
export function createFloorGrid(outline: Polygon, bodies: readonly Body[], cellMm: number): FloorGrid {
  const originX = Math.min(...outline.map((point) => point.xMm)) - cellMm;
  const originY = Math.min(...outline.map((point) => point.yMm)) - cellMm;
  const columns = Math.ceil((Math.max(...outline.map((point) => point.xMm)) - originX) / cellMm) + 1;
  const rows = Math.ceil((Math.max(...outline.map((point) => point.yMm)) - originY) / cellMm) + 1;
  const frame = { cellMm, columns, rows, originX, originY };
  const inside = new Uint8Array(columns * rows);
  fill(frame, inside, outline);
  const blocked = inside.map((is) => (is ? 0 : 1));
  for (const body of bodies) if (body.toMm > STEP_MM && body.fromMm < UNDER_MM) fill(frame, blocked, body.corners);
  const clearMm = Float64Array.from(blocked, (is) => (is ? 0 : FAR));
  const n = Math.max(columns, rows);
  const room: LineRoom = { f: new Float64Array(n), v: new Int32Array(n), z: new Float64Array(n + 1) };
  for (let column = 0; column < columns; column += 1) transformLine(clearMm, column, columns, rows, room);
  for (let row = 0; row < rows; row += 1) transformLine(clearMm, row * columns, 1, columns, room);
  // To the edge of the square that is in the way, not to its middle.
  for (let i = 0; i < clearMm.length; i += 1)
    clearMm[i] = clearMm[i] === 0 ? 0 : (Math.sqrt(clearMm[i]!) - 0.5) * cellMm;
  return { ...frame, clearMm };
}

/** The square that a point lies in, or -1. */
export function findCell({ cellMm, columns, rows, originX, originY }: FloorGrid, { xMm, yMm }: PlanPoint): number {
  const column = Math.floor((xMm - originX) / cellMm);
  const row = Math.floor((yMm - originY) / cellMm);
  return column < 0 || row < 0 || column >= columns || row >= rows ? -1 : row * columns + column;
}

/** The middle of a square. */
export function getCellPoint({ cellMm, columns, originX, originY }: FloorGrid, cell: number): PlanPoint {
  return {
    xMm: originX + ((cell % columns) + 0.5) * cellMm,
    yMm: originY + (Math.floor(cell / columns) + 0.5) * cellMm,
  };
}

/** The widest ways from where one comes in. */
export interface WidestWays {
  /** Half the width of the narrowest spot on the widest way to each square, mm; -1 where none leads. */
  readonly halfMm: Float64Array;
  /** That narrowest spot, as a square. */
  readonly narrowest: Int32Array;
}

/**
 * From `start` to every square the way whose narrowest spot is widest: squares are taken in order of their
 * clearance, as one would let water fall (Dijkstra's algorithm with the least instead of the sum).
 */
export function findWidestWays(grid: FloorGrid, start: number): WidestWays {
  const { columns, rows, clearMm, cellMm } = grid;
  const halfMm = new Float64Array(clearMm.length).fill(-1);
  const narrowest = new Int32Array(clearMm.length).fill(-1);
  // Buckets by clearance, a tenth of a square wide: coarser than the squares would tell anyway.
  const step = cellMm / 10;
  const buckets: number[][] = [];
  let top = -1;
  const push = (cell: number, half: number, from: number) => {
    if (half <= halfMm[cell]!) return;
    halfMm[cell] = half;
    narrowest[cell] = from >= 0 && halfMm[from]! <= clearMm[cell]! ? narrowest[from]! : cell;
    const bucket = Math.floor(half / step);
    (buckets[bucket] ??= []).push(cell);
    if (bucket > top) top = bucket;
  };
  if (start < 0 || clearMm[start] === 0) return { halfMm, narrowest };
  push(start, clearMm[start]!, -1);
  const done = new Uint8Array(clearMm.length);
  while (top >= 0) {
    const cell = buckets[top]?.pop();
    if (cell === undefined) {
      top -= 1;
      continue;
    }
    if (done[cell]) continue;
    done[cell] = 1;
    const column = cell % columns;
    const row = (cell - column) / columns;
    for (let dy = -1; dy <= 1; dy += 1)
      for (let dx = -1; dx <= 1; dx += 1) {
        const [x, y] = [column + dx, row + dy];
        if ((dx === 0 && dy === 0) || x < 0 || y < 0 || x >= columns || y >= rows) continue;
        const next = y * columns + x;
        if (done[next] || clearMm[next] === 0) continue;
        push(next, Math.min(halfMm[cell]!, clearMm[next]!), cell);
      }
  }
  return { halfMm, narrowest };
}

/** Shortest ways on foot from a point to every square that one fits through, mm; Infinity where none leads. */
export function measureWalk(grid: FloorGrid, from: PlanPoint, bodyHalfMm: number): Float64Array {
  const { columns, rows, clearMm, cellMm } = grid;
  const walkMm = new Float64Array(clearMm.length).fill(Infinity);
  const start = findFreeCell(grid, from, bodyHalfMm);
  if (start < 0) return walkMm;
  const step = cellMm / 2;
  const buckets: number[][] = [[start]];
  walkMm[start] = 0;
  for (let at = 0; at < buckets.length; at += 1)
    for (const cell of buckets[at] ?? []) {
      if (Math.floor(walkMm[cell]! / step) !== at) continue;
      const column = cell % columns;
      const row = (cell - column) / columns;
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const [x, y] = [column + dx, row + dy];
          if ((dx === 0 && dy === 0) || x < 0 || y < 0 || x >= columns || y >= rows) continue;
          const next = y * columns + x;
          if (clearMm[next]! < bodyHalfMm) continue;
          const way = walkMm[cell]! + cellMm * (dx !== 0 && dy !== 0 ? Math.SQRT2 : 1);
          if (way >= walkMm[next]! - 1e-9) continue;
          walkMm[next] = way;
          (buckets[Math.floor(way / step)] ??= []).push(next);
        }
    }
  return walkMm;
}

/** The nearest square to a point in which one can stand, within a metre; -1 where there is none. */
export function findFreeCell(grid: FloorGrid, point: PlanPoint, bodyHalfMm: number): number {
  const { cellMm, clearMm } = grid;
  const reach = Math.ceil(1000 / cellMm);
  let best = -1;
  let bestMm = Infinity;
  for (let dy = -reach; dy <= reach; dy += 1)
    for (let dx = -reach; dx <= reach; dx += 1) {
      const off = Math.hypot(dx, dy) * cellMm;
      if (off >= bestMm || off > 1000) continue;
      const cell = findCell(grid, { xMm: point.xMm + dx * cellMm, yMm: point.yMm + dy * cellMm });
      if (cell >= 0 && clearMm[cell]! >= bodyHalfMm) [best, bestMm] = [cell, off];
    }
  return best;
}
