import { computePackages } from '../measure/index.ts';
import type { Item, Lot, LotId, Settings } from '../records/index.ts';

/** A part of a heap takes about so much room, mm³: a third of a cube or of a bin, so that what is left over of one is used. */
const PART_MM3 = 9e6;
const MOST_PARTS = 24;
/** A heap that is only a few pieces is kept whole. */
const LEAST_PIECES = 3;

/** A part of a heap: its share of the pieces, of the length, and of what is in doubt. */
function takePart(lot: Lot, id: LotId, count: number): Lot {
  const { heap, lengthMm, areaMm2, amountSigma } = lot;
  const share = count / lot.count;
  return {
    ...lot,
    id,
    count,
    ...(lengthMm !== undefined && { lengthMm: lengthMm * share }),
    ...(areaMm2 !== undefined && { areaMm2: areaMm2 * share }),
    // All parts are wrong by the same share, for they were measured together.
    ...(amountSigma !== undefined && { amountSigma: amountSigma * share }),
    ...(heap && { heap: { ...heap, measured: heap.measured * share, countSigma: heap.countSigma * share } }),
  };
}

/** In how many parts a heap is planned: such as a place takes several of, and none of fewer pieces than are worth parting. */
export function countParts(item: Item, lot: Lot, settings: Settings): number {
  const [pkg] = computePackages(item, lot, settings);
  if (!lot.heap || !pkg) return 1;
  const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces;
  // What is as large as a part by itself, such as a machine, may be one.
  const least = volume / lot.count >= PART_MM3 ? 1 : LEAST_PIECES;
  return Math.max(1, Math.min(MOST_PARTS, Math.ceil(volume / PART_MM3), Math.floor(lot.count / least)));
}

/** A heap in so many parts of whole pieces, as equal as can be; the first keeps its id. Together they are what it was. */
export function divideHeap(lot: Lot, parts: number, createId: () => LotId): Lot[] {
  const n = Math.max(1, Math.min(parts, lot.count));
  return Array.from({ length: n }, (_, i) => {
    const count = Math.floor(((i + 1) * lot.count) / n) - Math.floor((i * lot.count) / n);
    return takePart(lot, i === 0 ? lot.id : createId(), count);
  });
}

/** Parts of one heap put together again: the first of them, with all that is in the others. */
export function gatherHeap(parts: readonly Lot[]): Lot {
  const [first] = parts as [Lot, ...Lot[]];
  const sum = (of: (lot: Lot) => number | undefined) => parts.reduce((all, one) => all + (of(one) ?? 0), 0);
  const isOneWay = parts.every((one) => one.heap?.by === first.heap?.by);
  const count = sum((one) => one.count);
  return {
    ...first,
    count,
    ...(first.lengthMm !== undefined && { lengthMm: sum((one) => one.lengthMm) }),
    ...(first.areaMm2 !== undefined && { areaMm2: sum((one) => one.areaMm2) }),
    ...(parts.some((one) => one.amountSigma !== undefined) && { amountSigma: sum((one) => one.amountSigma) }),
    ...(first.heap && {
      heap: {
        by: isOneWay ? first.heap.by : 'pieces',
        measured: isOneWay ? sum((one) => one.heap?.measured) : count,
        countSigma: sum((one) => one.heap?.countSigma),
      },
    }),
  };
}
