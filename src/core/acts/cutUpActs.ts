import { getNaming } from '../naming/index.ts';
import { getAmount, getReserved, withAmount } from '../measure/index.ts';
import type { Household, Lot, LotId, ScrapCut } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createLotDraft, createReleaseWrapped, getLot, type Act } from './act.ts';
import { addScraps, type Newcomer } from './scraps.ts';
import { addStuffing } from './stuffing.ts';

/** Less than this is dust. */
const LEAST_G = 0.5;

/** What came of cutting a scrap up: so many of one size. */
export interface CutUp extends Newcomer {
  readonly cut: Exclude<ScrapCut, 'odd'>;
  readonly cutMm: number;
  readonly count: number;
}

/** What is too small for any of the sizes goes to the stuffing, g. */
export interface Leavings extends Newcomer {
  readonly massG: number;
}

/**
 * A scrap, or a remnant, was cut up into squares and strips: they join those of the same cloth and size that there are. Of odd scraps
 * so much is gone, mm²; a length of cloth is used up whole. What is promised is not cut up.
 * What is left of it is stuffing, where that is wanted.
 */
export function createCutUp(
  household: Household,
  id: LotId,
  areaMm2: number,
  made: readonly CutUp[],
  leavings: Leavings | null,
  nowMs: number,
): Act {
  const found = getLot(household, id);
  if (!found || !found.item.fabric) return fail({ code: 'no-such-lot' });
  const { lot, item } = found;
  const some = made.filter(({ count }) => count > 0);
  const stuff = leavings && leavings.massG >= LEAST_G ? leavings : null;
  if (some.length === 0 && !stuff) return fail({ code: 'nothing-changed' });
  if (getReserved(lot) > 0)
    return fail({ code: 'reserved', available: Math.max(0, getAmount(item, lot) - getReserved(lot)) });
  const present = getAmount(item, lot);
  const gone = item.scrap?.cut === 'odd' ? Math.min(present, areaMm2) : present;
  const isGone = present - gone < 1;
  const rest: Lot = isGone
    ? { ...lot, ...(lot.lengthMm !== undefined && { lengthMm: 0 }), state: 'gone', sinceMs: nowMs }
    : { ...withAmount(item, lot, present - gone), sinceMs: nowMs };
  const draft = createLotDraft(isGone ? 'usedUp' : 'cut', item, lot, rest, gone, [
    ...(isGone ? createReleaseWrapped(household, id, nowMs) : []),
    ...some.flatMap((one) =>
      addScraps(household, item, { cut: one.cut, cutMm: one.cutMm }, one.count, one, null, nowMs),
    ),
    ...(stuff ? addStuffing(household, stuff.massG, item, stuff, nowMs) : []),
  ]);
  const { told } = getNaming();
  return draft.ok ? ok({ ...draft.value, forWhat: some.length > 0 ? told.cutUp : told.stuffing }) : draft;
}
