import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../tests/household.ts';
import { checkPlan } from '../check/index.ts';
import type { Household, LotId, PlaceId, Plan, Stowage, PlanId } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { findStale, startMending } from './mend.ts';
import { createPlan, createRun } from './solve.ts';
import { toHomePlan, withoutPlace } from '../core/suppose/index.ts';

const { household } = createSampleHousehold(2, 160);
const run = createRun(household, 1);
run.advance(60_000);
const plan: Plan = createPlan(run, run.getSolution(), 1, 'p' as PlanId, 0);

function mend(now: Household, of: Stowage = plan, isWider = false) {
  const mending = startMending(now, of, 1, isWider);
  mending.run.advance(40_000);
  const solution = mending.getSolution();
  const before = new Map(of.assignments.map((one) => [one.lotId, one.placeId]));
  const moved = solution.assignments.filter((one) => before.has(one.lotId) && before.get(one.lotId) !== one.placeId);
  return { ...mending, solution, moved: moved.map((one) => one.lotId) };
}

describe('what of a plan is stale', () => {
  it('is nothing while nothing changed but what it left without a home', () => {
    expect(findStale(household, plan)).toEqual({
      homeless: plan.unplaced.map((one) => one.lotId),
      ousted: [],
      burst: [],
      refused: [],
    });
  });

  it('is what came since, what lost its place, and what no longer goes in', () => {
    // A cubby of 350 mm takes ten piles of 32 mm; the eleventh came by growing.
    const cloths = Array.from({ length: 11 }, (_, i) => createCloth(`c${i}`, { usesPerMonth: 2 + i }));
    const places = [...createUnit('cube', {}), ...createUnit('other', { xMm: 1000 })];
    const lots = cloths.map((cloth, i) =>
      createLot(cloth, i < 10 ? 'cube-A1' : null, { lengthMm: i === 0 ? 6000 : 2000 }),
    );
    const full = createHousehold(places, cloths, lots);
    const homes = toHomePlan(full);
    const stale = findStale(full, homes);
    expect(stale.homeless).toEqual(['lot-c10']);
    expect(stale.burst.length).toBeGreaterThan(0);
    const gone = withoutPlace(full, 'cube' as PlaceId);
    expect(findStale(gone, homes).ousted).toHaveLength(10);
  });
});

describe('mending a plan', () => {
  it('places anew what was found not to go where the plan has it', () => {
    const { lotId, placeId } = plan.assignments[0]!;
    const wish = { id: 'w', kind: 'notIn' as const, lotIds: [lotId], groupIds: [], placeId };
    const now = { ...household, settings: { ...household.settings, wishes: [wish] } };
    const { stale, solution } = mend(now);
    expect(stale.refused).toEqual([lotId]);
    expect(solution.assignments.find((one) => one.lotId === lotId)?.placeId).not.toBe(placeId);
    expect(checkPlan(now, solution, solution.spots).findings).toEqual([]);
  });

  it('places only what is stale', () => {
    const place = plan.assignments[0]!.placeId;
    const now = withoutPlace(household, place);
    const { stale, solution, moved } = mend(now);
    expect(stale.ousted.length).toBeGreaterThan(0);
    const loose = new Set<LotId>([...stale.homeless, ...stale.ousted, ...stale.burst]);
    for (const id of moved) expect(loose.has(id)).toBe(true);
    expect(solution.assignments.some((one) => one.placeId === place)).toBe(false);
    expect(checkPlan(now, solution, solution.spots).findings).toEqual([]);
  });

  it('changes nothing where nothing is stale, and scores it as the plan was', () => {
    const { solution, moved } = mend(household);
    expect(moved).toEqual([]);
    expect(solution.score.seconds).toBeCloseTo(plan.score.seconds, 6);
    expect(solution.score.parts.moving).toBeCloseTo(plan.score.parts.moving, 6);
  });

  it('may move others too, where there is no room otherwise', () => {
    // Piles of 60 mm (4 m) and 44 mm (3 m): 300 and 264 of 350 mm. One of 88 mm (6 m) goes in when a low one changes over.
    const lengths = [...Array.from({ length: 5 }, () => 4000), ...Array.from({ length: 6 }, () => 3000), 6000];
    const cloths = lengths.map((_, i) => createCloth(`c${i}`));
    const at = (i: number) => (i < 5 ? 'cube-A1' : i < 11 ? 'other-A1' : null);
    const lots = lengths.map((lengthMm, i) => createLot(cloths[i]!, at(i), { lengthMm }));
    const places = [...createUnit('cube', {}), ...createUnit('other', { xMm: 1000 })];
    const full = createHousehold(places, cloths, lots);
    const homes = toHomePlan(full);
    expect(mend(full, homes).solution.unplaced).toHaveLength(1);
    const wider = mend(full, homes, true);
    expect(wider.solution.unplaced).toEqual([]);
    expect(wider.moved).toHaveLength(1);
  });
});
