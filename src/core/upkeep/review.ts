import { addMonths } from 'date-fns';
import { createTwinFinderInSlices, findType, type TwinFinder } from '../catalog/index.ts';
import { listTakenBack, USES } from '../daybook/index.ts';
import { getReserved } from '../measure/index.ts';
import {
  takesRoom,
  type DaybookEvent,
  type EventType,
  type Household,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
} from '../records/index.ts';
import { computeSpace, computeTraits, type PlaceTree, type Reach } from '../storage/index.ts';
import { computeWorth } from '../sense/index.ts';
import { EACH, finish, mapInSlices, type Slices } from '../slices/index.ts';
import { toDay } from '../units/index.ts';
import { computeLitres, MONTH_MS } from './flowsByGroup.ts';

/** Cloth that was not used for so many months is gone through, and notions and all else. */
const CLOTH_MONTHS = 12;
const OTHER_MONTHS = 24;
/** Heirlooms are aired and refolded on other lines once a year at least. */
const HEIRLOOM_MONTHS = 12;
/** So alike, two things are one too many. */
const ALIKE = 0.9;
/** What was gone through and stays is left alone for so long. */
const PEACE_MONTHS = 9;

/** It was in somebody's hand. */
const TOUCHES: ReadonlySet<EventType> = new Set([...USES, 'lent', 'returned', 'wrapped']);

/** Why something is gone through. */
export type ReviewReason =
  | { readonly code: 'unused'; readonly months: number }
  | { readonly code: 'twin'; readonly itemId: ItemId }
  | { readonly code: 'expired'; readonly on: string }
  | { readonly code: 'dried'; readonly openedOn: string; readonly months: number }
  | { readonly code: 'air'; readonly months: number }
  /** Asked for: its place is to burst. */
  | { readonly code: 'room' };

/** Something to go through, with what its room costs. */
export interface ReviewEntry {
  readonly lot: Lot;
  readonly item: Item;
  readonly reasons: readonly ReviewReason[];
  readonly litres: number;
  /** How well its place is reached; null where it has none. */
  readonly reach: Reach | null;
  /** In a room in which nobody works. */
  readonly isElsewhere: boolean;
  /** Litres at hand, times months for which nothing was done with it. */
  readonly rent: number;
  readonly months: number;
}

/** When each lot was last used, as the daybook has it; or since when it is known. */
function* listLastUsed(events: readonly DaybookEvent[], household: Household): Slices<Map<LotId, number>> {
  const undone = listTakenBack(events);
  const last = new Map<LotId, number>();
  for (const { id: eventId, type, atMs, changes } of events) {
    const isUse = TOUCHES.has(type) && !undone.has(eventId);
    for (const [at, { table, id, before, after }] of changes.entries()) {
      if (at % EACH === 0) yield;
      if (table !== 'lots' || !after) continue;
      const known = last.get(id as LotId);
      if (before === undefined) {
        const since = after['sinceMs'];
        // Written down for the first time: it lay there since then, or came now.
        const fromMs = type === 'received' || typeof since !== 'number' ? atMs : Math.min(atMs, since);
        if (known === undefined) last.set(id as LotId, fromMs);
      } else if (isUse) last.set(id as LotId, Math.max(known ?? 0, atMs));
    }
  }
  for (const lot of household.lots.values()) if (!last.has(lot.id)) last.set(lot.id, lot.sinceMs);
  return last;
}

const monthsFor = (kind: Kind): number => (kind === 'fabric' || kind === 'scrap' ? CLOTH_MONTHS : OTHER_MONTHS);

const whole = (fromMs: number, nowMs: number): number => Math.floor((nowMs - fromMs) / MONTH_MS + 1e-6);

/** What each thing is as good as the same as; it is looked for once for as long as the things are the same. */
const closeOf = new WeakMap<Household['items'], Map<ItemId, readonly ItemId[]>>();

/** Of things much alike all but the one used last are one too many; what is promised is wanted. */
function* findTwins(
  household: Household,
  last: ReadonlyMap<LotId, number>,
  lots: readonly Lot[],
): Slices<Map<ItemId, ItemId>> {
  const close = closeOf.get(household.items) ?? new Map<ItemId, readonly ItemId[]>();
  closeOf.set(household.items, close);
  let finder: TwinFinder | null = null;
  function* findClose(item: Item): Slices<readonly ItemId[]> {
    const known = close.get(item.id);
    if (known) return known;
    finder ??= yield* createTwinFinderInSlices(household.items);
    const found = finder.find(item, 6, ALIKE).map(({ itemId }) => itemId);
    close.set(item.id, found);
    return found;
  }
  const lastOf = new Map<ItemId, number>();
  for (const lot of lots) lastOf.set(lot.itemId, Math.max(lastOf.get(lot.itemId) ?? 0, last.get(lot.id) ?? 0));
  const twins = new Map<ItemId, ItemId>();
  for (const itemId of lastOf.keys()) {
    yield;
    const item = household.items.get(itemId)!;
    if (item.kind === 'pattern' || item.kind === 'kit' || item.kind === 'scrap') continue;
    const other = (yield* findClose(item)).find(
      (id) =>
        lastOf.has(id) &&
        (lastOf.get(id)! > lastOf.get(itemId)! || (lastOf.get(id) === lastOf.get(itemId) && id < itemId)),
    );
    if (other) twins.set(itemId, other);
  }
  return twins;
}

