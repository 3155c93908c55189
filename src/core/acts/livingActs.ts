import { getNaming } from '../naming/index.ts';
import { createChange, fitReserved } from '../daybook/index.ts';
import { getAmount, getAmountUnit, getReserved, listAccessories, withAmount, withCounted } from '../measure/index.ts';
import type { AmountUnit, Change, Household, Lot, LotId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { type Act, createLotDraft, createReleaseWrapped, getLot } from './act.ts';
import { createPutBack } from './lotActs.ts';

/** Ways for something to leave for good. */
export const WAYS_OUT = ['usedUp', 'gaveAway', 'sold', 'threwOut'] as const;
export type WayOut = (typeof WAYS_OUT)[number];

/**
 * A lot leaves for good. What was wrapped with it lies out; what of it is promised must be let go first, so that nobody
 * counts on what is not there.
 */
export function createGone(household: Household, id: LotId, way: WayOut, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const promised = getReserved(lot);
  if (promised > 0 && way !== 'usedUp')
    return fail({
      code: 'reserved',
      available: Math.max(0, getAmount(item, lot) - promised),
      unit: getAmountUnit(item, lot),
    });
  const gone: Lot = { ...lot, state: 'gone', reserved: [], sinceMs: nowMs };
  if (lot.lengthMm !== undefined && way === 'usedUp') gone.lengthMm = 0;
  return createLotDraft(way, item, lot, gone, getAmount(item, lot), createReleaseWrapped(household, id, nowMs));
}

/** By when something is to come back, and whether it is away to be mended. */
export interface LendTerms {
  readonly dueBackOn?: string;
  readonly isInRepair?: boolean;
  /** What belongs to it and goes along. */
  readonly along?: readonly LotId[];
}

const toLent = (lot: Lot, lentTo: string, nowMs: number, { dueBackOn, isInRepair }: LendTerms): Lot => ({
  ...lot,
  state: 'lent',
  placeId: undefined,
  withLotId: undefined,
  away: undefined,
  lentTo,
  ...(dueBackOn !== undefined && { dueBackOn }),
  ...(isInRepair && { isInRepair }),
  sinceMs: nowMs,
});

/** Lent to somebody, or given away to be mended; its home waits for it. */
export function createLend(household: Household, id: LotId, toWhom: string, nowMs: number, terms: LendTerms = {}): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const who = toWhom.trim();
  if (who === '' || lot.state === 'lent' || lot.state === 'digital') return fail({ code: 'nothing-changed' });
  const lentTo = who.slice(0, 80);
  const along = listAccessories(household, item.id).flatMap((one) =>
    one.state !== 'lent' && terms.along?.includes(one.id)
      ? (createChange('lots', one.id, one, toLent(one, lentTo, nowMs, terms)) ?? [])
      : [],
  );
  const draft = createLotDraft('lent', item, lot, toLent(lot, lentTo, nowMs, terms), undefined, along);
  return draft.ok ? ok({ ...draft.value, subject: getNaming().told.lent(item.name, who) }) : draft;
}

/**
 * Came back from whom it was lent to: home, where it has one that is still there; else it lies out. What went along with it
 * comes back with it.
 */
export function createReturn(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (lot.state !== 'lent') return fail({ code: 'nothing-changed' });
  const leaves = new Set(createPlaceTree(household.places).leaves.map((leaf) => leaf.id));
  const toHome = (one: Lot): Lot => ({
    ...one,
    lentTo: undefined,
    sinceMs: nowMs,
    ...(one.homeId !== undefined && leaves.has(one.homeId)
      ? { state: 'in', placeId: one.homeId, order: one.homeOrder, form: one.homeForm }
      : { state: 'out', placeId: undefined }),
  });
  const wentAlong = ({ state, lentTo, sinceMs }: Lot) =>
    state === 'lent' && lentTo === lot.lentTo && sinceMs === lot.sinceMs;
  const along = listAccessories(household, item.id)
    .filter(wentAlong)
    .flatMap((one) => createChange('lots', one.id, one, toHome(one)) ?? []);
  return createLotDraft('returned', item, lot, toHome(lot), undefined, along);
}

/** Uses some of what goes by pieces or by area: buttons, needles, scraps. All of it used is used up. */
export function createUse(household: Household, id: LotId, amount: number, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const present = getAmount(item, lot);
  const unit: AmountUnit = getAmountUnit(item, lot);
  if (!(amount > 0)) return fail({ code: 'nothing-changed' });
  if (amount > present + 0.5) return fail({ code: 'more-than-there-is', available: present, unit });
  const free = present - getReserved(lot);
  if (amount > free + 0.5) return fail({ code: 'reserved', available: Math.max(0, free), unit });
  if (present - amount < 0.5) return createGone(household, id, 'usedUp', nowMs);
  return createLotDraft('cut', item, lot, { ...withAmount(item, lot, present - amount), sinceMs: nowMs }, amount);
}

/** The machine is threaded with a lot of thread, and with no other from then on; null: with none. */
export function createThreaded(household: Household, id: LotId | null, nowMs: number): Act {
  const found = id === null ? null : getLot(household, id);
  if (id !== null && !found?.item.thread) return fail({ code: 'no-such-lot' });
  const changes = [...household.lots.values()].flatMap((lot) => {
    const isOn = lot.id === id;
    if (isOn === (lot.isThreaded ?? false)) return [];
    const { isThreaded: _, ...bare } = lot;
    return createChange('lots', lot.id, lot, { ...bare, ...(isOn && { isThreaded: true }), sinceMs: nowMs }) ?? [];
  });
  if (changes.length === 0) return fail({ code: 'nothing-changed' });
  const [before] = changes.map((change) => household.lots.get(change.id as LotId));
  const item = found?.item ?? (before && household.items.get(before.itemId));
  return ok({ type: 'changed', subject: item?.name ?? '', changes });
}

/** Counted or measured where it lies, a heap by its pieces: so much is there. Less than was thought shrinks what is promised, the latest first. */
export function createCount(household: Household, id: LotId, amount: number, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  if (!(amount > 0)) return createGone(household, id, 'usedUp', nowMs);
  const next = { ...withCounted(item, lot, amount), sinceMs: nowMs };
  return createLotDraft('counted', item, lot, fitReserved(item, next), lot.heap ? undefined : amount);
}

/** Puts several things back at once, each to its home; all of them or none. */
export function createPutBackAll(household: Household, ids: readonly LotId[], subject: string, nowMs: number): Act {
  const changes: Change[] = [];
  for (const id of ids) {
    const act = createPutBack(household, id, nowMs);
    if (!act.ok) return act;
    changes.push(...act.value.changes);
  }
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'putBack', subject, changes });
}
