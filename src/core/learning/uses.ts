import { getNaming } from '../naming/index.ts';
import {
  getUses,
  type DaybookEvent,
  type Growth,
  type Household,
  type Item,
  type ItemId,
  type LotId,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Act } from '../acts/index.ts';
import { createChange, listTakenBack, USES } from '../daybook/index.ts';
import { computeGrowth } from './growth.ts';

const DAY_MS = 86_400_000;
const WEEK_MS = 7 * DAY_MS;
const WEEKS_PER_MONTH = 365.25 / 12 / 7;
/** What the sewist says weighs as much as so many months of the daybook. */
const SAID_MONTHS = 3;
/** After so many weeks a use counts half: habits change with the seasons. */
const HALF_WEEKS = 26;
/** What changes by less is not worth writing down. */
const TELLING = 0.1;

/** How often a thing is used, as what was said and the daybook have it together. */
export interface LearntUses {
  readonly perMonth: number;
  /** Days on which it was taken out, gathered or cut from, the older counted for less. */
  readonly uses: number;
  /** Months in which the daybook was kept since the thing came, the older counted for less. */
  readonly months: number;
}

const weightOf = (atMs: number, nowMs: number) => 0.5 ** (Math.max(0, nowMs - atMs) / WEEK_MS / HALF_WEEKS);

/**
 * Learns how often each thing is used, or each of some: a Poisson rate with a Gamma prior around what was said, worth three months. Only
 * weeks in which anything was taken out, gathered or cut count as observed, for a daybook that is not kept tells nothing. What was
 * taken out twice in a day was used once.
 */
export function computeLearntUses(
  events: readonly DaybookEvent[],
  household: Household,
  nowMs: number,
  items: ReadonlyMap<ItemId, Item> = household.items,
): Map<ItemId, LearntUses> {
  const undone = listTakenBack(events);
  const cameMs = new Map<ItemId, number>();
  const days = new Map<ItemId, Map<number, number>>();
  const weeks = new Map<number, number>();
  for (const event of events) {
    for (const { table, id, before } of event.changes)
      // What comes back by an undo came when it first came.
      if (table === 'items' && before === undefined && items.has(id as ItemId) && !cameMs.has(id as ItemId))
        cameMs.set(id as ItemId, event.atMs);
    if (!USES.has(event.type) || undone.has(event.id) || event.atMs > nowMs) continue;
    weeks.set(Math.floor((nowMs - event.atMs) / WEEK_MS), event.atMs);
    for (const { table, id } of event.changes) {
      const itemId = table === 'lots' ? household.lots.get(id as LotId)?.itemId : undefined;
      if (itemId === undefined || !items.has(itemId)) continue;
      const of = days.get(itemId) ?? new Map<number, number>();
      days.set(itemId, of.set(Math.floor(event.atMs / DAY_MS), event.atMs));
    }
  }
  const learnt = new Map<ItemId, LearntUses>();
  for (const item of items.values()) {
    const since = cameMs.get(item.id) ?? -Infinity;
    let months = 0;
    // A week counts from its middle.
    for (const week of weeks.keys()) {
      const atMs = nowMs - (week + 0.5) * WEEK_MS;
      if (atMs >= since - WEEK_MS / 2) months += weightOf(atMs, nowMs) / WEEKS_PER_MONTH;
    }
    let uses = 0;
    for (const atMs of days.get(item.id)?.values() ?? []) uses += weightOf(atMs, nowMs);
    const perMonth = (SAID_MONTHS * item.usesPerMonth + uses) / (SAID_MONTHS + months);
    learnt.set(item.id, { perMonth, uses, months });
  }
  return learnt;
}

/** What the daybook says of how groups grow, but for those of which the sewist said it; null when that is known. */
function learnGrowth({ settings }: Household, learnt: readonly Growth[]): Growth[] | null {
  const known = settings.growth ?? [];
  const said = known.filter(({ isSaid }) => isSaid);
  const news = learnt.filter(({ groupId }) => !said.some((one) => one.groupId === groupId));
  const rateOf = (list: readonly Growth[], groupId: string) =>
    list.find((one) => one.groupId === groupId)?.perYear ?? 0;
  const differs = [...known, ...news].some(
    ({ groupId }) =>
      !said.some((one) => one.groupId === groupId) &&
      Math.abs(rateOf(known, groupId) - rateOf(news, groupId)) > TELLING * 0.5,
  );
  return differs ? [...said, ...news] : null;
}

/**
 * Takes over what was learnt of uses, where it differs by a tenth and more from what is reckoned with, and of how groups grow. One
 * event for all.
 */
export function createLearn(household: Household, events: readonly DaybookEvent[], nowMs: number): Act {
  const learnt = computeLearntUses(events, household, nowMs);
  const used = [...household.items.values()].flatMap((item) => {
    const { perMonth, months } = learnt.get(item.id)!;
    const known = getUses(item);
    if (months === 0 || Math.abs(perMonth - known) <= TELLING * Math.max(known, 0.05)) return [];
    const next: Item = { ...item, learntPerMonth: Number(perMonth.toPrecision(3)) };
    return createChange('items', item.id, item, next) ?? [];
  });
  const growth = learnGrowth(household, computeGrowth(events, household, nowMs));
  const { settings } = household;
  const grown =
    growth &&
    createChange('settings', settings.id, settings, { ...settings, growth: growth.length > 0 ? growth : undefined });
  const changes = grown ? [...used, grown] : used;
  const { told } = getNaming();
  const subject = used.length === 0 ? told.growth : told.uses(used.length);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'learnt', subject, changes });
}
