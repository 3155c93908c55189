import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createInstance } from '../../../tests/instances.ts';
import type { Household } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { findHardFault } from '../constraints/index.ts';
import { computeDigging, countCautions, createFacts, getShare, isAllowed, listOptions } from './index.ts';

/** Every way in every place, asked of the rules themselves: the slow twin of the tables. */
function compareWithRules(household: Household): number {
  const facts = createFacts(household);
  let compared = 0;
  for (let l = 0; l < facts.lots.length; l += 1) {
    const options = new Set(listOptions(facts, l));
    for (const [i, pkg] of facts.packages[l]!.entries())
      for (const [p, { space, traits }] of facts.places.entries()) {
        const way = facts.wayStart[l]! + i;
        const wish = facts.wishes.forbid(l, p);
        const fault = findHardFault({ item: facts.items[l]!, pkg, space, traits, settings: facts.settings, wish });
        expect(isAllowed(facts, way, p)).toBe(fault === null);
        const option = way * facts.places.length + p;
        expect(options.has(option)).toBe(fault === null);
        if (fault) continue;
        const one = facts.describe(l, p, pkg)!;
        expect(getShare(facts, option)).toBe(one.share);
        expect(countCautions(facts, option)).toBe(one.cautions);
        expect(facts.wears[facts.careOf[way]! * facts.traitCount + facts.traitOf[p]!]).toBe(one.wear + one.holding);
        compared += 1;
      }
  }
  return compared;
}

describe('the tables of ways and places', () => {
  it('say what the rules say, of every way in every place', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1000 }), fc.boolean(), fc.boolean(), (seed, hasChildren, hasPets) => {
        const { household } = createSampleHousehold(seed, 40);
        const settings = { ...household.settings, hasChildren, hasPets };
        expect(compareWithRules({ ...household, settings })).toBeGreaterThan(100);
      }),
      { numRuns: 6 },
    );
  });

  it('keep wishes of lots and places', () => {
    const { household } = createSampleHousehold(3, 60);
    const lots = [...household.lots.values()].filter((lot) => lot.placeId);
    const base = { lotIds: [], groupIds: [], placeId: undefined };
    const wishes = [
      { ...base, id: 'a', kind: 'free' as const, placeId: lots[0]!.placeId },
      { ...base, id: 'b', kind: 'notIn' as const, lotIds: [lots[1]!.id], placeId: lots[2]!.placeId },
    ];
    compareWithRules({ ...household, settings: { ...household.settings, wishes } });
    // What stays keeps its form too, which no single rule knows.
    const stays = [{ ...base, id: 'c', kind: 'stays' as const, lotIds: [lots[3]!.id] }];
    const facts = createFacts({ ...household, settings: { ...household.settings, wishes: stays } });
    const l = facts.lots.findIndex((lot) => lot.id === lots[3]!.id);
    for (const option of listOptions(facts, l))
      expect(facts.places[option % facts.places.length]!.place.id).toBe(lots[3]!.placeId);
  });

  it('are small where places are alike', () => {
    const facts = createFacts(createInstance(120, 30, 0.8, 1));
    expect(facts.spaceCount).toBeLessThan(8);
    expect(facts.patternCount).toBeLessThan(12);
  });
});

describe('digging', () => {
  it('is none for a single layer, all of it three layers deep, and half in between', () => {
    // In a drawer 200 mm high a quarter full is 50 mm, half full 100, three quarters 150.
    expect([0, 0.1, 0.25, 0.5, 0.75, 1].map((fill) => computeDigging({ heightMm: 200 }, fill))).toEqual([
      0, 0, 0, 0.5, 1, 1,
    ]);
    expect(computeDigging({ heightMm: 40 }, 1)).toBe(0);
  });
});
