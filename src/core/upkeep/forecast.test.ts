import { describe, expect, it } from 'vitest';
import { applyChanges } from '../daybook/fold.ts';
import { createGrow } from '../acts/index.ts';
import { createRandom } from '../random/index.ts';
import type { Change, DaybookEvent, EventId, EventType, Household, PlaceId } from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from '../storage/index.ts';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { liveHistory } from '../../../tests/histories.ts';
import { listGroupYears, lookAhead, type GroupYear } from './index.ts';
import { holdTo } from './flowsByGroup.ts';
import { drawFutures, getChanceAbove, getQuantile } from './resample.ts';

const forecast = (household: Household, tree: PlaceTree, years: readonly GroupYear[]) =>
  lookAhead(household, tree, years, null).forecast;
const listHelp = (household: Household, tree: PlaceTree, years: readonly GroupYear[], id: PlaceId) =>
  lookAhead(household, tree, years, id).help;

const DAY_MS = 86_400_000;
const NOW = 3000 * DAY_MS;

describe('futures', () => {
  it('of a year in which every month was alike are sure', () => {
    const futures = drawFutures(
      Array.from({ length: 12 }, () => 2),
      [],
      -5,
      createRandom(1),
    );
    expect([1, 3, 12].map((months) => getQuantile(futures, months, 0.5))).toEqual([2, 6, 24]);
    expect(getQuantile(futures, 12, 0.9)).toBe(24);
    expect([getChanceAbove(futures, 12, 23.9), getChanceAbove(futures, 12, 24)]).toEqual([1, 0]);
  });

  it('do not fall below nothing, and of no year at all nothing comes', () => {
    const falling = drawFutures([-3, -3, -3], [], -4, createRandom(2));
    expect(getQuantile(falling, 12, 0.9)).toBe(-4);
    expect(getQuantile(drawFutures([], [], -4, createRandom(2)), 12, 0.9)).toBe(0);
  });

  it('lean on what is usual where the daybook is young', () => {
    const young = drawFutures([], [1, 1, 1], -9, createRandom(3));
    expect(getQuantile(young, 6, 0.5)).toBe(6);
    const old = drawFutures(
      Array.from({ length: 12 }, () => 0),
      [1, 1, 1],
      -9,
      createRandom(3),
    );
    expect(getQuantile(old, 12, 0.99)).toBe(0);
  });

  it('hold what comes in four of five made-up years', () => {
    let [inside, all] = [0, 0];
    for (let seed = 30_001; seed <= 30_250; seed += 1) {
      const lived = liveHistory(seed);
      const futures = drawFutures(lived.slice(0, 12), [], -1e9, createRandom(seed));
      for (const months of [3, 6, 12]) {
        const came = lived.slice(12, 12 + months).reduce((sum, one) => sum + one, 0);
        all += 1;
        if (came >= getQuantile(futures, months, 0.1) && came <= getQuantile(futures, months, 0.9)) inside += 1;
      }
    }
    expect(inside / all).toBeGreaterThanOrEqual(0.75);
    expect(inside / all).toBeLessThanOrEqual(0.85);
  });
});

describe('one in, one out', () => {
  it('lessens what comes until nothing is added, and leaves alone what shrinks', () => {
    // 6 came and 2 went: a third of what came may come.
    expect(holdTo([4, -2, 2], 0).map((one) => Number(one.toFixed(6)))).toEqual([1.333333, -2, 0.666667]);
    expect(holdTo([1, -2], 0)).toEqual([1, -2]);
    // Of twelve a year, three months may have three.
    expect(holdTo([4, -2, 2], 12)).toEqual([10 / 3, -2, 5 / 3]);
    expect(holdTo([], 0)).toEqual([]);
  });
});

