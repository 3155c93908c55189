import { listTakenBack } from '../daybook/index.ts';
import type { Change, DaybookEvent, EventType, Household, Item, ItemId, Lot, LotId } from '../records/index.ts';

const DAY_MS = 86_400_000;
/** In the first weeks of a daybook, and on days on which so many things came, a stash is written down and not added to. */
const WRITING_DAYS = 42;
const MANY_A_DAY = 12;

const CAME: ReadonlySet<EventType> = new Set(['received']);
const WENT: ReadonlySet<EventType> = new Set(['cut', 'usedUp', 'removed', 'gaveAway', 'sold', 'threwOut']);

const AMOUNTS = ['lengthMm', 'areaMm2', 'count'] as const;
type AmountField = (typeof AMOUNTS)[number];

/** Some or all of a lot came (above 0) or went: what share of it, and the larger of its amounts before and after, where only some did. */
export interface LotFlow {
  readonly lotId: LotId;
  readonly atMs: number;
  readonly share: number;
  readonly most: { readonly field: AmountField; readonly amount: number } | null;
}

function tellFlow({ before, after }: Change): Pick<LotFlow, 'share' | 'most'> {
  if (before === undefined) return { share: 1, most: null };
  // What is gone keeps its record.
  if (after === undefined || after['state'] === 'gone') return { share: -1, most: null };
  for (const field of AMOUNTS) {
    const [was, is] = [before[field], after[field]];
    if (typeof was !== 'number' || typeof is !== 'number' || was === is) continue;
    const amount = Math.max(was, is);
    return { share: (is - was) / amount, most: { field, amount } };
  }
  return { share: 0, most: null };
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

/** When a daybook is old enough to tell what comes and goes, and not only what was there. */
export const getTellingMs = (events: readonly DaybookEvent[], nowMs: number): number =>
  (events[0]?.atMs ?? nowMs) + WRITING_DAYS * DAY_MS;

/** What came and went of each lot from a moment on. What was written down for the first time did not come, and what was taken back did not happen. */
export function listFlows(events: readonly DaybookEvent[], fromMs: number, nowMs: number): LotFlow[] {
  const undone = listTakenBack(events);
  const writing = listWritingDays(events);
  const flows: LotFlow[] = [];
  for (const { id, type, atMs, changes } of events) {
    const came = CAME.has(type);
    if (!(came || WENT.has(type)) || atMs < fromMs || atMs > nowMs || undone.has(id)) continue;
    if (came && writing.has(Math.floor(atMs / DAY_MS))) continue;
    for (const change of changes) {
      if (change.table !== 'lots') continue;
      const { share, most } = tellFlow(change);
      if (share !== 0 && share > 0 === came) flows.push({ lotId: change.id as LotId, atMs, share, most });
    }
  }
  return flows;
}

/** A household with what went for good besides, as it was then: to tell what kind of thing it was. */
export function withGone(household: Household, events: readonly DaybookEvent[], wanted: ReadonlySet<LotId>): Household {
  const items = new Map<ItemId, Item>();
  const lots = new Map<LotId, Lot>();
  for (const { changes } of events)
    for (const { table, id, before, after } of changes) {
      if (before === undefined || after !== undefined) continue;
      if (table === 'items') items.set(id as ItemId, before as never);
      else if (table === 'lots' && wanted.has(id as LotId)) lots.set(id as LotId, before as never);
    }
  for (const [id, item] of household.items) items.set(id, item);
  for (const [id, { itemId }] of lots) if (!items.has(itemId)) lots.delete(id);
  for (const [id, lot] of household.lots)
    lots.set(id, lot.state === 'gone' && wanted.has(id) ? { ...lot, state: 'out' } : lot);
  return { ...household, items, lots };
}
