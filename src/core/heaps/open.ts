import { getAmount, getAmountUnit } from '../measure/index.ts';
import type { Item, Lot } from '../records/index.ts';

/**
 * What is left of a heap when a thing was listed out of it: as many pieces less, and of cloth its length. What is listed is known,
 * so that what is in doubt stays in doubt, but never by more than what is left. Null where nothing is left.
 */
export function takeOutOfHeap(item: Item, heap: Lot, listed: Lot): Lot | null {
  const count = heap.count - Math.max(1, listed.count);
  if (!heap.heap || count < 1) return null;
  const countSigma = Math.min(heap.heap.countSigma, count);
  const lessened: Lot = { ...heap, count, heap: { ...heap.heap, countSigma } };
  if (getAmountUnit(item, heap) === 'count')
    return heap.amountSigma === undefined ? lessened : { ...lessened, amountSigma: countSigma };
  // The pieces that are left are as long, or as large, together as what was in the heap less those taken, and never nothing.
  const isArea = getAmountUnit(item, heap) === 'area';
  const each = getAmount(item, heap) / heap.count;
  const left = Math.max(
    0.2 * each * count,
    getAmount(item, heap) - ((isArea ? listed.areaMm2 : listed.lengthMm) ?? each),
  );
  return {
    ...lessened,
    ...(isArea ? { areaMm2: left } : { lengthMm: left }),
    amountSigma: Math.min(heap.amountSigma ?? 0, left),
  };
}
