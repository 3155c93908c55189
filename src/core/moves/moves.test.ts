import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { checkList, orderMoves } from '../../../tests/moveLists.ts';
import { findFewestTrips } from '../../../tests/movesBrute.ts';
import { createTurnedRound } from '../../../tests/turned.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createRandom } from '../random/index.ts';
import type { Household, Item, LotId, Place, PlaceId, StowForm } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import {
  computeLeastTable,
  computeProgress,
  computeWalkMm,
  createMoveFacts,
  createMoveSearch,
  cutBlock,
  type Step,
} from './index.ts';
import { createNotFound, createStep } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';

const LITRE = 1e6;

const order = (household: Household, tableMm3: number, tries = 60) => orderMoves(household, tableMm3, tries);

/** Two fit side by side into a cube of 350 mm. 1.4 l and 200 g each. */
const wide = (id: string, massG = 200): Item =>
  createThing(id, {
    box: { type: 'cutting', widthMm: 175, depthMm: 200, heightMm: 40, massG, isSoft: false, hangHoleMm: undefined },
  });
const cubes = (columns: number): Place[] =>
  createUnit('cube', { columns, widthMm: 16 + columns * 366, loadG: undefined }, { loadG: 90_000 });

/** Things by `from to`, such as `A1 B1`. */
function household(columns: number, ways: Record<string, string>, massG = 200): Household {
  const items = Object.keys(ways).map((id) => wide(id, massG));
  const lots = items.map((item) => {
    const [from, to] = ways[item.id]!.split(' ') as [string, string];
    return createLot(item, from === 'about' ? null : `cube-${from}`, {
      homeId: to === '-' ? undefined : (`cube-${to}` as PlaceId),
    });
  });
  return createHousehold(cubes(columns), items, lots);
}

