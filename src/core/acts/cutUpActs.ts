import { createChange } from '../daybook/index.ts';
import { getAmount, getReserved, withAmount } from '../measure/index.ts';
import {
  createLooseLot,
  type Change,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type ScrapCut,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createLotDraft, createReleaseWrapped, getLot, type Act } from './act.ts';

/** What came of cutting a scrap up: so many of one size, and ids for them where there are none of it yet. */
export interface CutUp {
  readonly cut: Exclude<ScrapCut, 'odd'>;
  readonly cutMm: number;
  readonly count: number;
  readonly name: string;
  readonly itemId: ItemId;
  readonly lotId: LotId;
}

/** Sizes nearer than this are the same, mm. */
const SAME_MM = 1;

/** The thing that pieces of a size join: cut from the same cloth and as large. */
function findAlike(household: Household, parentItemId: ItemId | undefined, { cut, cutMm }: CutUp): Item | undefined {
  if (parentItemId === undefined) return undefined;
  return [...household.items.values()].find(
    ({ scrap }) =>
      scrap?.parentItemId === parentItemId && scrap.cut === cut && Math.abs((scrap.cutMm ?? 0) - cutMm) < SAME_MM,
  );
}

function addPieces(household: Household, source: Item, made: CutUp, nowMs: number): (Change | null)[] {
  const parentItemId = source.kind === 'fabric' ? source.id : source.scrap?.parentItemId;
  const alike = findAlike(household, parentItemId, made);
  const lot = alike && [...household.lots.values()].find((one) => one.itemId === alike.id && one.state !== 'gone');
  if (alike && lot)
    return [createChange('lots', lot.id, lot, { ...lot, count: lot.count + made.count, sinceMs: nowMs })];
  const { restockBelow: _r, cost: _c, costFor: _f, photos: _p, ...bare } = source;
  const item: Item = alike ?? {
    ...bare,
    id: made.itemId,
    kind: 'scrap',
    name: made.name.slice(0, 120),
    forms: ['stack', 'loose'],
    scrap: { cut: made.cut, cutMm: made.cutMm, ...(parentItemId && { parentItemId }) },
  };
  const added = createLooseLot(made.lotId, item, made.count, undefined, nowMs);
  return [
    createChange('items', item.id, household.items.get(item.id) ?? null, item),
    createChange('lots', added.id, null, added),
  ];
}

/**
 * A scrap, or a remnant, was cut up into squares and strips: they join those of the same cloth and size that there are. Of odd scraps
 * so much is gone, mm²; a length of cloth is used up whole. What is promised is not cut up.
 */
export function createCutUp(
  household: Household,
  id: LotId,
  areaMm2: number,
  made: readonly CutUp[],
  nowMs: number,
): Act {
  const found = getLot(household, id);
  if (!found || !found.item.fabric) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const some = made.filter(({ count }) => count > 0);
  if (some.length === 0) return fail({ code: 'nothing-changed' });
  if (getReserved(lot) > 0)
    return fail({ code: 'reserved', available: Math.max(0, getAmount(item, lot) - getReserved(lot)) });
  const isOdd = item.scrap?.cut === 'odd';
  const left = isOdd ? getAmount(item, lot) - areaMm2 : 0;
  const rest: Lot =
    left < 1
      ? {
          ...lot,
          ...(lot.lengthMm !== undefined && { lengthMm: 0 }),
          state: 'gone',
          placeId: undefined,
          homeId: undefined,
          withLotId: undefined,
          sinceMs: nowMs,
        }
      : { ...withAmount(item, lot, left), sinceMs: nowMs };
  const more = some.flatMap((one) => addPieces(household, item, one, nowMs)).filter((change) => change !== null);
  const released = rest.state === 'gone' ? createReleaseWrapped(household, id, nowMs) : [];
  const draft = createLotDraft(
    rest.state === 'gone' ? 'usedUp' : 'cut',
    item,
    lot,
    rest,
    Math.min(getAmount(item, lot), isOdd ? areaMm2 : getAmount(item, lot)),
    [...released, ...more],
  );
  return draft.ok ? ok({ ...draft.value, forWhat: 'squares and strips' }) : draft;
}
