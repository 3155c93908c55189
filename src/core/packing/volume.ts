import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { BAG_FROM_PIECES, BAG_SHARE, getTurns, isBulk, SOFT_SHARE } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

const EPS = 1e-6;
/** A box stands firm when this much of its base is carried. */
const SUPPORT_SHARE = 0.7;

interface Piece {
  readonly index: number;
  readonly piece: number;
  readonly pkg: Package;
  readonly volume: number;
}

function overlap(a0: number, a1: number, b0: number, b1: number): number {
  return Math.max(0, Math.min(a1, b1) - Math.max(a0, b0));
}

function isFree(spots: readonly Spot[], x: number, y: number, z: number, w: number, d: number, h: number): boolean {
  for (const s of spots)
    if (
      overlap(s.xMm, s.xMm + s.widthMm, x, x + w) > EPS &&
      overlap(s.yMm, s.yMm + s.depthMm, y, y + d) > EPS &&
      overlap(s.zMm, s.zMm + s.heightMm, z, z + h) > EPS
    )
      return false;
  return true;
}

function isCarried(spots: readonly Spot[], x: number, y: number, z: number, w: number, d: number): boolean {
  if (z <= EPS) return true;
  let carried = 0;
  for (const s of spots)
    if (Math.abs(s.zMm + s.heightMm - z) <= EPS)
      carried += overlap(s.xMm, s.xMm + s.widthMm, x, x + w) * overlap(s.yMm, s.yMm + s.depthMm, y, y + d);
  return carried + EPS >= SUPPORT_SHARE * w * d;
}

/** Points where a next box may stand: corners left by those that stand already, lowest and rearmost first. */
function computeCorners(spots: readonly Spot[]): [number, number, number][] {
  const corners: [number, number, number][] = [[0, 0, 0]];
  for (const s of spots) {
    const right = s.xMm + s.widthMm;
    const back = s.yMm + s.depthMm;
    const top = s.zMm + s.heightMm;
    corners.push(
      [right, s.yMm, s.zMm],
      [s.xMm, back, s.zMm],
      [s.xMm, s.yMm, top],
      [right, 0, s.zMm],
      [0, back, s.zMm],
      [right, s.yMm, 0],
      [s.xMm, back, 0],
    );
  }
  return corners.toSorted((a, b) => a[2] - b[2] || a[1] - b[1] || a[0] - b[0]);
}

const ORDERS: readonly ((a: Piece, b: Piece) => number)[] = [
  (a, b) => b.volume - a.volume || a.index - b.index,
  (a, b) => b.pkg.alongMm * b.pkg.acrossMm - a.pkg.alongMm * a.pkg.acrossMm || a.index - b.index,
  (a, b) =>
    Math.max(b.pkg.alongMm, b.pkg.acrossMm, b.pkg.heightMm) - Math.max(a.pkg.alongMm, a.pkg.acrossMm, a.pkg.heightMm) ||
    a.index - b.index,
];

function packRigid(pieces: readonly Piece[], space: Space): Spot[] | null {
  const spots: Spot[] = [];
  next: for (const { pkg, index, piece } of pieces) {
    // Flat turns first: what lies low leaves room above.
    const turns = getTurns(pkg).toSorted((a, b) => a[2] - b[2] || a[1] - b[1]);
    for (const [x, y, z] of computeCorners(spots))
      for (const [w, d, h] of turns) {
        if (x + w > space.widthMm + EPS || y + d > space.depthMm + EPS || z + h > space.heightMm + EPS) continue;
        if (!isCarried(spots, x, y, z, w, d) || !isFree(spots, x, y, z, w, d, h)) continue;
        spots.push({ index, piece, xMm: x, yMm: y, zMm: z, widthMm: w, depthMm: d, heightMm: h, isBulk: false });
        continue next;
      }
    return null;
  }
  return spots;
}

/**
 * A bin or drawer: rigid things at real, carried positions (extreme points, several orders), then
 * soft and bagged goods by the volume that is left between and above them.
 */
export function packVolume(packages: readonly Package[], space: Space): PackResult {
  const inner = space.widthMm * space.depthMm * space.heightMm;
  const rigid: Piece[] = [];
  let rigidVolume = 0;
  let bulkNeed = 0;
  for (const [index, pkg] of packages.entries()) {
    const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm;
    if (isBulk(pkg)) bulkNeed += (volume * pkg.pieces) / (pkg.pieces > BAG_FROM_PIECES ? BAG_SHARE : SOFT_SHARE);
    else {
      rigidVolume += volume * pkg.pieces;
      for (let piece = 0; piece < pkg.pieces; piece += 1) rigid.push({ index, piece, pkg, volume });
    }
  }
  if (rigidVolume + bulkNeed > inner + EPS) return { status: 'impossible' };
  let spots: Spot[] | null = null;
  for (const order of ORDERS) {
    spots = packRigid(rigid.toSorted(order), space);
    if (spots) break;
  }
  if (!spots) return { status: 'not-found' };
  // Drawn as layers over the rigid things; by volume they fit, shape is theirs to take.
  let up = rigidVolume / (space.widthMm * space.depthMm);
  for (const [index, pkg] of packages.entries()) {
    if (!isBulk(pkg)) continue;
    const volume =
      (pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces) /
      (pkg.pieces > BAG_FROM_PIECES ? BAG_SHARE : SOFT_SHARE);
    const heightMm = volume / (space.widthMm * space.depthMm);
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
