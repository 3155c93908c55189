import { completeSketch, parseLine } from '../catalog/index.ts';
import { createChange } from '../daybook/index.ts';
import { getReserved } from '../measure/index.ts';
import { relinkItem, type Household, type Item, type ItemId, type Kind, type Lot } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createReleaseWrapped, type Act } from './act.ts';

/** What a thing keeps of itself whatever it is. */
const KEPT = [
  'name',
  'notes',
  'colours',
  'tags',
  'photos',
  'source',
  'cost',
  'usesPerMonth',
  'learntPerMonth',
] as const;

/** What a lot keeps when its thing turns out to be of another kind: where it is and belongs, and its label. */
function keepLot(
  made: Lot,
  { id, state, placeId, homeId, order, homeOrder, away, lentTo, label, count }: Lot,
  nowMs: number,
): Lot {
  const kept = { id, state, placeId, homeId, order, homeOrder, away, lentTo, label };
  const told = Object.fromEntries(Object.entries(kept).filter(([, value]) => value !== undefined));
  return { ...made, count: Math.max(1, count), ...told, sinceMs: nowMs };
}

/**
 * A thing was taken for something else: it is of another kind from now on, by what its name says of that kind and what is usual for it.
 * Its lots stay where they are, with their number; what only the old kind has is gone (undo brings it back). Nothing of it may be
 * promised, gone in part or listed as a heap: that was said in the old kind's measure.
 */
export function createBecome(household: Household, itemId: ItemId, kind: Kind, nowMs: number): Act {
  const item = household.items.get(itemId);
  const lots = [...household.lots.values()].filter((lot) => lot.itemId === itemId);
  if (!item || lots.length === 0) return fail({ code: 'no-such-lot' });
  if (item.kind === kind) return fail({ code: 'nothing-changed' });
  if (lots.some((lot) => lot.heap || lot.state === 'with' || getReserved(lot) > 0))
    return fail({ code: 'cannot-become' });
  const { settings } = household;
  const line = parseLine(item.name, { kind, units: settings.units, isKindSaid: true });
  const made = completeSketch(
    { ...line.sketch, kind, name: item.name, ...(kind === 'fabric' && { lengthMm: lots[0]!.lengthMm ?? 1000 }) },
    { itemId, lotId: lots[0]!.id, nowMs, stationId: item.stationId, settings },
  );
  if (!made.ok) return fail({ code: 'cannot-become' });
  const kept = Object.fromEntries(KEPT.flatMap((key) => (item[key] === undefined ? [] : [[key, item[key]]])));
  const next: Item = { ...made.value.item, ...kept };
  const isFile = next.pattern?.format === 'digital';
  if (isFile || item.pattern?.format === 'digital') return fail({ code: 'cannot-become' });
  const scraps = [...household.items.values()].flatMap((one) => {
    if (one.scrap?.parentItemId !== itemId || kind === 'fabric') return [];
    const next = relinkItem(one, (id) => (id === itemId ? undefined : id));
    return createChange('items', one.id, one, next) ?? [];
  });
  const changes = [
    createChange('items', itemId, item, next),
    ...scraps,
    ...lots.flatMap((lot) => [
      createChange('lots', lot.id, lot, lot.state === 'gone' ? lot : keepLot(made.value.lot, lot, nowMs)),
      ...createReleaseWrapped(household, lot.id, nowMs),
    ]),
  ].filter((change) => change !== null);
  return ok({ type: 'changed', subject: item.name, changes });
}
