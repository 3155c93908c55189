import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { packPlace } from '../../core/packing/index.ts';
import { createFacts } from '../model/index.ts';
import { describeAt, describePresent, recount } from '../score/index.ts';
import { computeHomes } from './homes.ts';
import { computeGroupVerdicts, computeVerdicts } from './verdicts.ts';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import { createMoveTogether } from '../../core/acts/index.ts';
import { applyChanges } from '../../core/daybook/fold.ts';

const { household } = createSampleHousehold();
const facts = createFacts(household);
const offered = describePresent(facts);
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
    const is = describePresent(asked);
    const lot = is.findIndex((one) => one !== null && one.place !== 0);
    expect(computeVerdicts(asked, is, lot)[0]).toMatchObject({ isGood: false, code: 'free' });
  });
});

describe('the verdict on every place for a whole group', () => {
  it('agrees with a recount of the household with the group moved by the act, and with packing', () => {
    const base = recount(facts, offered).seconds;
    let good = 0;
    for (const [g, group] of facts.groups.entries()) {
      if (group.lots.length < 2 || group.lots.length > 12) continue;
      const lots = facts.lots.flatMap((_, l) => (facts.groupOf[l] === g ? [l] : []));
      const verdicts = computeGroupVerdicts(facts, offered, lots);
      expect(verdicts).toHaveLength(facts.places.length);
      for (const verdict of verdicts) {
        if (!verdict.isGood) continue;
        good += 1;
        const act = createMoveTogether(household, verdict.forms, verdict.placeId, 'them', 0);
        if (!act.ok) throw new Error(act.fault.code);
        const after = applyChanges(household, act.value.changes);
        if (!after.ok) throw new Error('conflict');
        // Of those that were out or elsewhere the carrying counts, from where they are now.
        const p = facts.places.findIndex(({ place }) => place.id === verdict.placeId);
        const moved = [...offered];
        for (const [id, form] of verdict.forms) {
          const l = facts.lots.findIndex((lot) => lot.id === id);
          expect(after.value.lots.get(id)).toMatchObject({ placeId: verdict.placeId, homeId: verdict.placeId, form });
          moved[l] = facts.describe(
            l,
            p,
            facts.packages[l]!.find((pkg) => pkg.form === form)!,
          );
        }
        expect(verdict.moreSeconds).toBeCloseTo(recount(facts, moved).seconds - base, 9);
        const inside = moved.flatMap((one) => (one?.place === p ? [one.pkg] : []));
        expect(packPlace(inside, facts.places[p]!.space).status).toBe('packed');
      }
    }
    expect(good).toBeGreaterThan(20);
  });

  it('names the one that may not go, and how much all of them would take', () => {
    // Piles of 32 mm: six here and five there are 352 mm of 350; alone the five take 160 of them.
    const cloths = Array.from({ length: 11 }, (_, i) =>
      createCloth(`c${i}`, { fabric: { ...createCloth('x').fabric!, fibre: i < 6 ? 'linen' : 'wool' } }),
    );
    const small = createHousehold(
      [...createUnit('cube', {}), ...createUnit('other', { xMm: 1000 })],
      cloths,
      cloths.map((cloth, i) => createLot(cloth, i < 6 ? 'cube-A1' : 'other-A1')),
    );
    const own = createFacts(small);
    const is = describeAt(own, (lot) => lot.placeId);
    const wool = own.lots.flatMap((_, l) => (own.items[l]!.fabric!.fibre === 'wool' ? [l] : []));
    const [cube, other] = computeGroupVerdicts(own, is, wool);
    expect(other).toMatchObject({ isGood: false, code: 'here' });
    expect(cube).toMatchObject({ isGood: false, code: 'full' });
    if (!cube || cube.isGood) throw new Error('it does not go in');
    expect(cube.needed).toBeCloseTo(160 / 350, 9);
    expect(cube.available).toBeCloseTo(1 - 192 / 350, 9);
    const free = computeGroupVerdicts(own, is, wool.slice(1));
    expect(free[0]).toMatchObject({ isGood: true });
  });
});
