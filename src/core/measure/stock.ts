import type { AmountUnit, Item, Lot } from '../records/index.ts';
import { getAmount, getAmountUnit } from './amountOf.ts';
import { computeThreadLength, findHolder, getHolder } from './thread.ts';

/** How much of a thing there is in all its lots, in the unit that its mark to buy again is told in. */
export interface Stock {
  readonly amount: number;
  readonly unit: AmountUnit;
}

/** Thread on all spools of a lot, mm: as measured, or as long as full ones of its weight are. */
export function computeThreadOn(item: Item, lot: Lot): number {
  if (lot.lengthMm !== undefined || !item.thread) return lot.lengthMm ?? 0;
  const { tareG } = lot.holder ? getHolder(lot.holder) : findHolder(item.thread.diameterMm);
  const massG = lot.holder ? getHolder(lot.holder).massG : item.thread.massG;
  return lot.count * computeThreadLength(massG - tareG, item.thread.tex, 0).value;
}

/** Thread of which one lot was measured goes by its length, all lots of it; else every lot is told as it is. */
export function computeStock(item: Item, lots: readonly Lot[]): Stock {
  const isByLength = item.thread !== undefined && lots.some((lot) => lot.lengthMm !== undefined);
  const [first] = lots;
  const unit = isByLength ? 'length' : first ? getAmountUnit(item, first) : 'count';
  const amount = lots.reduce((sum, lot) => sum + (isByLength ? computeThreadOn(item, lot) : getAmount(item, lot)), 0);
  return { amount, unit };
}

/** The mark to buy again in a unit that the stock goes by from now on: the same share of what there is. */
export function convertMark(mark: number, before: Stock, after: Stock): number {
  if (before.unit === after.unit || before.amount <= 0) return mark;
  return (mark * after.amount) / before.amount;
}
