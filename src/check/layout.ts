/** A rectangle on the cloth, from its left selvage and its cut edge, mm. */
interface Rect {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

interface LaidPiece extends Rect {
  readonly block: number;
  readonly isTurned: boolean;
}

interface Wanted {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly mayTurn: boolean;
}

/** What is wrong with a layout, and of which block. */
export interface LayoutFinding {
  readonly code: 'missing' | 'twice' | 'size' | 'turned' | 'outside' | 'over-a-hole' | 'overlap' | 'length';
  readonly block: number;
}

/** Rounding of sums of halves of a millimetre. */
const LEAST_MM = 1e-6;

const meet = (a: Rect, b: Rect) =>
  a.xMm + a.widthMm > b.xMm + LEAST_MM &&
  b.xMm + b.widthMm > a.xMm + LEAST_MM &&
  a.yMm + a.heightMm > b.yMm + LEAST_MM &&
  b.yMm + b.heightMm > a.yMm + LEAST_MM;

/**
 * The independent checker of layouts: each block lies there once as it is, or is left; within the selvages and the length;
 * over no hole; over no other; turned only where it may be; and the length is what it says.
 */
export function checkLayout(
  blocks: readonly Wanted[],
  sheet: { readonly widthMm: number; readonly lengthMm?: number; readonly holes?: readonly Rect[] },
  layout: { readonly laid: readonly LaidPiece[]; readonly left: readonly number[]; readonly lengthMm: number },
): LayoutFinding[] {
  const findings: LayoutFinding[] = [];
  const times = blocks.map(() => 0);
  for (const n of [...layout.laid.map((one) => one.block), ...layout.left]) times[n] = (times[n] ?? 0) + 1;
  for (const [block, n] of times.entries()) if (n !== 1) findings.push({ code: n === 0 ? 'missing' : 'twice', block });
  for (const [i, one] of layout.laid.entries()) {
    const { block, xMm, yMm, widthMm, heightMm, isTurned } = one;
    const wanted = blocks[block];
    const [w, h] = isTurned ? [wanted?.heightMm, wanted?.widthMm] : [wanted?.widthMm, wanted?.heightMm];
    if (w !== widthMm || h !== heightMm) findings.push({ code: 'size', block });
    if (isTurned && !wanted?.mayTurn) findings.push({ code: 'turned', block });
    const end = yMm + heightMm;
    const isOutside = xMm < -LEAST_MM || yMm < -LEAST_MM || xMm + widthMm > sheet.widthMm + LEAST_MM;
    if (isOutside || end > (sheet.lengthMm ?? Infinity) + LEAST_MM) findings.push({ code: 'outside', block });
    if (sheet.holes?.some((hole) => meet(one, hole))) findings.push({ code: 'over-a-hole', block });
    if (layout.laid.some((other, n) => n > i && meet(one, other))) findings.push({ code: 'overlap', block });
    if (end > layout.lengthMm + LEAST_MM) findings.push({ code: 'length', block });
  }
  return findings;
}
