import { getFetchSeconds, type Household } from '../src/core/records/index.ts';
import { Bound } from '../src/solver/bound/bound.ts';
import { CARRY_FACTORS, countMoves } from '../src/solver/curve.ts';
import { computeVerdicts } from '../src/solver/explain/index.ts';
import { createFacts } from '../src/solver/model/index.ts';
import { describePresent, getPrice, State } from '../src/solver/score/index.ts';
import { constructFirstFit } from '../src/solver/search/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import { createRun, solveFirstFit, type Run, type Solution } from '../src/solver/solve.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { createInstance, SIZES, type SizeName } from '../tests/instances.ts';
import { improveExactly, solveExactly } from '../tests/milp.ts';
import type { Bench, Figure } from './figures.ts';
import { isSmall, sized, some } from './sized.ts';

const make = (size: SizeName, fill: number, seed = 1) =>
  createInstance(SIZES[isSmall ? 'xs' : size].lots, SIZES[isSmall ? 'xs' : size].places, fill, seed);

/** Searches for so long, set-up included, as the planner's worker does. */
function searchFor(household: Household, fullMs: number, seed = 1): { run: Run; solution: Solution } {
  const ms = sized(fullMs, 30);
  const start = performance.now();
  const run = createRun(household, seed);
  let isTimed = false;
  for (;;) {
    run.advance(2000);
    const spent = performance.now() - start;
    if (spent >= ms) break;
    if (!isTimed && spent > 0.06 * ms) {
      isTimed = true;
      run.expect(Math.round((run.steps * ms) / spent));
    }
  }
  return { run, solution: run.getSolution() };
}

const priceOf = ({ score }: Solution) => getPrice(score);

const percentOver = (value: number, reference: number) => 100 * (value / reference - 1);
const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

/** Without what is passed while looking: with it no peer proves an optimum in minutes, even at this size. */
function withoutPassing(household: Household): Household {
  const estimates = {
    ...household.settings.estimates,
    passVisibleSeconds: 0,
    passOpaqueSeconds: 0,
    passGroupSeconds: 0,
  };
  return { ...household, settings: { ...household.settings, estimates } };
}

async function measureExact(): Promise<Figure[]> {
  const over: number[] = [];
  let proven = 0;
  let hits = 0;
  for (let seed = 1; seed <= sized(20, 1); seed += 1) {
    const household = withoutPassing(make('xs', [0.6, 0.8, 0.92][seed % 3]!, seed));
    const facts = createFacts(household);
    const exact = await solveExactly(facts, sized(60, 2));
    const state = new State(facts);
    state.load(exact.options);
    if (exact.status === 'Optimal') proven += 1;
    const ours = priceOf(searchFor(household, 2000).solution);
    over.push(percentOver(ours, state.price));
    if (ours < state.price + 0.01) hits += 1;
  }
  return [
    { name: 'placement.xs.over_optimum_percent', value: mean(over), unit: '%' },
    { name: 'placement.xs.optimum_hits', value: hits, unit: 'of 20' },
    { name: 'placement.xs.proven', value: proven, unit: 'of 20' },
  ];
}

async function measureSmall(): Promise<Figure[]> {
  const more: number[] = [];
  const over: number[] = [];
  for (const seed of some([1, 2, 3])) {
    const crowded = make('s', 0.92, seed);
    const least = await solveExactly(createFacts(crowded), sized(30, 2), true);
    const weight = searchFor(crowded, 5000).solution.score.unplacedWeight;
    more.push(weight - Math.max(0, least.bound));
    const household = make('s', 0.8, seed);
    const facts = createFacts(household);
    // An arrangement that does not go together is worth nothing.
    const price = (options: Int32Array) => {
      const state = new State(facts);
      state.load(options);
      return state.price;
    };
    const start = new State(facts);
    constructFirstFit(start);
    const peer = await improveExactly(facts, start.option.slice(), sized(60, 2), createRandom(seed), price);
    over.push(percentOver(priceOf(searchFor(household, 5000).solution), price(peer.options)));
  }
  return [
    { name: 'placement.s.unplaced_over_least', value: Math.max(...more), unit: 'weight' },
    { name: 'placement.s.over_milp60_percent', value: Math.max(...over), unit: '%' },
  ];
}

function measureMedium(): Figure[] {
  const household = make('m', 0.8);
  const long = Math.min(...[1, 2, 3, 4].map((seed) => priceOf(searchFor(household, 60_000, seed).solution)));
  const after = (ms: number) =>
    mean([11, 12, 13].map((seed) => percentOver(priceOf(searchFor(household, ms, seed).solution), long)));
  const loose = make('m', 0.6);
  return [
    { name: 'placement.m.over_long_percent.1s', value: after(1000), unit: '%' },
    { name: 'placement.m.over_long_percent.5s', value: after(5000), unit: '%' },
    { name: 'placement.m.over_long_percent.20s', value: after(20_000), unit: '%' },
    {
      name: 'placement.m.over_ffd_ratio',
      value: searchFor(loose, 5000).solution.score.seconds / solveFirstFit(loose).score.seconds,
      unit: 'times',
    },
  ];
}

function measureLarge(): Figure[] {
  const household = make('l', 0.8);
  const long = priceOf(searchFor(household, 120_000, 1).solution);
  return [
    {
      name: 'placement.l.over_long_percent',
      value: percentOver(priceOf(searchFor(household, 20_000, 2).solution), long),
      unit: '%',
    },
    {
      name: 'placement.l92.unplaced',
      value: searchFor(make('l', 0.92), 20_000).solution.unplaced.length,
      unit: 'lots',
    },
    {
      name: 'placement.xl92.unplaced',
      value: searchFor(make('xl', 0.92), 20_000).solution.unplaced.length,
      unit: 'lots',
    },
  ];
}

