import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createLot, createThing } from '../../../tests/household.ts';
import { DEFAULT_SETTINGS, type Item, type Lot } from '../records/index.ts';
import {
  computeBoardLength,
  computeBoardThickness,
  computeBoardWraps,
  computeClothMass,
  computeFoldLayers,
  computeLengthByMass,
  computePackage,
  computeRollDiameter,
  computeRollLength,
  computeWrapLayers,
} from './index.ts';

const BOARD = { widthMm: 170, thicknessMm: 1 };

describe('cloth on a board', () => {
  // By hand: 4 layers of 0.4 × 1.2 mm, τ = 1.92; L = 343.142 n + 6.0319 n². n = 8: 2745.13 + 386.04 = 3131.17 mm.
  it('agrees with eight wraps worked by hand', () => {
    const wrap = { layers: 4, stackedMm: 0.48 };
    expect(computeBoardWraps(3131.17, BOARD, wrap)).toBeCloseTo(8, 3);
    expect(computeBoardThickness(3131.17, BOARD, wrap)).toBeCloseTo(1 + 2 * 8 * 1.92, 2);
    expect(computeBoardLength(31.72, BOARD, wrap, 0.1).value).toBeCloseTo(3131.2, 0);
  });

  const wraps = fc.record({
    layers: fc.integer({ min: 1, max: 10 }),
    stackedMm: fc.double({ min: 0.05, max: 5, noNaN: true }),
  });

  it('goes forwards and backwards without loss', () => {
    fc.assert(
      fc.property(wraps, fc.double({ min: 1, max: 40_000, noNaN: true }), (wrap, lengthMm) => {
        const back = computeBoardLength(computeBoardThickness(lengthMm, BOARD, wrap), BOARD, wrap, 0.1);
        expect(Math.abs(back.value - lengthMm) / lengthMm).toBeLessThan(1e-9);
      }),
    );
  });

  it('grows with length, and its doubt shrinks when the layer is better known', () => {
    fc.assert(
      fc.property(wraps, fc.double({ min: 200, max: 20_000, noNaN: true }), (wrap, lengthMm) => {
        const thick = computeBoardThickness(lengthMm, BOARD, wrap);
        expect(computeBoardThickness(lengthMm + 50, BOARD, wrap)).toBeGreaterThan(thick);
        const rough = computeBoardLength(thick, BOARD, wrap, 0.15);
        expect(computeBoardLength(thick, BOARD, wrap, 0.03).sigma).toBeLessThan(rough.sigma);
      }),
    );
  });

  it('propagates doubt as a numeric derivative does', () => {
    const wrap = { layers: 4, stackedMm: 0.48 };
    const at = (T: number, stackedMm: number) => computeBoardLength(T, BOARD, { layers: 4, stackedMm }, 0).value;
    const byTape = (at(40.001, 0.48) - at(39.999, 0.48)) / 0.002;
    const byLayer = ((at(40, 0.4801) - at(40, 0.4799)) / 0.0002) * 0.48 * 0.1;
    expect(computeBoardLength(40, BOARD, wrap, 0.1).sigma).toBeCloseTo(Math.hypot(byTape, byLayer), 0);
  });
});

describe('other ways to know', () => {
  it('counts layers right at the fold', () => {
    // 140 cm over 30 cm panels is 5 folds; 1.4 m at 28 cm is exactly 5, a millimetre more is 6.
    expect(computeFoldLayers(1400, 1400, 300, 280)).toBe(25);
    expect(computeFoldLayers(1400, 1401, 300, 280)).toBe(30);
    expect(computeFoldLayers(1500, 1400, 300, 280)).toBe(25);
    expect(computeWrapLayers(1120, 260)).toBe(4);
    expect(computeWrapLayers(1400, 260)).toBe(5);
  });

  it('rolls: 10 m of 1 mm cloth doubled on a 40 mm tube is 164.5 mm thick', () => {
    // D² = 1600 + 4·2·10000/π = 27064.8
    expect(computeRollDiameter(10_000, 40, { layers: 2, stackedMm: 1 })).toBeCloseTo(164.51, 1);
    expect(computeRollLength(164.514, 40, { layers: 2, stackedMm: 1 }, 0.1).value).toBeCloseTo(10_000, -1);
  });

  it('weighs: 3.4 m × 140 cm of 185 g/m² is 880.6 g, and back', () => {
    expect(computeClothMass(3400, 1400, 185)).toBeCloseTo(880.6, 6);
    const back = computeLengthByMass(880.6, 1400, 185, 0.05);
    expect(back.value).toBeCloseTo(3400, 6);
    expect(back.sigma).toBeCloseTo(Math.hypot(1 / 0.259, 170), 6);
  });
});

