import { describe, expect, it } from 'vitest';
import { createInstance } from '../../../tests/instances.ts';
import { solveExactly } from '../../../tests/milp.ts';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, listOptions, type Facts } from '../model/index.ts';
import { State } from '../score/index.ts';
import { Annealer, constructByGroup } from '../search/index.ts';
import { createRandom } from '../../core/random/index.ts';
import { Bound } from './bound.ts';

function search(facts: Facts, steps: number): number {
  const state = new State(facts);
  constructByGroup(state);
  const annealer = new Annealer(state, createRandom(1));
  while (annealer.steps < steps) {
    if (annealer.isRoundOver) annealer.startRound(null);
    annealer.advance(steps);
  }
  return annealer.bestPrice;
}

function bound(facts: Facts, known: number, steps: number): number {
  const lower = new Bound(facts, known);
  for (let i = 0; i < steps; i += 1) lower.advance();
  return lower.best;
}

describe('the lower bound', () => {
  it('is the price itself where there is nothing to choose', () => {
    // One piece of cloth and one compartment: it goes there, or has no home.
    const cloth = createCloth('a');
    const facts = createFacts(createHousehold(createUnit('cube', {}), [cloth], [createLot(cloth)]));
    const state = new State(facts);
    state.insert(0, listOptions(facts, 0)[0]!);
    expect(bound(facts, state.price, 40)).toBeCloseTo(state.price, 3);
  });

  it('counts what cannot be housed at all', () => {
    const tool = createThing('tool', {
      box: {
        type: 'cutting',
        widthMm: 900,
        depthMm: 900,
        heightMm: 900,
        massG: 200,
        isSoft: false,
        hangHoleMm: undefined,
      },
    });
    const facts = createFacts(createHousehold(createUnit('cube', {}), [tool], [createLot(tool)]));
    const { price } = new State(facts);
    expect(bound(facts, price, 5)).toBeCloseTo(price, 3);
  });

  it('is under the proven optimum, which is under what the search finds', async () => {
    const gaps: number[] = [];
    for (const seed of [1, 2, 3, 4]) {
      const facts = createFacts(createInstance(14, 6, seed % 2 === 0 ? 0.6 : 0.8, seed));
      const exact = await solveExactly(facts, 30);
      expect(exact.status).toBe('Optimal');
      const found = search(facts, 60_000);
      const lower = bound(facts, found, 150);
      // The programme's tangents lie a little under the parabola of crowding.
      expect(lower).toBeLessThanOrEqual(exact.bound + 0.5);
      expect(exact.bound).toBeLessThanOrEqual(found + 1e-3);
      expect(found).toBeLessThan(exact.bound * 1.002 + 0.5);
      gaps.push(1 - lower / found);
    }
    for (const gap of gaps) expect(gap).toBeLessThan(0.35);
  });

  it('holds for everything that the search finds, piles, hooks, cautions and wishes included', () => {
    for (const seed of [1, 2]) {
      const { household } = createSampleHousehold(seed, 80);
      const lots = [...household.lots.values()];
      const wish = {
        id: 'w',
        kind: 'apart' as const,
        lotIds: [lots[0]!.id, lots[1]!.id],
        groupIds: [],
        placeId: undefined,
      };
      const settings = { ...household.settings, hasPets: true, hasChildren: true, wishes: [wish] };
      const facts = createFacts({ ...household, settings });
      const found = search(facts, 80_000);
      const lower = bound(facts, found, 60);
      expect(lower).toBeLessThanOrEqual(found);
      expect(lower).toBeGreaterThan(0.3 * found);
    }
  });
});
