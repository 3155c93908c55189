import { computeOutlineArea } from '../layout/index.ts';
import { computeThreadOn } from '../measure/index.ts';
import type { CutPiece, Item, Lot, Need, Stitch } from '../records/index.ts';
import { openPiece } from './layout.ts';

/** Thread for a metre of seam, metres: both threads of a lockstitch together. Source: docs/figures in the design, “Needs of a project”. */
const THREAD_PER_SEAM: Readonly<Record<Stitch, number>> = {
  lockstitch: 3,
  zigzag: 5,
  overlock3: 13,
  overlock4: 18,
  cover: 20,
  hand: 1.2,
};

/** Thread that a need takes, mm: so much seam, sewn so; null where nobody said how much seam there is. */
export function computeThreadNeed({ seamMm, stitch = 'lockstitch' }: Pick<Need, 'seamMm' | 'stitch'>): number | null {
  return seamMm === undefined ? null : seamMm * THREAD_PER_SEAM[stitch];
}

/** What of the edges of all pieces is sewn: two edges make a seam, hems and openings are sewn once. An estimate of ours. */
const SEAM_SHARE = 0.6;

function measureRound({ widthMm, heightMm, outline }: ReturnType<typeof openPiece>): number {
  if (!outline || computeOutlineArea(outline) === 0) return 2 * (widthMm + heightMm);
  return outline.reduce((sum, a, n) => {
    const b = outline[(n + 1) % outline.length]!;
    return sum + Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  }, 0);
}

/** About so much seam there is in pieces, mm: a share of their edges all round. */
export function estimateSeam(pieces: readonly CutPiece[]): number {
  return SEAM_SHARE * pieces.reduce((sum, piece) => sum + piece.count * measureRound(openPiece(piece, 0)), 0);
}

/** So many spools, or mm, of a lot are that much thread; pieces are whole. */
export function toSpools(item: Item, lot: Lot, threadMm: number): number {
  if (lot.lengthMm !== undefined) return threadMm;
  const oneMm = computeThreadOn(item, lot) / Math.max(1, lot.count);
  return oneMm > 0 ? Math.max(1, Math.ceil(threadMm / oneMm - 1e-9)) : 1;
}
