import type { Household, LotId, PlaceId, Ware } from '../core/records/index.ts';
import { computePackages, getWholeLot } from '../core/measure/index.ts';
import { computeShare } from '../core/packing/index.ts';
import { getCost, listSpots, withGot, type Got } from '../core/room/index.ts';
import { computeSpace, createPlaceTree } from '../core/storage/index.ts';
import { createRun, type Run, type Solution } from './solve.ts';

/** A set of things got, the household with them, and the plan for it. */
export interface GetResult {
  readonly got: readonly Got[];
  readonly household: Household;
  readonly run: Run;
  readonly solution: Solution;
}

/** What is told after each trial. */
export interface GetProgress {
  readonly stage: 'adding' | 'leaving-out' | 'cheaper';
  readonly trials: number;
  readonly best: GetResult;
}

/** Steps of a trial for each lot, and the least of any. */
const STEPS_PER_LOT = 250;
const LEAST_STEPS = 40_000;
const MOST_STEPS = 400_000;
/** So many spots are tried in each round, of each ware no more than a few: those that promise most for what they cost. */
const TRIED = 6;
const TRIED_OF_WARE = 2;
/** What costs nothing is still something more in the room. */
const LEAST_COST = 0.01;

const weigh = ({ solution }: GetResult) => solution.score.unplacedWeight;
const cost = (got: readonly Got[]) => got.reduce((sum, one) => sum + getCost(one), 0);

function attempt(household: Household, got: readonly Got[], seed: number): GetResult | null {
  const next = withGot(household, got);
  if (!next) return null;
  const run = createRun(next, seed, { binsStay: true });
  run.advance(Math.min(MOST_STEPS, Math.max(LEAST_STEPS, STEPS_PER_LOT * next.lots.size)));
  return { got, household: next, run, solution: run.getSolution() };
}

/** Leaves out what the plan leaves empty: bins, and pieces with nothing in any of their compartments. */
function trim({ got, solution }: GetResult): Got[] {
  const used = new Set<PlaceId>(solution.assignments.map((one) => one.placeId));
  const parents = new Set<PlaceId>();
  for (const { places } of got)
    for (const place of places) if (place.container && used.has(place.id)) parents.add(place.parentId!);
  return got.flatMap((one): Got[] => {
    if (one.ware.container) {
      const places = one.places.filter((place) => used.has(place.id));
      return places.length > 0 ? [{ ...one, places, count: places.length }] : [];
    }
    return one.places.some((place) => used.has(place.id) || parents.has(place.id)) ? [one] : [];
  });
}

/** Without one of them, and without what stands in it. */
function leaveOut(got: readonly Got[], one: Got): Got[] {
  const gone = new Set(one.places.map((place) => place.id));
  return got.filter((other) => other !== one && !gone.has(other.within));
}

/**
 * What a spot promises: by the quick measure of packing, the weight of what has no home and would go in, less that of
 * what lies there now; for what it costs.
 */
function createPromise(now: GetResult): (spot: Got) => number {
  const { household, solution, run } = now;
  const homeless = solution.unplaced.map(({ lotId }) => {
    const lot = household.lots.get(lotId)!;
    const item = household.items.get(lot.itemId)!;
    const weight = run.facts.weight[run.facts.lots.findIndex((other) => other.id === lotId)]!;
    return { packages: computePackages(item, getWholeLot(household, lot), household.settings), weight };
  });
  const inside = new Map<PlaceId, LotId[]>();
  for (const { placeId, lotId } of solution.assignments) inside.set(placeId, [...(inside.get(placeId) ?? []), lotId]);
  return (spot) => {
    // Only the places count here: what lies in them is moved over when the spot is tried.
    const tree = createPlaceTree(
      new Map([...household.places, ...spot.places.map((place) => [place.id, place] as const)]),
    );
    const isNew = new Set(spot.places.map((place) => place.id));
    const spaces = tree.leaves.filter((leaf) => isNew.has(leaf.id)).map((leaf) => computeSpace(tree, leaf));
    const fills = spaces.map(() => 0);
    let weight = 0;
    for (const lot of homeless) {
      const at = spaces.findIndex((space, s) =>
        lot.packages.some((pkg) => {
          const fit = computeShare(pkg, space);
          if (!fit.ok || fills[s]! + fit.share > 1) return false;
          fills[s]! += fit.share;
          return true;
        }),
      );
      if (at >= 0) weight += lot.weight;
    }
    // What lies open in a compartment may or may not go into the bins that come there.
    const ousted = (inside.get(spot.within)?.length ?? 0) / 2;
    return (weight - ousted) / Math.max(LEAST_COST, getCost(spot));
  };
}

