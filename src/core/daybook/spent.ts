import type { DaybookEvent, EventType } from '../records/index.ts';
import { listTakenBack } from './undo.ts';

/** What was there from the start, came from a list or by joining, or is the same under another name, was not bought then. */
const NOT_BOUGHT: ReadonlySet<EventType> = new Set(['catalogued', 'imported', 'undone', 'joined', 'merged']);

const costOf = (fields: Record<string, unknown> | undefined): number | null => {
  const cost = fields?.['cost'];
  return typeof cost === 'number' ? cost : null;
};

/**
 * What was spent since then, in the user's own money: the prices of things that came in, each with the lot that came. A price
 * that is only put right was not paid then; what was taken back did not happen.
 */
export function computeSpent(events: readonly DaybookEvent[], sinceMs: number): number {
  const undone = listTakenBack(events);
  let sum = 0;
  for (const event of events) {
    if (event.atMs < sinceMs || NOT_BOUGHT.has(event.type) || undone.has(event.id)) continue;
    const came = new Set(
      event.changes.flatMap(({ table, before, after }) =>
        table === 'lots' && before === undefined && after ? [String(after['itemId'])] : [],
      ),
    );
    for (const { table, id, before, after } of event.changes) {
      const cost = table === 'items' && came.has(id) ? costOf(after) : null;
      if (cost !== null) sum += Math.max(0, cost - (costOf(before) ?? 0));
    }
  }
  return sum;
}
