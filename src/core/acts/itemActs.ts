import { getNaming } from '../naming/index.ts';
import {
  relinkItem,
  type Change,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { type Act, createReleaseWrapped } from './act.ts';
import { computeUnitPrice, withCostFor } from '../measure/index.ts';
import { createChange, fitReserved } from '../daybook/index.ts';
import { releaseFromProject } from '../promises/index.ts';

/** An item with the lots that come or change with it. */
export interface Saved {
  readonly item: Item;
  readonly lots: readonly Lot[];
}

const listLotsOf = (household: Household, id: ItemId) =>
  [...household.lots.values()].filter((lot) => lot.itemId === id);

/** The item as it is kept: what was paid is told of how much that was. */
function withPrice(household: Household, item: Item, lots: readonly Lot[]): Item {
  const before = household.items.get(item.id);
  // Said by hand it stays.
  const isSaid = item.costFor !== undefined && item.costFor !== before?.costFor;
  if (isSaid || before?.cost === item.cost) return item;
  const known = before ? listLotsOf(household, item.id) : [];
  const saved = new Map([...known, ...lots].map((lot) => [lot.id, lot]));
  return withCostFor(before ? { item: before, lots: known } : null, item, [...saved.values()]);
}

/** Takes in many things as one event: all of them or none, and one undo takes them back. */
export function createImport(household: Household, subject: string, things: readonly Saved[]): Act {
  const changes = [
    ...things.map(({ item, lots }) =>
      createChange('items', item.id, household.items.get(item.id) ?? null, withPrice(household, item, lots)),
    ),
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
  const notes = [kept.notes, other.name === kept.name ? '' : getNaming().told.alsoCalled(other.name), other.notes];
  const item: Item = {
    // One that belonged to the other belongs to itself no more.
    ...relinkItem(kept, (id) => (id === otherId ? undefined : id)),
    notes: notes.filter(Boolean).join('\n').slice(0, 2000),
    colours: mergeLists(kept.colours, other.colours, 8),
    care: mergeLists(kept.care, other.care, 20),
    forms: mergeLists(kept.forms, other.forms, 20),
    usesPerMonth: Math.min(1000, kept.usesPerMonth + other.usesPerMonth),
    learntPerMonth: undefined,
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
  // Each was paid for its own amount; of one whose price nobody said, the other's tells.
  const paidFor = [kept, other].flatMap((one) => {
    const price = computeUnitPrice(one, listLotsOf(household, one.id));
    return price ? [one.cost! / price] : [];
  });
  if (paidFor.length > 0) item.costFor = paidFor.reduce((sum, amount) => sum + amount, 0);
  item.source = kept.source ?? other.source;
  if (item.source === undefined) delete item.source;
  const changes: (Change | null)[] = [];
  for (const lot of household.lots.values())
    if (lot.itemId === otherId) changes.push(createChange('lots', lot.id, lot, { ...lot, itemId: keptId }));
  const toKept = (id: ItemId) => (id === otherId ? keptId : id);
  for (const one of household.items.values())
    if (one.id !== keptId && one.id !== otherId)
      changes.push(createChange('items', one.id, one, relinkItem(one, toKept)));
  for (const project of household.projects.values())
    changes.push(
      createChange('projects', project.id, project, {
        ...project,
        ...(project.patternItemId === otherId && { patternItemId: keptId }),
        needs: project.needs.map((need) => (need.itemId === otherId ? { ...need, itemId: keptId } : need)),
      }),
    );
  changes.push(createChange('items', keptId, kept, item), createChange('items', otherId, other, null));
  return ok({ type: 'merged', subject: kept.name, changes: changes.filter((change) => change !== null) });
}

/** What became a file leaves its place; what was a file and is paper now lies out. */
function fitFormat(item: Item, lot: Lot): Lot {
  const isFile = item.pattern?.format === 'digital';
  if (lot.state === 'gone' || isFile === (lot.state === 'digital')) return lot;
  return { ...lot, state: isFile ? 'digital' : 'out', placeId: undefined, homeId: undefined, withLotId: undefined };
}

/** Adds a new item with its lots, all without a home yet; or changes one and its lots. */
export function createSaveItem(household: Household, item: Item, lots: readonly Lot[]): Act {
  const before = household.items.get(item.id) ?? null;
  const saved = new Set(lots.map((lot) => lot.id));
  const others =
    before?.pattern?.format === item.pattern?.format
      ? []
      : listLotsOf(household, item.id).filter((lot) => !saved.has(lot.id));
  const changes = [
    createChange('items', item.id, before, withPrice(household, item, lots)),
    ...[...lots, ...others].map((lot) =>
      createChange('lots', lot.id, household.lots.get(lot.id) ?? null, fitReserved(item, fitFormat(item, lot))),
    ),
  ].filter((change) => change !== null);
  if (changes.length === 0) return fail({ code: 'nothing-changed' });
  return ok({ type: before ? 'changed' : 'received', subject: item.name, changes });
}

/** What was asked of plans for these lots, and groups that they were put into by hand, is asked no more. */
function releaseFromSettings({ settings }: Household, gone: ReadonlySet<string>): Change | null {
  const next = { ...settings };
  if (settings.handPicks?.some((one) => gone.has(one.lotId)))
    next.handPicks = settings.handPicks.filter((one) => !gone.has(one.lotId));
  if (settings.wishes?.some((wish) => wish.lotIds.some((id) => gone.has(id))))
    next.wishes = settings.wishes.flatMap((wish) => {
      const lotIds = wish.lotIds.filter((id) => !gone.has(id));
      const isAbout = lotIds.length > 0 || wish.lotIds.length === 0;
      return isAbout ? [{ ...wish, lotIds }] : [];
    });
  return createChange('settings', 'household', settings, next);
}

/** Projects go on without a pattern, a tool or a bag that goes. */
function releaseFromProjects(household: Household, items: ReadonlySet<string>, lots: ReadonlySet<string>): Change[] {
  return [...household.projects.values()].flatMap(
    (one) =>
      createChange(
        'projects',
        one.id,
        one,
        releaseFromProject(
          one,
          (id) => items.has(id),
          (id) => lots.has(id),
        ),
      ) ?? [],
  );
}

/** What goes with some items and lots: what points to them is released, what was wrapped with them lies out. */
function listRemoval(household: Household, items: readonly Item[], lots: readonly Lot[], nowMs: number): Change[] {
  const goneLots = new Set<string>(lots.map((lot) => lot.id));
  const goneItems = new Set<string>(items.map((item) => item.id));
  const others = lots.flatMap((lot) => createReleaseWrapped(household, lot.id, nowMs));
  const linked = [...household.items.values()].flatMap((one) => {
    const next = goneItems.has(one.id) ? one : relinkItem(one, (id) => (goneItems.has(id) ? undefined : id));
    return next === one ? [] : (createChange('items', one.id, one, next) ?? []);
  });
  return [
    ...linked,
    ...releaseFromProjects(household, goneItems, goneLots),
    releaseFromSettings(household, goneLots),
    ...others.filter((change) => !goneLots.has(change.id)),
    ...lots.map((lot) => createChange('lots', lot.id, lot, null)),
    ...items.map((item) => createChange('items', item.id, household.items.get(item.id) ?? null, null)),
  ].filter((change) => change !== null);
}

/** Takes an item out of the catalogue with all its lots. */
export function createRemoveItem(household: Household, item: Item, nowMs: number): Act {
  const lots = [...household.lots.values()].filter((lot) => lot.itemId === item.id);
  return ok({ type: 'removed', subject: item.name, changes: listRemoval(household, [item], lots, nowMs) });
}

/** Takes lots out of the catalogue, and the items of which no other lot is left. */
export function createRemoveLots(household: Household, ids: readonly LotId[], subject: string, nowMs: number): Act {
  const wanted = new Set(ids);
  const lots = [...wanted].flatMap((id) => household.lots.get(id) ?? []);
  const kept = new Set<ItemId>();
  for (const lot of household.lots.values()) if (!wanted.has(lot.id)) kept.add(lot.itemId);
  const items = [...new Set(lots.map((lot) => lot.itemId))].flatMap((id) =>
    kept.has(id) ? [] : (household.items.get(id) ?? []),
  );
  const changes = listRemoval(household, items, lots, nowMs);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'removed', subject, changes });
}
