import { startOfMonth, subMonths } from 'date-fns';
import type { Change, DaybookEvent, EventType, Household } from '../records/index.ts';
import { toMonth } from '../units/index.ts';
import { listTakenBack } from './undo.ts';

/** Cloth that came and went in a month, mm. */
export interface MonthFlow {
  /** `2026-11`. */
  readonly month: string;
  readonly inMm: number;
  readonly outMm: number;
}

/** Lines that say that cloth left, by how much less there is; what was only corrected came and left nowhere. */
const LEAVING: ReadonlySet<EventType> = new Set(['cut', 'usedUp', 'gaveAway', 'sold', 'threwOut']);
/** What was there from the start, or is the same cloth under another name or from another device, did not come in. */
const NO_FLOW: ReadonlySet<EventType> = new Set(['catalogued', 'undone', 'joined', 'merged']);

const getLength = (fields: Record<string, unknown> | undefined) => {
  const length = fields?.['lengthMm'];
  return typeof length === 'number' ? length : 0;
};

/** Cloth that one change brought (more than 0) or took, mm. */
function getFlow({ type, amount, amountUnit }: DaybookEvent, { before, after }: Change): number {
  if (before === undefined || after === undefined) return getLength(after) - getLength(before);
  if (!LEAVING.has(type)) return 0;
  // What was given away keeps its length on record; the line says how much it was.
  const isWhole = after['state'] === 'gone' && !('lengthMm' in after);
  return isWhole && amountUnit === 'length' ? -(amount ?? 0) : getLength(after) - getLength(before);
}

/** The last so many months, the oldest first: `2026-11`. */
export function listMonths(months: number, nowMs: number): string[] {
  return Array.from({ length: months }, (_, i) => toMonth(subMonths(startOfMonth(nowMs), months - 1 - i)));
}

/**
 * What the daybook tells of cloth in and out, month by month, the last `months` of them. What was there from
 * the start does not count as come in, and what was measured or counted anew neither came nor left; what was taken back
 * did not happen.
 */
export function computeMonthFlows(
  events: readonly DaybookEvent[],
  household: Household,
  months: number,
  nowMs: number,
): MonthFlow[] {
  const flows = new Map<string, { inMm: number; outMm: number }>();
  const list = listMonths(months, nowMs);
  for (const month of list) flows.set(month, { inMm: 0, outMm: 0 });
  const undone = listTakenBack(events);
  for (const event of events) {
    if (NO_FLOW.has(event.type) || undone.has(event.id)) continue;
    const flow = flows.get(toMonth(event.atMs));
    if (!flow) continue;
    for (const change of event.changes) {
      if (change.table !== 'lots') continue;
      const itemId =
        change.after?.['itemId'] ?? change.before?.['itemId'] ?? household.lots.get(change.id as never)?.itemId;
      const item = household.items.get(itemId as never);
      // What was removed whole is not known any more; it had a length, so it counts as cloth.
      if (item && item.kind !== 'fabric') continue;
      const by = getFlow(event, change);
      if (by > 0) flow.inMm += by;
      else flow.outMm -= by;
    }
  }
  return list.map((month) => ({ month, ...flows.get(month)! }));
}