describe('an order of trips', () => {
  it('carries what goes the same way at once, straight where there is room', () => {
    const { found, steps } = order(household(2, { a: 'A1 B1', b: 'A1 B1' }), 0);
    expect(found.leastTrips).toBe(1);
    expect(steps).toMatchObject([{ kind: 'carry', from: 'cube-A1', to: 'cube-B1', lotIds: ['lot-a', 'lot-b'] }]);
  });

  it('waits until room is made', () => {
    const home = household(3, { a: 'A1 B1', b: 'A1 B1', c: 'B1 C1', d: 'B1 C1' });
    const { steps } = order(home, 0);
    expect(steps.map(({ from, to }) => `${from} ${to}`)).toEqual(['cube-B1 cube-C1', 'cube-A1 cube-B1']);
  });

  it('breaks a cycle over the table by one trip more than none could do with', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 B1', c: 'B1 A1', d: 'B1 A1' });
    const { found, steps } = order(home, 3 * LITRE);
    expect(found.leastTrips).toBe(2);
    expect(steps).toHaveLength(3);
    expect(steps.map(({ to }) => to)).toContain('table');
    // Two of 1.4 l.
    expect(found.peakMm3).toBeCloseTo(2.8 * LITRE, 3);
    expect(checkList(home, steps, 3 * LITRE).findings).toEqual([]);
  });

  it('carries something out of the way first where the table is too small, and says what', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 B1', c: 'B1 A1', d: 'B1 A1' });
    const { found, steps } = order(home, 0.5 * LITRE);
    expect(found.aside.length).toBe(2);
    expect(steps[0]).toMatchObject({ to: 'aside' });
    // One of 1.4 l on the table, and they change places one by one.
    const least = computeLeastTable(createMoveFacts(home, createPlaceTree(home.places)), createRandom(1));
    expect(least).toBeCloseTo(1.4 * LITRE, 0);
    expect(checkList(home, steps, 0.5 * LITRE).findings).toEqual([]);
  });

  it('carries no more at once than one person lifts, and what is heavier alone', () => {
    // 4.5 kg each: two make 9 kg, three would be 13.5.
    const three = order(household(3, { a: 'A1 C1', b: 'A1 C1', c: 'B1 C1' }, 4500), 0);
    expect(new Set(three.steps.map((step) => step.lotIds.length))).toEqual(new Set([1, 2]));
    const heavy = order(household(2, { a: 'A1 B1', b: 'A1 B1' }, 12_000), 0);
    expect(heavy.steps.map((step) => step.lotIds.length)).toEqual([1, 1]);
    expect(heavy.found.leastTrips).toBe(2);
  });

  it('names what has no room at home even at the end, with or without a table', () => {
    // What lies in B1 stays there, for it has no other home: one of the two goes in beside it.
    const home = household(2, { a: 'A1 B1', b: 'A1 B1', c: 'B1 -' });
    for (const litres of [0, 3]) {
      const { found, facts } = order(home, litres * LITRE);
      expect(found.stuck).toHaveLength(1);
      const without = createMoveFacts(home, facts.tree, new Set(found.stuck.map((m) => facts.movers[m]!.lot.id)));
      expect(createMoveSearch(without, litres * LITRE, createRandom(1)).getOrder()).toMatchObject({
        stuck: [],
        aside: [],
      });
    }
  });

  it('leaves what is skipped where it is, and counts on it there', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 B1', c: 'B1 A1' });
    const facts = createMoveFacts(home, createPlaceTree(home.places), new Set(['lot-c' as LotId]));
    const found = createMoveSearch(facts, 0, createRandom(1)).getOrder();
    // B1 takes one beside what was skipped.
    expect(facts.movers.map((one) => one.lot.id)).toEqual(['lot-a', 'lot-b']);
    expect(found.trips[0]!.movers).toHaveLength(1);
  });

  it('leaves alone what is missing, lent or has no home', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 -' });
    const lost = applyChanges(home, ok(createNotFound(home, 'lot-a' as LotId, 5)).changes);
    expect(lost.ok && order(lost.value, LITRE).steps).toEqual([]);
  });

  it('needs as few trips as the best of all orders, found by trying them all', () => {
    const spots = ['A1', 'B1', 'C1'];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...spots), fc.constantFrom(...spots)), { minLength: 2, maxLength: 5 }),
        fc.constantFrom(0, 1.5, 3),
        (ways, litres) => {
          const names = ['a', 'b', 'c', 'd', 'e'];
          const fits = (which: 0 | 1) => spots.every((spot) => ways.filter((way) => way[which] === spot).length <= 2);
          fc.pre(fits(0) && fits(1));
          const home = household(3, Object.fromEntries(ways.map((way, i) => [names[i]!, way.join(' ')])));
          const { found, steps, facts } = order(home, litres * LITRE, 200);
          expect(checkList(home, steps, litres * LITRE).findings).toEqual([]);
          const fewest = findFewestTrips(facts, litres * LITRE);
          if (fewest !== null && found.aside.length === 0) expect(found.trips.length).toBe(fewest);
          // Things are only carried out of the way where no order does without.
          if (found.aside.length > 0) expect(fewest).toBeNull();
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a move list of a whole household', () => {
  it.each([
    [0.6, 1, 100],
    [0.8, 2, 100],
    [0.92, 3, 100],
    [0.92, 4, 10],
  ])(
    'filled to %f, seed %i, with a table of %i l overfills nothing at any step and ends with all at home',
    (fill, seed, litres) => {
      const home = createTurnedRound({ lots: 120, places: 30 }, fill, seed, 60_000);
      const { steps, found } = order(home, litres * LITRE, 30);
      expect(steps.length).toBeGreaterThan(20);
      const { findings, tests } = checkList(home, steps, litres * LITRE);
      expect(findings).toEqual([]);
      expect(tests).toBeGreaterThan(1000);
      expect(found.trips.length).toBeGreaterThanOrEqual(found.leastTrips);
      expect(order(home, litres * LITRE, 30).found.trips).toEqual(found.trips);
    },
  );

  it('is caught by the checker when a step comes too early', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 B1', c: 'B1 A1', d: 'B1 A1' });
    const { steps } = order(home, 3 * LITRE);
    expect(checkList(home, [steps[1]!, steps[0]!, steps[2]!], 3 * LITRE).findings).not.toEqual([]);
    expect(checkList(home, steps, 2 * LITRE).findings.map((one) => one.rule)).toContain('table');
    expect(checkList(home, steps.slice(0, 2), 3 * LITRE).findings.map((one) => one.rule)).toContain('home');
  });
});

function ok<T, F>(result: { ok: true; value: T } | { ok: false; fault: F }): T {
  if (!result.ok) throw new Error(JSON.stringify(result.fault));
  return result.value;
}

function carryOut(home: Household, step: Step, which: readonly LotId[] = step.lotIds): Household {
  return ok(applyChanges(home, ok(createStep(home, step, which, 'x', 9)).changes));
}