/** The fastest of several stretches: what disturbs a stretch only makes it slower. */
function measureMoves(): Figure[] {
  const run = createRun(make('m', 0.8), 1);
  run.advance(sized(200_000, 2000));
  let best = 0;
  for (let i = 0; i < 8; i += 1) {
    const [moves, start] = [run.evaluated, performance.now()];
    run.advance(sized(300_000, 2000));
    best = Math.max(best, (1000 * (run.evaluated - moves)) / (performance.now() - start));
  }
  return [{ name: 'placement.m.moves_per_second', value: best, unit: 'a second' }];
}

function timeFirst(household: Household): number {
  const start = performance.now();
  createRun(household, 1).getSolution();
  return performance.now() - start;
}

function measureFirst(): Figure[] {
  const [m, xl] = [make('m', 0.8), make('xl', 0.8)];
  const least = (household: Household, times: number) =>
    Math.min(...Array.from({ length: times }, () => timeFirst(household)));
  return [
    { name: 'placement.m.ms_to_first_plan', value: least(m, 6), unit: 'ms' },
    { name: 'placement.xl.ms_to_first_plan', value: least(xl, 3), unit: 'ms' },
  ];
}

function measureGap(size: 's' | 'm'): Figure {
  const household = make(size, 0.8);
  const known = priceOf(searchFor(household, 20_000).solution);
  const bound = new Bound(createFacts(household), known);
  const until = performance.now() + sized(60_000, 100);
  while (performance.now() < until) bound.advance();
  return { name: `placement.${size}.bound_gap_percent`, value: 100 * (1 - bound.best / known), unit: '%' };
}

/** What the plan on the curve with at most a third of the best plan's moves brings of what can be saved. */
function measureThird(): Figure[] {
  const { household } = createSampleHousehold(1, sized(600, 40));
  const points = CARRY_FACTORS.map((factor) => {
    const run = createRun(household, 1, { carryFactor: factor });
    while (run.steps < sized(400_000, 4000)) run.advance(4000);
    const solution = run.getSolution();
    const fetch = getFetchSeconds(solution.score);
    return { moves: countMoves(household, solution.assignments), fetch, before: getFetchSeconds(run.before) };
  });
  const whole = points.at(-1)!;
  const some = points.filter(({ moves }) => moves <= whole.moves / 3);
  const best = Math.min(...some.map(({ fetch }) => fetch));
  return [
    {
      name: 'placement.m.gain_of_best_third_percent',
      value: (100 * (whole.before - best)) / (whole.before - Math.min(...points.map(({ fetch }) => fetch))),
      unit: '%',
    },
  ];
}

/** A lot taken up: the verdict on every place, as a share for one of them; the slowest of twenty lots but one. */
function measureVerdicts(): Figure[] {
  const facts = createFacts(createSampleHousehold(1, sized(600, 40)).household);
  const offered = describePresent(facts);
  const times = Array.from({ length: 20 }, (_, i) => {
    const start = performance.now();
    computeVerdicts(facts, offered, (i * 29) % facts.lots.length);
    return (performance.now() - start) / facts.places.length;
  });
  return [{ name: 'placement.hand.verdict_p95_ms', value: times.toSorted((a, b) => a - b)[18]!, unit: 'ms' }];
}

/** Steps and time until within a twentieth of a longer run. */
function measureGrowth(): Figure[] {
  const figures: Figure[] = [];
  for (const [size, long] of [
    ['s', 10_000],
    ['m', 30_000],
    ['l', 60_000],
    ['xl', 90_000],
  ] as const) {
    const household = make(size, 0.8);
    const goal = priceOf(searchFor(household, long).solution) * 1.05;
    // Twice the time at each try; what counts is the run that gets there.
    for (let ms = 50; ; ms *= 2) {
      const { solution } = searchFor(household, ms, 2);
      if (priceOf(solution) > goal && ms < 2 * long) continue;
      figures.push({ name: `placement.${size}.ms_to_within_5_percent`, value: ms, unit: 'ms' });
      break;
    }
  }
  return figures;
}

export const placementFigures: readonly Bench[] = [
  { names: ['placement.hand.verdict_p95_ms'], measure: measureVerdicts },
  { names: ['placement.m.moves_per_second'], measure: measureMoves },
  { names: ['placement.m.ms_to_first_plan', 'placement.xl.ms_to_first_plan'], measure: measureFirst },
  { names: ['placement.m.gain_of_best_third_percent'], measure: measureThird },
  {
    names: ['placement.xs.over_optimum_percent', 'placement.xs.optimum_hits', 'placement.xs.proven'],
    measure: measureExact,
  },
  { names: ['placement.s.unplaced_over_least', 'placement.s.over_milp60_percent'], measure: measureSmall },
  {
    names: [
      'placement.m.over_long_percent.1s',
      'placement.m.over_long_percent.5s',
      'placement.m.over_long_percent.20s',
      'placement.m.over_ffd_ratio',
    ],
    measure: measureMedium,
  },
  {
    names: ['placement.l.over_long_percent', 'placement.l92.unplaced', 'placement.xl92.unplaced'],
    measure: measureLarge,
  },
  { names: ['placement.s.bound_gap_percent'], measure: () => [measureGap('s')] },
  { names: ['placement.m.bound_gap_percent'], measure: () => [measureGap('m')] },
  {
    names: ['s', 'm', 'l', 'xl'].map((size) => `placement.${size}.ms_to_within_5_percent`),
    measure: measureGrowth,
  },
];
