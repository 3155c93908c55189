import { describe, expect, it } from 'vitest';
import { GroupDual } from './dual.ts';

/** Lots of one use each in places that cost ten to be in and nothing else. */
function raise(shares: readonly number[], places: number, halfPass = 0): number {
  const n = shares.length;
  const dual = new GroupDual({
    uses: new Float64Array(n).fill(1),
    homeless: new Float64Array(n).fill(100),
    halfPass: new Float64Array(places).fill(halfPass),
    most: new Int32Array(places).fill(n),
    cost: new Float64Array(n * places),
    share: Float64Array.from(shares.flatMap((share) => Array.from({ length: places }, () => share))),
    opening: new Float64Array(places).fill(10),
  });
  return dual.raise(4);
}

describe('what the lots of a group can pay', () => {
  it('is one place where all go into one', () => {
    expect(raise([0.2, 0.3, 0.4], 3)).toBeCloseTo(10, 1);
  });

  it('is no more than two places where two are needed, also with lots that take no room', () => {
    // The two of 0.6 need a place each. Filled up in part, one and two thirds of them share one: 6 + 2/3 × 6 = 10.
    expect(raise([0.6, 0.6], 2)).toBeGreaterThan(11);
    expect(raise([0.6, 0.6], 2)).toBeLessThanOrEqual(12.01);
    // Those without a share go with either.
    expect(raise([0, 0, 0.6, 0.6], 2)).toBeLessThanOrEqual(20 + 1e-6);
  });

  it('counts that kin pass each other, or take a place more', () => {
    // Together they pass each other for 2 × 3 seconds, which is less than a second place.
    const together = raise([0.2, 0.2], 2, 3);
    expect(together).toBeLessThanOrEqual(16 + 1e-6);
    expect(together).toBeGreaterThan(10);
  });
});
