import { createRandom } from '../random/index.ts';
import { USUAL_STAGING, type Household, type LotId, type PlaceId, type Settings } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createMoveFacts, type MoveFacts } from './facts.ts';
import { countTrips } from './haul.ts';
import { computeLeastTable, createMoveSearch, type MoveOrder } from './search.ts';
import { toSteps, type Step } from './steps.ts';

/** A list of steps, with what no list could do without. */
export interface FoundMoves {
  readonly steps: readonly Step[];
  readonly trips: number;
  readonly leastTrips: number;
  /** Orders that were tried. */
  readonly tries: number;
  /** What is carried out of the way first, for the table is too small. */
  readonly asideIds: readonly LotId[];
  /** What has no room at its home, even with all else where it belongs; it is not carried. */
  readonly stuckIds: readonly LotId[];
  /** Containers that stay where they stand, for something would not go out of their way. */
  readonly stuckBinIds: readonly PlaceId[];
  /** The most that lies on the table at once, and about the least table that would do without that; mm³. */
  readonly peakMm3: number;
  readonly leastTableMm3: number | null;
}

/** Things stand on the table in piles of about this height, with as much air between them. */
const PILE_MM = 300;
const USABLE = 0.6;

/** What the table that can be spared holds, mm³. */
export function getTableMm3({ staging = USUAL_STAGING }: Pick<Settings, 'staging'>): number {
  return staging.widthMm * staging.depthMm * PILE_MM * USABLE;
}

/** Orders between two looks at the clock: a large household takes some ten ms for each. */
const CHUNK = 2;
/** Where something does not come home, the others are ordered anew without it, so often at most. */
const ROUNDS = 4;
/** Such a round may take this share of the first one's time. */
const LATER_SHARE = 0.3;

/** Of what did not come home, what its home would not even take alone; where that is not the reason, all of it. */
function findHopeless({ movers }: MoveFacts, stuck: readonly number[]): readonly number[] {
  const tooMuch = stuck.filter((m) => movers[m]!.shareTo > 1);
  return tooMuch.length > 0 ? tooMuch : stuck;
}

/** Trips of the best order so far, and what no order does without. */
type SoFar = Pick<FoundMoves, 'trips' | 'leastTrips'>;

export interface MovesWanted {
  readonly household: Household;
  readonly skipped: readonly LotId[];
  readonly tableMm3: number;
  readonly seed: number;
  /** So long the first round may take, s, by this clock. */
  readonly seconds: number;
  readonly nowMs: () => number;
  /** The best so far is taken. */
  readonly isStopped?: () => boolean;
}

/**
 * Looks for an order in which all that is not at home is carried there; tells the best so far now and then, and returns
 * the best found. What has no room at its home even so is left where it is, and named.
 */
export function* findMoves(wanted: MovesWanted): Generator<SoFar, FoundMoves> {
  const { household, skipped, tableMm3, seed, seconds, nowMs, isStopped } = wanted;
  const tree = createPlaceTree(household.places);
  const stuck = new Set<LotId>();
  function* look(forSeconds: number): Generator<SoFar, { facts: MoveFacts; order: MoveOrder }> {
    const facts = createMoveFacts(household, tree, new Set([...skipped, ...stuck]));
    const search = createMoveSearch(facts, tableMm3, createRandom(seed));
    const untilMs = nowMs() + forSeconds * 1000;
    while (!isStopped?.() && nowMs() < untilMs && search.advance(CHUNK)) yield search.peek();
    return { facts, order: search.getOrder() };
  }
  let { facts, order } = yield* look(seconds);
  for (let round = 0; round < ROUNDS && order.stuck.length > 0; round += 1) {
    for (const m of findHopeless(facts, order.stuck)) stuck.add(facts.movers[m]!.lot.id);
    ({ facts, order } = yield* look(seconds * LATER_SHARE));
  }
  // Whatever the last round left: it is named, and waits where its last trip took it.
  for (const m of order.stuck) stuck.add(facts.movers[m]!.lot.id);
  for (const id of facts.noWayIds) stuck.add(id);
  const { trips, leastTrips, tries, aside, peakMm3 } = order;
  return {
    steps: toSteps(facts, trips),
    trips: countTrips(trips),
    leastTrips,
    tries,
    asideIds: aside.map((m) => facts.movers[m]!.lot.id),
    stuckIds: [...stuck],
    stuckBinIds: order.stuckBins.map((b) => facts.carries[b]!.bin.placeId),
    peakMm3: peakMm3 + facts.tableTakenMm3,
    leastTableMm3: aside.length > 0 ? computeLeastTable(facts, createRandom(seed)) : null,
  };
}
