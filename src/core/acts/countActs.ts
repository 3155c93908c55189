import { getCounted } from '../measure/index.ts';
import type { Change, Household, LotId, Place, PlaceId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createPlaceTree, formatPlaceName } from '../storage/index.ts';
import { type Act, getLot } from './act.ts';
import { createCount } from './livingActs.ts';
import { createNotFound } from './moveActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { createChange } from '../daybook/index.ts';

/** What was found of one lot in the place that is counted. */
export interface Counted {
  readonly lotId: LotId;
  readonly isThere: boolean;
  /** In its unit, where it was looked at: mm, mm² or pieces, of a heap always pieces. Null: as it was thought. */
  readonly amount: number | null;
}

/** What a count brought to light. */
export interface CountNews {
  readonly missing: readonly LotId[];
  readonly changed: readonly LotId[];
  /** There, though it was thought to be elsewhere. */
  readonly turnedUp: readonly LotId[];
}

/** What differs between what was thought and what was found. */
export function compareCount(household: Household, placeId: PlaceId, found: readonly Counted[]): CountNews {
  const [missing, changed, turnedUp]: [LotId[], LotId[], LotId[]] = [[], [], []];
  for (const { lotId, isThere, amount } of found) {
    const known = getLot(household, lotId);
    if (!known) continue;
    const isThought = known.lot.placeId === placeId;
    if (!isThere) {
      if (isThought) missing.push(lotId);
      continue;
    }
    if (!isThought) turnedUp.push(lotId);
    if (amount !== null && Math.abs(amount - getCounted(known.item, known.lot)) > 0.5) changed.push(lotId);
  }
  return { missing, changed, turnedUp };
}

/**
 * A place was gone through: what is not there is missing, last seen there; what is less or more is so from now on; what
 * turned up there is there. One event for all of it. That it was counted is remembered with the place.
 */
export function createCountPlace(
  household: Household,
  placeId: PlaceId,
  found: readonly Counted[],
  nowMs: number,
): Act {
  const tree = createPlaceTree(household.places);
  const place = tree.leaves.find((one) => one.id === placeId);
  if (!place) return fail({ code: 'no-such-place' });
  const changes: Change[] = [];
  let now = household;
  const add = (more: readonly Change[]): boolean => {
    const next = applyChanges(now, more);
    if (!next.ok) return false;
    now = next.value;
    changes.push(...more);
    return true;
  };
  const { missing, changed, turnedUp } = compareCount(household, placeId, found);
  for (const id of turnedUp) {
    const lot = now.lots.get(id)!;
    const change = createChange('lots', id, lot, {
      ...lot,
      state: 'in',
      placeId,
      withLotId: undefined,
      lentTo: undefined,
      order: lot.homeId === placeId ? lot.homeOrder : lot.order,
      sinceMs: nowMs,
    });
    if (change) add([change]);
  }
  for (const id of changed) {
    const act = createCount(now, id, found.find((one) => one.lotId === id)!.amount!, nowMs);
    if (!act.ok) return act;
    if (!add(act.value.changes)) return fail({ code: 'no-such-lot' });
  }
  for (const id of missing) {
    const act = createNotFound(now, id, nowMs);
    if (act.ok) add(act.value.changes);
  }
  const mark = createChange('places', placeId, place, { ...place, countedAtMs: nowMs } satisfies Place);
  if (mark) add([mark]);
  return ok({ type: 'counted', subject: formatPlaceName(tree, placeId), changes });
}

/** Places with something in them, those first that were never counted or longest ago, in the order of the room. */
export function listToCount(household: Household, sinceMs: number): Place[] {
  const filled = new Set<PlaceId>();
  for (const lot of household.lots.values()) if (lot.placeId) filled.add(lot.placeId);
  return createPlaceTree(household.places).leaves.filter(
    (place) => filled.has(place.id) && (place.countedAtMs ?? 0) < sinceMs,
  );
}
