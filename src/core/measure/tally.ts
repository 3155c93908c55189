import type { DaybookEvent, Household } from '../records/index.ts';

/** Cloth that came and went in a month, mm. */
export interface MonthFlow {
  /** `2026-11`. */
  readonly month: string;
  readonly inMm: number;
  readonly outMm: number;
}

function getLength(fields: Record<string, unknown> | null): number | null {
  const length = fields?.['lengthMm'];
  return typeof length === 'number' ? length : null;
}

/** The last so many months by the calendar of UTC, the oldest first: `2026-11`. */
export function listMonths(months: number, nowMs: number): string[] {
  const list: string[] = [];
  const day = new Date(nowMs);
  day.setUTCDate(1);
  for (let i = 0; i < months; i += 1) {
    list.unshift(day.toISOString().slice(0, 7));
    day.setUTCMonth(day.getUTCMonth() - 1);
  }
  return list;
}

/**
 * What the daybook tells of cloth in and out, month by month, the last `months` of them. What was there from
 * the start does not count as come in; an undo takes back what it undoes, in the month that was in.
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
  const undone = new Set(events.flatMap((event) => event.undoes ?? []));
  for (const event of events) {
    if (event.type === 'catalogued' || event.type === 'undone' || undone.has(event.id)) continue;
    const flow = flows.get(new Date(event.atMs).toISOString().slice(0, 7));
    if (!flow) continue;
    for (const change of event.changes) {
      if (change.table !== 'lots') continue;
      const itemId =
        change.after?.['itemId'] ?? change.before?.['itemId'] ?? household.lots.get(change.id as never)?.itemId;
      const item = household.items.get(itemId as never);
      // What was removed whole is not known any more; it had a length, so it counts as cloth.
      if (item && item.kind !== 'fabric') continue;
      const [before, after] = [getLength(change.before), getLength(change.after)];
      // A field that is not in a change did not change.
      if (change.before !== null && change.after !== null && (before === null || after === null)) continue;
      const by = (after ?? 0) - (before ?? 0);
      if (by > 0) flow.inMm += by;
      else flow.outMm -= by;
    }
  }
  return list.map((month) => ({ month, ...flows.get(month)! }));
}
