import { describe, expect, it } from 'vitest';
import { createPattern } from '../../../tests/household.ts';
import type { ClothNeed, Need, Project, ProjectId } from '../records/index.ts';
import { computeClothNeed, computeTableLength, type ClothAt } from './index.ts';

const cotton = (widthMm: number, isWashed = true): ClothAt => ({
  fabric: { fibre: 'cotton', cloth: 'poplin', widthMm, print: 'solid' },
  isWashed,
});
const row = (size: string, widthMm: number, lengthMm: number, part = ''): ClothNeed => ({
  size,
  widthMm,
  lengthMm,
  part,
});
const withTable = (...needs: ClothNeed[]) => {
  const item = createPattern('p', 88);
  return { ...item, pattern: { ...item.pattern!, garment: 'blouse', needs } };
};
const main: Need = { id: 'n', kind: 'fabric', part: 'main' };
const project = (change: Partial<Project> = {}): Project => ({
  id: 'a' as ProjectId,
  name: 'Blouse',
  state: 'planned',
  makes: [{ size: '38', count: 1 }],
  notes: '',
  needs: [main],
  steps: [],
  sinceMs: 0,
  ...change,
});
const none = { straightenMm: 0, selvageMm: 0 };

describe('what a table says for a width', () => {
  const rows = [row('', 1120, 2300), row('', 1500, 1800)];

  it('is read as it stands, to two centimetres of width', () => {
    expect(computeTableLength(rows, 1140)).toEqual({ lengthMm: 2300, isExact: true });
    expect(computeTableLength(rows, 1490)).toEqual({ lengthMm: 1800, isExact: true });
  });

  it('is taken by area between two widths', () => {
    // 1.12 × 2.30 = 2.576 m², 1.50 × 1.80 = 2.70 m²; 28 of 38 cm on the way: 2.66737 m² on 1.40 m.
    expect(computeTableLength(rows, 1400).lengthMm).toBeCloseTo(1905.26, 1);
  });

  it('loses half of the difference beyond the table', () => {
    // On 1.60 m: 2.70 m² and half of 0.10 × 1.80 m² are 2.79 m².
    expect(computeTableLength(rows, 1600).lengthMm).toBeCloseTo(1743.75, 2);
    // On 0.90 m: 2.576 m² and half of 0.22 × 2.30 m² are 2.829 m².
    expect(computeTableLength(rows, 900).lengthMm).toBeCloseTo(3143.33, 1);
  });
});

