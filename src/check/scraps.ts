import { LEAST_MM, meet, ofCorners, ofRect, reachesOut, type Corner, type Rect } from './polygons.ts';

interface Piece extends Rect {
  readonly size: {
    readonly kind: 'square' | 'strip';
    readonly sideMm: number;
    readonly leastMm: number;
    readonly worth: number;
  };
}

/** What is wrong with a plan for cutting a scrap, and of which piece. */
export interface ScrapFinding {
  readonly code: 'size' | 'outside' | 'over-a-hole' | 'overlap' | 'over-a-cut' | 'worth';
  readonly piece: number;
}

/**
 * The independent checker of plans for cutting scraps: every piece is one of its sizes, within every outline, over no hole and no
 * other piece, and is not cut through by the first cuts, which go from edge to edge; all together are worth what is said.
 */
export function checkScrapPlan(
  region: { readonly outlines: readonly (readonly Corner[])[]; readonly holes: readonly Rect[] },
  plan: {
    readonly worth: number;
    readonly direction: 'along' | 'across';
    readonly pieces: readonly Piece[];
    readonly bands: readonly { readonly fromMm: number; readonly toMm: number }[];
  },
): ScrapFinding[] {
  const findings: ScrapFinding[] = [];
  const outlines = region.outlines.map(ofCorners);
  let worth = 0;
  for (const [n, piece] of plan.pieces.entries()) {
    const { size, widthMm, heightMm } = piece;
    const { kind, sideMm, leastMm } = size;
    const [short, long] = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
    const isSquare = Math.abs(short - sideMm) < LEAST_MM && Math.abs(long - sideMm) < LEAST_MM;
    const isStrip =
      long >= leastMm - LEAST_MM && (Math.abs(widthMm - sideMm) < LEAST_MM || Math.abs(heightMm - sideMm) < LEAST_MM);
    if (kind === 'square' ? !isSquare : !isStrip) findings.push({ code: 'size', piece: n });
    const along = Math.abs(widthMm - sideMm) < LEAST_MM ? heightMm : widthMm;
    worth += kind === 'square' ? size.worth : (size.worth * along) / leastMm;
    const shape = ofRect(piece);
    if (outlines.some((outline) => reachesOut(shape, outline))) findings.push({ code: 'outside', piece: n });
    if (region.holes.some((hole) => meet(piece, hole))) findings.push({ code: 'over-a-hole', piece: n });
    if (plan.pieces.some((other, i) => i > n && meet(piece, other))) findings.push({ code: 'overlap', piece: n });
    const [from, to] =
      plan.direction === 'along' ? [piece.xMm, piece.xMm + widthMm] : [piece.yMm, piece.yMm + heightMm];
    const isInBand = plan.bands.some((band) => band.fromMm <= from + LEAST_MM && to <= band.toMm + LEAST_MM);
    if (!isInBand) findings.push({ code: 'over-a-cut', piece: n });
  }
  if (Math.abs(worth - plan.worth) > 1e-3) findings.push({ code: 'worth', piece: -1 });
  return findings;
}
