import { computeGroups } from '../grouping/index.ts';
import type { DaybookEvent, Growth, Household, LotId } from '../records/index.ts';
import { getTellingMs, listFlows, withGone } from './flows.ts';

const YEAR_MS = 365.25 * 86_400_000;
/** So much of a year without any growth is taken as seen before the daybook began: one parcel is no habit. */
const SAID_YEARS = 0.5;
/** So many things are taken to stand in every group besides: a second thimble does not double the thimbles. */
const SAID_THINGS = 4;
/** Less than this, of a group in a year, is not worth keeping room for. */
const TELLING = 0.05;

/**
 * By what share of itself each group grows in a year: what was received less what was cut, used up and let go within the
 * last year, in things. What was written down for the first time did not come. A daybook that is young, and a group that is
 * small, are believed less. Groups that shrink do not grow.
 */
export function computeGrowth(events: readonly DaybookEvent[], household: Household, nowMs: number): Growth[] {
  const fromMs = Math.max(nowMs - YEAR_MS, getTellingMs(events, nowMs));
  const flows = new Map<LotId, number>();
  for (const { lotId, share } of listFlows(events, fromMs, nowMs)) flows.set(lotId, (flows.get(lotId) ?? 0) + share);
  if (flows.size === 0) return [];
  const years = (nowMs - fromMs) / YEAR_MS;
  const all = withGone(household, events, new Set(flows.keys()));
  const isThere = (id: LotId) => (household.lots.get(id)?.state ?? 'gone') !== 'gone';
  return computeGroups(all).flatMap((group) => {
    const net = group.lots.reduce((sum, { id }) => sum + (flows.get(id) ?? 0), 0);
    const now = group.lots.filter(({ id }) => isThere(id)).length;
    const perYear = Number(Math.min(1, net / (years + SAID_YEARS) / (now + SAID_THINGS)).toPrecision(2));
    return now > 0 && perYear >= TELLING ? [{ groupId: group.id, perYear, isSaid: false }] : [];
  });
}
