import { checkPlan } from '../check/index.ts';
import type { PlanId } from '../core/records/index.ts';
import { createPlan, createRun } from '../solver/solve.ts';
import type { FromPlanner, ToPlanner } from './protocol.ts';

const scope = self as unknown as {
  onmessage: ((message: MessageEvent<ToPlanner>) => void) | null;
  postMessage: (message: FromPlanner) => void;
};

/** Steps between two looks at the clock and the post box; far less than a tenth of a second. */
const CHUNK = 4000;
const PROGRESS_MS = 80;

let wantedRun = 0;

function breathe(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}

async function search({ run, household, seed, seconds }: Extract<ToPlanner, { type: 'start' }>): Promise<void> {
  const startMs = performance.now();
  const search = createRun(household, seed);
  const report = () => {
    const { unplaced, fetchSeconds } = search.peek();
    scope.postMessage({
      type: 'progress',
      run,
      steps: search.steps,
      elapsedMs: performance.now() - startMs,
      unplaced,
      fetchSeconds,
    });
  };
  report();
  let reportedMs = performance.now();
  let isStopped = false;
  while (performance.now() - startMs < seconds * 1000) {
    search.advance(CHUNK);
    if (performance.now() - reportedMs >= PROGRESS_MS) {
      report();
      reportedMs = performance.now();
      await breathe();
      if (wantedRun !== run) {
        isStopped = true;
        break;
      }
    }
  }
  report();
  const solution = search.getSolution();
  const { findings, tests } = checkPlan(household, solution, solution.spots);
  const id = `plan-${seed}-${search.steps}-${run}` as PlanId;
  const plan = createPlan(search, solution, seed, id, Date.now());
  scope.postMessage({ type: 'done', run, plan, checks: { tests, findings: findings.length }, isStopped });
}

scope.onmessage = ({ data }) => {
  if (data.type === 'stop') {
    if (wantedRun === data.run) wantedRun = 0;
    return;
  }
  wantedRun = data.run;
  search(data).catch((error: unknown) => scope.postMessage({ type: 'failed', run: data.run, note: String(error) }));
};