describe('what a need takes', () => {
  it('adds one way up, whole repeats and one more, straight ends and the wash, in that order', () => {
    const need: Need = { ...main, cutting: { isOneWay: true, repeatMm: 320 } };
    const found = computeClothNeed(
      project(),
      need,
      withTable(row('38', 1120, 2300), row('38', 1500, 1800)),
      cotton(1400, false),
    );
    // 1.90526 m; 15 % more 2.19105 m; seven repeats of 32 cm are 2.24 m, and one more 2.56 m; 2.66 m; 4 % shrink: 2.7708 m.
    expect(found).toMatchObject({
      ok: true,
      value: { way: 'table', baseMm: expect.closeTo(1905.26, 1), straightenMm: 100, between: [] },
    });
    expect(found.ok && found.value.lengthMm).toBeCloseTo(2770.83, 1);
    expect(found.ok && found.value.oneWayMm).toBeCloseTo(285.79, 1);
    expect(found.ok && found.value.shrinkMm).toBeCloseTo(110.83, 1);
  });

  it('adds up several sizes, and takes one that is missing between two that are not', () => {
    const table = withTable(row('36', 1400, 1800), row('40', 1400, 2000));
    const two = project({
      makes: [
        { size: '36', count: 2 },
        { size: '39', count: 1 },
      ],
    });
    const found = computeClothNeed(two, { ...main, cutting: none }, table, cotton(1400));
    // Twice 1.80 m, and three quarters of the way from 1.80 to 2.00 m.
    expect(found).toMatchObject({ ok: true, value: { lengthMm: 5550, between: ['39'] } });
    expect(computeClothNeed(project({ makes: [{ size: '44', count: 1 }] }), main, table, cotton(1400))).toEqual({
      ok: false,
      fault: { code: 'no-such-size', size: '44', known: ['36', '40'] },
    });
  });

  it('knows the parts of a table apart', () => {
    const table = withTable(row('', 1400, 1800), row('', 1400, 1100, 'lining'));
    const middling = project({ makes: [{ size: '40', count: 1 }] });
    const of = (part: string) => computeClothNeed(middling, { ...main, part, cutting: none }, table, cotton(1400));
    expect(of('main')).toMatchObject({ value: { lengthMm: 1800 } });
    expect(of('Lining')).toMatchObject({ value: { lengthMm: 1100 } });
    // The table does not say: a guess, a quarter of the 1.70 m of a blouse.
    expect(of('interfacing')).toMatchObject({ value: { way: 'guess', lengthMm: 425 } });
  });

  it('is guessed by garment and size', () => {
    const guess = (name: string, size: string, count = 1) => {
      const bare = { ...project({ makes: [{ size, count }] }), name };
      const found = computeClothNeed(bare, { ...main, cutting: none }, undefined, cotton(1400));
      return found.ok && found.value.way === 'guess' ? found.value.lengthMm : null;
    };
    // A shirt of a middling size takes 2.20 m; four sizes up 4.8 % more; in letters, and twice.
    expect(guess('Shirt', '40')).toBeCloseTo(2200);
    expect(guess('Shirt', '44')).toBeCloseTo(2200 * 1.048);
    expect(guess('Shirt', '12')).toBeCloseTo(2200);
    expect(guess('Shirt', 'XL', 2)).toBeCloseTo(2 * 2200 * 1.1);
    expect(guess('Shirt', '2XL')).toBeCloseTo(2200 * 1.16);
    // A child of 110 cm: (110 / 170)^1.5 of it.
    expect(guess('Shirt', '110')).toBeCloseTo(2200 * 0.5205, 0);
    expect(guess('Shirt', 'tall')).toBeCloseTo(2200);
    expect(guess('Curtains', '44')).toBeCloseTo(2700);
    // In another language the same: a shirt, a longer word, more of them, and what has no size.
    for (const [name, mm] of [
      ['Vier blaue Hemden', 2200],
      ['Sommerkleid für Ida', 3000],
      ['Röcke', 1600],
      ['U\u0308berhosen', 2400],
    ] as const)
      expect(guess(name, '40'), name).toBeCloseTo(mm);
    expect(guess('Vorhänge', '44')).toBeCloseTo(2700);
    expect(guess('Kopfkissen', '80')).toBeCloseTo(600);
    // Our own word has the first say, and what nobody knows is nothing.
    expect(guess('Rock skirt top', '40')).toBeCloseTo(1600);
    expect(guess('Wimpelkette', '40')).toBeNull();
  });

  it('is never shorter than its longest piece, nor on cloth that is too narrow for its widest', () => {
    const pieces = [{ id: 'b', name: 'back', part: 'main', count: 1, widthMm: 300, heightMm: 2500, isOnFold: true }];
    const table = withTable(row('', 1400, 1800));
    const of = (widthMm: number) =>
      computeClothNeed(project({ pieces }), { ...main, cutting: none }, table, cotton(widthMm));
    expect(of(1400)).toMatchObject({ value: { lengthMm: 2500 } });
    // On the fold it is twice as wide.
    expect(of(580)).toEqual({ ok: false, fault: { code: 'too-narrow', widestMm: 600, widthMm: 580 } });
  });

  it('is what the sewist says, and nothing is added to that', () => {
    const said: Need = { ...main, amount: 2100, cutting: { isOneWay: true } };
    expect(computeClothNeed(project(), said, undefined, cotton(1400, false))).toMatchObject({
      value: { way: 'said', lengthMm: 2100, sigmaMm: 0 },
    });
  });

  it('says so where nothing is known', () => {
    expect(computeClothNeed(project({ name: 'Thing' }), main, undefined, cotton(1400))).toEqual({
      ok: false,
      fault: { code: 'nothing-known' },
    });
  });
});
