import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createLot, createSpool, createThing } from '../../../tests/household.ts';
import { DEFAULT_SETTINGS, type Item, type Lot, type MeasureWay } from '../records/index.ts';
import {
  applyCalibration,
  computeCalibration,
  computeClothMass,
  computeCountByMass,
  computeExpectedReading,
  computeFoldedLength,
  computeFoldLayers,
  computePackage,
  computeReading,
  convertThread,
  getAmount,
  getAmountUnit,
  getGauge,
  getMeasureWays,
  THREAD_NUMBERS,
  withAmount,
  withKnownAmount,
  withMeasured,
} from './index.ts';

const cloth = createCloth('cloth', { forms: ['board', 'stack', 'roll'] });
const linen: Item = {
  ...cloth,
  fabric: { ...cloth.fabric!, cloth: 'linen', widthMm: 1400, grammageGsm: 185, layerMm: 0.4, stacking: 1.2 },
};
const scraps: Item = { ...linen, kind: 'scrap', scrap: { cut: 'odd' } };
const squares: Item = { ...linen, kind: 'scrap', scrap: { cut: 'square', cutMm: 100 } };
const thread = createSpool('thread', {});
const box = { ...createThing('n').box!, type: 'buttons' };
const buttons = createThing('buttons', { kind: 'notion', box: { ...box, unitG: 1.5 } });
const ribbon = createThing('ribbon', {
  kind: 'notion',
  box: { ...box, tape: { widthMm: 25, layerMm: 0.35, coreMm: 20 } },
});

const lotOf = (item: Item, change: Partial<Lot> = {}) => createLot(item, null, change);
const read = (item: Item, way: MeasureWay, reading: number, lot = lotOf(item), gauge = getGauge(item, lot, way)) =>
  computeReading(item, lot, DEFAULT_SETTINGS, way, reading, gauge)!;

