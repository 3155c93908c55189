import { createRandom } from '../core/random/index.ts';
import type { Spot } from '../core/packing/index.ts';
import {
  getFetchSeconds,
  STOW_FORMS,
  type Stowage,
  type Assignment,
  type BinMove,
  type Household,
  type PlaceId,
  type Plan,
  type PlanId,
  type Reason,
  type Score,
  type Unplaced,
} from '../core/records/index.ts';
import { explainUnplaced } from './explain/index.ts';
import {
  computeInputsHash,
  createFacts,
  getOptionPackage,
  getPlaceOf,
  getWayOf,
  isAllowed,
  type Facts,
  type Offered,
} from './model/index.ts';
import { describePresent, recount, State } from './score/index.ts';
import {
  Annealer,
  constructByGroup,
  constructFirstFit,
  constructFromPresent,
  constructRest,
  PackingCache,
  putInSequence,
  repairPacking,
} from './search/index.ts';

import { standAsPlanned, withBerths, withBins } from '../core/storage/index.ts';
import { listBinMoves, priceBins, standBins, type Stood } from './bins.ts';

/** A complete, packed answer. Every place's spots are by the turn of its lots. */
export interface Solution {
  readonly assignments: readonly Assignment[];
  /** Containers that are to stand elsewhere than they do. */
  readonly bins: readonly BinMove[];
  readonly unplaced: readonly Unplaced[];
  readonly score: Score;
  readonly spots: ReadonlyMap<PlaceId, readonly Spot[]>;
}

/** A search that can be taken further, and asked at any time for the best it has. */
export interface Run {
  /** The household as it is, which the plan is for. */
  readonly today: Household;
  readonly facts: Facts;
  /** Today's arrangement, scored by the same rules. */
  readonly before: Score;
  readonly steps: number;
  /** Feasible moves that were priced. */
  readonly evaluated: number;
  /** Lots without a home and fetching seconds a month of the best so far, before packing. */
  readonly peek: () => { unplaced: number; fetchSeconds: number };
  /** The best so far before packing, as far as it is drawn while one waits. */
  readonly listBest: () => Stowage;
  /** Takes about `count` steps. Same seed and same steps, same plan. */
  readonly advance: (count: number) => void;
  /** Says how many steps will be taken in all, as far as one can tell; the same guess and steps give the same plan. */
  readonly expect: (steps: number) => void;
  /** The best so far, packed with positions. */
  readonly getSolution: () => Solution;
}

function toOffered(facts: Facts, option: Int32Array): (Offered | null)[] {
  return facts.lots.map((_, l) =>
    option[l] === -1 ? null : facts.describe(l, getPlaceOf(facts, option[l]!), getOptionPackage(facts, l, option[l]!)),
  );
}

/** The same, where what is carried within its container is not carried by itself. */
function toCarried(facts: Facts, option: Int32Array, { idOf }: Stood): (Offered | null)[] {
  const { carrySeconds, carryMonths } = facts.settings.estimates;
  return toOffered(facts, option).map((one, l) => {
    const p = facts.present[l]!;
    if (!one || p < 0 || one.place === p || idOf(one.place) !== facts.places[p]!.place.id) return one;
    if (STOW_FORMS[facts.presentForm[l]!] !== one.pkg.form) return one;
    return { ...one, moving: Math.max(0, one.moving - carrySeconds / carryMonths) };
  });
}

/** Today's arrangement as it is, broken rules and all. A lot that is out counts at its home. */
function scorePresent(facts: Facts): Score {
  return recount(facts, describePresent(facts));
}

/** What is where, in the order of the groups. */
function listAssignments(facts: Facts, options: Int32Array, { idOf }: Stood): Assignment[] {
  const orders = new Int32Array(facts.places.length);
  const assignments: Assignment[] = [];
  for (const [l, lot] of facts.lots.entries()) {
    const option = options[l]!;
    if (option === -1) continue;
    const p = getPlaceOf(facts, option);
    const form = STOW_FORMS[facts.wayForm[getWayOf(facts, option)]!]!;
    assignments.push({ lotId: lot.id, placeId: idOf(p), form, order: orders[p]! });
    orders[p]! += 1;
  }
  return assignments;
}

