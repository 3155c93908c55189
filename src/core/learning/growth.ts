import { computeGroups } from '../grouping/index.ts';
import {
  type Change,
  type DaybookEvent,
  type EventType,
  type Growth,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
} from '../records/index.ts';
import { listTakenBack } from '../daybook/index.ts';

const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;
/** In the first weeks of a daybook, and on days on which so many things came, a stash is written down and not added to. */
const WRITING_DAYS = 42;
const MANY_A_DAY = 12;
/** So much of a year without any growth is taken as seen before the daybook began: one parcel is no habit. */
const SAID_YEARS = 0.5;
/** So many things are taken to stand in every group besides: a second thimble does not double the thimbles. */
const SAID_THINGS = 4;
/** Less than this, of a group in a year, is not worth keeping room for. */
const TELLING = 0.05;

const CAME: ReadonlySet<EventType> = new Set(['received']);
const WENT: ReadonlySet<EventType> = new Set(['cut', 'usedUp', 'removed', 'gaveAway', 'sold', 'threwOut']);

const AMOUNTS = ['lengthMm', 'areaMm2', 'count'] as const;

/** What share of a lot came (above 0) or went by a change: all of it, or so much of its length, area or pieces. */
function tellShare({ before, after }: Change): number {
  if (before === undefined) return 1;
  if (after === undefined) return -1;
  for (const field of AMOUNTS) {
    const [was, is] = [before[field], after[field]];
    if (typeof was === 'number' && typeof is === 'number' && was !== is) return (is - was) / Math.max(was, is);
  }
  return 0;
}

/** Days on which a stash was written down and not added to, by the days since 1970 of UTC. */
function listWritingDays(events: readonly DaybookEvent[]): Set<number> {
  const came = new Map<number, number>();
  for (const { type, atMs, changes } of events) {
    if (!CAME.has(type)) continue;
    const day = Math.floor(atMs / DAY_MS);
    came.set(day, (came.get(day) ?? 0) + changes.filter(({ table, before }) => table === 'lots' && !before).length);
  }
  return new Set([...came].flatMap(([day, count]) => (count >= MANY_A_DAY ? [day] : [])));
}

/** What came (above 0) and went of each lot from a moment on, as a share of it. */
function sumFlows(events: readonly DaybookEvent[], fromMs: number, nowMs: number): Map<LotId, number> {
  const undone = listTakenBack(events);
  const writing = listWritingDays(events);
  const flows = new Map<LotId, number>();
  for (const { id: eventId, type, atMs, changes } of events) {
    const came = CAME.has(type);
    if (!(came || WENT.has(type)) || atMs < fromMs || atMs > nowMs || undone.has(eventId)) continue;
    if (came && writing.has(Math.floor(atMs / DAY_MS))) continue;
    for (const change of changes) {
      const share = change.table === 'lots' ? tellShare(change) : 0;
      const id = change.id as LotId;
      if (share !== 0 && share > 0 === came) flows.set(id, (flows.get(id) ?? 0) + share);
    }
  }
  return flows;
}

/** Things and lots as they were when they went for good. */
function listGone(events: readonly DaybookEvent[]) {
  const items = new Map<ItemId, Item>();
  const lots = new Map<LotId, Lot>();
  for (const { changes } of events)
    for (const { table, id, before, after } of changes) {
      if (before === undefined || after !== undefined) continue;
      if (table === 'items') items.set(id as ItemId, before as never);
      else if (table === 'lots') lots.set(id as LotId, before as never);
    }
  return { items, lots };
}

/**
 * By what share of itself each group grows in a year: what was received less what was cut, used up and let go within the
 * last year, in things. What was written down for the first time did not come. A daybook that is young, and a group that is
 * small, are believed less. Groups that shrink do not grow.
 */
export function computeGrowth(events: readonly DaybookEvent[], household: Household, nowMs: number): Growth[] {
  const fromMs = Math.max(nowMs - YEAR_MS, (events[0]?.atMs ?? nowMs) + WRITING_DAYS * DAY_MS);
  const flows = sumFlows(events, fromMs, nowMs);
  if (flows.size === 0) return [];
  const years = (nowMs - fromMs) / YEAR_MS;
  const gone = listGone(events);
  const items = new Map([...gone.items, ...household.items]);
  const lost = [...gone.lots].filter(([id, { itemId }]) => flows.has(id) && items.has(itemId));
  const all = { ...household, items, lots: new Map([...lost, ...household.lots]) };
  return computeGroups(all).flatMap((group) => {
    const net = group.lots.reduce((sum, { id }) => sum + (flows.get(id) ?? 0), 0);
    const now = group.lots.filter(({ id }) => household.lots.has(id)).length;
    const perYear = Number(Math.min(1, net / (years + SAID_YEARS) / (now + SAID_THINGS)).toPrecision(2));
    return now > 0 && perYear >= TELLING ? [{ groupId: group.id, perYear, isSaid: false }] : [];
  });
}
