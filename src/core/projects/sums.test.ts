import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  computeBiasLength,
  computeBiasSquare,
  computeBinding,
  computePipingStrip,
  computeQuiltBacks,
} from './index.ts';

describe('the usual sums', () => {
  it('make a quilt back of widths, the shorter way first', () => {
    // 1.60 × 2.00 m and 20 cm more: 1.80 × 2.20. On 1.10 m: two widths of 2.20 m, or two of 1.80 m.
    expect(computeQuiltBacks(1600, 2000, 1100)).toEqual([
      { runs: 'across', widths: 2, pieceMm: 1800, lengthMm: 3600 },
      { runs: 'along', widths: 2, pieceMm: 2200, lengthMm: 4400 },
    ]);
    // A wide backing takes it in one.
    expect(computeQuiltBacks(1600, 2000, 2700)[0]).toMatchObject({ widths: 1, lengthMm: 1800 });
  });

  it('cut bias from a square, there and back', () => {
    // 50 cm square, strips of 5 cm: 5 m.
    expect(computeBiasLength(500, 50)).toBe(5000);
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 2000, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (side, strip) => {
          expect(computeBiasSquare(computeBiasLength(side, strip), strip)).toBeCloseTo(side, 6);
        },
      ),
    );
  });

  it('bind all round, with strips across the cloth', () => {
    // 2 × (1.60 + 2.00) + 0.30 = 7.50 m. Of 1.10 m a join loses 6.35 cm: 1.10 + 7 × 1.0365 = 8.36 m, and 7 strips only 7.32 m.
    expect(computeBinding(1600, 2000, 63.5, 1100)).toEqual({ lengthMm: 7500, strips: 8, clothMm: 508 });
    expect(computeBinding(100, 100, 63.5, 1100).strips).toBe(1);
  });

  it('go round a cord', () => {
    // π × 6 mm and two seams of 15 mm.
    expect(computePipingStrip(6)).toBeCloseTo(48.85, 2);
  });
});
