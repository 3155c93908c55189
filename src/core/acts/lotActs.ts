import { createChange, fitReserved } from '../daybook/index.ts';
import {
  computePackages,
  computeStock,
  convertMark,
  getAmount,
  getAmountUnit,
  getWholeLot,
  withMeasured,
} from '../measure/index.ts';
import {
  type AmountUnit,
  type Change,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type MeasureWay,
  type PlaceId,
  type StowForm,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { cutFlaws, cutOutline } from '../layout/index.ts';
import { nameOfPromise } from '../promises/index.ts';
import { createPlaceTree, listHomes } from '../storage/index.ts';
import { type Act, countUsed, createLotDraft, createReleaseWrapped, getLot } from './act.ts';
import { getOrderBehind } from './behind.ts';

/** Takes a lot out of its place; its home stays. */
export function createTakeOut(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (lot.state === 'with')
    return createLotDraft('tookOut', item, lot, { ...lot, state: 'out', withLotId: undefined, sinceMs: nowMs });
  if (lot.state !== 'in') return fail({ code: 'not-in-place' });
  return createLotDraft('tookOut', item, lot, { ...lot, state: 'out', placeId: undefined, sinceMs: nowMs });
}

/** Puts a lot back to its home, in its turn and form there. */
export function createPutBack(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (lot.homeId === undefined) return fail({ code: 'no-home' });
  const home = household.places.get(lot.homeId);
  const tree = createPlaceTree(household.places);
  if (!home || !tree.leaves.includes(home))
    return fail({ code: listHomes(tree).has(lot.homeId) ? 'home-waits' : 'home-gone', placeId: lot.homeId });
  const whole = getWholeLot(household, lot);
  const form = computePackages(item, whole, household.settings).some((pkg) => pkg.form === lot.homeForm)
    ? lot.homeForm
    : lot.form;
  return createLotDraft('putBack', item, lot, {
    ...lot,
    state: 'in',
    withLotId: undefined,
    placeId: lot.homeId,
    order: lot.homeOrder,
    form,
    sinceMs: nowMs,
  });
}

/** Puts a lot into any place, which becomes its home; it goes to the end there. */
export function createMove(household: Household, id: LotId, placeId: PlaceId, form: StowForm, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const place = household.places.get(placeId);
  if (!place || !createPlaceTree(household.places).leaves.includes(place)) return fail({ code: 'no-such-place' });
  const { lot, item } = found;
  const order = getOrderBehind(household, placeId);
  return createLotDraft('moved', item, lot, {
    ...lot,
    state: 'in',
    withLotId: undefined,
    placeId,
    order,
    form,
    homeId: placeId,
    homeOrder: order,
    homeForm: form,
    sinceMs: nowMs,
  });
}

/** A length of which so much is left: none is used up; too little for its form takes the first that suits it. */
export function withRest(household: Household, item: Item, whole: Lot, restMm: number, nowMs: number): Lot {
  const lot = cutShape(whole, Math.max(0, (whole.lengthMm ?? 0) - restMm));
  if (restMm < 0.5) return { ...lot, lengthMm: 0, state: 'gone', sinceMs: nowMs };
  const rest = fitReserved(item, { ...lot, lengthMm: restMm, sinceMs: nowMs });
  const forms = computePackages(item, getWholeLot(household, rest), household.settings).map((pkg) => pkg.form);
  const form = forms.includes(rest.form) ? rest.form : (forms[0] ?? rest.form);
  return { ...rest, form, homeForm: forms.includes(rest.homeForm) ? rest.homeForm : form };
}

/** What is known of the shape of a cloth, told from the new edge. */
function cutShape(lot: Lot, cutMm: number): Lot {
  const { flaws, outline, ...rest } = lot;
  const [flawsLeft, shape] = [cutFlaws(flaws ?? [], cutMm), cutOutline(outline ?? [], cutMm)];
  return { ...rest, ...(flawsLeft.length > 0 && { flaws: flawsLeft }), ...(shape.length > 2 && { outline: shape }) };
}

/**
 * Cuts a length off. What is cut and what is left add up to what there was; a rest too short for its form
 * takes the first of its forms that suits it. What is promised is only cut for what it was promised to:
 * name that reservation, or what is left over must do.
 */
export function createCut(
  household: Household,
  id: LotId,
  cutMm: number,
  nowMs: number,
  reservationId: string | null = null,
  forWhat = '',
): Act {
  const found = getLot(household, id);
  if (!found || found.lot.lengthMm === undefined) return fail({ code: 'no-such-lot' });
  const { item } = found;
  const promise = found.lot.reserved?.find((one) => one.id === reservationId);
  const told = forWhat.trim() || (promise ? nameOfPromise(household, promise) : '');
  const more = promise ? countUsed(household, item, promise, cutMm) : [];
  const present = found.lot.lengthMm;
  if (!(cutMm > 0)) return fail({ code: 'nothing-changed' });
  if (cutMm > present + 0.5) return fail({ code: 'more-than-there-is', available: present, unit: 'length' });
  const kept = (found.lot.reserved ?? []).flatMap((one) => {
    if (one.id !== reservationId) return [one];
    return one.amount > cutMm + 0.5 ? [{ ...one, amount: one.amount - cutMm }] : [];
  });
  const restMm = Math.max(0, present - cutMm);
  const promisedMm = kept.filter((one) => one.id !== reservationId).reduce((sum, one) => sum + one.amount, 0);
  if (restMm + 0.5 < promisedMm)
    return fail({ code: 'reserved', available: Math.max(0, present - promisedMm), unit: 'length' });
  const lot: Lot = found.lot.reserved ? { ...found.lot, reserved: kept } : found.lot;
  const rest = withRest(household, item, lot, restMm, nowMs);
  if (rest.state === 'gone')
    return tellWhat(
      createLotDraft('usedUp', item, found.lot, rest, present, [
        ...createReleaseWrapped(household, id, nowMs),
        ...more,
      ]),
      told,
    );
  return tellWhat(createLotDraft('cut', item, found.lot, rest, cutMm, more), told);
}

function tellWhat(act: Act, forWhat: string): Act {
  return act.ok && forWhat !== '' ? ok({ ...act.value, forWhat }) : act;
}

/** A measured amount in its unit: what it is, how sure, and how it was found. */
export interface Measured {
  readonly value: number;
  readonly sigma: number;
  readonly way: MeasureWay;
  readonly unit: AmountUnit;
}

/** A mark to buy again that was told in spools goes on in metres, once one of them was measured. */
function remark(household: Household, lot: Lot, next: Lot): Change[] {
  const item = household.items.get(lot.itemId)!;
  if (item.restockBelow === undefined) return [];
  const lots = [...household.lots.values()].filter((one) => one.itemId === item.id && one.state !== 'gone');
  const after = computeStock(
    item,
    lots.map((one) => (one.id === lot.id ? next : one)),
  );
  const mark = convertMark(item.restockBelow, computeStock(item, lots), after);
  const change = createChange('items', item.id, item, { ...item, restockBelow: mark });
  return change ? [change] : [];
}

/** Takes over a measured amount. */
export function createMeasure(household: Household, id: LotId, measured: Measured, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const { value, sigma, way, unit } = measured;
  if (!(value > 0)) return fail({ code: 'nothing-changed' });
  const next: Lot = { ...withMeasured(item, lot, measured), amountSigma: sigma, measuredBy: way, sinceMs: nowMs };
  // Promised by spools and now told by length: the same share of it is promised.
  const share = getAmountUnit(item, lot) === unit ? 1 : value / (getAmount(item, lot) || 1);
  if (lot.reserved && share !== 1) next.reserved = lot.reserved.map((one) => ({ ...one, amount: one.amount * share }));
  const draft = createLotDraft('measured', item, lot, fitReserved(item, next), undefined, remark(household, lot, next));
  return draft.ok ? ok({ ...draft.value, amount: value, amountUnit: unit }) : draft;
}