/**
 * What to go through, the dearest first: what is past its day, then what pays least for its room: unused the longest in the best
 * reached litres; and what is asked for besides. What was gone through lately and stays, what is promised and what is already to leave are left out.
 */
export const listReview = (
  household: Household,
  events: readonly DaybookEvent[],
  tree: PlaceTree,
  nowMs: number,
  asked: ReadonlySet<string> = new Set(),
): ReviewEntry[] => finish(listReviewInSlices(household, events, tree, nowMs, asked));

/** `listReview`, pausing in between. */
export function* listReviewInSlices(
  household: Household,
  events: readonly DaybookEvent[],
  tree: PlaceTree,
  nowMs: number,
  asked: ReadonlySet<string>,
): Slices<ReviewEntry[]> {
  const today = toDay(nowMs);
  const last = yield* listLastUsed(events, household);
  yield;
  const lots = [...household.lots.values()].filter((lot) => takesRoom(lot) && lot.state !== 'lent' && !lot.leaving);
  yield;
  const twins = yield* findTwins(household, last, lots);
  const stations = new Set(tree.rooms.flatMap((room) => (room.room!.stations.length > 0 ? [room.id] : [])));
  const leafOf = new Map(tree.leaves.map((leaf) => [leaf.id, leaf]));
  const found = yield* mapInSlices(lots, (lot): ReviewEntry[] => {
    const item = household.items.get(lot.itemId);
    if (!item || lot.heap) return [];
    const looked = lot.lookedAtMs ?? 0;
    const reasons: ReviewReason[] = [];
    if (lot.expiresOn !== undefined && lot.expiresOn < today) reasons.push({ code: 'expired', on: lot.expiresOn });
    const keeps = item.box && findType(item.box.type, item.kind)?.keepsMonths;
    if (lot.openedOn !== undefined && keeps !== undefined && lot.expiresOn === undefined) {
      const until = toDay(addMonths(new Date(`${lot.openedOn}T12:00:00`), keeps));
      if (until < today) reasons.push({ code: 'dried', openedOn: lot.openedOn, months: keeps });
    }
    const isPeace = whole(looked, nowMs) < PEACE_MONTHS;
    const months = whole(Math.max(last.get(lot.id) ?? 0, looked), nowMs);
    const isWanted = item.kind === 'kit' || getReserved(lot) > 0;
    if (item.care.includes('heirloom')) {
      const since = whole(looked > 0 ? looked : (last.get(lot.id) ?? 0), nowMs);
      if (since >= HEIRLOOM_MONTHS) reasons.push({ code: 'air', months: since });
    } else if (!isPeace && !isWanted) {
      if (months >= monthsFor(item.kind)) reasons.push({ code: 'unused', months });
      const twin = twins.get(item.id);
      if (twin) reasons.push({ code: 'twin', itemId: twin });
      if (reasons.length === 0 && asked.has(lot.id)) reasons.push({ code: 'room' });
    }
    if (reasons.length === 0) return [];
    const leaf = lot.homeId ? leafOf.get(lot.homeId) : undefined;
    const litres = computeLitres(household, [lot]);
    const traits = leaf && computeTraits(tree, leaf, household.settings);
    const isElsewhere = leaf !== undefined && !stations.has(tree.getPath(leaf.id)[0]!.id);
    const space = leaf && computeSpace(tree, leaf);
    const full = space ? (space.widthMm * space.depthMm * space.heightMm) / 1e6 : 0;
    const perLitre = space && traits && full > 0 ? computeWorth(space, traits, !isElsewhere) / full : 0.5;
    const rent = litres * perLitre * Math.max(1, months);
    return [{ lot, item, reasons, litres, reach: traits?.reach ?? null, isElsewhere, rent, months }];
  });
  return found
    .flat()
    .toSorted((a, b) => Number(isOff(b)) - Number(isOff(a)) || b.rent - a.rent || (a.lot.id < b.lot.id ? -1 : 1));
}

const isOff = ({ reasons }: ReviewEntry) => reasons.some(({ code }) => code === 'expired' || code === 'dried');

/** One takes about so long for a thing until one's own pace is known, s. */
export const USUAL_PACE_SECONDS = 9;

/** As many of them as go into so many minutes at a pace. */
export function takeSitting(
  entries: readonly ReviewEntry[],
  minutes: number,
  paceSeconds = USUAL_PACE_SECONDS,
): readonly ReviewEntry[] {
  return entries.slice(0, Math.max(1, Math.floor((60 * minutes) / paceSeconds)));
}