function createSolution(facts: Facts, state: State, cache: PackingCache, today: Household): Solution {
  const stood = standBins(facts, state.option);
  const inside = new Map<number, number[]>();
  const unplaced: Unplaced[] = [];
  for (let l = 0; l < facts.lots.length; l += 1) {
    const p = state.getPlace(l);
    if (p < 0) unplaced.push({ lotId: facts.lots[l]!.id, reason: nameReason(facts, explainUnplaced(facts, state, l)) });
    else inside.set(p, [...(inside.get(p) ?? []), l]);
  }
  const spots = new Map<PlaceId, readonly Spot[]>();
  for (const [p, lots] of inside) {
    const placeId = stood.idOf(p);
    const packed = cache.pack(p, lots, state.option);
    if (packed.status !== 'packed') throw new Error(`place ${placeId} was repaired and does not pack`);
    spots.set(placeId, packed.spots);
  }
  const then = withBins(facts.household.places, stood.bins);
  const offered = toCarried(facts, state.option, stood);
  return {
    assignments: listAssignments(facts, state.option, stood),
    bins: listBinMoves(today.places, then),
    unplaced,
    score: priceBins(facts, offered, recount(facts, offered), listBinMoves(withBerths(today.places), then).length),
    spots,
  };
}

/** A reason that speaks of a place that there could be speaks of its compartment. */
function nameReason(facts: Facts, reason: Reason): Reason {
  const further = facts.standings.further.find(({ place }) => place.id === reason.placeId);
  return further ? { ...reason, placeId: further.slotId } : reason;
}

/** A packed copy of an arrangement, priced. */
function createPacked(
  facts: Facts,
  option: Int32Array,
  cap: Float64Array,
  cache: PackingCache,
  opening: Float64Array,
): { state: State; burst: number[] } {
  const state = new State(facts, opening);
  state.load(option);
  state.cap.set(cap);
  return { state, burst: repairPacking(state, cache) };
}

/** Puts lots where a plan has them, as far as they go in there. */
function loadAssignments(state: State, assignments: readonly Assignment[]): void {
  const { facts } = state;
  const placeIndex = new Map(facts.places.map((one, p) => [one.place.id, p]));
  const byLot = new Map(assignments.map((one) => [one.lotId, one]));
  for (const [l, lot] of facts.lots.entries()) {
    const wanted = byLot.get(lot.id);
    const p = wanted && placeIndex.get(wanted.placeId);
    if (!wanted || p === undefined) continue;
    for (let w = facts.wayStart[l]!; w < facts.wayStart[l + 1]!; w += 1) {
      const option = w * facts.places.length + p;
      if (STOW_FORMS[facts.wayForm[w]!] !== wanted.form || !isAllowed(facts, w, p) || !state.canInsert(option))
        continue;
      state.insert(l, option);
      break;
    }
  }
}

/** With more lots than this the search has no time to mend an arrangement by size. */
const MOST_BY_SIZE = 4000;

/** A place that burst in packing is filled a little less from then on. */
const TIGHTEN = 0.97;

/** Carrying counts so many times what it costs, so that only moves that matter are made. */
function withCarrying(household: Household, factor: number): Household {
  const { settings } = household;
  const { carrySeconds, relearnSeconds } = settings.estimates;
  const estimates = {
    ...settings.estimates,
    carrySeconds: carrySeconds * factor,
    relearnSeconds: relearnSeconds * factor,
  };
  return { ...household, settings: { ...settings, estimates } };
}

/** What a search is to do otherwise. */
export interface RunOptions {
  /** Things are moved only where that saves so many times what carrying costs; containers then stay where they stand. */
  readonly carryFactor?: number;
  /** Every container that holds anything costs so many seconds a month, so that as few are used as can be. */
  readonly openSeconds?: number;
  /** A plan to go on from: what is found is never worse. */
  readonly from?: Stowage;
  /** Containers stay where they stand. */
  readonly binsStay?: boolean;
}

/** The best of several first arrangements. */
function begin(facts: Facts, opening: Float64Array, carryFactor: number, from: Stowage | undefined): State {
  const state = new State(facts, opening);
  constructByGroup(state);
  // Warm start: where things are already is kept unless building anew is better.
  if (carryFactor > 1 || facts.present.some((p) => p !== -1)) {
    const present = new State(facts, opening);
    constructFromPresent(present);
    constructRest(present);
    if (carryFactor > 1 || present.price < state.price) state.load(present.option);
  }
  if (from) {
    const given = new State(facts, opening);
    loadAssignments(given, from.assignments);
    if (given.price <= state.price) state.load(given.option);
  }
  // Where something has no home, the plain order of sizes often houses more; what it costs is soon mended.
  if (carryFactor === 1 && state.unplacedWeight > 0 && facts.lots.length <= MOST_BY_SIZE) {
    const bySize = new State(facts, opening);
    constructFirstFit(bySize);
    if (bySize.price < state.price) state.load(bySize.option);
  }
  return state;
}