describe('how much there is, worked by hand', () => {
  it('on a board', () => {
    // 1400 mm on a board of 260 (a tenth over) is 5 layers of 0.48 mm: τ = 2.4. T = 25: n = 24 / 4.8 = 5 wraps;
    // L = 5 × (340 + π) + π × 2.4 × 25 = 1715.71 + 188.50 = 1904.2 mm.
    const reading = read(linen, 'board', 25);
    expect(reading).toMatchObject({ layers: 5, turns: 5, unit: 'length' });
    expect(reading.amount.value).toBeCloseTo(1904.2, 1);
  });

  it('by the weight of ten: what lies there is still one jar, and weighs what it was weighed at', () => {
    // Ten of 8 g, all of it 210 g in a jar of 50 g: 160 / 0.8 = 200 buttons.
    const lot = lotOf(buttons);
    const gauge = { ...getGauge(buttons, lot, 'count'), tenG: 8, tareG: 50 };
    const { amount, unit } = read(buttons, 'count', 210, lot, gauge);
    expect(amount.value).toBeCloseTo(200, 9);
    const next = withMeasured(buttons, lot, { value: amount.value, unit, way: 'count' });
    expect(next).toMatchObject({ count: 1, units: 200 });
    expect(computePackage(buttons, next, 'box', DEFAULT_SETTINGS)).toMatchObject({ pieces: 1 });
  });

  it('thread: weighed at 34 g, it weighs 34 g', () => {
    const lot = lotOf(thread, { count: 2 });
    const { amount, unit } = read(thread, 'weight', 34, lot);
    const next = withMeasured(thread, lot, { value: amount.value, unit, way: 'weight' });
    expect(computePackage(thread, next, 'spool', DEFAULT_SETTINGS)!.massG).toBeCloseTo(34, 9);
  });

  it('odd bits lie looser than cloth that is folded', () => {
    // 0.9 m² of 0.48 mm: 0.432 l pressed flat, three times that thrown in, twice in a bag of which three quarters are cloth.
    const lot = lotOf(scraps, { areaMm2: 0.9e6, form: 'loose' });
    const litres = (form: 'loose' | 'bag') => {
      const pkg = computePackage(scraps, lot, form, DEFAULT_SETTINGS)!;
      return (pkg.alongMm * pkg.acrossMm * pkg.heightMm) / 1e6;
    };
    expect(litres('loose')).toBeCloseTo(1.296, 6);
    expect(litres('bag')).toBeCloseTo((0.432 * 2) / 0.75, 6);
  });

  it('folded', () => {
    // 1400 over panels of 300 is 5 layers of 0.48 mm a row: 2.4 mm. 12 mm are 5 rows of 280, the last in half: 1260 mm.
    expect(read(linen, 'folded', 12).amount.value).toBeCloseTo(4.5 * 280, 9);
  });

  it('on a roll', () => {
    // Two layers of 0.48 mm: L = π (100² - 40²) / (4 × 0.96) = 6872.2 mm.
    expect(read(linen, 'roll', 100).amount.value).toBeCloseTo(6872.2, 1);
  });

  it('by weight', () => {
    // 1.4 m × 185 g/m² = 259 g a metre; 880.6 g are 3.4 m.
    expect(read(linen, 'weight', 880.6).amount.value).toBeCloseTo(3400, 6);
  });

  it('thread by its spool’s weight', () => {
    // 14 g on a small spool of 6 g: 8 g net at tex 27 are 8000 / 27 = 296.3 m. A scale to 1 g is in doubt by 37 m,
    // the thread's number by a twentieth: 14.8 m; together √(37.04² + 14.81²) = 39.9 m.
    const { amount, unit } = read(thread, 'weight', 14);
    expect(unit).toBe('length');
    expect(amount.value / 1000).toBeCloseTo(296.3, 1);
    expect(amount.sigma / 1000).toBeCloseTo(39.9, 1);
    // Three spools are bare three times.
    expect(read(thread, 'weight', 42, lotOf(thread, { count: 3 })).amount.value / 1000).toBeCloseTo(888.9, 1);
  });

  it('ribbon by its reel’s width', () => {
    // L = π (60² - 20²) / (4 × 0.35) = 7180.8 mm on each reel.
    expect(read(ribbon, 'reel', 60).amount.value).toBeCloseTo(7180.8, 1);
    expect(read(ribbon, 'reel', 60, lotOf(ribbon, { count: 2 })).amount.value).toBeCloseTo(14361.6, 1);
  });

  it('buttons by the weight of ten', () => {
    // Ten weigh 15 g: 186 g are 124. In doubt by 10 × 1 / 15 = 0.67 of the heap's weighing and 124 / 15 = 8.27 of the ten's.
    const { amount, unit } = read(buttons, 'count', 186);
    expect(unit).toBe('count');
    expect(amount.value).toBeCloseTo(124, 9);
    expect(amount.sigma).toBeCloseTo(Math.hypot(0.667, 8.267), 2);
    // A finer scale for the ten helps most.
    expect(computeCountByMass(186, 15, 1, 0.1).sigma).toBeCloseTo(Math.hypot(0.667, 0.8267), 2);
  });

  it('scraps by weight', () => {
    // 240 g at 185 g/m² are 1.297 m²; squares of 10 cm weigh 1.85 g each: 129.7 of them.
    expect(read(scraps, 'weight', 240)).toMatchObject({ unit: 'area' });
    expect(read(scraps, 'weight', 240).amount.value / 1e6).toBeCloseTo(1.2973, 4);
    expect(read(squares, 'weight', 240).amount.value).toBeCloseTo(129.73, 2);
  });
});

