import { type Act, createLotDraft, getLot } from './act.ts';
import { getAmount, getAmountUnit, getReserved } from '../measure/index.ts';
import type { Lot, LotId, Reservation, Household } from '../records/index.ts';
import { fail } from '../result/index.ts';

/** Promises part of a lot to something. No more can be promised than is there and free. */
export function createReserve(household: Household, id: LotId, reservation: Reservation, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const others = (lot.reserved ?? []).filter((one) => one.id !== reservation.id);
  const free = getAmount(item, lot) - getReserved({ ...lot, reserved: others });
  if (!(reservation.amount > 0)) return fail({ code: 'nothing-changed' });
  if (reservation.amount > free + 0.5)
    return fail({ code: 'reserved', available: Math.max(0, free), unit: getAmountUnit(item, lot) });
  const next: Lot = { ...lot, reserved: [...others, reservation], sinceMs: nowMs };
  return createLotDraft('reserved', item, lot, next, reservation.amount);
}

/** Takes a promise back. */
export function createRelease(household: Household, id: LotId, reservationId: string, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const reserved = (lot.reserved ?? []).filter((one) => one.id !== reservationId);
  return createLotDraft('released', item, lot, { ...lot, reserved, sinceMs: nowMs });
}

/** Washed: it will not shrink any more. */
export function createWash(household: Household, id: LotId, nowMs: number): Act {
  const found = getLot(household, id);
  if (!found) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  return createLotDraft('washed', item, lot, { ...lot, isWashed: true, sinceMs: nowMs });
}

/**
 * Wraps a lot of cloth with another one, which it then follows. What has something wrapped in it cannot
 * itself be wrapped.
 */
export function createWrap(household: Household, id: LotId, withId: LotId, nowMs: number): Act {
  const [found, around] = [getLot(household, id), getLot(household, withId)];
  if (!found || !around) return fail({ code: 'no-such-lot' });
  const isWrapping = [...household.lots.values()].some((lot) => lot.withLotId === id);
  if (id === withId || isWrapping || around.lot.state === 'with' || around.item.kind !== 'fabric' || !found.item.fabric)
    return fail({ code: 'cannot-wrap' });
  const { lot, item } = found;
  return createLotDraft('wrapped', item, lot, {
    ...lot,
    state: 'with',
    withLotId: withId,
    placeId: undefined,
    homeId: undefined,
    sinceMs: nowMs,
  });
}