/** Boxes of one litre in a drawer of about 30; six of them came in the year, one every other month. */
function live(): { household: Household; events: DaybookEvent[] } {
  const boxes = Array.from({ length: 24 }, (_, n) =>
    createThing(`box-${n}`, {
      box: { type: 'beads', widthMm: 100, depthMm: 100, heightMm: 100, massG: 50, isSoft: false },
    }),
  );
  const lots = boxes.map((item) => createLot(item, 'case-A1'));
  const unit = createUnit(
    'case',
    { widthMm: 632, heightMm: 282, depthMm: 300, rows: 1 },
    { mode: 'volume', opening: 'drawer' },
  );
  const spare = createUnit(
    'spare',
    { xMm: 2000, widthMm: 632, heightMm: 282, depthMm: 300, rows: 1 },
    { mode: 'volume', opening: 'drawer' },
  );
  const household = createHousehold(
    [...unit, ...spare],
    boxes,
    [...lots.slice(0, 23), createLot(boxes[23]!, 'spare-A1')].map((lot) => ({ ...lot, homeId: lot.placeId! })),
  );
  let seq = 0;
  const event = (type: EventType, atMs: number, changes: Change[]): DaybookEvent => {
    seq += 1;
    return { id: `e${seq}` as EventId, seq: seq - 1, atMs, type, subject: 'x', changes };
  };
  const events = [
    event('settingsChanged', NOW - 1000 * DAY_MS, []),
    ...[1, 3, 5, 7, 9, 11].map((month) =>
      event('received', NOW - (month + 0.5) * 30.4 * DAY_MS, [
        { table: 'lots', id: lots[month]!.id, after: { ...lots[month]! } },
      ]),
    ),
  ];
  return { household, events };
}

describe('the forecast of a place', () => {
  const { household, events } = live();
  const tree = createPlaceTree(household.places);
  const years = listGroupYears(household, events, NOW);
  const found = forecast(household, tree, years);

  it('reckons a group by the litres that came month by month', () => {
    expect(years).toHaveLength(1);
    const [year] = years;
    expect(year!.months.map((one) => Number(one.toFixed(3)))).toEqual(
      [1, 0, 1, 0, 1, 0, 1, 0, 1, 0, 1, 0].toReversed().toReversed(),
    );
    expect(year!.litres).toBeCloseTo(24, 6);
  });

  it('says which bursts first, and how likely', () => {
    expect(found.months).toBe(12);
    const [first, other] = found.places;
    expect(first!.id).toBe('case-A1');
    expect(first!.litres).toBeCloseTo(23, 6);
    expect(first!.roomLitres).toBeCloseTo(26.412, 3);
    // Four boxes more are too many: never in three months, and more likely than not in a year.
    expect(first!.chances[0]).toBe(0);
    expect(first!.chances[2]).toBeGreaterThan(0.5);
    expect(first!.burstsIn).toBeGreaterThan(6);
    const [three, six, twelve] = first!.chances;
    expect(three).toBeLessThanOrEqual(six);
    expect(six).toBeLessThanOrEqual(twelve);
    expect(other!.chances[2]).toBe(0);
    for (const [low, middle, high] of first!.band) {
      expect(low).toBeLessThanOrEqual(middle);
      expect(middle).toBeLessThanOrEqual(high);
    }
    // 23 parts of 24 of six litres a year.
    expect(first!.groups[0]!.perYear).toBeCloseTo((6 * 23) / 24, 6);
    expect(forecast(household, tree, years)).toEqual(found);
  });

  it('says what helps, and is another when it was done', () => {
    const full = { ...household, lots: new Map(household.lots) };
    const help = listHelp(full, tree, years, 'case-A1' as PlaceId);
    const [twelve] = found.places.map(({ chances }) => chances[2]);
    for (const { chance } of help) expect(chance).toBeLessThanOrEqual(twelve!);
    const rule = createGrow(household, years[0]!.id, 0);
    const ruled = rule.ok ? applyChanges(household, rule.value.changes) : rule;
    if (!ruled.ok) throw new Error('not ruled');
    const after = forecast(ruled.value, tree, listGroupYears(ruled.value, events, NOW));
    const told = help.find(({ code }) => code === 'oneInOneOut');
    const then = after.places.find(({ id }) => id === 'case-A1')!;
    expect(then.chances[2]).toBeLessThanOrEqual(twelve!);
    if (told) expect(then.chances[2]).toBe(told.chance);
    expect(
      listHelp(ruled.value, tree, listGroupYears(ruled.value, events, NOW), 'case-A1' as PlaceId),
    ).not.toContainEqual(expect.objectContaining({ code: 'oneInOneOut' }));
  });

  it('of a household without a year is still there', () => {
    const young = listGroupYears(household, [], NOW);
    expect(young[0]!.months).toEqual([]);
    expect(forecast(household, tree, young).places.every(({ chances }) => chances[2] === 0)).toBe(true);
    const empty = createHousehold([], [], []);
    expect(forecast(empty, createPlaceTree(empty.places), listGroupYears(empty, [], NOW))).toEqual({
      places: [],
      groups: [],
      months: 0,
    });
  });
});
