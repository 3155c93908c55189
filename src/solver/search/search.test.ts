import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createRandom } from '../../core/random/index.ts';
import type { Item, PlaceId } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, getOptionPackage, getPlaceOf, getWayOf, listOptions, type Offered } from '../model/index.ts';
import { recount, State } from '../score/index.ts';
import {
  Annealer,
  constructByGroup,
  constructFirstFit,
  constructFromPresent,
  PackingCache,
  repairPacking,
} from './index.ts';

const { household: loft } = createSampleHousehold(2, 100);
const sample = createFacts(loft, { isOpen: true, berths: loft.places });

/** Nothing is over its cap, its load or in a place that its options do not name, and no container stands in two spots. */
function expectFeasible(state: State): void {
  const { facts } = state;
  for (const [p, place] of facts.places.entries()) {
    expect(state.fill[p]!).toBeLessThanOrEqual(state.cap[p]! + 1e-6);
    expect(state.massG[p]!).toBeLessThanOrEqual(place.traits.loadG + 1e-6);
  }
  const used = [...new Set(facts.lots.flatMap((_, l) => (state.option[l] === -1 ? [] : [state.getPlace(l)])))];
  const standing = new Map<number, number>();
  for (const p of used) {
    const { slot, standing: mine } = facts.places[p]!;
    expect(standing.get(slot) ?? mine).toBe(mine);
    standing.set(slot, mine);
  }
  for (const [kind, count] of facts.kindCounts.entries())
    expect(used.filter((p) => facts.places[p]!.kind === kind).length).toBeLessThanOrEqual(count);
  for (let l = 0; l < facts.lots.length; l += 1) {
    const option = state.option[l]!;
    if (option === -1) continue;
    expect(facts.wayLot[getWayOf(facts, option)]).toBe(l);
    expect(listOptions(facts, l)).toContain(option);
  }
}
function recountState(state: State) {
  const { facts } = state;
  return recount(
    facts,
    facts.lots.map((_, l): Offered | null => {
      const o = state.option[l]!;
      return o === -1 ? null : facts.describe(l, getPlaceOf(facts, o), getOptionPackage(facts, l, o));
    }),
  );
}

describe('construction', () => {
  it.each([
    ['by group', constructByGroup],
    ['first fit', constructFirstFit],
    ['from the present', constructFromPresent],
  ] as const)('%s keeps the rules and counts right', (_, construct) => {
    const state = new State(sample);
    construct(state);
    expectFeasible(state);
    expect(state.seconds).toBeCloseTo(recountState(state).seconds, 5);
  });

  it('by group is cheaper than first fit', () => {
    const [ours, peer] = [new State(sample), new State(sample)];
    constructByGroup(ours);
    constructFirstFit(peer);
    expect(ours.price).toBeLessThan(peer.price);
  });

  it('from the present leaves things where they are', () => {
    const tool = createThing('tool');
    const places = createUnit('cube', { columns: 2, widthMm: 748 });
    const facts = createFacts(createHousehold(places, [tool], [createLot(tool, 'cube-B1')]));
    const state = new State(facts);
    constructFromPresent(state);
    expect(facts.places[state.getPlace(0)]!.place.id).toBe('cube-B1');
  });
});

describe('annealing', () => {
  it('never forgets its best, and its state is true at every step', () => {
    const state = new State(sample);
    constructByGroup(state);
    const annealer = new Annealer(state, createRandom(1));
    let best = annealer.bestPrice;
    for (let round = 0; round < 12; round += 1) {
      annealer.advance(500);
      expect(annealer.bestPrice).toBeLessThanOrEqual(best);
      best = annealer.bestPrice;
      expectFeasible(state);
      expect(state.seconds).toBeCloseTo(recountState(state).seconds, 4);
    }
    const kept = new State(sample);
    kept.load(annealer.best);
    expect(kept.price).toBeCloseTo(best, 4);
  });

  it('takes steps even when there is nothing to move', () => {
    const facts = createFacts(createHousehold([], [], []));
    const annealer = new Annealer(new State(facts), createRandom(1));
    annealer.advance(100);
    expect(annealer.steps).toBe(100);
  });

  it('finds the better of two places for one thing', () => {
    // Cutting stands at x 2000; the near cube is in front of it, the far one in the corner.
    const tool = createThing('tool', { usesPerMonth: 30 });
    const near = createUnit('near', { xMm: 1800 });
    const far = createUnit('far', { xMm: 0 });
    const facts = createFacts(createHousehold([...far, ...near], [tool], [createLot(tool, 'far-A1')]));
    const state = new State(facts);
    constructFromPresent(state);
    const annealer = new Annealer(state, createRandom(4));
    annealer.advance(2000);
    state.load(annealer.best);
    expect(facts.places[state.getPlace(0)]!.place.id).toBe('near-A1');
  });
});

describe('repair', () => {
  it('puts out what does not pack, and into another place what does', () => {
    // Three stacks of 300 mm in one cube 350 wide and 350 high: 2.1 m each is 32 mm high, so all pile up;
    // but a box beside them does not go in; it is forced.
    const cloths = ['a', 'b', 'c'].map((id) => createCloth(id));
    const box = createThing('box', {
      box: { type: 'cutting', widthMm: 60, depthMm: 60, heightMm: 60, massG: 10, isSoft: false, hangHoleMm: undefined },
    });
    const items: Item[] = [...cloths, box];
    const places = createUnit('cube', { columns: 2, widthMm: 748 });
    const facts = createFacts(
      createHousehold(
        places,
        items,
        items.map((item) => createLot(item)),
      ),
    );
    const state = new State(facts);
    const cube = facts.places.findIndex((one) => one.place.id === ('cube-A1' as PlaceId));
    for (let l = 0; l < facts.lots.length; l += 1) {
      const o = listOptions(facts, l).find((one) => getPlaceOf(facts, one) === cube)!;
      // By its share the box had room too, but a pile stands on nearly all of the shelf.
      expect(state.canInsert(o)).toBe(facts.items[l] !== box);
      state.insert(l, o);
    }
    const burst = repairPacking(state, new PackingCache(facts));
    expect(burst).toEqual([cube]);
    // Everything still has a home: one of the two cubes.
    for (let l = 0; l < facts.lots.length; l += 1) expect(state.getPlace(l)).toBeGreaterThanOrEqual(0);
    expect(state.seconds).toBeCloseTo(recountState(state).seconds, 6);
    expect(repairPacking(state, new PackingCache(facts))).toEqual([]);
  });

  it('changes nothing of what packs', () => {
    const state = new State(sample);
    constructByGroup(state);
    repairPacking(state, new PackingCache(sample));
    const before = state.option.slice();
    expect(repairPacking(state, new PackingCache(sample))).toEqual([]);
    expect(state.option).toEqual(before);
  });
});