describe('packages', () => {
  const linen: Item = {
    id: 'i1' as Item['id'],
    kind: 'fabric',
    name: 'Oat linen twill',
    colours: ['#ccbb99'],
    notes: '',
    usesPerMonth: 1,
    stationId: 's' as Item['stationId'],
    care: [],
    forms: ['board', 'stack'],
    fabric: {
      fibre: 'linen',
      cloth: 'linen',
      widthMm: 1400,
      grammageGsm: 185,
      layerMm: 0.4,
      stacking: 1.2,
      print: 'solid',
    },
  };
  const lot = (lengthMm: number) => ({ lengthMm, count: 1 }) as Lot;

  it('a board stands as a spine, as wide as its folded cloth is tall', () => {
    const board = computePackage(linen, lot(3400), 'board', DEFAULT_SETTINGS);
    // 5 layers, τ = 2.4: 7.5398 n² + 343.142 n = 3400 gives n = 8.369; T = 1 + 2·8.369·2.4 = 41.17
    expect(board?.alongMm).toBeCloseTo(41.17, 2);
    expect(board?.heightMm).toBe(280);
    expect(board?.acrossMm).toBeCloseTo(210.17, 2);
  });

  it('refuses a board that the cloth would not cover or that would not stand', () => {
    expect(computePackage(linen, lot(250), 'board', DEFAULT_SETTINGS)).toBeNull();
    expect(computePackage(linen, lot(30_000), 'board', DEFAULT_SETTINGS)).toBeNull();
  });

  it('a folded stack is whole layers high', () => {
    // 5 × ceil(3400/280) = 5 × 13 = 65 layers of 0.48 mm
    expect(computePackage(linen, lot(3400), 'stack', DEFAULT_SETTINGS)?.heightMm).toBeCloseTo(31.2, 6);
  });
});

describe('on a hanger, in a bag and lying flat', () => {
  const cloth = createCloth('cloth');
  const lotOf = (lengthMm: number) => createLot(cloth, null, { lengthMm });
  const size = (item: Item, lot: Lot, form: 'hanger' | 'bag' | 'flat') => {
    const pkg = computePackage(item, lot, form, DEFAULT_SETTINGS);
    return pkg && [pkg.alongMm, pkg.acrossMm, pkg.heightMm, pkg.massG].map((mm) => Math.round(mm * 100) / 100);
  };

  it('cloth hangs folded to the width of the hanger, half of it on each side', () => {
    // A metre wide in panels of 420 mm: 3 layers on each side of the bar, 1 mm each; 2 m hang down 1 m.
    expect(size(cloth, lotOf(2000), 'hanger')).toEqual([8 + 2 * 3, 420, 60 + 1000, 200 + 60]);
    // 3 m would reach 1.5 m down: folded once more, 75 cm and twice as thick.
    expect(size(cloth, lotOf(3000), 'hanger')).toEqual([8 + 2 * 3 * 2, 420, 60 + 750, 300 + 60]);
    expect(size(cloth, lotOf(2400), 'hanger')![2]).toBe(60 + 1200);
  });

  it('a bag is a third larger than what is in it, and flat', () => {
    // 2 m of cloth a metre wide, 1 mm thick are 2 litres, in a bag of 2.67: 6 s³ = 2 666 667 mm³, s = 76.31 mm.
    expect(size(cloth, lotOf(2000), 'bag')).toEqual([152.63, 228.94, 76.31, 200]);
  });

  it('a tool lies on its largest face; a finished piece hangs by its shoulders', () => {
    const tool = createThing('mat');
    expect(size(tool, createLot(tool), 'flat')).toEqual([100, 50, 40, 200]);
    expect(size(tool, createLot(tool), 'hanger')).toEqual([40, 420, 160, 260]);
    // What is hard has its own shape, whatever it is put in.
    expect(size(tool, createLot(tool), 'bag')).toBeNull();
  });

  it('grows with the cloth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), fc.constantFrom('hanger', 'bag'), (lengthMm, form) => {
        const [less, more] = [lengthMm, lengthMm + 10].map((mm) =>
          computePackage(cloth, lotOf(mm), form as 'bag', DEFAULT_SETTINGS),
        );
        const volume = (pkg: typeof less) => pkg!.alongMm * pkg!.acrossMm * pkg!.heightMm;
        expect(more!.massG).toBeGreaterThan(less!.massG);
        if (form === 'bag') expect(volume(more)).toBeGreaterThan(volume(less));
        else expect(less!.heightMm).toBeLessThanOrEqual(60 + 1200);
      }),
    );
  });
});