/** The spots that promise most. */
function listPromising(now: GetResult, wares: readonly Ware[], most: number, createId: () => string): Got[] {
  const promise = createPromise(now);
  const taken = new Map<string, number>();
  for (const one of now.got) taken.set(one.ware.id, (taken.get(one.ware.id) ?? 0) + one.count);
  const ranked = wares
    .flatMap((ware) =>
      listSpots(now.household, ware, ware.most - (taken.get(ware.id) ?? 0), createId)
        .map((spot) => ({ spot, worth: promise(spot) }))
        .filter(({ worth }) => worth > 0)
        .toSorted((a, b) => b.worth - a.worth)
        .slice(0, TRIED_OF_WARE),
    )
    .toSorted((a, b) => b.worth - a.worth);
  return ranked.slice(0, most).map(({ spot }) => spot);
}

/**
 * Looks for the cheapest set of the household's wares with which everything has a home: adds what houses most for its
 * cost, trial by trial with a real search and packing; then leaves out what is not needed, the dearest first, and puts
 * cheaper things in its place. At the end nothing can be left out of the set without something losing its home, as far
 * as the search can see. Yields after every trial; the last value is the result.
 */
export function* searchWares(household: Household, seed: number): Generator<GetProgress, GetResult> {
  const wares = household.settings.wares ?? [];
  let serial = 0;
  const createId = () => {
    do serial += 1;
    while (household.places.has(`got-${serial}` as PlaceId));
    return `got-${serial}`;
  };
  let trials = 1;
  let best = attempt(household, [], seed)!;
  const tell = (stage: GetProgress['stage']): GetProgress => ({ stage, trials, best });
  yield tell('adding');
  /** Takes a set over that houses as much for less; without what it leaves empty. */
  const settle = (next: GetResult) => {
    const got = trim(next);
    best = cost(got) === cost(next.got) ? next : { ...next, got, household: withGot(household, got) ?? next.household };
  };
  while (weigh(best) > 0) {
    let found: { next: GetResult; rate: number } | null = null;
    for (const spot of listPromising(best, wares, TRIED, createId)) {
      const next = attempt(household, [...best.got, spot], seed);
      trials += 1;
      if (next && weigh(next) < weigh(best) - 1e-9) {
        const rate = (weigh(best) - weigh(next)) / Math.max(LEAST_COST, cost(trim(next)) - cost(best.got));
        if (!found || rate > found.rate) found = { next, rate };
      }
      yield tell('adding');
    }
    if (!found) break;
    settle(found.next);
  }
  for (const one of best.got.toSorted((a, b) => getCost(b) - getCost(a))) {
    if (!best.got.includes(one)) continue;
    const next = attempt(household, leaveOut(best.got, one), seed);
    trials += 1;
    if (next && weigh(next) <= weigh(best) + 1e-9) settle(next);
    yield tell('leaving-out');
  }
  for (const one of best.got.toSorted((a, b) => getCost(b) - getCost(a))) {
    if (!best.got.includes(one)) continue;
    const rest = attempt(household, leaveOut(best.got, one), seed);
    trials += 1;
    yield tell('cheaper');
    if (!rest) continue;
    const cheaper = wares.filter((ware) => ware.cost < getCost(one));
    for (const spot of listPromising(rest, cheaper, TRIED_OF_WARE, createId)) {
      if (getCost(spot) >= getCost(one)) continue;
      const next = attempt(household, [...rest.got, spot], seed);
      trials += 1;
      const isAsGood = next !== null && weigh(next) <= weigh(best) + 1e-9;
      if (isAsGood) settle(next);
      yield tell('cheaper');
      if (isAsGood) break;
    }
  }
  // The places of the last plan are those of what is got, no others.
  const last = attempt(household, best.got, seed);
  return last && weigh(last) <= weigh(best) + 1e-9 ? last : best;
}
