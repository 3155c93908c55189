import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom, pick } from '../../core/random/index.ts';
import type { Household } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, getPlaceOf, getWayOf, listOptions, type Facts } from '../model/index.ts';
import { constructByGroup } from '../search/index.ts';
import { Batch, State } from './index.ts';

/** Some places cost something to be used at all. */
const opening = (facts: Facts) => Float64Array.from(facts.places, (_, p) => 40 * (p % 3));

/** With the places that there would be if bins stood otherwise. */
const createOpenFacts = (household: Household) => createFacts(household, { isOpen: true, berths: household.places });

/** The sample with a few things that must not be together, in a house with children and a cat. */
function createStrict(seed: number): Household {
  const { household } = createSampleHousehold(seed, 60);
  const ids = [...household.lots.keys()];
  const wishes = [{ id: 'w', kind: 'apart' as const, lotIds: ids.slice(0, 20), groupIds: [], placeId: undefined }];
  return { ...household, settings: { ...household.settings, hasChildren: true, hasPets: true, wishes } };
}

describe('a price looked up before the move', () => {
  it('is what the move then costs, and Infinity exactly where it cannot be made', () => {
    const seen = { moves: 0, exchanges: 0, insertions: 0, refused: 0 };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1000 }), (seed) => {
        const facts = createOpenFacts(createStrict(seed));
        const random = createRandom(seed);
        const state = new State(facts, opening(facts));
        const all = facts.lots.map((_, l) => listOptions(facts, l));
        for (let step = 0; step < 1500; step += 1) {
          const a = Math.floor(random() * facts.lots.length);
          if (all[a]!.length === 0) continue;
          const option = pick(random, all[a]!);
          const to = option % facts.places.length;
          const before = state.price;
          if (state.getPlace(a) === -1) {
            const told = state.priceInsert(a, option);
            expect(told < Infinity).toBe(state.canInsert(option));
            if (told === Infinity) continue;
            state.insert(a, option);
            expect(state.price - before).toBeCloseTo(told, 5);
            seen.insertions += 1;
            continue;
          }
          if (state.getPlace(a) === to) continue;
          const old = state.option[a]!;
          const others = facts.lots.flatMap((_, l) => (state.getPlace(l) === to ? [l] : []));
          if (random() < 0.5 || others.length === 0) {
            const told = state.priceMove(a, getWayOf(facts, option), to);
            state.remove(a);
            expect(told < Infinity).toBe(state.canInsert(option));
            state.insert(a, told < Infinity ? option : old);
            expect(state.price - before).toBeCloseTo(told < Infinity ? told : 0, 5);
            seen.moves += Number(told < Infinity);
            seen.refused += Number(told === Infinity);
            continue;
          }
          const b = pick(random, others);
          const backs = all[b]!.filter((one) => one % facts.places.length === old % facts.places.length);
          if (backs.length === 0) continue;
          const back = pick(random, backs);
          const bOld = state.option[b]!;
          const told = state.priceExchange(a, getWayOf(facts, option), b, getWayOf(facts, back));
          state.remove(a);
          state.remove(b);
          let isDone = state.canInsert(option);
          if (isDone) {
            state.insert(a, option);
            isDone = state.canInsert(back);
            if (!isDone) state.remove(a);
          }
          expect(told < Infinity).toBe(isDone);
          if (isDone) state.insert(b, back);
          else {
            state.insert(a, old);
            state.insert(b, bOld);
          }
          expect(state.price - before).toBeCloseTo(isDone ? told : 0, 5);
          seen.exchanges += Number(isDone);
        }
      }),
      { numRuns: 12 },
    );
    for (const count of Object.values(seen)) expect(count).toBeGreaterThan(100);
  });
});

/** All kin of a lot in its place, with ways to be in another; null where one has none. */
function gather(facts: Facts, state: State, lot: number, to: number): Batch | null {
  const batch = new Batch(64);
  for (let l = 0; l < facts.lots.length; l += 1) {
    if (facts.groupOf[l] !== facts.groupOf[lot] || state.getPlace(l) !== state.getPlace(lot)) continue;
    const option = listOptions(facts, l).find((one) => getPlaceOf(facts, one) === to);
    if (option === undefined) return null;
    batch.add(l, getWayOf(facts, option));
  }
  return batch;
}

describe('a price of kin', () => {
  it('is what moving them together, or changing them for others, then costs', () => {
    const seen = { moves: 0, exchanges: 0 };
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const facts = createOpenFacts(createSampleHousehold(seed, 80).household);
      const random = createRandom(seed);
      const state = new State(facts, opening(facts));
      constructByGroup(state);
      const put = (batch: Batch, to: number) => {
        for (let i = 0; i < batch.n; i += 1) state.insert(batch.lots[i]!, batch.ways[i]! * facts.places.length + to);
      };
      const take = (batch: Batch) => {
        for (let i = 0; i < batch.n; i += 1) state.remove(batch.lots[i]!);
      };
      for (let step = 0; step < 1200; step += 1) {
        const a = Math.floor(random() * facts.lots.length);
        const b = Math.floor(random() * facts.lots.length);
        const [from, to] = [state.getPlace(a), state.getPlace(b)];
        if (from < 0 || to < 0 || from === to) continue;
        const kin = gather(facts, state, a, to);
        if (!kin) continue;
        const before = state.price;
        const others = gather(facts, state, b, from);
        if (random() < 0.5 || !others || facts.groupOf[a] === facts.groupOf[b]) {
          const told = state.priceKin(kin, to);
          if (told === Infinity) continue;
          take(kin);
          put(kin, to);
          expect(state.price - before).toBeCloseTo(told, 5);
          seen.moves += 1;
        } else {
          const told = state.priceExchangeKin(kin, others);
          if (told === Infinity) continue;
          take(kin);
          take(others);
          put(kin, to);
          put(others, from);
          expect(state.price - before).toBeCloseTo(told, 5);
          seen.exchanges += 1;
        }
        for (const [p, place] of facts.places.entries()) {
          expect(state.fill[p]!).toBeLessThanOrEqual(1 + 1e-6);
          expect(state.massG[p]!).toBeLessThanOrEqual(place.traits.loadG + 1e-6);
        }
      }
    }
    expect(seen.moves).toBeGreaterThan(100);
    expect(seen.exchanges).toBeGreaterThan(20);
  });
});
