import fc from 'fast-check';
import { isPlainOutline, type Point } from '../src/core/layout/index.ts';

/** A shape round a middle: a corner every so often, each so far out as its share of a radius says; its box from 0. */
export function createStar(shares: readonly number[], radiusMm: number): Point[] {
  const points = shares.map((share, n) => {
    const angle = (2 * Math.PI * n) / shares.length;
    return { xMm: radiusMm * share * Math.cos(angle), yMm: radiusMm * share * Math.sin(angle) };
  });
  const [left, top] = [Math.min(...points.map(({ xMm }) => xMm)), Math.min(...points.map(({ yMm }) => yMm))];
  return points.map(({ xMm, yMm }) => ({ xMm: xMm - left, yMm: yMm - top }));
}

/** Such shapes, as they come, without an edge that crosses another. */
export const arbitraryOutlines = (
  leastShare: number,
  corners: readonly [number, number],
  radiusMm: readonly [number, number],
): fc.Arbitrary<Point[]> =>
  fc
    .tuple(
      fc.array(fc.double({ min: leastShare, max: 1, noNaN: true }), { minLength: corners[0], maxLength: corners[1] }),
      fc.integer({ min: radiusMm[0], max: radiusMm[1] }),
    )
    .map(([shares, mm]) => createStar(shares, mm))
    .filter(isPlainOutline);
