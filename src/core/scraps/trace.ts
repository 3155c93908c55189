import type { Spot } from './homography.ts';

/** A black and white picture: 1 where something is. */
export interface Mask {
  readonly cells: Uint8Array;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** An island of a mask: what hangs together: its number of cells, and a mask of it alone. */
interface Island {
  readonly size: number;
  readonly mask: Mask;
}

/** Islands, which hang together by their edges, the largest first; those under `least` cells are left out. */
export function listIslands({ cells, widthPx, heightPx }: Mask, least: number): Island[] {
  const seen = new Uint8Array(cells.length);
  const islands: Island[] = [];
  for (let start = 0; start < cells.length; start += 1) {
    if (cells[start] === 0 || seen[start] === 1) continue;
    const found = [start];
    seen[start] = 1;
    for (let n = 0; n < found.length; n += 1) {
      const at = found[n]!;
      const x = at % widthPx;
      const next = [...(x > 0 ? [at - 1] : []), ...(x < widthPx - 1 ? [at + 1] : []), at - widthPx, at + widthPx];
      for (const one of next) {
        if (one < 0 || one >= cells.length || cells[one] === 0 || seen[one] === 1) continue;
        seen[one] = 1;
        found.push(one);
      }
    }
    if (found.length < least) continue;
    const own = new Uint8Array(cells.length);
    for (const at of found) own[at] = 1;
    islands.push({ size: found.length, mask: { cells: own, widthPx, heightPx } });
  }
  return islands.toSorted((a, b) => b.size - a.size);
}

/** The eight neighbours of a cell, clockwise from the left. */
const ROUND: readonly (readonly [number, number])[] = [
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
];

/** The outer edge of an island, cell by cell, clockwise (Moore's tracing): spots at the middle of its cells. */
export function traceEdge({ cells, widthPx, heightPx }: Mask): Spot[] {
  const isIn = (x: number, y: number) =>
    x >= 0 && y >= 0 && x < widthPx && y < heightPx && cells[y * widthPx + x] === 1;
  const first = cells.indexOf(1);
  if (first < 0) return [];
  const start = { x: first % widthPx, y: Math.floor(first / widthPx) };
  const edge: Spot[] = [start];
  let [x, y, from] = [start.x, start.y, 0];
  for (let steps = 0; steps < 4 * cells.length; steps += 1) {
    let turn = 0;
    for (; turn < 8; turn += 1) {
      const way = (from + turn) % 8;
      const [dx, dy] = ROUND[way]!;
      if (!isIn(x + dx, y + dy)) continue;
      [x, y] = [x + dx, y + dy];
      // The next look begins behind, where one came from.
      from = (way + 6) % 8;
      break;
    }
    if (turn === 8 || (x === start.x && y === start.y)) break;
    edge.push({ x, y });
  }
  return edge;
}

/** A line of spots with fewer corners that is nowhere further off than so much (Douglas and Peucker 1973); first and last stay. */
function thin(spots: readonly Spot[], offPx: number): Spot[] {
  if (spots.length < 3) return [...spots];
  const [a, b] = [spots[0]!, spots.at(-1)!];
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  let [most, at] = [0, 0];
  for (let n = 1; n < spots.length - 1; n += 1) {
    const { x, y } = spots[n]!;
    const off =
      length < 1e-9
        ? Math.hypot(x - a.x, y - a.y)
        : Math.abs((b.x - a.x) * (a.y - y) - (a.x - x) * (b.y - a.y)) / length;
    if (off > most) [most, at] = [off, n];
  }
  if (most <= offPx) return [a, b];
  return [...thin(spots.slice(0, at + 1), offPx).slice(0, -1), ...thin(spots.slice(at), offPx)];
}

/** A closed edge with fewer corners, nowhere further off than so much. */
export function simplifyEdge(edge: readonly Spot[], offPx: number): Spot[] {
  if (edge.length < 4) return [...edge];
  // It is opened at its first spot and at the one that is furthest from that.
  const [first] = edge;
  let far = 0;
  for (const [n, { x, y }] of edge.entries())
    if (Math.hypot(x - first!.x, y - first!.y) > Math.hypot(edge[far]!.x - first!.x, edge[far]!.y - first!.y)) far = n;
  const there = thin(edge.slice(0, far + 1), offPx);
  const back = thin([...edge.slice(far), first!], offPx);
  return [...there.slice(0, -1), ...back.slice(0, -1)];
}

/** Sides shorter than this are left as their corners tell them, px. */
const LONG_PX = 8;
/** A corner moves no further than this by its sides, px. */
const NEAR_PX = 3;

interface Line {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

/** The line through spots that is nearest to all of them, moved outwards by half a cell: spots are the middles of cells. */
function fitLine(spots: readonly Spot[], from: Spot, to: Spot): Line {
  const x = spots.reduce((sum, one) => sum + one.x, 0) / spots.length;
  const y = spots.reduce((sum, one) => sum + one.y, 0) / spots.length;
  let [xx, xy, yy] = [0, 0, 0];
  for (const one of spots) {
    xx += (one.x - x) ** 2;
    xy += (one.x - x) * (one.y - y);
    yy += (one.y - y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  // The way of the side, clockwise; outwards is to its left as one goes, on a screen.
  const sign = Math.cos(angle) * (to.x - from.x) + Math.sin(angle) * (to.y - from.y) < 0 ? -1 : 1;
  const [dx, dy] = [sign * Math.cos(angle), sign * Math.sin(angle)];
  return { x: x + dy / 2, y: y - dx / 2, dx, dy };
}

function cross(a: Line, b: Line): Spot | null {
  const turn = a.dx * b.dy - a.dy * b.dx;
  if (Math.abs(turn) < 0.05) return null;
  const t = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / turn;
  return { x: a.x + t * a.dx, y: a.y + t * a.dy };
}

/**
 * The corners of an island to a part of a cell: each side is the line nearest to its edge, and corners are where those meet. `corners`
 * are spots of the edge, in its order and clockwise.
 */
export function fitCorners(edge: readonly Spot[], corners: readonly Spot[]): Spot[] {
  const at = corners.map((corner) => edge.indexOf(corner));
  const lines = corners.map((from, n): Line => {
    const to = corners[(n + 1) % corners.length]!;
    const [first, end] = [at[n]!, at[(n + 1) % corners.length]!];
    const spots = end > first ? edge.slice(first, end + 1) : [...edge.slice(first), ...edge.slice(0, end + 1)];
    const margin = Math.floor(spots.length / 10);
    const middle = spots.length >= LONG_PX ? spots.slice(margin, spots.length - margin) : [from, to];
    return fitLine(middle, from, to);
  });
  return corners.map((corner, n) => {
    const met = cross(lines[(n + corners.length - 1) % corners.length]!, lines[n]!);
    const isNear = met !== null && Math.hypot(met.x - corner.x, met.y - corner.y) <= NEAR_PX;
    return isNear ? met : corner;
  });
}
