import { getAmount, getAmountUnit, getReserved } from '../measure/index.ts';
import type { Change, Household, Item, ItemId, Lot, LotId, Reservation } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createLotDraft, fitReserved, getLot, type Act } from './acts.ts';
import { createChange } from './fold.ts';

/** Promises part of a lot to something. No more can be promised than is there and free. */
export function createReserve(household: Household, id: LotId, reservation: Reservation, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const others = (lot.reserved ?? []).filter((one) => one.id !== reservation.id);
  const free = getAmount(item, lot) - getReserved({ ...lot, reserved: others });
  if (!(reservation.amount > 0)) return fail({ code: 'nothing-changed' });
  if (reservation.amount > free + 0.5)
    return fail({ code: 'reserved', available: Math.max(0, free), unit: getAmountUnit(item, lot) });
  const next: Lot = { ...lot, reserved: [...others, reservation], sinceMs: nowMs };
  return createLotDraft('reserved', item, lot, next, reservation.amount);
}

/** Takes a promise back. */
export function createRelease(household: Household, id: LotId, reservationId: string, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const reserved = (lot.reserved ?? []).filter((one) => one.id !== reservationId);
  return createLotDraft('released', item, lot, { ...lot, reserved, sinceMs: nowMs });
}

/** Washed: it will not shrink any more. */
export function createWash(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  return createLotDraft('washed', item, lot, { ...lot, isWashed: true, sinceMs: nowMs });
}

/**
 * Wraps a lot of cloth with another one, which it then follows. What has something wrapped in it cannot
 * itself be wrapped.
 */
export function createWrap(household: Household, id: LotId, withId: LotId, nowMs: number): Act {
  const [found, around] = [getLot(household, id), getLot(household, withId)];
  if (!found || !around) return fail({ code: 'no-such-lot' });
  const isWrapping = [...household.lots.values()].some((lot) => lot.withLotId === id);
  if (id === withId || isWrapping || around.lot.state === 'with' || around.item.kind !== 'fabric' || !found.item.fabric)
    return fail({ code: 'cannot-wrap' });
  const { lot, item } = found;
  return createLotDraft('wrapped', item, lot, {
    ...lot,
    state: 'with',
    withLotId: withId,
    placeId: null,
    homeId: null,
    sinceMs: nowMs,
  });
}

/** An item with the lots that come or change with it. */
export interface Saved {
  readonly item: Item;
  readonly lots: readonly Lot[];
}

/** Takes in many things as one event: all of them or none, and one undo takes them back. */
export function createImport(household: Household, subject: string, things: readonly Saved[]): Act {
  const changes = [
    ...things.map(({ item }) => createChange('items', item.id, household.items.get(item.id) ?? null, item)),
    ...things.flatMap(({ item, lots }) =>
      lots.map((lot) => createChange('lots', lot.id, household.lots.get(lot.id) ?? null, fitReserved(item, lot))),
    ),
  ].filter((change) => change !== null);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'imported', subject, changes });
}

/** Changes the same about many items at once, as one event. */
export function createChangeMany(
  household: Household,
  subject: string,
  ids: readonly ItemId[],
  change: (item: Item) => Item,
): Act {
  const changes = ids.flatMap((id) => {
    const item = household.items.get(id);
    return item ? (createChange('items', id, item, change(item)) ?? []) : [];
  });
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'changed', subject, changes });
}

/** Changes the same about many lots at once, as one event. */
export function createChangeLots(
  household: Household,
  subject: string,
  ids: readonly LotId[],
  change: (lot: Lot) => Lot,
): Act {
  const changes = ids.flatMap((id) => {
    const lot = household.lots.get(id);
    return lot ? (createChange('lots', id, lot, change(lot)) ?? []) : [];
  });
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'changed', subject, changes });
}

function mergeLists<T>(a: readonly T[] | undefined, b: readonly T[] | undefined, most: number): T[] {
  return [...new Set([...(a ?? []), ...(b ?? [])])].slice(0, most);
}

/**
 * Makes one item of two that are the same: the lots of `other` become lots of `kept`, and what only the
 * other said (notes, tags, photos, further colours, cost) is taken over. Nothing is lost, one undo parts them.
 */
export function createMerge(household: Household, keptId: ItemId, otherId: ItemId): Act {
  const [kept, other] = [household.items.get(keptId), household.items.get(otherId)];
  if (!kept || !other || keptId === otherId || kept.kind !== other.kind) return fail({ code: 'no-such-lot' });
  const notes = [kept.notes, other.name === kept.name ? '' : `Also: ${other.name}.`, other.notes];
  const item: Item = {
    ...kept,
    notes: notes.filter(Boolean).join('\n').slice(0, 2000),
    colours: mergeLists(kept.colours, other.colours, 8),
    care: mergeLists(kept.care, other.care, 20),
    forms: mergeLists(kept.forms, other.forms, 20),
    usesPerMonth: Math.min(1000, kept.usesPerMonth + other.usesPerMonth),
    learntPerMonth: null,
  };
  const tags = mergeLists(kept.tags, other.tags, 20);
  const photos = mergeLists(kept.photos, other.photos, 12);
  const stations = mergeLists(kept.otherStationIds, [other.stationId, ...(other.otherStationIds ?? [])], 12).filter(
    (id) => id !== kept.stationId,
  );
  if (tags.length > 0) item.tags = tags;
  if (photos.length > 0) item.photos = photos;
  if (stations.length > 0) item.otherStationIds = stations;
  if ((kept.cost ?? other.cost ?? null) !== null) item.cost = (kept.cost ?? 0) + (other.cost ?? 0);
  item.source = kept.source ?? other.source;
  if (item.source === undefined) delete item.source;
  const changes: (Change | null)[] = [];
  for (const lot of household.lots.values())
    if (lot.itemId === otherId) changes.push(createChange('lots', lot.id, lot, { ...lot, itemId: keptId }));
  for (const scrap of household.items.values())
    if (scrap.scrap?.parentItemId === otherId)
      changes.push(
        createChange('items', scrap.id, scrap, { ...scrap, scrap: { ...scrap.scrap, parentItemId: keptId } }),
      );
  changes.push(createChange('items', keptId, kept, item), createChange('items', otherId, other, null));
  return ok({ type: 'merged', subject: kept.name, changes: changes.filter((change) => change !== null) });
}
