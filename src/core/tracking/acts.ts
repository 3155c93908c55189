import {
  computePackages,
  getAmount,
  getAmountUnit,
  getReserved,
  getWholeLot,
  listWrapped,
  withAmount,
} from '../measure/index.ts';
import {
  parseRecord,
  type AmountUnit,
  type Change,
  type DaybookEvent,
  type EventId,
  type EventType,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type MeasureWay,
  type PlaceId,
  type Settings,
  type StowForm,
  type World,
} from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createChange, invertChanges } from './fold.ts';

/** An event before it is written: the store gives it its number, time and id. */
export interface Draft {
  readonly type: EventType;
  readonly subject: string;
  readonly changes: readonly Change[];
  readonly amount?: number;
  readonly amountUnit?: AmountUnit;
  readonly undoes?: EventId;
  readonly forWhat?: string;
}

/** Why an act cannot be done. */
export interface ActFault {
  readonly code:
    | 'no-such-lot'
    | 'not-in-place'
    | 'no-home'
    | 'home-gone'
    | 'more-than-there-is'
    | 'reserved'
    | 'cannot-wrap'
    | 'no-such-place'
    | 'nothing-changed'
    | 'out-of-range'
    | 'stale-plan';
  readonly available?: number;
  readonly unit?: AmountUnit;
  readonly placeId?: PlaceId;
}

export type Act = Result<Draft, ActFault>;

export function getLot(household: Household, id: LotId): { lot: Lot; item: Item } | null {
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  return lot && item && lot.state !== 'gone' ? { lot, item } : null;
}

/** An event about one lot, with what hangs on it. */
export function createLotDraft(
  type: EventType,
  item: Item,
  before: Lot,
  after: Lot,
  amount?: number,
  more: readonly Change[] = [],
): Act {
  const change = createChange('lots', before.id, before, after);
  if (!change) return fail({ code: 'nothing-changed' });
  const told = amount === undefined ? {} : { amount, amountUnit: getAmountUnit(item, before) };
  return ok({ type, subject: item.name, changes: [change, ...more], ...told });
}

/** What was wrapped with a lot that is no more lies out, without a home. */
export function createReleaseWrapped(household: Household, id: LotId, nowMs: number): Change[] {
  return listWrapped(household, id).flatMap(
    (lot) =>
      createChange('lots', lot.id, lot, { ...lot, state: 'out', withLotId: null, homeId: null, sinceMs: nowMs }) ?? [],
  );
}

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

/** Takes a lot out of its place; its home stays. */
export function createTakeOut(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (lot.state === 'with')
    return createLotDraft('tookOut', item, lot, { ...lot, state: 'out', withLotId: null, sinceMs: nowMs });
  if (lot.state !== 'in') return fail({ code: 'not-in-place' });
  return createLotDraft('tookOut', item, lot, { ...lot, state: 'out', placeId: null, sinceMs: nowMs });
}

