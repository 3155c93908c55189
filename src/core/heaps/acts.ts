import { getNaming } from '../naming/index.ts';
import { createLotDraft, createReleaseWrapped, getLot, type Act } from '../acts/index.ts';
import { createChange, fitReserved } from '../daybook/index.ts';
import { listWrapped } from '../measure/index.ts';
import type { HeapWay, Household, Item, Lot, LotId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { countParts, divideHeap, gatherHeap } from './divide.ts';
import { computeHeap } from './heap.ts';
import { toGone } from './heapUp.ts';
import { takeOutOfHeap } from './open.ts';

function getHeap(household: Household, id: LotId): { lot: Lot; item: Item } | null {
  const found = getLot(household, id);
  return found?.lot.heap ? found : null;
}

/** Takes in a heap: what it is of, and the lot that says how much of it there is. */
export function createHeap(household: Household, item: Item, lot: Lot): Act {
  if (!lot.heap || lot.count < 1) return fail({ code: 'nothing-changed' });
  const changes = [
    createChange('items', item.id, household.items.get(item.id) ?? null, item),
    createChange('lots', lot.id, household.lots.get(lot.id) ?? null, lot),
  ].filter((change) => change !== null);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'heaped', subject: item.name, changes });
}

/** A heap turned out larger or smaller: it is measured anew, by whatever is quickest. */
export function createCorrectHeap(household: Household, id: LotId, by: HeapWay, value: number, nowMs: number): Act {
  const found = getHeap(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const told = computeHeap(item, lot, by, value, household.settings);
  if (!told) return fail({ code: 'out-of-range' });
  const { amountSigma: _, ...known } = lot;
  return createLotDraft('heaped', item, lot, fitReserved(item, { ...known, ...told, sinceMs: nowMs }));
}

/** Lists a thing out of a heap, which is less by it; a heap of which nothing is left is used up. */
export function createListOut(household: Household, heapId: LotId, item: Item, lot: Lot, nowMs: number): Act {
  const found = getHeap(household, heapId);
  if (!found || household.lots.has(lot.id)) return fail({ code: 'no-such-lot' });
  const left = takeOutOfHeap(found.item, found.lot, lot);
  const after: Lot = left ? fitReserved(found.item, { ...left, sinceMs: nowMs }) : toGone(found.lot, nowMs);
  const changes = [
    createChange('items', item.id, household.items.get(item.id) ?? null, item),
    createChange('lots', lot.id, null, lot),
    createChange('lots', heapId, found.lot, after),
    ...(left ? [] : createReleaseWrapped(household, heapId, nowMs)),
  ].filter((change) => change !== null);
  return ok({ type: 'listed', subject: item.name, changes });
}

/** Heaps of which nothing is said that speaks of them as one: promised, labelled, wrapped, asked for or sorted by hand. */
function listLooseHeaps(household: Household): { lot: Lot; item: Item }[] {
  const { wishes = [], handPicks = [] } = household.settings;
  const said = new Set([...wishes.flatMap(({ lotIds }) => lotIds), ...handPicks.map(({ lotId }) => lotId)]);
  return [...household.lots.values()].flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    const isLoose = lot.heap && (lot.state === 'in' || lot.state === 'out') && !lot.reserved?.length && !lot.label;
    return item && isLoose && !said.has(lot.id) && listWrapped(household, lot.id).length === 0 ? [{ lot, item }] : [];
  });
}

/** Parts every heap that is larger than a place takes several of, so that a plan can put its parts where there is room. */
export function createDivideHeaps(household: Household, createId: () => LotId): Act {
  const changes = listLooseHeaps(household).flatMap(({ lot, item }) => {
    const parts = divideHeap(lot, countParts(item, lot, household.settings), createId);
    if (parts.length < 2) return [];
    return parts.flatMap((part, i) => createChange('lots', part.id, i === 0 ? lot : null, part) ?? []);
  });
  return changes.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: 'heaped', subject: getNaming().told.heapsApart, changes });
}

/** Parts of one heap that are, belong and are kept alike are one again. */
export function createGatherHeaps(household: Household): Act {
  const alike = new Map<string, Lot[]>();
  for (const { lot } of listLooseHeaps(household)) {
    const { itemId, state, placeId, homeId, form, homeForm, away } = lot;
    const key = JSON.stringify([itemId, state, placeId, homeId, form, homeForm, away]);
    alike.set(key, [...(alike.get(key) ?? []), lot]);
  }
  const changes = [...alike.values()].flatMap((parts) => {
    if (parts.length < 2) return [];
    const [first, ...others] = parts.toSorted((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1)) as [Lot, ...Lot[]];
    return [
      createChange('lots', first.id, first, gatherHeap([first, ...others])) ?? [],
      ...others.map((lot) => createChange('lots', lot.id, lot, null) ?? []),
    ].flat();
  });
  return changes.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: 'heaped', subject: getNaming().told.heapsTogether, changes });
}
