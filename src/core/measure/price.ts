import type { Item, Lot } from '../records/index.ts';
import { getAmount } from './amountOf.ts';

const sum = (item: Item, lots: readonly Lot[]) =>
  lots.reduce((all, lot) => all + (lot.state === 'gone' ? 0 : getAmount(item, lot)), 0);

/**
 * What one mm, mm² or piece of a thing has cost, in the user's own money: what was paid for so much, by how much that was; where
 * that is not known, by what there is of it. Null where nobody said what was paid. `lots`: all of it.
 */
export function computeUnitPrice(item: Item, lots: readonly Lot[]): number | null {
  if (item.cost === undefined) return null;
  const amount = item.costFor ?? sum(item, lots);
  return amount > 0 ? item.cost / amount : null;
}

/** What there is of a thing is worth, by what was paid for it; null where nobody said. */
export function computeWorth(item: Item, lots: readonly Lot[]): number | null {
  const price = computeUnitPrice(item, lots);
  return price === null ? null : price * sum(item, lots);
}

/**
 * A price that was said belongs to how much there is then. Where more of a thing came in and its price rose with it, what came
 * is added to what was paid for before.
 */
export function withCostFor(
  before: { readonly item: Item; readonly lots: readonly Lot[] } | null,
  item: Item,
  lots: readonly Lot[],
): Item {
  const { costFor: _, ...bare } = item;
  if (item.cost === undefined) return bare;
  if (before && before.item.cost === item.cost) return item;
  const known = new Set(before?.lots.map((lot) => lot.id));
  const came = lots.filter((lot) => !known.has(lot.id));
  const isAdded = before?.item.cost !== undefined && item.cost > before.item.cost && came.length > 0;
  const amount = isAdded ? (before.item.costFor ?? sum(before.item, before.lots)) + sum(item, came) : sum(item, lots);
  return amount > 0 ? { ...bare, costFor: amount } : bare;
}
