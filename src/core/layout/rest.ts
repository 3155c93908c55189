import type { Hole } from './pieces.ts';
import type { Point } from './outline.ts';

/** What of a shape lies beyond a straight cut across it, told from that cut; mm. Corners on one side of it only: all or nothing. */
export function cutOutline(outline: readonly Point[], cutMm: number): Point[] {
  return outline.flatMap((a, n) => {
    const b = outline[(n + 1) % outline.length]!;
    const kept = a.yMm >= cutMm ? [{ xMm: a.xMm, yMm: a.yMm - cutMm }] : [];
    if (a.yMm >= cutMm === b.yMm >= cutMm) return kept;
    const xMm = a.xMm + ((cutMm - a.yMm) / (b.yMm - a.yMm)) * (b.xMm - a.xMm);
    return a.yMm === cutMm ? kept : [...kept, { xMm, yMm: 0 }];
  });
}

/** Flaws that lie beyond a straight cut across the cloth, told from that cut; one that is cut through keeps its rest. mm. */
export function cutFlaws<T extends Hole>(flaws: readonly T[], cutMm: number): T[] {
  return flaws.flatMap((flaw) => {
    const end = flaw.yMm + flaw.heightMm - cutMm;
    if (end < 1) return [];
    const yMm = Math.max(0, flaw.yMm - cutMm);
    return [{ ...flaw, yMm, heightMm: end - yMm }];
  });
}
