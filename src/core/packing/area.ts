import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { fillOne } from './blocks.ts';
import { computePegCells, HOLE_DROP_MM } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

interface Rect {
  readonly index: number;
  readonly piece: number;
  readonly pkg: Package;
  readonly across: number;
  readonly down: number;
}

interface Hung {
  readonly rect: Rect;
  readonly column: number;
  readonly row: number;
}

const ORDERS: readonly ((a: Rect, b: Rect) => number)[] = [
  (a, b) => a.index - b.index || a.piece - b.piece,
  (a, b) => b.down - a.down || b.across - a.across,
  (a, b) => b.across * b.down - a.across * a.down,
  (a, b) => b.across - a.across || b.down - a.down,
];

/** Puts each rectangle of cells at the first free spot, scanning columns from the left and rows from the top. */
function hangInOrder(rects: readonly Rect[], columns: number, rows: number): Hung[] | null {
  const taken = new Uint8Array(columns * rows);
  const isFree = (column: number, row: number, rect: Rect) => {
    for (let c = column; c < column + rect.across; c += 1)
      for (let r = row; r < row + rect.down; r += 1) if (taken[r * columns + c]) return false;
    return true;
  };
  const hung: Hung[] = [];
  next: for (const rect of rects) {
    for (let column = 0; column + rect.across <= columns; column += 1)
      for (let row = 0; row + rect.down <= rows; row += 1) {
        if (!isFree(column, row, rect)) continue;
        for (let r = row; r < row + rect.down; r += 1)
          taken.fill(1, r * columns + column, r * columns + column + rect.across);
        hung.push({ rect, column, row });
        continue next;
      }
    return null;
  }
  return hung;
}

/** So many tools are hung up at most before one gives up. */
const MOST_HUNG = 12_000;

/** Where no plain order does it: one order after the other, what did not go up before comes first. */
function hangBySearch(rects: readonly Rect[], columns: number, rows: number): Hung[] | null {
  const blocks = rects.map(({ across, down }) => ({ turns: [[across, down, 1] as const], volume: across * down }));
  const laid = fillOne(blocks, {
    size: [columns, rows, 1],
    mustBeCarried: false,
    goOn: (tried) => tried * rects.length < MOST_HUNG,
  });
  return laid?.map(({ block, x, y }) => ({ rect: rects[block]!, column: x, row: y })) ?? null;
}

/**
 * Tools on a pegboard, each on its hook, hanging by its hole; cells of the hole grid keep them apart.
 * Plain orders are tried first, for they are easily read; none proves a no, except too many cells in all.
 */
export function packArea(packages: readonly Package[], space: Space): PackResult {
  const peg = space.peg;
  if (!peg) return packages.length === 0 ? { status: 'packed', spots: [] } : { status: 'impossible' };
  const pitch = peg.pitchMm;
  const columns = Math.floor(space.widthMm / pitch);
  const rows = Math.floor(space.heightMm / pitch);
  const rects = packages.flatMap((pkg, index) =>
    Array.from({ length: pkg.pieces }, (_, piece): Rect => ({ index, piece, pkg, ...computePegCells(pkg, pitch) })),
  );
  if (rects.reduce((sum, rect) => sum + rect.across * rect.down, 0) > columns * rows) return { status: 'impossible' };
  let hung: Hung[] | null = null;
  for (const order of ORDERS) hung ??= hangInOrder(rects.toSorted(order), columns, rows);
  hung ??= hangBySearch(rects, columns, rows);
  if (hung) {
    const spots = hung.map(({ rect, column, row }): Spot => {
      const { alongMm, acrossMm, heightMm } = rect.pkg;
      const middle = (column + rect.across / 2) * pitch;
      // The hook is in the middle of the top cell; the tool's top edge is the hole's drop above it.
      const top = space.heightMm - (row + 0.5) * pitch + HOLE_DROP_MM;
      return {
        index: rect.index,
        piece: rect.piece,
        xMm: middle - alongMm / 2,
        yMm: 0,
        zMm: top - heightMm,
        widthMm: alongMm,
        depthMm: acrossMm,
        heightMm,
        isBulk: false,
      };
    });
    return { status: 'packed', spots };
  }
  return { status: 'not-found' };
}

/** Spools, one to a pin, in reading order. Exact: fits or does not. */
export function packPins(packages: readonly Package[], space: Space): PackResult {
  const pitch = space.pinPitchMm;
  const columns = Math.floor(space.widthMm / pitch);
  const rows = Math.floor(space.heightMm / pitch);
  const spots: Spot[] = [];
  let pin = 0;
  for (const [index, pkg] of packages.entries())
    for (let piece = 0; piece < pkg.pieces; piece += 1, pin += 1) {
      if (pin >= columns * rows) return { status: 'impossible' };
      const x = ((pin % columns) + 0.5) * pitch;
      const z = space.heightMm - (Math.floor(pin / columns) + 0.5) * pitch;
      spots.push({
        index,
        piece,
        xMm: x - pkg.alongMm / 2,
        yMm: 0,
        zMm: z - pkg.alongMm / 2,
        widthMm: pkg.alongMm,
        depthMm: pkg.heightMm,
        heightMm: pkg.alongMm,
        isBulk: false,
      });
    }
  return { status: 'packed', spots };
}
