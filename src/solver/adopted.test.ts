import { describe, expect, it } from 'vitest';
import { createAdopt, createCarryAll, createPutBack } from '../core/acts/index.ts';
import { applyChanges } from '../core/daybook/fold.ts';
import { isHomeless, takesRoom, type Household, type PlanId } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createFacts } from './model/index.ts';
import { describePresent, recount } from './score/index.ts';
import { createPlan, createRun } from './solve.ts';

const { household } = createSampleHousehold(1, 120);
const run = createRun(household, 1);
run.advance(40_000);
const plan = createPlan(run, run.getSolution(), 1, 'p' as PlanId, 1);

function after(from: Household, draft: ReturnType<typeof createAdopt>): Household {
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(from, draft.value.changes);
  if (!next.ok) throw new Error('conflict');
  return next.value;
}

const today = (of: Household) => {
  const facts = createFacts(of);
  return recount(facts, describePresent(facts));
};
const countHomeless = (of: Household) =>
  [...of.lots.values()].filter((lot) => takesRoom(lot) && isHomeless(lot)).length;

describe('a plan that is adopted and not carried out', () => {
  const adopted = after(household, createAdopt(household, plan, 'Plan', 2));

  it('gives things their homes and leaves the room as it is: as many lie about, and today costs what it did', () => {
    expect(countHomeless(household)).toBeGreaterThan(2);
    expect(countHomeless(adopted)).toBe(countHomeless(household));
    const [was, is] = [today(household), today(adopted)];
    // What is out of a home that the plan changed is fetched from another one; no more than that.
    expect(Math.abs(is.parts.searching - was.parts.searching)).toBeLessThan(0.03 * was.parts.searching);
    expect(is.unplacedWeight).toBeCloseTo(was.unplacedWeight, 6);
    expect(is.parts.moving).toBe(0);
  });

  it('has one thing less that lies about with each that is put home, and none when all is carried', () => {
    const leaves = new Set(createPlaceTree(adopted.places).leaves.map(({ id }) => id));
    const lot = [...adopted.lots.values()].find((one) => one.away === 'waiting' && leaves.has(one.homeId!))!;
    expect(countHomeless(after(adopted, createPutBack(adopted, lot.id, 3)))).toBe(countHomeless(adopted) - 1);
    const carried = after(adopted, createCarryAll(adopted, 'all', 4));
    expect(countHomeless(carried)).toBe(plan.unplaced.length);
    expect([...carried.lots.values()].filter((one) => one.away === 'waiting')).toEqual([]);
  });

  it('loses the homes again when another plan finds none for them', () => {
    const lot = [...adopted.lots.values()].find((one) => one.away === 'waiting')!;
    const other = {
      ...plan,
      id: 'q' as PlanId,
      assignments: plan.assignments.filter((one) => one.lotId !== lot.id),
      unplaced: [...plan.unplaced, { lotId: lot.id, reason: { code: 'form' } }],
    };
    const { homeId, away } = after(adopted, createAdopt(adopted, other, 'Plan', 3)).lots.get(lot.id)!;
    expect([homeId, away]).toEqual([undefined, undefined]);
  });
});