describe('how far one is', () => {
  const home = createTurnedRound({ lots: 36, places: 12 }, 0.8, 1, 20_000);
  const { steps } = order(home, 100 * LITRE);

  it('is read from where things are, after every step, and all is at home and in turn at the end', () => {
    let now = home;
    for (const [k, step] of steps.entries()) {
      expect(computeProgress(now, steps)).toMatchObject({ next: k, isStale: false });
      now = carryOut(now, step);
    }
    expect(computeProgress(now, steps).next).toBe(steps.length);
    for (const lot of now.lots.values()) {
      expect([lot.placeId, lot.form]).toEqual([lot.homeId, lot.homeForm]);
      expect(lot.away ?? null).toBeNull();
    }
    // What is left alone where others went keeps its number; beside others it is in its turn.
    const all = [...now.lots.values()];
    for (const lot of all)
      for (const other of all)
        if (other.placeId === lot.placeId && lot.homeOrder! < other.homeOrder!)
          expect(lot.order).toBeLessThan(other.order!);
  });

  it('goes back with an undo, and knows what is left of a step', () => {
    const step = steps.find((one) => one.lotIds.length > 1)!;
    const k = steps.indexOf(step);
    let before = home;
    for (const one of steps.slice(0, k)) before = carryOut(before, one);
    const half = carryOut(before, step, step.lotIds.slice(0, 1));
    expect(computeProgress(half, steps)).toMatchObject({ next: k, isStale: false });
    expect(computeProgress(half, steps).left[k]).toEqual(step.lotIds.slice(1));
    expect(computeProgress(before, steps)).toMatchObject({ next: k, isStale: false });
  });

  it('notices what was put where no step put it, what was done out of turn, and another home; not what is missing', () => {
    const other = carryOut(home, { ...steps[0]!, to: steps[0]!.to === 'table' ? 'aside' : 'table' });
    expect(computeProgress(other, steps).isStale).toBe(true);
    expect(computeProgress(carryOut(home, steps[3]!), steps).isStale).toBe(true);
    // Its home is elsewhere now.
    const [first] = steps[5]!.lotIds as [LotId];
    const lot = home.lots.get(first)!;
    const homeId = steps.map(({ to }) => to).find((to) => to.startsWith('u') && to !== lot.homeId) as PlaceId;
    const lots = new Map(home.lots).set(first, { ...lot, homeId });
    const replanned = { ...home, lots };
    expect(computeProgress(replanned, steps).isStale).toBe(true);
    const lost = ok(applyChanges(home, ok(createNotFound(home, steps[2]!.lotIds[0]!, 5)).changes));
    const after = computeProgress(lost, steps);
    expect(after.isStale).toBe(false);
    expect(after.left.flat()).not.toContain(steps[2]!.lotIds[0]);
  });
});

describe('the walk between the steps', () => {
  it('is no longer than before, and every place sees the same comings and goings in the same order', () => {
    for (const seed of [1, 2, 3]) {
      const household = createTurnedRound({ lots: 80, places: 16 }, 0.85, seed, 4000);
      const { facts, found, steps } = order(household, 30 * LITRE);
      expect(checkList(household, steps, 30 * LITRE).findings).toEqual([]);
      const [before, after] = [false, true].map((isShortened) => computeWalkMm(facts, found.trips, isShortened));
      expect(after).toBeLessThanOrEqual(before!);
      const way = (from: string, to: string, ids: readonly string[]) => `${from} ${to} ${ids.toSorted().join(' ')}`;
      const spot = (p: number) => (p >= 0 ? facts.places[p]!.place.id : p === -2 ? 'table' : 'away');
      const seen = (place: string, ways: readonly string[]) => ways.filter((one) => one.split(' ').includes(place));
      const given = found.trips.map(({ from, to, movers }) =>
        way(
          spot(from),
          spot(to),
          movers.map((m) => facts.movers[m]!.lot.id),
        ),
      );
      const carried = steps
        .filter((one) => one.kind !== 'order')
        .map(({ from, to, lotIds }) => way(from === 'about' || from === 'aside' ? 'away' : from, to, lotIds));
      for (const { place } of facts.places) expect(seen(place.id, carried)).toEqual(seen(place.id, given));
    }
  });

  it('goes by what is near, where the order does not matter', () => {
    // Three pairs of shelves along a wall, ways given from far to near and back.
    const places = [0, 1200, 2400].flatMap((xMm, i) => [
      ...createUnit(`a${i}`, { xMm }),
      ...createUnit(`b${i}`, { xMm: xMm + 400 }),
    ]);
    const items = [0, 1, 2].map((i) => createThing(`t${i}`));
    const lots = items.map((item, i) => createLot(item, `a${i}-A1`, { homeId: `b${i}-A1` as PlaceId }));
    const { facts, found } = order(createHousehold(places, items, lots), 0);
    const zigzag = [0, 2, 1].map((i) =>
      found.trips.find(({ movers }) => facts.movers[movers[0]!]!.lot.id === `lot-t${i}`)!,
    );
    const far = computeWalkMm(facts, zigzag, false);
    expect(computeWalkMm(facts, zigzag, true)).toBeLessThan(far * 0.9);
  });
});

