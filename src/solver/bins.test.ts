import { describe, expect, it } from 'vitest';
import { checkPlan } from '../check/index.ts';
import { createAdopt, createCarryAll } from '../core/acts/index.ts';
import { applyChanges } from '../core/daybook/fold.ts';
import { checkInvariants } from '../core/daybook/index.ts';
import {
  takesRoom,
  type BinMove,
  type Household,
  type PlanId,
  type PlaceId,
  type Wish,
} from '../core/records/index.ts';
import { previewPlan } from '../core/suppose/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createFacts } from './model/index.ts';
import { describePresent, recount } from './score/index.ts';
import { createPlan, createRun, type RunOptions } from './solve.ts';

const { household: sample } = createSampleHousehold(3, 160);
const { settings } = sample;
/** Nothing speaks against carrying a bin, so that some are carried. */
const household: Household = {
  ...sample,
  settings: { ...settings, estimates: { ...settings.estimates, carryBinSeconds: 0 } },
};

function solve(of: Household, seed = 1, options: RunOptions = {}) {
  const run = createRun(of, seed, options);
  run.expect(40_000);
  run.advance(40_000);
  const solution = run.getSolution();
  expect(checkPlan(of, solution, solution.spots).findings).toEqual([]);
  return { run, solution, plan: createPlan(run, solution, seed, `p${seed}` as PlanId, 1) };
}
function after(from: Household, draft: ReturnType<typeof createAdopt>): Household {
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(from, draft.value.changes);
  if (!next.ok) throw new Error('conflict');
  expect(checkInvariants(next.value)).toEqual([]);
  return next.value;
}

const { plan, solution } = solve(household);

describe('containers in a plan', () => {
  it('are carried where that is better, and the plan is what today is once all is carried', () => {
    expect(plan.bins?.length).toBeGreaterThan(0);
    const adopted = after(household, createAdopt(household, plan, 'Plan', 1));
    const carried = after(adopted, createCarryAll(adopted, 'all', 2));
    const facts = createFacts(carried);
    const today = recount(facts, describePresent(facts));
    expect(today.seconds).toBeCloseTo(plan.score.seconds - plan.score.parts.moving, 5);
    const preview = previewPlan(household, plan);
    for (const [id, { parentId, container }] of carried.places)
      expect(preview.places.get(id)).toMatchObject({ ...(parentId && { parentId }), ...(container && { container }) });
  });

  it('stand better than if all of them stayed, or as well', () => {
    const stay = solve(household, 1, { binsStay: true });
    expect(stay.plan.bins).toBeUndefined();
    expect(plan.score.seconds).toBeLessThan(1.02 * stay.plan.score.seconds);
  });

  it('stay in what a wish keeps as it is, and what a wish names is not carried', () => {
    const [first] = plan.bins!;
    const unit = household.places.get(
      household.places.get(household.places.get(first!.placeId)!.parentId!)!.parentId!,
    )!;
    const wish: Wish = { id: 'w', kind: 'stays', lotIds: [], groupIds: [], placeId: unit.id };
    const other = solve({ ...household, settings: { ...household.settings, wishes: [wish] } });
    const inUnit = (id: PlaceId | undefined) => id && household.places.get(id)?.parentId === unit.id;
    for (const { placeId, slotId } of other.solution.bins) {
      expect(inUnit(household.places.get(placeId)!.parentId)).toBeFalsy();
      expect(inUnit(slotId)).toBeFalsy();
    }
  });

  it('a search that goes on from a plan is never worse, and one over an adopted plan leaves them where they belong', () => {
    const next = solve(household, 2, { from: plan });
    expect(next.plan.score.unplacedWeight).toBeLessThanOrEqual(plan.score.unplacedWeight + 1e-9);
    expect(next.plan.score.seconds).toBeLessThanOrEqual(plan.score.seconds + 1e-6);
    const adopted = after(household, createAdopt(household, plan, 'Plan', 1));
    const again = solve(adopted, 2);
    const homes = new Map(plan.assignments.map((one) => [one.lotId, one.placeId]));
    const moved = again.plan.assignments.filter(({ lotId, placeId }) => homes.get(lotId) !== placeId);
    expect(moved.length).toBeLessThan(0.05 * homes.size);
    // As the adopted plan has them: they are still to be carried.
    expect(again.solution.bins.length).toBeGreaterThanOrEqual(plan.bins!.length - 1);
  });

  it('and their faults are found: in two spots, in each other, in the air, broken, with things where nothing stands', () => {
    const faultsOf = (bins: readonly BinMove[], of = household) =>
      checkPlan(of, { ...solution, bins }, solution.spots).findings.filter(
        ({ rule }) => rule === 'bin' || rule === 'place',
      );
    expect(faultsOf(plan.bins!)).toEqual([]);
    const [first] = plan.bins!;
    expect(faultsOf([...plan.bins!, first!])).not.toEqual([]);
    const at = { xMm: 0, yMm: 0, zMm: 60, isTurned: false };
    const standing = plan.bins!.find(({ slotId }) => slotId)!;
    const lifted = plan.bins!.map((one) => (one === standing ? { ...one, at } : one));
    expect(faultsOf(lifted)).not.toEqual([]);
    const beyond = plan.bins!.map((one) => (one === standing ? { ...one, at: { ...at, zMm: 0, xMm: 900 } } : one));
    expect(faultsOf(beyond)).not.toEqual([]);
    // What is to be in it would lie where nothing stands.
    const used = plan.assignments.find(({ placeId }) => household.places.get(placeId)?.container)!;
    expect(
      faultsOf([...plan.bins!.filter((one) => one.placeId !== used.placeId), { placeId: used.placeId }]),
    ).not.toEqual([]);
    const places = new Map(household.places);
    const broken = places.get(first!.placeId)!;
    places.set(broken.id, { ...broken, container: { ...broken.container!, isRetired: true } });
    expect(faultsOf(plan.bins!, { ...household, places })).not.toEqual([]);
  });

  it('of a plan that no longer goes in is told as stale and refused whole', () => {
    const standing = plan.bins!.find(({ slotId }) => slotId)!;
    const slot = household.places.get(standing.slotId!)!;
    const places = new Map(household.places);
    places.set(slot.id, { ...slot, slot: { ...slot.slot!, heightMm: 60 } });
    expect(createAdopt({ ...household, places }, plan, 'Plan', 1)).toMatchObject({ fault: { code: 'stale-plan' } });
    const preview = previewPlan({ ...household, places }, plan);
    expect(preview.places.get(standing.placeId)!.parentId).toBe(household.places.get(standing.placeId)!.parentId);
    expect([...preview.lots.values()].filter((lot) => takesRoom(lot)).length).toBeGreaterThan(0);
  });
});
