import type { Package } from '../measure/index.ts';
import type { Dividers } from '../records/index.ts';
import type { Space } from '../storage/index.ts';
import { BAG_FROM_PIECES, BAG_SHARE, getTurns, isBulk, SOFT_SHARE } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

const EPS = 1e-6;

interface Cells {
  readonly size: Pick<Space, 'widthMm' | 'depthMm' | 'heightMm'>;
  /** Front left lower corners, from the front left on. */
  readonly spots: readonly { readonly xMm: number; readonly yMm: number }[];
  /** Cells that a lot takes, alone in each. */
  readonly countFor: (pkg: Package) => number;
}

/** How hard things stand in a cell: all turned the same way, side by side and on each other. */
function layInGrid(pkg: Package, { widthMm, depthMm, heightMm }: Cells['size']) {
  const layouts = getTurns(pkg).map(([w, d, h]) => ({
    turn: [w, d, h] as const,
    counts: [Math.floor(widthMm / w + EPS), Math.floor(depthMm / d + EPS), Math.floor(heightMm / h + EPS)] as const,
  }));
  const holds = ({ counts }: (typeof layouts)[number]) => counts[0] * counts[1] * counts[2];
  return layouts.reduce((best, one) => (holds(one) > holds(best) ? one : best));
}

/** Room that a soft or bagged lot takes with the air in it, mm³. */
function computeBulk(pkg: Package): number {
  const share = pkg.pieces > BAG_FROM_PIECES ? BAG_SHARE : SOFT_SHARE;
  return (pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces) / share;
}

/** The cells of a bin with dividers, all alike. */
export function computeCells(space: Space, { columns, rows, thickMm }: Dividers): Cells {
  const widthMm = (space.widthMm - (columns - 1) * thickMm) / columns;
  const depthMm = (space.depthMm - (rows - 1) * thickMm) / rows;
  const size = { widthMm, depthMm, heightMm: space.heightMm };
  return {
    size,
    spots: Array.from({ length: columns * rows }, (_, i) => ({
      xMm: (i % columns) * (widthMm + thickMm),
      yMm: Math.floor(i / columns) * (depthMm + thickMm),
    })),
    countFor: (pkg) => {
      if (isBulk(pkg)) return Math.max(1, Math.ceil(computeBulk(pkg) / (widthMm * depthMm * space.heightMm) - EPS));
      const [across, deep, high] = layInGrid(pkg, size).counts;
      return Math.ceil(pkg.pieces / (across * deep * high) - EPS);
    },
  };
}

/** Every lot in cells of its own, in the order given from the front left. */
export function packCells(packages: readonly Package[], space: Space, dividers: Dividers): PackResult {
  const { size, spots: corners, countFor } = computeCells(space, dividers);
  const spots: Spot[] = [];
  let cell = 0;
  for (const [index, pkg] of packages.entries()) {
    const takes = countFor(pkg);
    if (cell + takes > corners.length) return { status: 'not-found' };
    if (isBulk(pkg)) {
      const heightMm = computeBulk(pkg) / takes / (size.widthMm * size.depthMm);
      for (let piece = 0; piece < takes; piece += 1)
        spots.push({ index, piece, ...corners[cell + piece]!, zMm: 0, ...size, heightMm, isBulk: true });
    } else {
      const { turn, counts } = layInGrid(pkg, size);
      const each = counts[0] * counts[1] * counts[2];
      for (let piece = 0; piece < pkg.pieces; piece += 1) {
        const corner = corners[cell + Math.floor(piece / each)]!;
        const n = piece % each;
        spots.push({
          index,
          piece,
          xMm: corner.xMm + (n % counts[0]) * turn[0],
          yMm: corner.yMm + (Math.floor(n / counts[0]) % counts[1]) * turn[1],
          zMm: Math.floor(n / (counts[0] * counts[1])) * turn[2],
          widthMm: turn[0],
          depthMm: turn[1],
          heightMm: turn[2],
          isBulk: false,
        });
      }
    }
    cell += takes;
  }
  return { status: 'packed', spots };
}
