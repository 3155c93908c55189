import { describe, expect, it } from 'vitest';
import type { Plan, PlanId } from '../../../core/records/index.ts';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { createPlan, createRun } from '../../../solver/solve.ts';
import { listFreed } from './freed.ts';

const { household } = createSampleHousehold(1, 120);
const tree = createPlaceTree(household.places);

function solve(openSeconds: number): Plan {
  const run = createRun(household, 1, { openSeconds });
  run.advance(60_000);
  return createPlan(run, run.getSolution(), 1, 'p' as PlanId, 0);
}

describe('containers that could be freed', () => {
  it('are more where every one in use costs something, and nothing is left without a home for it', () => {
    const [usual, free] = [solve(0), solve(400)];
    const freed = listFreed(household, tree, free);
    expect(freed.used).toBeGreaterThan(4);
    expect(freed.freed.length).toBeGreaterThan(listFreed(household, tree, usual).freed.length);
    expect(free.score.unplacedWeight).toBeLessThanOrEqual(usual.score.unplacedWeight);
    for (const place of freed.freed) expect(free.assignments.some((one) => one.placeId === place.id)).toBe(false);
    // The price of containers is no part of the score that is shown.
    expect(free.score.seconds).toBeLessThan(usual.score.seconds + 1500);
  });
});