/**
 * Starts a search for the best plan of a household. The only way into the solver. The plan is scored with the real
 * prices, whatever the options.
 */
export function createRun(
  today: Household,
  seed: number,
  { carryFactor = 1, openSeconds = 0, from, binsStay = carryFactor > 1 }: RunOptions = {},
): Run {
  // A search begins from where containers belong, as it does from where things belong.
  const berths = withBerths(today.places);
  const places = from ? standAsPlanned(today.places, from.bins ?? []).places : berths;
  const household = places === today.places ? today : { ...today, places };
  const real = createFacts(household, { isOpen: !binsStay, berths });
  const facts = carryFactor === 1 ? real : createFacts(withCarrying(household, carryFactor));
  const cache = new PackingCache(facts);
  const opening = Float64Array.from(facts.places, ({ place }) => (place.container ? openSeconds : 0));
  const state = begin(facts, opening, carryFactor, from);
  const annealer = new Annealer(state, createRandom(seed), carryFactor > 1);
  let packedBest: { state: State; price: number } | null = null;

  /** Packs the best arrangement of this round, keeps it if it is the best of all, and learns from what burst. */
  const closeRound = () => {
    const { state: packed, burst } = createPacked(facts, annealer.best, state.cap, cache, opening);
    for (const p of burst) state.cap[p] = Math.max(0.5, Math.min(state.cap[p]!, packed.fill[p]!) * TIGHTEN);
    const price = packed.price;
    if (!packedBest || price < packedBest.price) packedBest = { state: packed, price };
    return burst.length > 0 ? packedBest.state.option : null;
  };
  return {
    today,
    facts: real,
    before: scorePresent(household === today ? real : createFacts(today)),
    get steps() {
      return annealer.steps;
    },
    get evaluated() {
      return annealer.evaluated;
    },
    peek: () => {
      let unplaced = 0;
      for (const option of annealer.best) if (option === -1) unplaced += 1;
      return { unplaced, fetchSeconds: getFetchSeconds(recount(real, toOffered(real, annealer.best))) };
    },
    listBest() {
      const stood = standBins(facts, annealer.best);
      const bins = listBinMoves(today.places, withBins(places, stood.bins));
      return { assignments: listAssignments(facts, annealer.best, stood), bins };
    },
    expect: (steps) => annealer.expect(steps),
    advance(count) {
      let left = count;
      while (left > 0) {
        if (annealer.isRoundOver) annealer.startRound(closeRound());
        const before = annealer.steps;
        annealer.advance(left);
        left -= annealer.steps - before;
      }
    },
    getSolution() {
      const { state: packed } = createPacked(facts, annealer.best, state.cap, cache, opening);
      const best = packedBest && packedBest.price <= packed.price ? packedBest.state : packed;
      const inOrder = new State(facts, opening);
      inOrder.load(best.option);
      putInSequence(inOrder, cache);
      const solution = createSolution(facts, inOrder, cache, today);
      return real === facts ? solution : { ...solution, score: recount(real, toOffered(real, inOrder.option)) };
    },
  };
}

/** A solution as the record that is kept. */
export function createPlan(run: Run, solution: Solution, seed: number, id: PlanId, madeAtMs: number): Plan {
  return {
    id,
    madeAtMs,
    seed,
    steps: run.steps,
    inputsHash: computeInputsHash(run.today),
    score: solution.score,
    before: run.before,
    assignments: [...solution.assignments],
    unplaced: [...solution.unplaced],
    ...(solution.bins.length > 0 && { bins: [...solution.bins] }),
    adoptedAtMs: undefined,
  };
}

/** The peer for benches and for the user's comparison: first-fit decreasing, packed by the same packing. */
export function solveFirstFit(household: Household): Solution {
  const facts = createFacts(household);
  const cache = new PackingCache(facts);
  const state = new State(facts);
  constructFirstFit(state);
  repairPacking(state, cache);
  return createSolution(facts, state, cache, household);
}
