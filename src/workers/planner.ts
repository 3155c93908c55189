import { checkPlan } from '../check/index.ts';
import type { Household, PlanId } from '../core/records/index.ts';
import { CARRY_FACTORS, countMoves, getGainShare, keepWorthwhile } from '../solver/curve.ts';
import { createPlan, createRun, type Run } from '../solver/solve.ts';
import type { CurvePlan, FromPlanner, ToPlanner } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Steps between two looks at the clock and the post box; far less than a tenth of a second. */
const CHUNK = 4000;
const PROGRESS_MS = 80;
/** After this share of its time the search is told how many steps it will have. */
const TIMED_SHARE = 0.06;

/** A plan of the curve gets one round of cooling at least, however slow the machine is; not of a very large household. */
const ROUND_PER_LOT = 120;
const MOST_LEAST_STEPS = 400_000;

type Begin = Extract<ToPlanner, { type: 'start' }>;

/** The best of a search as a plan that was checked. */
function close(search: Run, household: Household, seed: number, name: string): Omit<CurvePlan, 'moves' | 'gainShare'> {
  const solution = search.getSolution();
  const { findings, tests } = checkPlan(household, solution, solution.spots);
  const plan = createPlan(search, solution, seed, name as PlanId, Date.now());
  return { plan, checks: { tests, findings: findings.length } };
}

serveSearch<Begin, FromPlanner>(
  async ({ run, household, seed, seconds, isCurve }, { post, breathe }) => {
    const startMs = performance.now();
    let isStopped = false;
    /** Searches until so many seconds after the start, telling how far it is; its last word counts. */
    const search = async (untilSeconds: number, carryFactor: number): Promise<Run> => {
      const made = createRun(household, seed, carryFactor);
      const report = () => {
        const { unplaced, fetchSeconds } = made.peek();
        const elapsedMs = performance.now() - startMs;
        post({ type: 'progress', run, steps: made.steps, elapsedMs, unplaced, fetchSeconds });
      };
      report();
      let reportedMs = performance.now();
      const least = isCurve ? Math.min(MOST_LEAST_STEPS, ROUND_PER_LOT * made.facts.lots.length) : 0;
      const isDue = () => performance.now() - startMs >= untilSeconds * 1000 && made.steps >= least;
      const beginMs = performance.now();
      const wholeMs = untilSeconds * 1000 - (beginMs - startMs);
      let isTimed = false;
      while (!isStopped && !isDue()) {
        made.advance(CHUNK);
        const spentMs = performance.now() - beginMs;
        if (!isTimed && spentMs > TIMED_SHARE * wholeMs) {
          // By now one knows how fast this machine is.
          isTimed = true;
          made.expect(Math.max(least, Math.round((made.steps * wholeMs) / spentMs)));
        }
        if (performance.now() - reportedMs < PROGRESS_MS) continue;
        report();
        reportedMs = performance.now();
        isStopped = !(await breathe());
      }
      report();
      return made;
    };
    if (!isCurve) {
      const made = await search(seconds, 1);
      post({ type: 'done', run, ...close(made, household, seed, `plan-${seed}-${made.steps}-${run}`), isStopped });
      return;
    }
    const found: (Omit<CurvePlan, 'gainShare'> & { before: Run['before'] })[] = [];
    for (const [i, factor] of CARRY_FACTORS.entries()) {
      // Stopped, it shows the plans that it has.
      if (isStopped && found.length > 0) break;
      const made = await search((seconds * (i + 1)) / CARRY_FACTORS.length, factor);
      const closed = close(made, household, seed, `plan-${seed}-${made.steps}-${run}-${factor}`);
      found.push({ ...closed, moves: countMoves(household, closed.plan.assignments), before: made.before });
    }
    const points = keepWorthwhile(
      found.map((one) => ({ ...one, unplaced: one.plan.unplaced.length, score: one.plan.score })),
    );
    const curve = points.map(({ plan, checks, moves, before, score, unplaced }) => ({
      plan,
      checks,
      moves,
      gainShare: getGainShare({ moves, unplaced, score }, points, before),
    }));
    post({ type: 'curve', run, points: curve });
  },
  (run, note) => ({ type: 'failed', run, note }),
);
