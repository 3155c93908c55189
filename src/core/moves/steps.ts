import type { Household, Lot, LotId, Place, PlaceId, StowForm } from '../records/index.ts';
import {
  computeAccessSeconds,
  computeStandPoint,
  computeWayMm,
  listStationSpots,
  createPlaceTree,
  listBinsToCarry,
  withBerths,
  withBins,
  type PlaceTree,
  type ToStand,
  type StandPoint as Stand,
} from '../storage/index.ts';
import type { Trip } from './haul.ts';
import { shortenWalk } from './shorten.ts';
import { ABOUT, ASIDE, getLiftG, TABLE, type MoveFacts } from './facts.ts';

/**
 * Where things are carried from and to: a place, the table, out of the way; `about` is wherever they lie. Containers are
 * carried from and to compartments, and where they stand idle.
 */
export type StepPlace = PlaceId | 'table' | 'aside' | 'about' | 'idle';

/** One step of the reorganising day, done at once. */
export interface Step {
  /** `carry` from one spot to another, `refold` where it is, put what is there in `order`, or carry `bins`. */
  readonly kind: 'carry' | 'refold' | 'order' | 'bins';
  readonly lotIds: readonly LotId[];
  /** The form that each has afterwards. */
  readonly forms: readonly StowForm[];
  readonly from: StepPlace;
  readonly to: StepPlace;
  /** Containers that are carried with all that is in them; several change places. */
  readonly bins?: readonly ToStand[];
  /** The whole content of a bin goes into an empty bin of the same kind: the bins change places instead. */
  readonly isWholeBin: boolean;
  /** The bin that it is from is empty then, for whatever comes next; the containers that are carried are empty. */
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

/** Where the sewist stands to reach a spot: before its compartment; at the first station for what is in none. */
function createStands(
  facts: MoveFacts,
  slotOf: (p: number) => Place | undefined = (p) => getSlotOf(facts, p),
): (p: number) => Stand | null {
  const { tree } = facts;
  const centre: Stand | null = listStationSpots(tree)[0] ?? null;
  const known = new Map<PlaceId, Stand>();
  return (p) => {
    const slot = p < 0 ? undefined : slotOf(p);
    if (!slot) return centre;
    const stand = known.get(slot.id) ?? computeStandPoint(tree, slot);
    known.set(slot.id, stand);
    return stand;
  };
}

/** The compartment that a place is in or is, as it is now; of a container that stands nowhere yet, as it will be. */
function getSlotOf({ tree, places, carries }: MoveFacts, p: number): Place | undefined {
  const { place } = places[p]!;
  if (!place.container) return place;
  const slotId = tree.places.get(place.id)!.parentId ?? carries.find((one) => one.place === p)?.bin.slotId;
  return slotId && tree.places.get(slotId);
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

/** Writes steps down one after the other, and keeps where one stands and what is where meanwhile. */
class Steps {
  readonly list: Step[] = [];
  readonly inside: readonly Set<LotId>[];
  private readonly slotNow: (Place | undefined)[];
  private readonly standAt: (p: number) => Stand | null;
  private readonly access: readonly number[];
  private readonly massOf: ReadonlyMap<LotId, number>;
  private at: Stand | null;

  constructor(private readonly facts: MoveFacts) {
    const { household, tree, places, movers } = facts;
    // Containers are elsewhere once they were carried.
    this.slotNow = places.map((_, p) => getSlotOf(facts, p));
    this.standAt = createStands(facts, (p) => this.slotNow[p]);
    const treeAfter = createPlaceTree(withBerths(tree.places));
    this.access = places.map(({ place, traits, standsNow }) => {
      const there = standsNow ? tree : treeAfter;
      return computeAccessSeconds(there, there.places.get(place.id)!, traits, household.settings);
    });
    this.inside = places.map((_, p) => new Set<LotId>(facts.stays[p]!.map((one) => one.lotId)));
    for (const { lot, from } of movers) if (from >= 0) this.inside[from]!.add(lot.id);
    this.massOf = new Map([
      ...facts.stays.flatMap((list) => list.map(({ lotId, pkg }) => [lotId, pkg.massG] as const)),
      ...movers.map(({ lot, massG }) => [lot.id, massG] as const),
    ]);
    this.at = this.standAt(ABOUT);
  }

  /** Seconds to walk to where one stands next. */
  private walk(next: Stand | null): number {
    const { tree, household } = this.facts;
    const { estimates } = household.settings;
    const { at } = this;
    this.at = next ?? at;
    if (!at || !next) return 0;
    const seconds = (computeWayMm(tree, at, next) * estimates.walkSecondsPerM) / 1000;
    return seconds + (at.roomId === next.roomId ? 0 : estimates.otherRoomSeconds / 2);
  }

  add(
    { kind, lotIds, forms }: Pick<Step, 'kind' | 'lotIds' | 'forms'>,
    from: number,
    to: number,
    { handS, ...told }: Pick<Step, 'massG' | 'isWholeBin' | 'isEmptied'> & { readonly handS: number },
  ): void {
    let seconds = handS;
    for (const p of new Set([from, to])) seconds += this.walk(this.standAt(p)) + (p >= 0 ? this.access[p]! : 0);
    const { facts } = this;
    this.list.push({ kind, lotIds, forms, from: toSpot(facts, from), to: toSpot(facts, to), ...told, seconds });
  }

  addBins(which: readonly number[]): void {
    const { tree, carries, household } = this.facts;
    const bins = which.map((b) => carries[b]!);
    const isEmptied = bins.every(({ place }) => place < 0 || this.inside[place]!.size === 0);
    let [seconds, massG] = [0, 0];
    for (const { place, bin, from } of bins) {
      massG += tree.places.get(bin.placeId)!.container!.tareG;
      if (place >= 0) for (const id of this.inside[place]!) massG += this.massOf.get(id) ?? 0;
      seconds += household.settings.estimates.carryBinSeconds;
      for (const id of [from, bin.slotId]) {
        const slot = id && tree.places.get(id);
        seconds += this.walk(slot ? computeStandPoint(tree, slot) : this.standAt(ABOUT));
      }
      if (place >= 0) this.slotNow[place] = bin.slotId ? tree.places.get(bin.slotId) : undefined;
    }
    const [first] = bins;
    const [from, to] = [first!.from ?? 'idle', first!.bin.slotId ?? 'idle'] as const;
    const told = { lotIds: [], forms: [], isWholeBin: false, isEmptied, massG, seconds };
    this.list.push({ kind: 'bins', from, to, bins: bins.map(({ bin }) => bin), ...told });
  }
}

/**
 * The steps of an order of trips, put into one with less walking, with what each takes: each thing by what carrying one costs, twice where it is folded
 * anew; a whole bin counts as one; the way on foot from where the last step ended; bending, opening and pulling out at
 * both ends. Places where nothing comes or goes but whose things stand in another order are put in order at the end.
 */
export function toSteps(facts: MoveFacts, given: readonly Trip[]): Step[] {
  const { household, places, movers } = facts;
  const { estimates } = household.settings;
  const trips = shortenWalk(facts, given, createWayBetween(facts, createStands(facts)), ABOUT);
  const steps = new Steps(facts);
  const { inside } = steps;
  for (const { movers: carried, from, to, bins } of trips) {
    if (bins) {
      steps.addBins(bins);
      continue;
    }
    const list = carried.map((m) => movers[m]!).toSorted((a, b) => byTurn('homeOrder')(a.lot, b.lot));
    const massG = list.reduce((sum, one) => sum + one.massG, 0);
    const isWholeBin = isBinSwap(facts, from, to, list.length, inside, massG);
    const isEmptied =
      from >= 0 && from !== to && Boolean(places[from]!.place.container) && inside[from]!.size === list.length;
    const isHome = to >= 0;
    const forms = list.map(({ lot, form }) => (isHome ? form : lot.form));
    const refolded = list.filter(({ lot, form }) => isHome && lot.form !== form).length;
    const handS = (isWholeBin ? 1 : list.length + refolded) * estimates.carrySeconds;
    const kind = from === to ? 'refold' : 'carry';
    steps.add({ kind, lotIds: list.map(({ lot }) => lot.id), forms }, from, to, {
      handS,
      massG,
      isWholeBin,
      isEmptied,
    });
    for (const { lot } of list) {
      if (from >= 0) inside[from]!.delete(lot.id);
      if (to >= 0) inside[to]!.add(lot.id);
    }
  }
  const touched = new Set(trips.flatMap(({ to, bins }) => (bins ? [] : [to])));
  for (const [p, stays] of facts.stays.entries()) {
    const lots = stays
      .map(({ lotId }) => household.lots.get(lotId)!)
      .filter((lot) => lot.homeId === places[p]!.place.id);
    if (touched.has(p) || isInOrder(lots)) continue;
    const sorted = lots.toSorted(byTurn('homeOrder'));
    const massG = stays.reduce((sum, one) => sum + one.pkg.massG, 0);
    const told = { lotIds: sorted.map((lot) => lot.id), forms: sorted.map((lot) => lot.form) };
    const handS = ORDER_SECONDS * sorted.length;
    steps.add({ kind: 'order', ...told }, p, p, { handS, massG, isWholeBin: false, isEmptied: false });
  }
  return steps.list;
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
  /** By step: whether anything is left of it, of lots or containers. */
  readonly isOpen: readonly boolean[];
  /** The first step with anything left; the number of steps where all is done. */
  readonly next: number;
  /** Something is where no step left it: the list no longer holds, and is to be made anew. */
  readonly isStale: boolean;
}

/** By step, the places as they are when it is done: containers that were carried by then stand where they were carried to. */
export function listTrees(tree: PlaceTree, steps: readonly Pick<Step, 'bins'>[]): PlaceTree[] {
  let now = tree;
  return steps.map(({ bins }) => {
    const before = now;
    if (bins) now = createPlaceTree(withBins(now.places, bins));
    return before;
  });
}

/** Whether a container stands where a step carries it. */
function isCarried({ places }: Household, { placeId, slotId, at }: ToStand): boolean {
  const place = places.get(placeId);
  const is = place?.container?.at;
  const isThere = is === undefined ? at === undefined : is.xMm === at?.xMm && is.yMm === at.yMm && is.zMm === at.zMm;
  return place !== undefined && place.parentId === slotId && (slotId === undefined || isThere);
}

/**
 * How far the steps are done. Nothing is counted: a lot has done its step when it is where that step takes it, so that
 * what is undone, done elsewhere or put somewhere else shows at once.
 */
export function computeProgress(
  household: Household,
  steps: readonly Step[],
  skipped: ReadonlySet<LotId | PlaceId> = new Set(),
): Progress {
  const ofLot = new Map<LotId, number[]>();
  for (const [k, { lotIds, kind }] of steps.entries())
    for (const id of kind === 'order' ? [] : lotIds) {
      const list = ofLot.get(id);
      if (list) list.push(k);
      else ofLot.set(id, [k]);
    }
  const left: LotId[][] = steps.map(() => []);
  const binsLeft = steps.map(({ bins = [] }) =>
    bins.flatMap((bin) => (isCarried(household, bin) ? [] : [bin.placeId])),
  );
  const told = new Map(steps.flatMap(({ bins = [] }) => bins.map((bin) => [bin.placeId, bin] as const)));
  const hasOtherBins =
    listBinsToCarry(household.places).some(({ placeId, slotId }) => {
      if (skipped.has(placeId)) return false;
      const known = told.get(placeId);
      return !known || known.slotId !== slotId;
    }) || binsLeft.flat().some((id) => !household.places.get(id)?.container?.goesTo);
  // Another plan was adopted, or something came: the list does not bring everything home any more.
  let isStale = [...household.lots.values()].some((lot) => {
    if (lot.homeId === undefined || lot.homeId === lot.placeId || getSpot(lot) === null || skipped.has(lot.id))
      return false;
    const last = ofLot.get(lot.id)?.at(-1);
    return last === undefined || steps[last]!.to !== lot.homeId;
  });
  isStale ||= hasOtherBins;
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
  const isDone = (k: number) => left[k]!.length === 0 && binsLeft[k]!.length === 0;
  const next = steps.findIndex((_, k) => !isDone(k));
  const first = next === -1 ? steps.length : next;
  // Something was done out of turn: room was counted on that may not be there.
  if (steps.some((step, k) => k > first && step.kind !== 'order' && (step.lotIds.length > 0 || step.bins) && isDone(k)))
    isStale = true;
  return { left, isOpen: steps.map((_, k) => !isDone(k)), next: first, isStale };
}
