import { createChange } from '../daybook/index.ts';
import {
  createLooseLot,
  type Change,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type ScrapSpec,
} from '../records/index.ts';

/** Ids and a name for scraps of which there are none yet. */
export interface Newcomer {
  readonly name: string;
  readonly itemId: ItemId;
  readonly lotId: LotId;
}

/** Odd scraps as much as a hand holds, mm²: about a third of a metre each way. An estimate. */
export const HANDFUL_MM2 = 100_000;
/** Sizes nearer than this are the same, mm. */
const SAME_MM = 1;

/** The cloth that something was cut from: itself, or what a scrap came from. */
const getParentId = (source: Item): ItemId | undefined =>
  source.kind === 'fabric' ? source.id : source.scrap?.parentItemId;

/** A scrap of a cloth as a thing of its own: it costs nothing and is not bought again. */
export function toScrapItem(source: Item, { name, itemId }: Newcomer, spec: Omit<ScrapSpec, 'parentItemId'>): Item {
  const { restockBelow: _r, cost: _c, costFor: _f, ...bare } = source;
  const parentItemId = getParentId(source);
  return {
    ...bare,
    id: itemId,
    kind: 'scrap',
    name: name.slice(0, 120),
    forms: spec.cut === 'odd' ? ['loose'] : ['stack', 'loose'],
    scrap: { ...spec, ...(parentItemId && { parentItemId }) },
  };
}

function findAlike(household: Household, source: Item, { cut, cutMm = 0 }: Omit<ScrapSpec, 'parentItemId'>) {
  const parentId = getParentId(source);
  const item = [...household.items.values()].find(
    ({ scrap }) =>
      parentId !== undefined &&
      scrap?.parentItemId === parentId &&
      scrap.cut === cut &&
      Math.abs((scrap.cutMm ?? 0) - cutMm) < SAME_MM,
  );
  const lot = item && [...household.lots.values()].find((one) => one.itemId === item.id && one.state !== 'gone');
  return { item, lot };
}

/**
 * Scraps come of a cloth: odd bits by their area in mm², squares and strips by their number. They join those of the same cloth and
 * size that there are; else they are a thing of their own, wrapped with a lot where one is named.
 */
export function addScraps(
  household: Household,
  source: Item,
  spec: Omit<ScrapSpec, 'parentItemId'>,
  amount: number,
  newcomer: Newcomer,
  withLotId: LotId | null,
  nowMs: number,
): Change[] {
  const { item: known, lot } = findAlike(household, source, spec);
  const isOdd = spec.cut === 'odd';
  if (lot) {
    const more: Partial<Lot> = isOdd ? { areaMm2: (lot.areaMm2 ?? 0) + amount } : { count: lot.count + amount };
    return [createChange('lots', lot.id, lot, { ...lot, ...more, sinceMs: nowMs })].filter((one) => one !== null);
  }
  const item = known ?? toScrapItem(source, newcomer, spec);
  const made: Lot = {
    ...createLooseLot(newcomer.lotId, item, isOdd ? 1 : amount, undefined, nowMs),
    ...(isOdd && { areaMm2: amount }),
    ...(withLotId && { state: 'with', withLotId }),
  };
  return [createChange('items', item.id, known ?? null, item), createChange('lots', made.id, null, made)].filter(
    (one) => one !== null,
  );
}
