import type { Household, Lot, LotId, PlaceId, StowForm } from '../records/index.ts';
import {
  computeAccessSeconds,
  computeStandPoint,
  computeStationPoint,
  computeWayMm,
  type StandPoint as Stand,
} from '../storage/index.ts';
import type { Trip } from './decode.ts';
import { shortenWalk } from './shorten.ts';
import { ABOUT, ASIDE, getLiftG, TABLE, type MoveFacts } from './facts.ts';

/** Where things are carried from and to: a place, the table, out of the way; `about` is wherever they lie. */
export type StepPlace = PlaceId | 'table' | 'aside' | 'about';

/** One step of the reorganising day, done at once. */
export interface Step {
  /** `carry` from one spot to another, `refold` where it is, or put what is there in `order`. */
  readonly kind: 'carry' | 'refold' | 'order';
  readonly lotIds: readonly LotId[];
  /** The form that each has afterwards. */
  readonly forms: readonly StowForm[];
  readonly from: StepPlace;
  readonly to: StepPlace;
  /** The whole content of a bin goes into an empty bin of the same kind: the bins change places instead. */
  readonly isWholeBin: boolean;
  /** The bin that it is from is empty then, for whatever comes next. */
  readonly isEmptied: boolean;
  readonly massG: number;
  readonly seconds: number;
}

/** To put one thing into its turn among others, beside taking it in the hand. */
const ORDER_SECONDS = 4;

function toSpot(facts: MoveFacts, p: number): StepPlace {
  if (p === TABLE) return 'table';
  if (p === ASIDE) return 'aside';
  return p === ABOUT ? 'about' : facts.places[p]!.place.id;
}

/** Lots in the turn that they have (`order`), or are to have (`homeOrder`). */
const byTurn = (turn: 'order' | 'homeOrder') => (a: Lot, b: Lot) => a[turn] - b[turn] || (a.id < b.id ? -1 : 1);

function isInOrder(lots: readonly Lot[]): boolean {
  const [now, then] = [lots.toSorted(byTurn('order')), lots.toSorted(byTurn('homeOrder'))];
  return now.every((lot, i) => lot === then[i]);
}

/** Where the sewist stands to reach a spot: before a place; at the first station for what is in none. */
function createStands(facts: MoveFacts): (p: number) => Stand | null {
  const { tree, places } = facts;
  const room = tree.rooms.find((one) => (one.room?.stations.length ?? 0) > 0) ?? tree.rooms[0];
  const station = room?.room?.stations[0];
  const centre: Stand | null =
    room?.room && station
      ? { roomId: room.id, ...computeStationPoint(room.room, station, (id) => tree.places.get(id)?.unit) }
      : null;
  const known = new Map<number, Stand>();
  return (p) => {
    if (p < 0) return centre;
    const stand = known.get(p) ?? computeStandPoint(tree, places[p]!.place);
    known.set(p, stand);
    return stand;
  };
}

/** The way on foot between two spots, mm; nothing where one of them is nowhere. */
function createWayBetween(facts: MoveFacts, standAt: (p: number) => Stand | null): (a: number, b: number) => number {
  return (a, b) => {
    const [from, to] = [standAt(a), standAt(b)];
    return from && to ? computeWayMm(facts.tree, from, to) : 0;
  };
}

/** All the way on foot of some trips, in their order, mm. */
export function computeWalkMm(facts: MoveFacts, trips: readonly Trip[], isShortened: boolean): number {
  const wayMm = createWayBetween(facts, createStands(facts));
  const order = isShortened ? shortenWalk(facts, trips, wayMm, ABOUT) : trips;
  let [sum, at] = [0, ABOUT];
  for (const { from, to } of order) {
    sum += wayMm(at, from) + wayMm(from, to);
    at = to;
  }
  return sum;
}

/**
 * The steps of an order of trips, put into one with less walking, with what each takes: each thing by what carrying one costs, twice where it is folded
 * anew; a whole bin counts as one; the way on foot from where the last step ended; bending, opening and pulling out at
 * both ends. Places where nothing comes or goes but whose things stand in another order are put in order at the end.
 */
