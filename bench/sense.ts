import { spawnSync } from 'node:child_process';
import { createAdopt, createCarryAll } from '../src/core/acts/index.ts';
import { applyChanges } from '../src/core/daybook/fold.ts';
import { findSense } from '../src/core/sense/index.ts';
import { getFetchSeconds, type Household, type LotId, type Plan, type PlanId } from '../src/core/records/index.ts';
import { withBins } from '../src/core/storage/index.ts';
import { createKitchenHousehold } from '../src/sample/kitchen.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { createPlan, createRun } from '../src/solver/solve.ts';
import type { Bench, Figure } from './figures.ts';
import { isSmall, sized, some } from './sized.ts';

const SEARCH_MS = sized(10_000, 100);
const SEEDS = some([11, 12, 13, 14, 15]);

function search(household: Household, ms = SEARCH_MS, seed = 1): Plan {
  const run = createRun(household, seed);
  const start = performance.now();
  let isTimed = false;
  for (;;) {
    run.advance(2000);
    const spent = performance.now() - start;
    if (spent >= ms) break;
    if (isTimed || spent < 0.06 * ms) continue;
    isTimed = true;
    run.expect(Math.round((run.steps * ms) / spent));
  }
  return createPlan(run, run.getSolution(), seed, 'plan' as PlanId, 0);
}

/** What one would point at in a plan of a household, by the names of the figures. */
function countSense(household: Household, { assignments, score, bins = [] }: Plan): Record<string, [number, string]> {
  const places = withBins(household.places, bins);
  const found = findSense({ ...household, places }, assignments);
  return {
    mixed_kinds_share: [found.mixed.length / Math.max(1, found.used.length), 'of places'],
    groups_in_place: [found.groupsInPlace, 'mean'],
    groups_over_two_units: [found.scattered.length, 'groups'],
    small_loose_on_open: [found.looseSmall.length, 'lots'],
    holders_empty_beside_loose: [found.emptyHolders.length, 'places'],
    on_work_tops: [found.onWorkTops.length, 'lots'],
    emptied_bins_beside_loose_goods: [found.emptyBins.length, 'bins'],
    fetch_minutes: [getFetchSeconds(score) / 60, 'min a month'],
  };
}

const COUNTS = [
  'mixed_kinds_share',
  'groups_in_place',
  'groups_over_two_units',
  'small_loose_on_open',
  'holders_empty_beside_loose',
  'on_work_tops',
  'emptied_bins_beside_loose_goods',
  'fetch_minutes',
] as const;

const measure = (name: string, makers: readonly (() => Household)[], ms = SEARCH_MS): Bench => ({
  names: COUNTS.map((count) => `sense.${name}.${count}`),
  measure: () => {
    const all = makers.map((make) => {
      const household = make();
      return countSense(household, search(household, ms));
    });
    // Of several households the worst.
    return COUNTS.map((count): Figure => {
      const [value, unit] = all.map((one) => one[count]!).reduce((worst, one) => (one[0] > worst[0] ? one : worst));
      return { name: `sense.${name}.${count}`, value, unit };
    });
  },
});

function act(household: Household, draft: ReturnType<typeof createAdopt>): Household {
  const next = draft.ok ? applyChanges(household, draft.value.changes) : draft;
  if (!next.ok) throw new Error('a plan that cannot be adopted');
  return next.value;
}

/** The household with a plan adopted, and carried out or not, and one cloth like the first more. */
function settle(household: Household, plan: Plan, isCarried: boolean): Household {
  const byLot = new Map(plan.assignments.map((one) => [one.lotId, one]));
  let settled = act(household, createAdopt(household, plan, 'Plan', 1));
  if (isCarried) settled = act(settled, createCarryAll(settled, 'all', 1));
  const lots = new Map(settled.lots);
  const cloth = [...lots.values()].find(
    (lot) => household.items.get(lot.itemId)!.kind === 'fabric' && byLot.has(lot.id),
  )!;
  const { homeId: _home, placeId: _place, ...more } = cloth;
  lots.set('more' as LotId, { ...more, id: 'more' as LotId, state: 'out' });
  return { ...settled, lots };
}

function measureOneMore(): Figure[] {
  const { household } = createSampleHousehold();
  const plan = search(household);
  const homes = new Map(plan.assignments.map((one) => [one.lotId, one]));
  return [false, true].map((isCarried): Figure => {
    const next = search(settle(household, plan, isCarried), SEARCH_MS, 2);
    const moved = next.assignments.filter(
      ({ lotId, placeId }) => homes.has(lotId) && homes.get(lotId)!.placeId !== placeId,
    );
    return {
      name: isCarried ? 'sense.one_more_cloth.moved_percent_carried' : 'sense.one_more_cloth.moved_percent',
      value: (100 * moved.length) / homes.size,
      unit: '%',
    };
  });
}

/** The scenarios are tests; here they are only counted. */
function measureScenarios(): Figure[] {
  const { stdout } = spawnSync(
    'npx',
    ['vitest', 'run', isSmall ? 'src/solver/scenarios/room.test.ts' : 'src/solver/scenarios', '--reporter=json'],
    { encoding: 'utf8', maxBuffer: 1e8 },
  );
  const { numFailedTests, numTotalTests } = JSON.parse(stdout.slice(stdout.indexOf('{'))) as {
    numFailedTests: number;
    numTotalTests: number;
  };
  return [{ name: 'sense.scenarios_failed', value: numFailedTests, unit: `of ${numTotalTests}` }];
}

export const senseFigures: readonly Bench[] = [
  { names: ['sense.scenarios_failed'], measure: measureScenarios },
  measure('loft', [() => createSampleHousehold().household]),
  measure('kitchen', [() => createKitchenHousehold().household]),
  measure('ten', [() => createSampleHousehold(1, sized(3000, 60)).household], sized(30_000, 100)),
  measure(
    'seeds',
    SEEDS.map((seed) => () => createSampleHousehold(seed, 320).household),
  ),
  {
    names: ['sense.one_more_cloth.moved_percent', 'sense.one_more_cloth.moved_percent_carried'],
    measure: measureOneMore,
  },
];
