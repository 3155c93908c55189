import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { fillOne, type Block } from './blocks.ts';
import { BAG_FROM_PIECES, BAG_SHARE, getTurns, isBulk, SOFT_SHARE } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

const EPS = 1e-6;
/** So many blocks are put down at most before one gives up: some hundred orders of a usual bin. */
const MOST_PUT = 12_000;
/** The sorted orders, by every rule, are always tried. */
const LEAST_TRIED = 18;

interface Portion extends Block {
  readonly index: number;
  readonly piece: number;
}

/** The room that things take in a bin or drawer, mm³: rigid ones their own, soft and bagged ones with the air among them. */
export function computeVolumeNeed(pkg: Package): number {
  const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces;
  return isBulk(pkg) ? volume / (pkg.pieces > BAG_FROM_PIECES ? BAG_SHARE : SOFT_SHARE) : volume;
}

/**
 * A bin or drawer: rigid things at real, carried positions, then
 * soft and bagged goods by the volume that is left between and above them.
 */
export function packVolume(packages: readonly Package[], space: Space): PackResult {
  const inner = space.widthMm * space.depthMm * space.heightMm;
  const rigid: Portion[] = [];
  let rigidVolume = 0;
  let bulkNeed = 0;
  for (const [index, pkg] of packages.entries()) {
    const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm;
    if (isBulk(pkg)) bulkNeed += computeVolumeNeed(pkg);
    else {
      rigidVolume += volume * pkg.pieces;
      // Flat turns first: what lies low leaves room above.
      const turns = getTurns(pkg).toSorted((one, other) => one[2] - other[2] || one[1] - other[1]);
      for (let piece = 0; piece < pkg.pieces; piece += 1) rigid.push({ index, piece, turns, volume });
    }
  }
  if (rigidVolume + bulkNeed > inner + EPS) return { status: 'impossible' };
  const laid = fillOne(rigid, {
    size: [space.widthMm, space.depthMm, space.heightMm],
    mustBeCarried: true,
    goOn: (tried) => tried < LEAST_TRIED || tried * rigid.length < MOST_PUT,
  });
  if (!laid) return { status: 'not-found' };
  const spots = laid.map(({ block, x, y, z, size: [widthMm, depthMm, heightMm] }): Spot => {
    const { index, piece } = rigid[block]!;
    return { index, piece, xMm: x, yMm: y, zMm: z, widthMm, depthMm, heightMm, isBulk: false };
  });
  // Drawn as layers over the rigid things; by volume they fit, shape is theirs to take.
  let up = rigidVolume / (space.widthMm * space.depthMm);
  for (const [index, pkg] of packages.entries()) {
    if (!isBulk(pkg)) continue;
    const heightMm = computeVolumeNeed(pkg) / (space.widthMm * space.depthMm);
    spots.push({
      index,
      piece: 0,
      xMm: 0,
      yMm: 0,
      zMm: up,
      widthMm: space.widthMm,
      depthMm: space.depthMm,
      heightMm,
      isBulk: true,
    });
    up += heightMm;
  }
  return { status: 'packed', spots };
}
