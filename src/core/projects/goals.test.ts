import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import type { DaybookEvent, GoalLine, Household, Item, Lot } from '../records/index.ts';
import { computeCutShare, formatGoalLine, parseGoalLine, standGoals } from './index.ts';

const BLUE = '#2f5d86';
const RED = '#b02a2a';
const cloth = createCloth('tide', { colours: [BLUE] });
const scrapOf = (id: string, cut: 'odd' | 'square' | 'strip', colour: string, cutMm?: number): Item =>
  createCloth(id, { kind: 'scrap', colours: [colour], scrap: { cut, ...(cutMm && { cutMm }) } });
const squares = scrapOf('squares', 'square', BLUE, 127);
const reds = scrapOf('reds', 'square', RED, 127);
const odd = scrapOf('odd', 'odd', BLUE);
const line = (count: number, more: Partial<GoalLine> = {}): GoalLine => ({
  cut: 'square',
  sideMm: 127,
  count,
  ...more,
});
const own = (lengthMm: number): Lot[] => [
  createLot(squares, 'case-A1', { count: 30, lengthMm: undefined }),
  createLot(reds, 'case-A1', { count: 8, lengthMm: undefined }),
  createLot(odd, 'case-A1', { areaMm2: 400_000, lengthMm: undefined }),
  createLot(cloth, 'case-A1', { lengthMm }),
];
const build = (lines: GoalLine[], lengthMm = 2000): Household => {
  const household = createHousehold(createUnit('case', {}), [cloth, squares, reds, odd], own(lengthMm));
  return { ...household, settings: { ...household.settings, goals: [{ id: 'g', name: 'Ferry quilt', lines }] } };
};

describe('a goal of squares and strips', () => {
  it('counts what is cut, what scraps would give, and what is missing in cloth', () => {
    // 400,000 mm² by half of their area are 200,000 / 127² = 12.4: twelve.
    const [standing] = standGoals(build([line(100, { colour: 'blue' })]), []);
    const [one] = standing!.lines;
    expect(one).toMatchObject({ have: 30, fromScraps: 12, missing: 58 });
    // Of cloth 1,100 mm wide eight lie side by side (1,080 / 127 = 8.5): eight rows and 5 cm to straighten.
    const perRow = Math.floor((one!.clothWidthMm - 20) / 127);
    expect(one!.clothMm).toBe(Math.ceil(58 / perRow) * 127 + 50);
    expect(one!.cloths[0]).toMatchObject({ item: { id: 'tide' }, pieces: 58, lengthMm: one!.clothMm });
    expect(standing).toMatchObject({ have: 30, wanted: 100 });
  });

  it('counts no piece twice: colours first, then any', () => {
    const [standing] = standGoals(build([line(35), line(20, { colour: 'blue' })]), []);
    // Twenty blue ones go to the line of blue; ten of them and eight red ones are left for any, then the scraps.
    expect(standing!.lines.map(({ have, fromScraps, missing }) => [have, fromScraps, missing])).toEqual([
      [18, 12, 5],
      [20, 0, 0],
    ]);
  });

  it('says as much as a cloth gives, where that is not enough', () => {
    const [standing] = standGoals(build([line(100, { colour: 'blue' })], 320), []);
    // 27 cm without the end: two rows.
    const { cloths, clothWidthMm } = standing!.lines[0]!;
    expect(cloths[0]!.pieces).toBe(2 * Math.floor((clothWidthMm - 20) / 127));
    expect(cloths[0]!.lengthMm).toBe(2 * 127 + 50);
  });

  it('takes a million squares without a fuss, and no goals', () => {
    const [standing] = standGoals(build([line(1_000_000)]), []);
    expect(standing!.lines[0]!.missing).toBe(1_000_000 - 38 - 12);
    expect(standGoals({ ...build([]), settings: build([]).settings }, [])).toEqual([
      { goal: { id: 'g', name: 'Ferry quilt', lines: [] }, lines: [], have: 0, wanted: 0 },
    ]);
  });

  it('is wanted of a strip by its length', () => {
    const [standing] = standGoals(build([{ cut: 'strip', sideMm: 63.5, longMm: 1000, count: 6, colour: 'blue' }]), []);
    // 200,000 / 63,500 is three; the other three lie below each other across the cloth.
    expect(standing!.lines[0]).toMatchObject({ have: 0, fromScraps: 3, missing: 3, clothMm: 3 * 63.5 + 50 });
  });
});

describe('what cutting gives', () => {
  const cutUp = (areaMm2: number, from: number, to: number): DaybookEvent => ({
    id: `e${to}` as DaybookEvent['id'],
    seq: to,
    atMs: to,
    type: 'cut',
    subject: 'odd',
    amount: areaMm2,
    amountUnit: 'area',
    changes: [{ table: 'lots', id: 'lot-squares', before: { count: from }, after: { count: to } }],
  });

  it('is half of the area until the daybook knows better', () => {
    const household = build([]);
    expect(computeCutShare([], household)).toBe(0.5);
    // 20 squares of 12.7 cm are 322,580 mm² of 400,000: (250,000 + 322,580) / 900,000.
    expect(computeCutShare([cutUp(400_000, 10, 30)], household)).toBeCloseTo(572_580 / 900_000, 9);
  });
});

describe('a line of a goal', () => {
  it.each([
    ['120 blue squares 12.7', { cut: 'square', sideMm: 127, count: 120, colour: 'blue' }],
    ['1 square of 6.35', { cut: 'square', sideMm: 63.5, count: 1 }],
    ['20 Strips 6.35 by 100', { cut: 'strip', sideMm: 63.5, count: 20, longMm: 1000 }],
  ])('reads %s, and is written the same', (text, expected) => {
    const read = parseGoalLine(text, 'metric');
    expect(read).toEqual({ ok: true, value: expected });
    if (read.ok) expect(parseGoalLine(formatGoalLine(read.value, 'metric'), 'metric')).toEqual(read);
  });

  it.each([
    ['squares', 'no-line'],
    ['0 squares 12', 'no-line'],
    ['3 green triangles 12', 'no-line'],
    ['1000001 squares 12', 'too-many'],
    ['5 strips 12 by 3', 'no-line'],
  ])('refuses %s', (text, fault) => expect(parseGoalLine(text, 'metric')).toEqual({ ok: false, fault }));
});
