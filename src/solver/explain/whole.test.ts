import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Estimates } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, getOptionPackage, getPlaceOf, listOptions } from '../model/index.ts';
import { describeAt, describePresent, recount } from '../score/index.ts';
import { hasRoom } from './homes.ts';
import { createShifts } from './shifts.ts';
import { computeEstimateParts, explainGroup, explainPlace, scoreWith } from './index.ts';

const { household } = createSampleHousehold(3, 80);
const facts = createFacts(household);
const offered = describePresent(facts);
const base = recount(facts, offered).seconds;

describe('a shift of one lot', () => {
  it('costs what counting everything anew says, in any place, and in none', () => {
    const shifts = createShifts(facts, offered);
    for (let l = 0; l < facts.lots.length; l += 3) {
      expect(shifts.price(l, null)).toBeCloseTo(recount(facts, offered.with(l, null)).seconds - base, 6);
      for (const o of listOptions(facts, l).filter((_, i) => i % 5 === 0)) {
        const other = facts.describe(l, getPlaceOf(facts, o), getOptionPackage(facts, l, o));
        expect(shifts.price(l, other)).toBeCloseTo(recount(facts, offered.with(l, other)).seconds - base, 6);
      }
    }
  });
});

describe('what each estimate makes of the minutes', () => {
  it('makes the whole together', () => {
    const parts = computeEstimateParts(facts, offered);
    expect(Object.values(parts).reduce((sum, one) => sum + one, 0)).toBeCloseTo(base, 6);
    expect(Object.values(parts).filter((one) => one > 0).length).toBeGreaterThan(8);
  });

  it('says beforehand what the household costs once they are changed', () => {
    const estimates: Estimates = {
      ...household.settings.estimates,
      walkSecondsPerM: 2,
      lidSeconds: 9,
      splitRoomSeconds: 40,
      hiddenSeconds: 0,
    };
    const changed = createFacts({ ...household, settings: { ...household.settings, estimates } });
    const after = recount(changed, describePresent(changed)).seconds;
    expect(scoreWith(facts, offered, estimates)).toBeCloseTo(after, 6);
    expect(after).not.toBeCloseTo(base, 0);
  });
});

describe('why a whole group is where it is', () => {
  const [a, b] = [createThing('a'), createThing('b')];
  const places = createUnit('cube', { columns: 3, widthMm: 1122 });

  const explain = (homes: readonly (string | null)[]) => {
    const lots = [createLot(a, homes[0] as string), createLot(b, homes[1] as string)];
    const known = createFacts(createHousehold(places, [a, b], lots));
    return explainGroup(
      known,
      describeAt(known, (lot) => lot.placeId),
      known.groups[0]!.id,
    );
  };

  it('is together in one place, and another would do as well or cost so much more', () => {
    const reasons = explain(['cube-A1', 'cube-A1']);
    expect(reasons[0]).toEqual({ code: 'together', placeId: 'cube-A1' });
    expect(reasons.at(-1)).toMatchObject({ code: 'elsewhere' });
  });

  it('costs a look in the wrong place where it is split', () => {
    const reasons = explain(['cube-A1', 'cube-B1']);
    const uses = 2 * Math.max(0.1, a.usesPerMonth);
    expect(reasons[0]).toEqual({
      code: 'spread',
      places: 2,
      units: 1,
      rooms: 1,
      // In half of the fetches the wrong one comes first; and a place more to keep in mind.
      seconds: (uses * 1.5) / 2 + 12,
    });
    const best = reasons.at(-1)!;
    expect(best.code === 'elsewhere' && best.moreSeconds).toBeLessThan(0);
  });

  it('counts what has no home', () => {
    expect(explain(['cube-A1', null]).find((reason) => reason.code === 'homeless')).toMatchObject({ count: 1 });
  });

  it('has nothing to say of a group that is no more', () => {
    expect(explainGroup(facts, offered, 'no-such-group')).toEqual([]);
  });

  it('names the place that comes nearest where none takes all of it', () => {
    for (const group of facts.groups) {
      const last = explainGroup(facts, offered, group.id).at(-1)!;
      expect(['elsewhere', 'nowhere']).toContain(last.code);
      if (last.code === 'nowhere' && last.bar === 'full') expect(last.needed).toBeGreaterThan(0);
    }
  });
});

describe('why a place holds what it holds', () => {
  it('names the change of one thing that saves most, by trying every one', () => {
    let compared = 0;
    for (const { place } of facts.places.filter((_, i) => i % 4 === 0)) {
      const p = facts.places.findIndex((one) => one.place.id === place.id);
      let most = 0;
      for (const [l, one] of offered.entries()) {
        if (one?.place === p) continue;
        for (const o of listOptions(facts, l).filter((option) => getPlaceOf(facts, option) === p)) {
          const other = facts.describe(l, p, getOptionPackage(facts, l, o));
          const saves = base - recount(facts, offered.with(l, other)).seconds;
          if (saves > most && hasRoom(facts, offered, l, o)) most = saves;
        }
      }
      const come = explainPlace(facts, offered, place.id).find((reason) => reason.code === 'come');
      if (most >= 3) expect(come!.saves).toBeCloseTo(most, 6);
      else expect(come).toBeUndefined();
      compared += Number(most >= 3);
    }
    expect(compared).toBeGreaterThan(0);
  });

  it('counts its groups, the largest first, and says when it is empty', () => {
    for (const [p, { place }] of facts.places.entries()) {
      const inside = offered.filter((one) => one?.place === p);
      const [first] = explainPlace(facts, offered, place.id);
      if (inside.length === 0) expect(first).toEqual({ code: 'empty' });
      else {
        if (first?.code !== 'holds') throw new Error('It holds something.');
        const counts = first.groups.map(({ count }) => count);
        expect(counts.reduce((sum, one) => sum + one, 0)).toBe(inside.length);
        expect(counts).toEqual(counts.toSorted((a, b) => b - a));
      }
    }
  });
});
