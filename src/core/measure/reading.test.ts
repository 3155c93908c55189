import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createLot, createThing } from '../../../tests/household.ts';
import { DEFAULT_SETTINGS, MEASURE_WAYS, type Item, type MeasureWay } from '../records/index.ts';
import { computeCalibration, computeFoldedLength, computePackage, computeReading } from './index.ts';

const cloth = createCloth('cloth', { forms: ['board', 'stack', 'roll'] });
const linen: Item = {
  ...cloth,
  fabric: { ...cloth.fabric!, cloth: 'linen', widthMm: 1400, grammageGsm: 185, layerMm: 0.4, stacking: 1.2 },
};
const read = (way: MeasureWay, reading: number, item = linen) => computeReading(item, DEFAULT_SETTINGS, way, reading)!;

/** What the sewist would read off a piece of that length. */
function readingOf(item: Item, way: MeasureWay, lengthMm: number): number | null {
  const lot = createLot(item, null, { lengthMm });
  const form = { board: 'board', folded: 'stack', roll: 'roll', weight: 'stack' } as const;
  const pkg = computePackage(item, lot, form[way], DEFAULT_SETTINGS);
  if (!pkg) return null;
  return { board: pkg.alongMm, folded: pkg.heightMm, roll: pkg.alongMm, weight: pkg.massG }[way];
}

describe('how much there is, worked by hand', () => {
  it('on a board', () => {
    // 1400 mm on a board of 260 (a tenth over) is 5 layers of 0.48 mm: τ = 2.4. T = 25: n = 24 / 4.8 = 5 wraps;
    // L = 5 × (340 + π) + π × 2.4 × 25 = 1715.71 + 188.50 = 1904.2 mm.
    const reading = read('board', 25);
    expect(reading).toMatchObject({ layers: 5, turns: 5 });
    expect(reading.length.value).toBeCloseTo(1904.2, 1);
  });

  it('folded', () => {
    // 1400 over panels of 300 is 5 layers of 0.48 mm a row: 2.4 mm. 12 mm are 5 rows of 280, the last in half: 1260 mm.
    expect(read('folded', 12).length.value).toBeCloseTo(4.5 * 280, 9);
  });

  it('on a roll', () => {
    // Two layers of 0.48 mm: L = π (100² - 40²) / (4 × 0.96) = 6872.2 mm.
    expect(read('roll', 100).length.value).toBeCloseTo(6872.2, 1);
  });

  it('by weight', () => {
    // 1.4 m × 185 g/m² = 259 g a metre; 880.6 g are 3.4 m.
    expect(read('weight', 880.6).length.value).toBeCloseTo(3400, 6);
  });
});

describe('every way', () => {
  const lengths = fc.double({ min: 800, max: 4000, noNaN: true });
  it.each(MEASURE_WAYS.map((way) => [way] as const))('%s goes forwards and backwards', (way) => {
    fc.assert(
      fc.property(lengths, (lengthMm) => {
        const reading = readingOf(linen, way, lengthMm);
        if (reading === null) return;
        const told = read(way, reading).length;
        // A fold tells whole rows only: the truth is within half of one.
        const doubt = way === 'folded' ? DEFAULT_SETTINGS.panelDepthMm / 2 : 1e-6 * lengthMm;
        expect(Math.abs(told.value - lengthMm)).toBeLessThanOrEqual(doubt + 1e-6);
      }),
    );
  });

  it.each(MEASURE_WAYS.map((way) => [way] as const))('%s grows with its reading, and is never below nothing', (way) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        (at, more) => {
          const [less, greater] = [read(way, at).length, read(way, at + more).length];
          expect(less.value).toBeGreaterThanOrEqual(0);
          expect(greater.value).toBeGreaterThanOrEqual(less.value);
          if (less.value > 0) expect(less.sigma).toBeGreaterThan(0);
        },
      ),
    );
  });

  it.each(MEASURE_WAYS.map((way) => [way] as const))(
    '%s, calibrated on a known piece, tells that piece, and is surer',
    (way) => {
      fc.assert(
        fc.property(lengths, fc.double({ min: 0.8, max: 1.25, noNaN: true }), (lengthMm, off) => {
          const reading = readingOf(linen, way, lengthMm);
          if (reading === null) return;
          const known = lengthMm * off;
          const fabric = computeCalibration(linen, DEFAULT_SETTINGS, way, reading, known);
          if (!fabric) return;
          const after = read(way, reading, { ...linen, fabric });
          const before = read(way, reading);
          expect(after.length.value).toBeCloseTo(known, 6);
          expect(after.length.sigma / after.length.value).toBeLessThan(
            before.length.sigma / before.length.value + 1e-9,
          );
        }),
      );
    },
  );
});

describe('what cannot be told', () => {
  it('is null: no cloth, or nothing known', () => {
    expect(computeReading(createThing('tool'), DEFAULT_SETTINGS, 'weight', 5)).toBeNull();
    expect(computeCalibration(linen, DEFAULT_SETTINGS, 'board', 0.5, 1000)).toBeNull();
    expect(computeCalibration(linen, DEFAULT_SETTINGS, 'board', 20, 0)).toBeNull();
  });
});

describe('the doubt of a fold', () => {
  it('is half a row at the least, and grows with the spread', () => {
    const sharp = computeFoldedLength(24, 5, 280, 0.48, 0, 0);
    expect(sharp.sigma).toBeCloseTo(280 / Math.sqrt(12), 9);
    expect(computeFoldedLength(24, 5, 280, 0.48, 0.1, 0).sigma).toBeGreaterThan(sharp.sigma);
  });
});
