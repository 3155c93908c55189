import { createReleaseWrapped, type Act } from '../acts/index.ts';
import { createChange } from '../daybook/index.ts';
import { getAmount, getAmountUnit } from '../measure/index.ts';
import { takesRoom, type Household, type Item, type ItemId, type Lot, type LotId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';

const MOST_NOTES = 2000;

interface Real {
  readonly item: Item;
  readonly lot: Lot;
}

/** What all of some lots say alike. */
const sameOf = <T>(lots: readonly Lot[], of: (lot: Lot) => T): T | undefined => {
  const first = of(lots[0]!);
  return lots.every((lot) => of(lot) === first) ? first : undefined;
};

/** The one in the middle by what it is as large as: it stands for all of them. */
function findUsual(reals: readonly Real[]): Real {
  const sizeOf = ({ item: { fabric, box, pattern } }: Real) =>
    fabric?.layerMm ?? pattern?.thicknessMm ?? (box ? box.widthMm * box.depthMm * box.heightMm : 0);
  return reals.toSorted((a, b) => sizeOf(a) - sizeOf(b))[Math.floor(reals.length / 2)]!;
}

/**
 * Makes one heap of things that need not be kept singly: all of one kind, measured in the same unit, of which nothing is promised. The
 * heap is as much as they are, known as well as they were; it lies where all of them lie, and its notes say what is in it. They
 * themselves are gone, and an undo brings them back.
 */
export function createHeapUp(
  household: Household,
  ids: readonly LotId[],
  made: { readonly name: string; readonly itemId: ItemId; readonly lotId: LotId },
  nowMs: number,
): Act {
  const reals = [...new Set(ids)].flatMap((id): Real[] => {
    const lot = household.lots.get(id);
    const item = lot && household.items.get(lot.itemId);
    return lot && item && takesRoom(lot) && !lot.reserved?.length ? [{ item, lot }] : [];
  });
  const lots = reals.map(({ lot }) => lot);
  const [first] = reals;
  const unit = first && getAmountUnit(first.item, first.lot);
  const isAlike = reals.every(({ item, lot }) => item.kind === first!.item.kind && getAmountUnit(item, lot) === unit);
  if (!first || reals.length < 2 || reals.length < new Set(ids).size || !isAlike)
    return fail({ code: 'nothing-changed' });
  const usual = findUsual(reals);
  const sum = (of: (one: Real) => number) => reals.reduce((all, one) => all + of(one), 0);
  const count = sum(({ lot }) => lot.count);
  const amount = sum(({ item, lot }) => getAmount(item, lot));
  const sigma = Math.sqrt(sum(({ lot }) => (lot.amountSigma ?? 0) ** 2));
  const notes = reals
    .map(({ item }) => item.name)
    .join(', ')
    .slice(0, MOST_NOTES);
  const uses = sum(({ item }) => item.usesPerMonth);
  const { learntPerMonth: _u, photos: _p, restockBelow: _s, ...like } = usual.item;
  const item: Item = { ...like, id: made.itemId, name: made.name, notes, usesPerMonth: uses };
  const placeId = sameOf(lots, (lot) => lot.placeId);
  const homeId = sameOf(lots, (lot) => lot.homeId);
  const { form, homeForm, order, homeOrder } = usual.lot;
  const lot: Lot = {
    id: made.lotId,
    itemId: made.itemId,
    count,
    ...(unit === 'length' && { lengthMm: amount }),
    ...(unit === 'area' && { areaMm2: amount }),
    // Packets of which the pieces were counted go on counting them.
    ...(lots.every(({ units }) => units !== undefined) && { units: amount }),
    ...(sigma > 0 && { amountSigma: sigma }),
    heap: { by: 'pieces', measured: count, countSigma: 0 },
    form,
    homeForm,
    order,
    homeOrder,
    state: placeId === undefined ? 'out' : 'in',
    ...(placeId !== undefined && { placeId }),
    ...(homeId !== undefined && { homeId }),
    sinceMs: nowMs,
  };
  const changes = [
    createChange('items', item.id, null, item),
    createChange('lots', lot.id, null, lot),
    ...reals.flatMap((one) => [
      createChange('lots', one.lot.id, one.lot, toGone(one.lot, nowMs)),
      ...createReleaseWrapped(household, one.lot.id, nowMs),
    ]),
  ].filter((change) => change !== null);
  return ok({ type: 'heaped', subject: made.name, changes });
}

/** A lot of which nothing is left by itself. */
export function toGone(lot: Lot, nowMs: number): Lot {
  return {
    ...lot,
    state: 'gone',
    count: 0,
    ...(lot.lengthMm !== undefined && { lengthMm: 0 }),
    ...(lot.areaMm2 !== undefined && { areaMm2: 0 }),
    sinceMs: nowMs,
  };
}
