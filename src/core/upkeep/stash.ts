import { computeMonthFlows } from '../daybook/index.ts';
import { createRandom } from '../random/index.ts';
import type { DaybookEvent, Household } from '../records/index.ts';
import { drawFutures, getChanceAbove, getQuantile, MONTHS_AHEAD } from './resample.ts';

/** All the cloth there is, mm along: month by month as it was, and as it may come. */
export interface StashCurve {
  readonly nowMm: number;
  /** At the end of each of the last months, the oldest first; the last is now. */
  readonly past: readonly number[];
  /** After each month ahead: a tenth of what may come lies below the first, half below the second, nine tenths below the third. */
  readonly band: readonly (readonly [low: number, middle: number, high: number])[];
  /** That there is more than the goal in a year; null without a goal. */
  readonly chanceOver: number | null;
}

const MONTHS = 12;

/** The stash as a curve: what came and went of cloth is drawn again and again from its own year. */
export function drawStashCurve(household: Household, events: readonly DaybookEvent[], nowMs: number): StashCurve {
  let nowMm = 0;
  for (const lot of household.lots.values())
    if (lot.state !== 'gone' && household.items.get(lot.itemId)?.kind === 'fabric') nowMm += lot.lengthMm ?? 0;
  const net = computeMonthFlows(events, household, MONTHS, nowMs).map(({ inMm, outMm }) => inMm - outMm);
  const past: number[] = [nowMm];
  for (const mm of net.toReversed()) past.unshift(Math.max(0, past[0]! - mm));
  const futures = drawFutures(net, [], -nowMm, createRandom(net.length));
  const { stashGoalMm } = household.settings;
  return {
    nowMm,
    past,
    band: Array.from({ length: MONTHS_AHEAD }, (_, i) => [
      nowMm + getQuantile(futures, i + 1, 0.1),
      nowMm + getQuantile(futures, i + 1, 0.5),
      nowMm + getQuantile(futures, i + 1, 0.9),
    ]),
    chanceOver: stashGoalMm === undefined ? null : getChanceAbove(futures, MONTHS_AHEAD, stashGoalMm - nowMm),
  };
}
