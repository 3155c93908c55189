import { checkMoves } from '../src/check/index.ts';
import { decode } from '../src/core/moves/decode.ts';
import { listLoads } from '../src/core/moves/loads.ts';
import { computeWalkMm, createMoveFacts, createMoveSearch, toSteps, type MoveFacts } from '../src/core/moves/index.ts';
import { packPlace } from '../src/core/packing/index.ts';
import { createRandom, shuffle } from '../src/core/random/index.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { computeSpace, computeStandPoint, computeWayMm, createPlaceTree } from '../src/core/storage/index.ts';
import { SIZES } from '../tests/instances.ts';
import { createTurnedRound } from '../tests/turned.ts';
import type { Bench, Figure } from './figures.ts';
import { computePresentPackage, findRound } from '../src/core/whereabouts/index.ts';
import { isSmall, sized, some } from './sized.ts';

/** Steps of the search that makes a plan tidy enough to be worth carrying out. */
const STEPS = sized(1_500_000, 20_000);
const SEEDS = some([1, 2, 3, 4]);
const BIN_MM3 = 350 ** 3;
const SEARCH_MS = sized(1600, 100);

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

function countFindings(facts: MoveFacts, order: { trips: Parameters<typeof toSteps>[1] }, tableMm3: number): number {
  const { household, tree } = facts;
  return checkMoves(household, toSteps(facts, order.trips), tableMm3, (placeId, inside) => {
    const packages = inside.map(({ lotId, form }) =>
      computePresentPackage(household, household.lots.get(lotId)!, form)!,
    );
    const packed = packPlace(packages, computeSpace(tree, tree.places.get(placeId)!));
    return packed.status === 'packed' ? packed.spots : null;
  }).findings.length;
}

/** Between two tidy plans of 600 lots and 90 places, with a table of so many bins. */
function measureFill(fill: 0.8 | 0.92): Figure[] {
  const over: number[] = [];
  const naive: number[] = [];
  const ms: number[] = [];
  const walk: number[] = [];
  let violations = 0;
  let finished = 0;
  let aside = 0;
  for (const seed of SEEDS) {
    const household = createTurnedRound(isSmall ? SIZES.xs : SIZES.m, fill, seed, STEPS);
    const run = (bins: number) => {
      const start = performance.now();
      const facts = createMoveFacts(household, createPlaceTree(household.places));
      const search = createMoveSearch(facts, bins * BIN_MM3, createRandom(seed));
      while (performance.now() - start < SEARCH_MS && search.advance(4));
      const order = search.getOrder();
      const spent = performance.now() - start;
      violations += countFindings(facts, order, bins * BIN_MM3);
      return { facts, order, spent };
    };
    const { facts, order, spent } = run(3);
    walk.push(computeWalkMm(facts, order.trips, true) / computeWalkMm(facts, order.trips, false));
    over.push(order.trips.length / order.leastTrips);
    ms.push(spent);
    // One thing after the other, as they come.
    const single = listLoads(facts).flatMap(({ from, to, list }) => list.map((m) => ({ from, to, list: [m] })));
    const asTheyCome = Float64Array.from(single, ({ list }) => -list[0]!);
    naive.push(decode(facts, single, asTheyCome, 3 * BIN_MM3).trips.length / order.leastTrips);
    const half = run(0.5).order;
    const home = new Set(half.trips.flatMap((trip) => (trip.to >= 0 ? trip.movers : [])));
    if (home.size === facts.movers.length) finished += 1;
    aside = Math.max(aside, half.aside.length);
  }
  const name = fill === 0.8 ? 'moves.m80' : 'moves.m92';
  return [
    { name: `${name}.trips_over_lower_bound`, value: mean(over), unit: 'x' },
    { name: `${name}.worst_over_lower_bound`, value: Math.max(...over), unit: 'x' },
    { name: `${name}.naive_over_lower_bound`, value: mean(naive), unit: 'x' },
    { name: `${name}.half_table_finished`, value: finished / SEEDS.length, unit: 'of 1' },
    { name: `${name}.half_table_aside`, value: aside, unit: 'things at most' },
    { name: `${name}.violations`, value: violations, unit: 'findings' },
    { name: `${name}.walk_over_unshortened`, value: mean(walk), unit: 'x' },
    { name: `${name}.ms`, value: Math.max(...ms), unit: 'ms' },
  ];
}

/** Rounds in the sample's own rooms to three to eight places, over the best of all orders; and the worst of them. */
function measureTidy(): Figure[] {
  const { household } = createSampleHousehold();
  const tree = createPlaceTree(household.places);
  const random = createRandom(4);
  const ratios = Array.from({ length: sized(40, 2) }, (_, n) => {
    const stands = shuffle(random, tree.leaves)
      .slice(0, 4 + (n % 6))
      .map((place) => computeStandPoint(tree, place));
    const way = stands.map((a) => stands.map((b) => computeWayMm(tree, a, b)));
    const go = (at: number, left: readonly number[]): number =>
      left.length === 0
        ? way[at]![0]!
        : Math.min(
            ...left.map(
              (next) =>
                way[at]![next]! +
                go(
                  next,
                  left.filter((one) => one !== next),
                ),
            ),
          );
    const best = go(
      0,
      stands.map((__, i) => i).filter((i) => i > 0),
    );
    return best === 0 ? 1 : findRound(way).length / best;
  });
  return [{ name: 'tidy.walk_ratio', value: Math.max(...ratios), unit: 'x, the worst of 40' }];
}

export const moveFigures: readonly Bench[] = [
  { names: ['tidy.walk_ratio'], measure: measureTidy },
  { names: ['moves.m80.trips_over_lower_bound', 'moves.m80.ms'], measure: () => measureFill(0.8) },
  { names: ['moves.m92.trips_over_lower_bound', 'moves.m92.violations'], measure: () => measureFill(0.92) },
];
