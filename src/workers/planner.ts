import { checkPlan } from '../check/index.ts';
import type { PlanId } from '../core/records/index.ts';
import { createPlan, createRun } from '../solver/solve.ts';
import type { FromPlanner, ToPlanner } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Steps between two looks at the clock and the post box; far less than a tenth of a second. */
const CHUNK = 4000;
const PROGRESS_MS = 80;

serveSearch<Extract<ToPlanner, { type: 'start' }>, FromPlanner>(
  async ({ run, household, seed, seconds }, { post, breathe }) => {
    const startMs = performance.now();
    const search = createRun(household, seed);
    const report = () => {
      const { unplaced, fetchSeconds } = search.peek();
      const elapsedMs = performance.now() - startMs;
      post({ type: 'progress', run, steps: search.steps, elapsedMs, unplaced, fetchSeconds });
    };
    report();
    let reportedMs = performance.now();
    let isStopped = false;
    while (!isStopped && performance.now() - startMs < seconds * 1000) {
      search.advance(CHUNK);
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      report();
      reportedMs = performance.now();
      isStopped = !(await breathe());
    }
    report();
    const solution = search.getSolution();
    const { findings, tests } = checkPlan(household, solution, solution.spots);
    const id = `plan-${seed}-${search.steps}-${run}` as PlanId;
    const plan = createPlan(search, solution, seed, id, Date.now());
    post({ type: 'done', run, plan, checks: { tests, findings: findings.length }, isStopped });
  },
  (run, note) => ({ type: 'failed', run, note }),
);