describe('a block of time', () => {
  const step = (from: string, to: string, seconds: number): Step => ({
    kind: 'carry',
    lotIds: ['x' as LotId],
    forms: ['box' as StowForm],
    from: from as PlaceId,
    to: to as PlaceId,
    isWholeBin: false,
    isEmptied: false,
    massG: 1,
    seconds,
  });
  const list = [
    step('a', 'b', 60),
    step('c', 'table', 60),
    step('d', 'c', 60),
    step('table', 'd', 60),
    step('e', 'f', 60),
  ];

  it('ends where nothing is left on the table', () => {
    expect(cutBlock(list, 0, 200, 0)).toEqual({ from: 0, to: 1, seconds: 60 });
    expect(cutBlock(list, 0, 240, 0)).toEqual({ from: 0, to: 4, seconds: 240 });
    expect(cutBlock(list, 0, 1000, 0)).toEqual({ from: 0, to: 5, seconds: 300 });
  });

  it('is the shortest there is where none is short enough', () => {
    expect(cutBlock(list, 1, 60, 0)).toEqual({ from: 1, to: 4, seconds: 180 });
    expect(cutBlock(list, 3, 10, 1)).toEqual({ from: 3, to: 4, seconds: 60 });
    expect(cutBlock(list, 5, 60, 0)).toBeNull();
  });
});

describe('steps', () => {
  it('take the time of carrying, folding, walking and opening', () => {
    const home = household(2, { a: 'A1 B1', b: 'A1 B1' });
    const { estimates } = home.settings;
    const { steps } = order(home, 0);
    // Two things, both cubes at one wall; the hand kneels at both.
    const walked = steps[0]!.seconds - 2 * estimates.carrySeconds - 2 * estimates.kneelSeconds;
    expect(walked).toBeGreaterThan(0);
    expect(walked).toBeLessThan(4 * estimates.walkSecondsPerM);
  });

  it('put in order what stands in another turn than it should, where nothing comes or goes', () => {
    const { household: sample } = createSampleHousehold(1, 20);
    const lots = new Map(
      [...sample.lots].map(([id, lot]) => [
        id,
        lot.placeId
          ? { ...lot, homeId: lot.placeId, homeForm: lot.form, homeOrder: 1000 - lot.order }
          : { ...lot, homeId: undefined },
      ]),
    );
    const { steps } = order({ ...sample, lots }, 0);
    expect(steps.length).toBeGreaterThan(0);
    expect(new Set(steps.map((step) => step.kind))).toEqual(new Set(['order']));
    let now: Household = { ...sample, lots };
    for (const step of steps) now = carryOut(now, step);
    expect(computeProgress(now, steps).next).toBe(steps.length);
  });

  it('carry a whole bin where all of it goes into an empty one of the same kind', () => {
    const places = createUnit('cube', { columns: 2, widthMm: 748 });
    const bin = (parent: string): Place => ({
      id: `bin-${parent}` as PlaceId,
      parentId: `cube-${parent}` as PlaceId,
      level: 'container',
      name: `Bin ${parent}`,
      order: 0,
      container: {
        kind: 'bin',
        outerWidthMm: 300,
        outerDepthMm: 300,
        outerHeightMm: 200,
        wallMm: 2,
        mode: 'volume',
        tareG: 500,
        loadG: 9000,
        hasLid: false,
        isSeeThrough: false,
      } as Place['container'],
    });
    const items = [createThing('a'), createThing('b')];
    const lots = items.map((item) => createLot(item, 'bin-A1', { homeId: 'bin-B1' as PlaceId }));
    const home = createHousehold([...places, bin('A1'), bin('B1')], items, lots);
    expect(order(home, 0).steps).toMatchObject([{ isWholeBin: true, isEmptied: true, lotIds: ['lot-a', 'lot-b'] }]);
  });
});
