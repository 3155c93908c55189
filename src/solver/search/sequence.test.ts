import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createPattern, createUnit } from '../../../tests/household.ts';
import { checkPlan } from '../../check/index.ts';
import { shuffle, createRandom } from '../../core/random/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, getPlaceOf, listOptions } from '../model/index.ts';
import { describeAt, recount, State } from '../score/index.ts';
import { createRun } from '../solve.ts';
import { PackingCache } from './repair.ts';
import { putInSequence } from './sequence.ts';

// Three cubbies beside each other; forty envelopes of 5 mm in each, their numbers all mixed up.
const places = createUnit('cubes', { widthMm: 1114, columns: 3 });
const slots = places.flatMap((place) => (place.slot ? [place.id] : []));
const numbers = shuffle(
  createRandom(4),
  Array.from({ length: 120 }, (_, i) => 130 + i),
);
const patterns = numbers.map((number) => createPattern(`p${number}`, number));
const household = createHousehold(
  places,
  patterns,
  patterns.map((pattern, i) => createLot(pattern, slots[i % 3]!)),
);

describe('a run of numbers over several places', () => {
  const facts = createFacts(household);
  const state = new State(facts);
  for (let l = 0; l < facts.lots.length; l += 1)
    state.insert(
      l,
      listOptions(facts, l).find((option) => getPlaceOf(facts, option) === facts.present[l])!,
    );
  const changed = putInSequence(state, new PackingCache(facts));

  it('goes on from place to place, over the bounds of its hundreds', () => {
    expect(changed).toBe(1);
    const at = facts.lots.map((_, l) => state.getPlace(l));
    expect(at).toEqual(at.toSorted((a, b) => a - b));
    // Forty in each, as before.
    expect(at.filter((p) => p === at[0])).toHaveLength(40);
    const sorted = facts.items.map((item) => item.pattern!.number);
    expect(sorted).toEqual(sorted.toSorted((a, b) => a - b));
  });

  it('is priced like a recount', () => {
    const moved = { ...household, lots: new Map(household.lots) };
    for (const [l, lot] of facts.lots.entries())
      moved.lots.set(lot.id, { ...lot, placeId: facts.places[state.getPlace(l)]!.place.id });
    const again = recount(
      facts,
      describeAt(facts, (lot) => moved.lots.get(lot.id)!.placeId),
    );
    expect(state.seconds).toBeCloseTo(again.seconds, 6);
  });

  it.each([1, 2])('leaves the daily one, number %i of two, where it is at hand', (daily) => {
    const wanted = [1, 2].map((n) => createPattern(`w${n}`, n, { usesPerMonth: n === daily ? 200 : 0.01 }));
    const split = createHousehold(
      [...createUnit('far', { xMm: 3000 }), ...createUnit('near', { xMm: 1800, yMm: 700 })],
      wanted,
      wanted.map((pattern) => createLot(pattern)),
    );
    const own = createFacts(split);
    const fetch = (p: number) => own.fetches[own.fetchRowOf[0]! * own.places.length + p]!;
    const [near, far] = fetch(0) < fetch(1) ? [0, 1] : [1, 0];
    const mixed = new State(own);
    for (const [l, item] of own.items.entries()) {
      const p = item.pattern!.number === daily ? near : far;
      mixed.insert(
        l,
        listOptions(own, l).find((option) => getPlaceOf(own, option) === p)!,
      );
    }
    // With one of the two numbers it is out of order, and would stand at the far end if it were in order.
    putInSequence(mixed, new PackingCache(own));
    expect(mixed.getPlace(daily - 1)).toBe(near);
  });
});

describe('a plan of the sample', () => {
  it('has its patterns in one sequence where that fits, and passes the checker', () => {
    const { household: loft } = createSampleHousehold(6, 640);
    const run = createRun(loft, 1);
    run.advance(60_000);
    const solution = run.getSolution();
    expect(checkPlan(loft, solution, solution.spots).findings).toEqual([]);
  });
});
