import type { DaybookEvent, EventType } from '../records/index.ts';
import { toMonth } from '../units/index.ts';
import { listMonths } from './tally.ts';
import { listTakenBack } from './undo.ts';
import { USES } from './uses.ts';

/** What the daybook has of a month: things that came, things that left for good, and times that something was used. */
export interface MonthActs {
  /** `2026-11`. */
  readonly month: string;
  readonly came: number;
  readonly left: number;
  readonly used: number;
}

/** What was there from the start, or came by joining, did not come in. */
const NOT_COMING: ReadonlySet<EventType> = new Set(['catalogued', 'undone', 'joined', 'merged']);

/** The last `months` months, the oldest first; what was taken back is left out. */
export function computeMonthActs(events: readonly DaybookEvent[], months: number, nowMs: number): MonthActs[] {
  const byMonth = new Map<string, { came: number; left: number; used: number }>();
  const list = listMonths(months, nowMs);
  for (const month of list) byMonth.set(month, { came: 0, left: 0, used: 0 });
  const undone = listTakenBack(events);
  for (const event of events) {
    if (NOT_COMING.has(event.type) || undone.has(event.id)) continue;
    const sum = byMonth.get(toMonth(event.atMs));
    if (!sum) continue;
    if (USES.has(event.type)) sum.used += 1;
    for (const { table, before, after } of event.changes) {
      if (table !== 'lots') continue;
      if (before === undefined) sum.came += 1;
      else if (after === undefined || (after['state'] === 'gone' && before['state'] !== 'gone')) sum.left += 1;
    }
  }
  return list.map((month) => ({ month, ...byMonth.get(month)! }));
}
