import { checkPlan } from '../check/index.ts';
import type { Stowage, Household, LotId, Plan, PlanId, Wish } from '../core/records/index.ts';
import { Bound, getMostPercent } from '../solver/bound/index.ts';
import { CARRY_FACTORS, countMoves, getGainShare, keepWorthwhile } from '../solver/curve.ts';
import { computeInputsHash } from '../solver/model/index.ts';
import { getPrice } from '../solver/score/index.ts';
import { getCost } from '../core/room/index.ts';
import { createPlan, createRun, type Run } from '../solver/solve.ts';
import { startMending, type Mending } from '../solver/mend.ts';
import { searchWares, type GetResult } from '../solver/wares.ts';
import type { CurvePlan, FromPlanner, Mended, ToPlanner } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Steps between two looks at the clock and the post box; far less than a tenth of a second. */
const CHUNK = 4000;
const PROGRESS_MS = 80;
/** The best so far is told at most so often. */
const DRAWN_MS = 700;
/** Where the rest is mended round something, carrying counts so many times what it costs. */
const MEND_FACTOR = 8;
/** Where containers are to be freed, one in use counts as so many seconds a month. */
const FREE_SECONDS = 400;
/** So long the bound is worked on after a plan, and up to so many lots. */
const PROOF_MS = 30_000;
const MOST_PROVEN = 4000;
/** After this share of its time the search is told how many steps it will have. */
const TIMED_SHARE = 0.06;

/** A plan of the curve gets one round of cooling at least, however slow the machine is; not of a very large household. */
const ROUND_PER_LOT = 120;
const MOST_LEAST_STEPS = 400_000;

type Begin = Extract<ToPlanner, { type: 'start' }>;
/** The plan that is mended. */
type Stale = Extract<Begin['aim'], { type: 'repair' }>['plan'];

/** The best of a search as a plan that was checked. */
function close(
  search: Run,
  household: Household,
  seed: number,
  name: string,
  solution = search.getSolution(),
): Omit<CurvePlan, 'moves' | 'gainShare'> {
  const { findings, tests } = checkPlan(household, solution, solution.spots);
  const plan = createPlan(search, solution, seed, name as PlanId, Date.now());
  return { plan, checks: { tests, findings: findings.length } };
}

/** The same household, in which these lots stay where they are. */
function withStaying(household: Household, lotIds: readonly LotId[]): Household {
  const wish: Wish = { id: 'stays-for-now', kind: 'stays', lotIds: [...lotIds], groupIds: [], placeId: undefined };
  const { settings } = household;
  return { ...household, settings: { ...settings, wishes: [...(settings.wishes ?? []), wish] } };
}

interface Ask {
  readonly run: number;
  readonly household: Household;
  readonly seed: number;
}

type Post = (message: FromPlanner) => void;

/** Looks for what to get, a trial at a time; stopped, it tells the best set so far. */
async function get({ run, household, seed }: Ask, post: Post, breathe: () => Promise<boolean>): Promise<void> {
  const search = searchWares(household, seed);
  let step = search.next();
  let trials = 0;
  let best = step.value as GetResult;
  while (!step.done) {
    const { best: found } = step.value;
    trials = step.value.trials;
    best = found;
    const unplaced = found.solution.unplaced.length;
    post({ type: 'getting', run, trials, unplaced, cost: found.got.reduce((sum, one) => sum + getCost(one), 0) });
    if (!(await breathe())) break;
    step = search.next();
  }
  if (step.done) best = step.value;
  const name = `get-${seed}-${trials}-${run}`;
  post({ type: 'got', run, got: best.got, trials, ...close(best.run, best.household, seed, name, best.solution) });
}

/** What was placed anew, and how many others had to move. */
function describeMending({ stale }: Mending, before: Stowage, after: Stowage): Mended {
  const loose = new Set([...stale.homeless, ...stale.ousted, ...stale.burst, ...stale.refused]);
  const placed = new Map(before.assignments.map((one) => [one.lotId, one.placeId]));
  const others = after.assignments.filter(
    ({ lotId, placeId }) => placed.has(lotId) && placed.get(lotId) !== placeId && !loose.has(lotId),
  );
  const { ousted, burst, refused } = stale;
  // What still has no home was not placed anew.
  const housed = new Set(after.assignments.map((one) => one.lotId));
  const homeless = stale.homeless.filter((id) => housed.has(id));
  return {
    homeless: homeless.length,
    ousted: ousted.length,
    burst: burst.length,
    refused: refused.length,
    others: others.length,
  };
}

interface Proof {
  readonly run: number;
  readonly post: Post;
  readonly breathe: () => Promise<boolean>;
}

/** Works on the lower bound in the background, and tells as it rises how much better any plan could be. */
async function prove({ facts }: Run, { score }: Plan, { run, post, breathe }: Proof): Promise<void> {
  const untilMs = performance.now() + PROOF_MS;
  const tell = (mostPercent: number, isLast: boolean) => post({ type: 'bound', run, mostPercent, isLast });
  if (facts.lots.length > MOST_PROVEN) return tell(100, true);
  const bound = new Bound(facts, getPrice(score));
  let told = Infinity;
  while (performance.now() < untilMs) {
    if (!(await breathe())) break;
    const percent = getMostPercent(bound.advance(), score);
    if (percent < told - 0.1) tell((told = percent), false);
  }
  tell(Math.min(100, told), true);
}

