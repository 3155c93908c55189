import { getAmount, getReserved } from '../measure/index.ts';
import type { Item, Lot } from '../records/index.ts';

/** Promises that no longer fit what there is shrink, the latest first. */
export function fitReserved(item: Item, lot: Lot): Lot {
  if (!lot.reserved || getReserved(lot) <= getAmount(item, lot) + 1e-6) return lot;
  let left = getAmount(item, lot);
  const reserved = lot.reserved.map((one) => {
    const amount = Math.min(one.amount, left);
    left -= amount;
    return { ...one, amount };
  });
  return { ...lot, reserved: reserved.filter((one) => one.amount > 0) };
}
