import type { Household, Item, Lot, LotId } from '../records/index.ts';

/** Lots wrapped with another, by the lot they are with. Kept as long as that state of the lots is. */
const known = new WeakMap<Household['lots'], ReadonlyMap<LotId, readonly Lot[]>>();

function getWrapped(household: Household): ReadonlyMap<LotId, readonly Lot[]> {
  const hit = known.get(household.lots);
  if (hit) return hit;
  const found = new Map<LotId, Lot[]>();
  for (const lot of household.lots.values()) {
    if (lot.state !== 'with' || !lot.withLotId) continue;
    const there = found.get(lot.withLotId);
    if (there) there.push(lot);
    else found.set(lot.withLotId, [lot]);
  }
  known.set(household.lots, found);
  return found;
}

/** What is wrapped with a lot. */
export function listWrapped(household: Household, id: LotId): readonly Lot[] {
  return getWrapped(household).get(id) ?? [];
}

/**
 * A lot as it lies there, with the remnants and scraps wrapped in: cloth longer by as much cloth as they are.
 * For how large and heavy it is only; its amount is its own.
 */
export function getWholeLot(household: Household, lot: Lot): Lot {
  const extra = listWrapped(household, lot.id);
  const item = household.items.get(lot.itemId);
  if (extra.length === 0 || !item?.fabric || lot.lengthMm === undefined) return lot;
  const { widthMm } = item.fabric;
  let lengthMm = lot.lengthMm;
  for (const one of extra) {
    const other: Item | undefined = household.items.get(one.itemId);
    const areaMm2 = one.areaMm2 ?? (one.lengthMm ?? 0) * (other?.fabric?.widthMm ?? 0);
    lengthMm += areaMm2 / widthMm;
  }
  return { ...lot, lengthMm };
}