/** Puts a lot back to its home, in its turn and form there. */
export function createPutBack(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (lot.homeId === null) return fail({ code: 'no-home' });
  const home = household.places.get(lot.homeId);
  if (!home || !createPlaceTree(household.places).leaves.includes(home))
    return fail({ code: 'home-gone', placeId: lot.homeId });
  const whole = getWholeLot(household, lot);
  const form = computePackages(item, whole, household.settings).some((pkg) => pkg.form === lot.homeForm)
    ? lot.homeForm
    : lot.form;
  return createLotDraft('putBack', item, lot, {
    ...lot,
    state: 'in',
    withLotId: null,
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
  const orders = [...household.lots.values()].filter((other) => other.homeId === placeId || other.placeId === placeId);
  const order = Math.max(-1, ...orders.map((other) => Math.max(other.order, other.homeOrder))) + 1;
  return createLotDraft('moved', item, lot, {
    ...lot,
    state: 'in',
    withLotId: null,
    placeId,
    order,
    form,
    homeId: placeId,
    homeOrder: order,
    homeForm: form,
    sinceMs: nowMs,
  });
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
  if (!found || found.lot.lengthMm === null) return fail({ code: 'no-such-lot' });
  const { item } = found;
  const told = forWhat.trim() || (found.lot.reserved?.find((one) => one.id === reservationId)?.forWhat ?? '');
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
  if (restMm < 0.5) {
    const gone: Lot = {
      ...lot,
      lengthMm: 0,
      state: 'gone',
      placeId: null,
      homeId: null,
      withLotId: null,
      sinceMs: nowMs,
    };
    return tellWhat(
      createLotDraft('usedUp', item, found.lot, gone, present, createReleaseWrapped(household, id, nowMs)),
      told,
    );
  }
  const rest = fitReserved(item, { ...lot, lengthMm: restMm, sinceMs: nowMs });
  const forms = computePackages(item, getWholeLot(household, rest), household.settings).map((pkg) => pkg.form);
  const form = forms.includes(rest.form) ? rest.form : (forms[0] ?? rest.form);
  const homeForm = forms.includes(rest.homeForm) ? rest.homeForm : form;
  return tellWhat(createLotDraft('cut', item, found.lot, { ...rest, form, homeForm }, cutMm), told);
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

/** Takes over a measured amount. Thread that went by spools goes by length from then on, packets by their pieces. */
export function createMeasure(household: Household, id: LotId, measured: Measured, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const { value, sigma, way, unit } = measured;
  if (!(value > 0)) return fail({ code: 'nothing-changed' });
  const able: Lot =
    unit === 'length' ? { ...lot, lengthMm: value } : way === 'count' ? { ...lot, units: Math.round(value) } : lot;
  const next = { ...withAmount(item, able, value), amountSigma: sigma, measuredBy: way, sinceMs: nowMs };
  const draft = createLotDraft('measured', item, lot, fitReserved(item, next));
  return draft.ok ? ok({ ...draft.value, amount: value, amountUnit: unit }) : draft;
}

/** What became a file leaves its place; what was a file and is paper now lies out. */
function fitFormat(item: Item, lot: Lot): Lot {
  const isFile = item.pattern?.format === 'digital';
  if (lot.state === 'gone' || isFile === (lot.state === 'digital')) return lot;
  return { ...lot, state: isFile ? 'digital' : 'out', placeId: null, homeId: null, withLotId: null };
}

/** Adds a new item with its lots, all without a home yet; or changes one and its lots. */
export function createSaveItem(household: Household, item: Item, lots: readonly Lot[]): Act {
  const before = household.items.get(item.id) ?? null;
  const saved = new Set(lots.map((lot) => lot.id));
  const others =
    before?.pattern?.format === item.pattern?.format
      ? []
      : [...household.lots.values()].filter((lot) => lot.itemId === item.id && !saved.has(lot.id));
  const changes = [
    createChange('items', item.id, before, item),
    ...[...lots, ...others].map((lot) =>
      createChange('lots', lot.id, household.lots.get(lot.id) ?? null, fitReserved(item, fitFormat(item, lot))),
    ),
  ].filter((change) => change !== null);
  if (changes.length === 0) return fail({ code: 'nothing-changed' });
  return ok({ type: before ? 'changed' : 'received', subject: item.name, changes });
}

/** Takes an item out of the catalogue with all its lots. What was wrapped with them lies out. */
export function createRemoveItem(household: Household, item: Item, nowMs: number): Act {
  const lots = [...household.lots.values()].filter((lot) => lot.itemId === item.id);
  const others = lots.flatMap((lot) => createReleaseWrapped(household, lot.id, nowMs));
  const changes = [
    ...others.filter((change) => !lots.some((lot) => lot.id === change.id)),
    ...lots.map((lot) => createChange('lots', lot.id, lot, null)),
    createChange('items', item.id, household.items.get(item.id) ?? null, null),
  ].filter((change) => change !== null);
  return ok({ type: 'removed', subject: item.name, changes });
}

export function createSaveSettings(household: Household, settings: Settings): Act {
  // What a file could not hold is never kept, wherever it was typed.
  if (!parseRecord('settings', settings).ok) return fail({ code: 'out-of-range' });
  const change = createChange('settings', 'household', household.settings, settings);
  return change
    ? ok({ type: 'settingsChanged', subject: settings.name, changes: [change] })
    : fail({ code: 'nothing-changed' });
}

/** A new event that takes an earlier one back. Whether it still can is seen when it is applied. */
export function createUndo(event: DaybookEvent): Draft {
  return { type: 'undone', subject: event.subject, changes: invertChanges(event.changes), undoes: event.id };
}

/** Gives a draft its number, time and id. Optional fields that are absent stay absent. */
export function stampEvent(draft: Draft, seq: number, world: World): DaybookEvent {
  const event: DaybookEvent = {
    id: world.createId() as EventId,
    seq,
    atMs: world.nowMs(),
    type: draft.type,
    subject: draft.subject.slice(0, 200),
    changes: [...draft.changes],
  };
  if (draft.amount !== undefined) event.amount = draft.amount;
  if (draft.amountUnit !== undefined) event.amountUnit = draft.amountUnit;
  if (draft.undoes !== undefined) event.undoes = draft.undoes;
  if (draft.forWhat) event.forWhat = draft.forWhat.slice(0, 120);
  return event;
}