const CASES: [string, Item, MeasureWay, number, number][] = [
  ['cloth on a board', linen, 'board', 800, 4000],
  ['cloth folded', linen, 'folded', 800, 4000],
  ['cloth on a roll', linen, 'roll', 800, 20_000],
  ['cloth by weight', linen, 'weight', 100, 20_000],
  ['thread by weight', thread, 'weight', 5000, 500_000],
  ['ribbon on a reel', ribbon, 'reel', 200, 50_000],
  ['buttons by ten', buttons, 'count', 1, 900],
  ['odd scraps by weight', scraps, 'weight', 5000, 4e6],
  ['squares by weight', squares, 'weight', 1, 300],
];

describe.each(CASES)('%s', (_, item, way, least, most) => {
  const amounts = fc.double({ min: least, max: most, noNaN: true });
  const lot = lotOf(item);
  const expected = (amount: number) => computeExpectedReading(item, lot, DEFAULT_SETTINGS, way, amount);

  it('goes forwards and backwards', () => {
    fc.assert(
      fc.property(amounts, (amount) => {
        const reading = expected(amount);
        if (reading === null) return;
        const told = read(item, way, reading).amount;
        // A fold tells whole rows only: the truth is within half of one.
        const doubt = way === 'folded' ? DEFAULT_SETTINGS.panelDepthMm / 2 : 1e-9 * amount;
        expect(Math.abs(told.value - amount)).toBeLessThanOrEqual(doubt + 1e-6);
      }),
    );
  });

  it('grows with its reading, and is never below nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        (at, more) => {
          const [less, greater] = [read(item, way, at).amount, read(item, way, at + more).amount];
          expect(less.value).toBeGreaterThanOrEqual(0);
          expect(greater.value).toBeGreaterThanOrEqual(less.value);
          if (less.value > 0) expect(less.sigma).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('grows in expectation too', () => {
    fc.assert(
      fc.property(amounts, fc.double({ min: 1.01, max: 2, noNaN: true }), (amount, factor) => {
        const [less, more] = [expected(amount), expected(amount * factor)];
        if (less !== null && more !== null) expect(more).toBeGreaterThanOrEqual(less);
      }),
    );
  });

  it('is surer with a finer scale or tape', () => {
    fc.assert(
      fc.property(amounts, (amount) => {
        const reading = expected(amount);
        const gauge = getGauge(item, lot, way);
        if (reading === null || reading <= 0) return;
        const coarse = read(item, way, reading, lot, { ...gauge, resolution: 2 });
        const fine = read(item, way, reading, lot, { ...gauge, resolution: 0.1 });
        expect(fine.amount.sigma).toBeLessThan(coarse.amount.sigma);
      }),
    );
  });

  it('calibrated on a known piece, tells that piece, and is no less sure', () => {
    if (item.thread) return;
    fc.assert(
      fc.property(amounts, fc.double({ min: 0.8, max: 1.25, noNaN: true }), (amount, off) => {
        const reading = expected(amount);
        if (reading === null) return;
        const known = amount * off;
        const found = computeCalibration(item, lot, DEFAULT_SETTINGS, way, reading, known);
        if (!found) return;
        const after = read(applyCalibration(item, found), way, reading).amount;
        expect(Math.abs(after.value / known - 1)).toBeLessThan(1e-9);
        if (way === 'count') return;
        const before = read(item, way, reading).amount;
        expect(after.sigma / after.value).toBeLessThan(before.sigma / before.value + 1e-9);
      }),
    );
  });

  it('says the same of the lot that it becomes', () => {
    const amount = Math.round((least + most) / 2);
    const able =
      getAmountUnit(item, lot) === 'count' && way === 'count'
        ? { ...lot, units: 1 }
        : { ...lot, lengthMm: item.thread ? 1 : lot.lengthMm };
    const long = item.box?.tape ? { ...lot, lengthMm: 1 } : able;
    expect(getAmount(item, withAmount(item, long, amount))).toBe(amount);
  });
});

describe('what a package measures', () => {
  it.each([
    ['board', 'board', 'alongMm'],
    ['folded', 'stack', 'heightMm'],
    ['roll', 'roll', 'alongMm'],
    ['weight', 'stack', 'massG'],
  ] as const)('is what is expected of it by %s', (way, form, side) => {
    const lot = lotOf(linen, { lengthMm: 3400 });
    expect(computeExpectedReading(linen, lot, DEFAULT_SETTINGS, way, 3400)).toBeCloseTo(
      computePackage(linen, lot, form, DEFAULT_SETTINGS)![side],
      9,
    );
  });
});

describe('folds at their boundaries', () => {
  it('take one more only when the panel is really passed', () => {
    expect(computeFoldLayers(1500, 1400, 300, 280)).toBe(5 * 5);
    expect(computeFoldLayers(1500.1, 1400, 300, 280)).toBe(6 * 5);
    expect(computeFoldLayers(1500, 1400.1, 300, 280)).toBe(5 * 6);
    expect(computeFoldLayers(300, 280, 300, 280)).toBe(1);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }), (across, along) => {
        expect(computeFoldLayers(across * 300, along * 280, 300, 280)).toBe(across * along);
        expect(computeFoldLayers(across * 300 + 0.5, along * 280, 300, 280)).toBe((across + 1) * along);
      }),
    );
  });
});

