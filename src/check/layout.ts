import type { Polygon } from 'polygon-clipping';
import { LEAST_MM, lapsOver, meet, ofCorners, ofRect, reachesOut, type Corner, type Rect } from './polygons.ts';

interface LaidPiece extends Rect {
  readonly block: number;
  readonly sheet: number;
  readonly isTurned: boolean;
  readonly isFlipped?: boolean;
}

interface Wanted {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly mayTurn: boolean;
  readonly mayFlip?: boolean;
  readonly outline?: readonly Corner[];
}

interface Cloth {
  readonly widthMm: number;
  readonly lengthMm?: number;
  readonly holes?: readonly Rect[];
  readonly repeatMm?: number;
  readonly outline?: readonly Corner[];
}

/** What is wrong with a layout, and of which block. */
export interface LayoutFinding {
  readonly code:
    'missing' | 'twice' | 'size' | 'turned' | 'outside' | 'over-a-hole' | 'overlap' | 'length' | 'off-repeat';
  readonly block: number;
}

/** A piece where it lies: each corner turned about the middle of its box, and brought to where the box lies. */
function toPolygon(piece: LaidPiece, { outline, widthMm, heightMm }: Wanted): Polygon {
  if (!outline) return ofRect(piece);
  const [cos, sin] = piece.isTurned ? [0, 1] : [1, 0];
  const sign = piece.isFlipped ? -1 : 1;
  const middle = { x: piece.xMm + piece.widthMm / 2, y: piece.yMm + piece.heightMm / 2 };
  return [
    outline.map(({ xMm, yMm }) => {
      const [x, y] = [xMm - widthMm / 2, yMm - heightMm / 2];
      return [middle.x + sign * (x * cos - y * sin), middle.y + sign * (x * sin + y * cos)];
    }),
  ];
}

/**
 * The independent checker of layouts: each block lies there once as it is, or is left; within the selvages, the length and the
 * outline of its sheet; over no hole; over no other; turned only where it may be; and the length is no less than what is used.
 */
export function checkLayout(
  blocks: readonly Wanted[],
  sheets: Cloth | readonly Cloth[],
  layout: { readonly laid: readonly LaidPiece[]; readonly left: readonly number[]; readonly lengthMm: number },
): LayoutFinding[] {
  const all: readonly Cloth[] = 'widthMm' in sheets ? [sheets] : sheets;
  const findings: LayoutFinding[] = [];
  const times = blocks.map(() => 0);
  for (const n of [...layout.laid.map((one) => one.block), ...layout.left]) times[n] = (times[n] ?? 0) + 1;
  for (const [block, n] of times.entries()) if (n !== 1) findings.push({ code: n === 0 ? 'missing' : 'twice', block });
  const shapes = layout.laid.map((one) => toPolygon(one, blocks[one.block]!));
  for (const [i, one] of layout.laid.entries()) {
    const { block, xMm, yMm, widthMm, heightMm, isTurned } = one;
    const wanted = blocks[block];
    const sheet = all[one.sheet];
    const [w, h] = isTurned ? [wanted?.heightMm, wanted?.widthMm] : [wanted?.widthMm, wanted?.heightMm];
    if (w !== widthMm || h !== heightMm) findings.push({ code: 'size', block });
    if ((isTurned && !wanted?.mayTurn) || (one.isFlipped && !wanted?.mayFlip)) findings.push({ code: 'turned', block });
    const end = yMm + heightMm;
    const isOutside =
      !sheet ||
      xMm < -LEAST_MM ||
      yMm < -LEAST_MM ||
      xMm + widthMm > sheet.widthMm + LEAST_MM ||
      end > (sheet.lengthMm ?? Infinity) + LEAST_MM;
    const shape = shapes[i]!;
    const isOverEdge = () => sheet?.outline && reachesOut(shape, ofCorners(sheet.outline));
    const repeats = yMm / (sheet?.repeatMm || 1);
    if (sheet?.repeatMm && Math.abs(repeats - Math.round(repeats)) > LEAST_MM)
      findings.push({ code: 'off-repeat', block });
    if (isOutside || isOverEdge()) findings.push({ code: 'outside', block });
    const isOver = (rect: Rect, other: Polygon) => meet(one, rect) && lapsOver(shape, other);
    if (sheet?.holes?.some((hole) => isOver(hole, ofRect(hole)))) findings.push({ code: 'over-a-hole', block });
    if (layout.laid.some((other, n) => n > i && other.sheet === one.sheet && isOver(other, shapes[n]!)))
      findings.push({ code: 'overlap', block });
  }
  const ends = all.map((_, sheet) =>
    Math.max(0, ...layout.laid.filter((one) => one.sheet === sheet).map((one) => one.yMm + one.heightMm)),
  );
  if (ends.reduce((sum, end) => sum + end, 0) > layout.lengthMm + LEAST_MM)
    findings.push({ code: 'length', block: -1 });
  return findings;
}
