import { computePackage, type Package } from '../measure/index.ts';
import type { Heap, HeapWay, Item, Lot, Settings } from '../records/index.ts';
import { BAG_SHARE, SOFT_SHARE } from '../packing/index.ts';

/** A length of cloth of which nothing is known, mm; how far the mean of a stash is from that, and single lengths from their mean. */
const USUAL_LENGTH_MM = 2000;
/** An odd bit of cloth of which nothing is known, mm²: thirty centimetres square. */
const USUAL_BIT_MM2 = 0.09e6;
const MEAN_SPREAD = 0.35;
const LENGTH_SPREAD = 0.6;
/** How well each measure is taken, relative: piles are uneven, rows stand loose, bins are filled by eye. */
const WAY_SPREAD: Readonly<Record<HeapWay, number>> = { pieces: 0, pile: 0.1, row: 0.06, mass: 0.03, room: 0.15 };
/** What a piece is taken to be, beside what it is: cloth by its weight and thickness, boxes by their size. */
const PIECE_SPREAD = 0.12;

/** No heap is more than this, whatever was typed. */
const MOST_PIECES = 1_000_000;
const MOST_LENGTH_MM = 1e9;
const MOST_AREA_MM2 = 1e12;

/** What is known of a heap from one measure: how many pieces, and of cloth how long in all, each with one standard deviation. */
export type HeapEstimate = Pick<Lot, 'count' | 'lengthMm' | 'areaMm2' | 'amountSigma'> & { readonly heap: Heap };

const isOdd = ({ scrap }: Item) => scrap?.cut === 'odd';

/** One piece as it usually is. */
function createPiece(item: Item, lot: Lot): Lot {
  const { heap: _, ...one } = lot;
  if (isOdd(item)) return { ...one, count: 1, areaMm2: USUAL_BIT_MM2 };
  return { ...one, count: 1, ...(item.kind === 'fabric' && { lengthMm: USUAL_LENGTH_MM }) };
}

const getVolume = ({ alongMm, acrossMm, heightMm }: Package) => alongMm * acrossMm * heightMm;

/** The first of the forms that a piece can take. */
function findPackage(item: Item, one: Lot, forms: readonly Lot['form'][], settings: Settings): Package | null {
  for (const form of forms) {
    const pkg = computePackage(item, one, form, settings);
    if (pkg) return pkg;
  }
  return null;
}

/** How much of each measure one piece is on the average; null where a thing is not measured so. */
function measurePiece(item: Item, one: Lot, settings: Settings): Readonly<Record<HeapWay, number | null>> {
  const any = findPackage(item, one, [...item.forms, 'loose', 'box'], settings);
  if (item.fabric && item.kind === 'fabric') {
    // In a pile lengths end anywhere in their last fold.
    const pile = computePackage(item, { ...one, count: 2, lengthMm: 2 * USUAL_LENGTH_MM }, 'stack', settings);
    const row = findPackage(item, one, item.forms.includes('board') ? ['board', 'file'] : ['file', 'board'], settings);
    const loose = computePackage(item, one, 'loose', settings);
    return {
      pieces: 1,
      pile: pile?.heightMm ?? null,
      row: row?.alongMm ?? null,
      mass: loose?.massG ?? null,
      room: loose ? getVolume(loose) / SOFT_SHARE : null,
    };
  }
  // Odd bits lie as they fell.
  if (any && isOdd(item))
    return { pieces: 1, pile: null, row: null, mass: any.massG, room: getVolume(any) / SOFT_SHARE };
  if (!any) return { pieces: 1, pile: null, row: null, mass: null, room: null };
  const [thin] = [any.alongMm, any.acrossMm, any.heightMm].toSorted((a, b) => a - b) as [number];
  return {
    pieces: 1,
    pile: thin,
    row: item.pattern || item.thread ? any.alongMm : thin,
    mass: any.massG > 0 ? any.massG : null,
    room: getVolume(any) / BAG_SHARE,
  };
}

/**
 * What one measure tells of a heap: `value` in pieces, mm of a pile, mm of a row, g, or mm³ of the bins that it fills. Null
 * where things of that kind are not measured so, or there is nothing of it. `lot` says how they are kept; `counted` is the
 * number of pieces, where that is known beside.
 */
export function computeHeap(
  item: Item,
  lot: Lot,
  by: HeapWay,
  value: number,
  settings: Settings,
  counted: number | null = null,
): HeapEstimate | null {
  const each = measurePiece(item, createPiece(item, lot), settings)[by];
  if (each === null || !(each > 0) || !(value > 0)) return null;
  const pieces = value / each;
  const count = Math.min(MOST_PIECES, Math.max(1, counted ?? Math.round(pieces)));
  // How long its lengths are on the average is not known, and less so of a few.
  const byLength =
    item.kind === 'fabric' || isOdd(item) ? Math.hypot(MEAN_SPREAD, LENGTH_SPREAD / Math.sqrt(count)) : 0;
  const byMeasure = by === 'pieces' ? 0 : Math.hypot(WAY_SPREAD[by], PIECE_SPREAD);
  const countSigma = counted !== null || by === 'pieces' ? 0 : pieces * Math.hypot(byMeasure, byLength);
  const heap: Heap = { by, measured: value, countSigma };
  if (isOdd(item)) {
    const areaMm2 = Math.min(MOST_AREA_MM2, pieces * USUAL_BIT_MM2);
    return { count, areaMm2, amountSigma: areaMm2 * (by === 'pieces' ? byLength : byMeasure), heap };
  }
  if (item.kind !== 'fabric') return { count, ...(countSigma > 0 && { amountSigma: countSigma }), heap };
  const lengthMm = Math.min(MOST_LENGTH_MM, pieces * USUAL_LENGTH_MM);
  // What was measured by its bulk or weight is known as well as that; what was counted, as well as its lengths are.
  return { count, lengthMm, amountSigma: lengthMm * (by === 'pieces' ? byLength : byMeasure), heap };
}

/** How many usual pieces a heap is as much as. */
function countUsual(item: Item, { count, lengthMm, areaMm2 }: Lot): number {
  if (item.kind === 'fabric' && lengthMm !== undefined) return lengthMm / USUAL_LENGTH_MM;
  return isOdd(item) && areaMm2 !== undefined ? areaMm2 / USUAL_BIT_MM2 : count;
}

/** How much of each measure a heap would be, were it measured so: the way back of `computeHeap`. */
export function describeHeap(item: Item, lot: Lot, settings: Settings): Readonly<Record<HeapWay, number | null>> {
  const each = measurePiece(item, createPiece(item, lot), settings);
  const pieces = countUsual(item, lot);
  const of = (one: number | null) => (one === null ? null : one * pieces);
  return { pieces: lot.count, pile: of(each.pile), row: of(each.row), mass: of(each.mass), room: of(each.room) };
}

/**
 * More of one sort than anybody keeps at home: three cubic metres, or half a tonne; or pieces of which each would weigh more than 20 kg,
 * so that the two that were said do not go together. It is asked before it is taken in.
 */
const UNLIKELY_MM3 = 3e9;
const UNLIKELY_G = 500_000;
const HEAVY_PIECE_G = 20_000;

export function isUnlikelyHeap(item: Item, lot: Lot, settings: Settings): boolean {
  const { room, mass } = describeHeap(item, lot, settings);
  const isHeavy = (mass ?? 0) > UNLIKELY_G || (mass ?? 0) / Math.max(1, lot.count) > HEAVY_PIECE_G;
  return (room ?? 0) > UNLIKELY_MM3 || isHeavy;
}