export function toSteps(facts: MoveFacts, given: readonly Trip[]): Step[] {
  const { household, tree, places, movers } = facts;
  const { estimates } = household.settings;
  const standAt = createStands(facts);
  const trips = shortenWalk(facts, given, createWayBetween(facts, standAt), ABOUT);
  const access = places.map(({ place, traits }) => computeAccessSeconds(tree, place, traits, household.settings));
  const inside = places.map((_, p) => new Set<LotId>(facts.stays[p]!.map((one) => one.lotId)));
  for (const { lot, from } of movers) if (from >= 0) inside[from]!.add(lot.id);
  let at = standAt(ABOUT);
  const steps: Step[] = [];
  const add = (
    kind: Step['kind'],
    lotIds: readonly LotId[],
    forms: readonly StowForm[],
    from: number,
    to: number,
    more: { handS: number; massG: number; isWholeBin: boolean; isEmptied: boolean },
  ) => {
    let seconds = more.handS;
    for (const p of new Set([from, to])) {
      const next = standAt(p);
      if (at && next) seconds += (computeWayMm(tree, at, next) * estimates.walkSecondsPerM) / 1000;
      if (at && next && at.roomId !== next.roomId) seconds += estimates.otherRoomSeconds / 2;
      at = next ?? at;
      if (p >= 0) seconds += access[p]!;
    }
    const { handS: _handS, ...told } = more;
    steps.push({ kind, lotIds, forms, from: toSpot(facts, from), to: toSpot(facts, to), ...told, seconds });
  };
  for (const { movers: carried, from, to } of trips) {
    const list = carried.map((m) => movers[m]!).toSorted((a, b) => byTurn('homeOrder')(a.lot, b.lot));
    const massG = list.reduce((sum, one) => sum + one.massG, 0);
    const isWholeBin = isBinSwap(facts, from, to, list.length, inside, massG);
    const isEmptied =
      from >= 0 && from !== to && Boolean(places[from]!.place.container) && inside[from]!.size === list.length;
    const isHome = to >= 0;
    const forms = list.map(({ lot, form }) => (isHome ? form : lot.form));
    const refolded = list.filter(({ lot, form }) => isHome && lot.form !== form).length;
    const handS = (isWholeBin ? 1 : list.length + refolded) * estimates.carrySeconds;
    add(
      from === to ? 'refold' : 'carry',
      list.map(({ lot }) => lot.id),
      forms,
      from,
      to,
      { handS, massG, isWholeBin, isEmptied },
    );
    for (const { lot } of list) {
      if (from >= 0) inside[from]!.delete(lot.id);
      if (to >= 0) inside[to]!.add(lot.id);
    }
  }
  const touched = new Set(trips.map(({ to }) => to));
  for (const [p, stays] of facts.stays.entries()) {
    const lots = stays
      .map(({ lotId }) => household.lots.get(lotId)!)
      .filter((lot) => lot.homeId === places[p]!.place.id);
    if (touched.has(p) || isInOrder(lots)) continue;
    const sorted = lots.toSorted(byTurn('homeOrder'));
    const massG = stays.reduce((sum, one) => sum + one.pkg.massG, 0);
    add(
      'order',
      sorted.map((lot) => lot.id),
      sorted.map((lot) => lot.form),
      p,
      p,
      { handS: ORDER_SECONDS * sorted.length, massG, isWholeBin: false, isEmptied: false },
    );
  }
  return steps;
}

