import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { countMoves } from '../../solver/curve.ts';
import { createPlan, createRun } from '../../solver/solve.ts';
import type { Household, LotId, Plan, PlanId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import type { Act } from './act.ts';
import {
  MOST_KEPT,
  computePlanStanding,
  createDropPlan,
  createKeepPlan,
  listDifferences,
  listKept,
} from './planActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { checkInvariants } from '../daybook/index.ts';

const { household } = createSampleHousehold(1, 80);
const tree = createPlaceTree(household.places);
function plan(id: string, steps: number, carryFactor: number): Plan {
  const run = createRun(household, 1, { carryFactor });
  run.advance(steps);
  return createPlan(run, run.getSolution(), 1, id as PlanId, steps);
}
function apply(of: Household, draft: Act): Household {
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(of, draft.value.changes);
  if (!next.ok) throw new Error('not applied');
  expect(checkInvariants(next.value)).toEqual([]);
  return next.value;
}
const few = plan('few', 4000, 64);
const many = plan('many', 8000, 1);

describe('plans that are kept', () => {
  it('are four at most, the newest first, and dropped one by one', () => {
    let of = household;
    for (let n = 0; n < MOST_KEPT; n += 1)
      of = apply(of, createKeepPlan(of, { ...few, id: `p${n}` as PlanId, madeAtMs: n }, `Plan ${n}`));
    expect(listKept(of).map((one) => one.name)).toEqual(['Plan 3', 'Plan 2', 'Plan 1', 'Plan 0']);
    expect(createKeepPlan(of, many, 'One more').ok).toBe(false);
    of = apply(of, createDropPlan(of, 'p1' as PlanId));
    expect(listKept(of).map((one) => one.name)).toEqual(['Plan 3', 'Plan 2', 'Plan 0']);
    expect(apply(of, createKeepPlan(of, many, 'One more')).plans.size).toBe(4);
  });

  it('are told by what is to be carried and what differs', () => {
    expect(computePlanStanding(household, tree, few).moves).toBe(countMoves(household, few.assignments));
    expect(computePlanStanding(household, tree, few)).toMatchObject({ newLots: [], goneLots: 0, gonePlaces: 0 });
    expect(listDifferences(few, few)).toEqual([]);
    const differ = listDifferences(few, many);
    expect(differ.length).toBeGreaterThan(0);
    const at = (of: Plan, id: LotId) => of.assignments.find((one) => one.lotId === id)?.placeId;
    for (const id of differ) expect(at(few, id)).not.toBe(at(many, id));
  });

  it('say which parts are stale when things came and went', () => {
    const [first] = many.assignments;
    const lots = new Map(household.lots);
    const gone = lots.get(first!.lotId)!;
    lots.delete(gone.id);
    lots.set('new' as LotId, { ...gone, id: 'new' as LotId });
    const other = many.assignments.find((one) => one.placeId !== first!.placeId)!.placeId;
    const places = new Map(household.places);
    places.delete(other);
    const next = { ...household, lots, places };
    const standing = computePlanStanding(next, createPlaceTree(places), many);
    expect(standing.newLots).toEqual(['new']);
    expect(standing.goneLots).toBe(1);
    expect(standing.gonePlaces).toBe(many.assignments.filter((one) => one.placeId === other).length);
  });

  it('count the places filled beyond the target', () => {
    const tight = { ...household, settings: { ...household.settings, fillTarget: 0.3 } };
    const loose = { ...household, settings: { ...household.settings, fillTarget: 1 } };
    const count = (of: Household) => computePlanStanding(of, tree, many).overTarget;
    expect(count(tight)).toBeGreaterThan(count(household));
    expect(count(loose)).toBe(0);
  });
});
