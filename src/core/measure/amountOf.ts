import type { AmountUnit, Item, Lot, MeasureWay } from '../records/index.ts';

/** What a lot's amount counts: cloth, tape and measured thread go by length, odd scraps by area, all else by pieces. */
export function getAmountUnit(item: Item, lot: Lot): AmountUnit {
  if (item.kind === 'fabric') return 'length';
  if (item.kind === 'scrap') return item.scrap?.cut === 'odd' ? 'area' : 'count';
  return lot.lengthMm !== undefined && (item.thread || item.box?.tape) ? 'length' : 'count';
}

/** How much there is: mm, mm² or pieces. Single pieces in packets count before the packets do. */
export function getAmount(item: Item, lot: Lot): number {
  const unit = getAmountUnit(item, lot);
  if (unit === 'length') return lot.lengthMm ?? 0;
  if (unit === 'area') return lot.areaMm2 ?? 0;
  return lot.units ?? lot.count;
}

/** The same lot with another amount; pieces are whole. */
export function withAmount(item: Item, lot: Lot, amount: number): Lot {
  const unit = getAmountUnit(item, lot);
  if (unit === 'length') return { ...lot, lengthMm: amount };
  if (unit === 'area') return { ...lot, areaMm2: amount };
  const pieces = Math.max(0, Math.round(amount));
  return (lot.units ?? null) === null ? { ...lot, count: pieces } : { ...lot, units: pieces };
}

/**
 * The lot of which so much was measured: thread that went by spools goes by its length from then on, packets by the
 * pieces in them.
 */
export function withMeasured(
  item: Item,
  lot: Lot,
  measured: { readonly value: number; readonly unit: AmountUnit; readonly way: MeasureWay },
): Lot {
  const { value, unit, way } = measured;
  const able: Lot =
    unit === 'length' ? { ...lot, lengthMm: value } : way === 'count' ? { ...lot, units: Math.round(value) } : lot;
  return withAmount(item, able, value);
}

/** What one counts a lot in where it lies: a heap by its pieces, all else in its own unit. */
export function getCountedUnit(item: Item, lot: Lot): AmountUnit {
  return lot.heap ? 'count' : getAmountUnit(item, lot);
}

/** How much there is, as it is counted. */
export function getCounted(item: Item, lot: Lot): number {
  return lot.heap ? lot.count : getAmount(item, lot);
}

/**
 * The lot of which so much was counted. A heap with other pieces has as much more or less of everything; how many they are is
 * known then, how long they are is in doubt as before.
 */
export function withCounted(item: Item, lot: Lot, amount: number): Lot {
  if (!lot.heap) return { ...withAmount(item, lot, amount), amountSigma: undefined, measuredBy: undefined };
  const count = Math.max(1, Math.round(amount));
  const share = count / Math.max(1, lot.count);
  const { lengthMm, areaMm2, amountSigma } = lot;
  const isCounted = getAmountUnit(item, lot) === 'count';
  return {
    ...lot,
    count,
    ...(lengthMm !== undefined && { lengthMm: lengthMm * share }),
    ...(areaMm2 !== undefined && { areaMm2: areaMm2 * share }),
    amountSigma: isCounted || amountSigma === undefined ? undefined : amountSigma * share,
    heap: { by: 'pieces', measured: count, countSigma: 0 },
  };
}

/** Promised to something, in the unit of the amount. */
export function getReserved(lot: Lot): number {
  return (lot.reserved ?? []).reduce((sum, one) => sum + one.amount, 0);
}

/** Lengths or pieces of several lots: a heap counts as many as are in it. */
export function countPieces(lots: readonly Lot[]): number {
  return lots.reduce((sum, lot) => sum + lot.count, 0);
}