/** Searches for as long as it was given, telling how far it is; stopped, it stays stopped. */
class Searching {
  isStopped = false;
  private readonly startMs = performance.now();
  private drawnMs = -Infinity;
  private drawn = '';

  constructor(
    private readonly run: number,
    private readonly isCurve: boolean,
    private readonly post: Post,
    private readonly breathe: () => Promise<boolean>,
  ) {}

  /** Searches until so many seconds after the start, telling how far it is; its last word counts. */
  async search(untilSeconds: number, made: Run): Promise<Run> {
    this.report(made);
    let reportedMs = performance.now();
    const least = this.isCurve ? Math.min(MOST_LEAST_STEPS, ROUND_PER_LOT * made.facts.lots.length) : 0;
    const isDue = () => performance.now() - this.startMs >= untilSeconds * 1000 && made.steps >= least;
    const beginMs = performance.now();
    const wholeMs = untilSeconds * 1000 - (beginMs - this.startMs);
    let isTimed = false;
    while (!this.isStopped && !isDue()) {
      made.advance(CHUNK);
      const spentMs = performance.now() - beginMs;
      if (!isTimed && spentMs > TIMED_SHARE * wholeMs) {
        // By now one knows how fast this machine is.
        isTimed = true;
        made.expect(Math.max(least, Math.round((made.steps * wholeMs) / spentMs)));
      }
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      this.report(made);
      reportedMs = performance.now();
      this.isStopped = !(await this.breathe());
    }
    this.report(made);
    return made;
  }

  private report(made: Run): void {
    const { run, startMs } = this;
    const { unplaced, fetchSeconds } = made.peek();
    const now = performance.now();
    const isDrawn = now - this.drawnMs >= DRAWN_MS && this.drawn !== `${unplaced} ${fetchSeconds}`;
    if (isDrawn) {
      this.drawnMs = now;
      this.drawn = `${unplaced} ${fetchSeconds}`;
    }
    const best = isDrawn ? made.listBest() : null;
    this.post({ type: 'progress', run, steps: made.steps, elapsedMs: now - startMs, unplaced, fetchSeconds, best });
  }
}

/** Mends a plan that outlived a change: only what is stale is placed anew, others move where it finds no room. */
async function repair(ask: Ask, before: Stale, seconds: number, searching: Searching, post: Post): Promise<void> {
  const { run, household, seed } = ask;
  let mending = startMending(household, before, seed, false);
  await searching.search(seconds / 2, mending.run);
  let solution = mending.getSolution();
  // What is stale found no room: then others make some.
  if (!searching.isStopped && solution.unplaced.length > 0) {
    const wider = startMending(household, before, seed, true);
    await searching.search(seconds, wider.run);
    const other = wider.getSolution();
    if (other.score.unplacedWeight < solution.score.unplacedWeight - 1e-9) [mending, solution] = [wider, other];
  }
  const closed = close(mending.run, household, seed, `mended-${seed}-${mending.run.steps}-${run}`, solution);
  const plan = { ...closed.plan, inputsHash: computeInputsHash(household) };
  const { isStopped } = searching;
  post({ type: 'done', run, ...closed, plan, isStopped, mended: describeMending(mending, before, plan) });
  post({ type: 'bound', run, mostPercent: 100, isLast: true });
}

/** Plans that carry more and more, of which those are kept that are worth it. */
async function searchCurve({ run, household, seed }: Ask, seconds: number, searching: Searching, post: Post) {
  const found: (Omit<CurvePlan, 'gainShare'> & { before: Run['before'] })[] = [];
  for (const [i, factor] of CARRY_FACTORS.entries()) {
    // Stopped, it shows the plans that it has.
    if (searching.isStopped && found.length > 0) break;
    const made = await searching.search(
      (seconds * (i + 1)) / CARRY_FACTORS.length,
      createRun(household, seed, { carryFactor: factor }),
    );
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
}

serveSearch<Begin, FromPlanner>(
  async ({ run, household, seed, seconds, aim }, { post, breathe }) => {
    const ask = { run, household, seed };
    if (aim.type === 'get') return get(ask, post, breathe);
    const searching = new Searching(run, aim.type === 'curve', post, breathe);
    if (aim.type === 'curve') return searchCurve(ask, seconds, searching, post);
    if (aim.type === 'repair') return repair(ask, aim.plan, seconds, searching, post);
    const asked = aim.type === 'mend' ? withStaying(household, aim.stayIds) : household;
    const factor = aim.type === 'mend' ? MEND_FACTOR : 1;
    const open = aim.type === 'free' ? FREE_SECONDS : 0;
    const from = aim.type === 'best' ? aim.from : undefined;
    const made = await searching.search(
      seconds,
      createRun(asked, seed, { carryFactor: factor, openSeconds: open, ...(from && { from }) }),
    );
    const closed = close(made, asked, seed, `plan-${seed}-${made.steps}-${run}`);
    // What stayed for this once is no part of what the plan depends on.
    const plan = { ...closed.plan, inputsHash: computeInputsHash(household) };
    post({ type: 'done', run, ...closed, plan, isStopped: searching.isStopped });
    return prove(made, closed.plan, { run, post, breathe });
  },
  (run, note) => ({ type: 'failed', run, note }),
);