/** Whether all of a bin goes into an empty bin of the same kind, light enough to be carried with it. */
function isBinSwap(
  facts: MoveFacts,
  from: number,
  to: number,
  count: number,
  inside: readonly ReadonlySet<LotId>[],
  massG: number,
): boolean {
  if (from < 0 || to < 0 || from === to) return false;
  const [a, b] = [facts.places[from]!.place.container, facts.places[to]!.place.container];
  if (!a || !b || count < 2 || inside[from]!.size !== count || inside[to]!.size > 0) return false;
  const isAlike =
    a.outerWidthMm === b.outerWidthMm &&
    a.outerDepthMm === b.outerDepthMm &&
    a.outerHeightMm === b.outerHeightMm &&
    a.mode === b.mode &&
    (a.dividers?.columns ?? 1) === (b.dividers?.columns ?? 1) &&
    (a.dividers?.rows ?? 1) === (b.dividers?.rows ?? 1);
  return isAlike && massG + a.tareG <= getLiftG(facts, from, to);
}

/** Where a lot is, as steps name it; null for what is in no state to be carried. */
function getSpot(lot: Lot): StepPlace | null {
  if (lot.state === 'in') return lot.placeId ?? null;
  if (lot.state !== 'out' || lot.away === 'missing') return null;
  return lot.away === 'table' || lot.away === 'aside' ? lot.away : 'about';
}

/** How far a list of steps has been done, read from where things are now. */
export interface Progress {
  /** By step: the lots that are still to be carried in it; empty where it is done. */
  readonly left: readonly (readonly LotId[])[];
  /** The first step with anything left; the number of steps where all is done. */
  readonly next: number;
  /** Something is where no step left it: the list no longer holds, and is to be made anew. */
  readonly isStale: boolean;
}

/**
 * How far the steps are done. Nothing is counted: a lot has done its step when it is where that step takes it, so that
 * what is undone, done elsewhere or put somewhere else shows at once.
 */
export function computeProgress(
  household: Household,
  steps: readonly Step[],
  skipped: ReadonlySet<LotId> = new Set(),
): Progress {
  const ofLot = new Map<LotId, number[]>();
  for (const [k, { lotIds, kind }] of steps.entries())
    for (const id of kind === 'order' ? [] : lotIds) {
      const list = ofLot.get(id);
      if (list) list.push(k);
      else ofLot.set(id, [k]);
    }
  const left: LotId[][] = steps.map(() => []);
  // Another plan was adopted, or something came: the list does not bring everything home any more.
  let isStale = [...household.lots.values()].some((lot) => {
    if (lot.homeId === undefined || lot.homeId === lot.placeId || getSpot(lot) === null || skipped.has(lot.id))
      return false;
    const last = ofLot.get(lot.id)?.at(-1);
    return last === undefined || steps[last]!.to !== lot.homeId;
  });
  for (const [id, mine] of ofLot) {
    const lot = household.lots.get(id);
    const spot = lot && getSpot(lot);
    // Missing, lent or used up meanwhile: it is not carried, and what it would have taken stays free.
    if (!lot || !spot) continue;
    // The last of its steps after which it would be as it is; none of them where it is as before the first.
    const isAfter = (k: number) => {
      const { to, forms, lotIds } = steps[k]!;
      return spot === to && (spot === 'table' || spot === 'aside' || lot.form === forms[lotIds.indexOf(id)]);
    };
    const last = mine.findLastIndex(isAfter);
    if (last === -1 && spot !== steps[mine[0]!]!.from) isStale = true;
    const rest = mine.slice(last + 1);
    if (rest.length > 0 && steps[rest.at(-1)!]!.to !== lot.homeId) isStale = true;
    for (const k of rest) left[k]!.push(id);
  }
  for (const [k, { kind, lotIds, to }] of steps.entries()) {
    if (kind !== 'order') continue;
    const here = lotIds.flatMap((id) => household.lots.get(id) ?? []).filter((lot) => lot.placeId === to);
    if (!isInOrder(here)) left[k]!.push(...lotIds);
  }
  const next = left.findIndex((ids) => ids.length > 0);
  const isDone = (k: number) => left[k]!.length === 0;
  const first = next === -1 ? steps.length : next;
  // Something was done out of turn: room was counted on that may not be there.
  if (steps.some((step, k) => k > first && step.kind !== 'order' && step.lotIds.length > 0 && isDone(k)))
    isStale = true;
  return { left, next: first, isStale };
}
