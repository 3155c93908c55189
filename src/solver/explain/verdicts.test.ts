import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { packPlace } from '../../core/packing/index.ts';
import { createFacts } from '../model/index.ts';
import { describePresent, recount } from '../score/index.ts';
import { computeHomes } from './homes.ts';
import { computeVerdicts } from './verdicts.ts';

const { household } = createSampleHousehold();
const facts = createFacts(household);
const offered = describePresent(facts, (lot) => lot.placeId ?? lot.homeId);
const find = (name: string) => facts.items.findIndex((item, l) => item.name === name && offered[l] !== null);

describe('the verdict on every place', () => {
  it('agrees with the homes that are proposed, and with a recount of the household with the lot moved', () => {
    for (const lot of [3, 50, 120, 200]) {
      const verdicts = computeVerdicts(facts, offered, lot);
      expect(verdicts).toHaveLength(facts.places.length);
      for (const home of computeHomes(facts, offered, lot, 3)) {
        const verdict = verdicts.find((one) => one.placeId === home.placeId);
        if (!verdict?.isGood) throw new Error(`${home.placeId} is no home`);
        expect(verdict.moreSeconds).toBeLessThanOrEqual(home.moreSeconds + 1e-9);
      }
      const base = recount(facts, offered).seconds;
      for (const verdict of verdicts) {
        const p = facts.places.findIndex(({ place }) => place.id === verdict.placeId);
        if (!verdict.isGood) continue;
        const pkg = facts.packages[lot]!.find((one) => one.form === verdict.form)!;
        const moved = offered.with(lot, facts.describe(lot, p, pkg));
        expect(verdict.moreSeconds).toBeCloseTo(recount(facts, moved).seconds - base, 9);
        const inside = moved.flatMap((one) => (one?.place === p ? [one.pkg] : []));
        expect(packPlace(inside, facts.places[p]!.space).status).toBe('packed');
      }
    }
  });

  it('names the rule and the missing measure where it cannot be', () => {
    const ruler = find('Strip ruler');
    const verdicts = computeVerdicts(facts, offered, ruler);
    const codes = new Set(verdicts.flatMap((one) => (one.isGood ? [] : [one.code])));
    expect(codes).toContain('here');
    expect(verdicts.filter((one) => !one.isGood && one.code === 'here')).toHaveLength(1);
    const long = verdicts.find((one) => !one.isGood && one.code === 'too-long');
    if (!long || long.isGood) throw new Error('nothing is too short for it');
    expect(long.needed).toBeGreaterThan(long.available);
  });

  it('keeps to what was asked', () => {
    const free = facts.places[0]!.place.id;
    const wishes = [{ id: 'w', kind: 'free', lotIds: [], groupIds: [], placeId: free } as const];
    const asked = createFacts({
      ...household,
      settings: { ...household.settings, wishes: [...wishes].map((one) => ({ ...one, lotIds: [], groupIds: [] })) },
    });
    const is = describePresent(asked, (lot) => lot.placeId ?? lot.homeId);
    const lot = is.findIndex((one) => one !== null && one.place !== 0);
    expect(computeVerdicts(asked, is, lot)[0]).toMatchObject({ isGood: false, code: 'free' });
  });
});