describe('thread numbers', () => {
  it('say the same thread: tex 25 is ticket 120 is weight 40', () => {
    expect(convertThread(25, 'tex', 'ticket')).toBe(120);
    expect(convertThread(25, 'tex', 'weight')).toBe(40);
    expect(convertThread(120, 'ticket', 'weight')).toBe(40);
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.constantFrom(...THREAD_NUMBERS),
        fc.constantFrom(...THREAD_NUMBERS),
        (value, from, to) => {
          expect(convertThread(convertThread(value, from, to), to, from) / value).toBeCloseTo(1, 12);
        },
      ),
    );
  });
});

describe('what cannot be told', () => {
  it('is null: no such way, or nothing known', () => {
    const tool = createThing('tool');
    expect(getMeasureWays(tool, lotOf(tool))).toEqual([]);
    expect(read(tool, 'weight', 5)).toBeNull();
    expect(read(createThing('n', { kind: 'notion' }), 'count', 5)).toBeNull();
    expect(computeCalibration(linen, lotOf(linen), DEFAULT_SETTINGS, 'board', 0.5, 1000)).toBeNull();
    expect(computeCalibration(linen, lotOf(linen), DEFAULT_SETTINGS, 'board', 20, 0)).toBeNull();
  });
});

describe('the doubt of a fold', () => {
  it('is half a row at the least, and grows with the spread', () => {
    const sharp = computeFoldedLength(24, 5, 280, 0.48, 0, 0);
    expect(sharp.sigma).toBeCloseTo(280 / Math.sqrt(12), 9);
    expect(computeFoldedLength(24, 5, 280, 0.48, 0.1, 0).sigma).toBeGreaterThan(sharp.sigma);
  });

  it('takes the known amount over: what was weighed before says nothing any more', () => {
    // 2 kg of a cloth 1 m wide that was thought to weigh 100 g/m² read as 20 m; it is 16 m, so it weighs 125 g/m².
    const cloth = createCloth('denim');
    const weighed = { ...createLot(cloth), lengthMm: 20_000, amountSigma: 900, measuredBy: 'weight' as const };
    const found = computeCalibration(cloth, weighed, DEFAULT_SETTINGS, 'weight', 2000, 16_000)!;
    const own = applyCalibration(cloth, found);
    expect(own.fabric!.grammageGsm).toBeCloseTo(125, 6);
    const sure = withKnownAmount(own, weighed, 16_000, 'length');
    expect(sure.lengthMm).toBe(16_000);
    expect(sure).not.toHaveProperty('amountSigma');
    expect(sure).not.toHaveProperty('measuredBy');
    expect(computeClothMass(sure.lengthMm!, own.fabric!.widthMm, own.fabric!.grammageGsm)).toBeCloseTo(2000, 6);
  });
});
