import type { Change, DaybookEvent } from '../records/index.ts';

/** Whether one change builds on another: the same record, and a field that both write, or the record's coming or going. */
function meets(a: Change, b: Change): boolean {
  if (a.table !== b.table || a.id !== b.id) return false;
  const isWhole = (change: Change) => change.before === null || change.after === null;
  if (isWhole(a) || isWhole(b)) return true;
  const fields = new Set(Object.keys(a.after ?? {}));
  return Object.keys(b.after ?? {}).some((field) => fields.has(field));
}

/**
 * Later events that build on one, directly or over another that does, the newest first: what would have to be taken back
 * before it. What was taken back already, and the taking back, count for nothing.
 */
export function listFollowers(events: readonly DaybookEvent[], event: DaybookEvent): DaybookEvent[] {
  const undone = new Set(events.flatMap((one) => one.undoes ?? []));
  const changes: Change[] = [...event.changes];
  const followers: DaybookEvent[] = [];
  for (const later of events) {
    if (later.seq <= event.seq || later.type === 'undone' || undone.has(later.id)) continue;
    if (!later.changes.some((change) => changes.some((known) => meets(known, change)))) continue;
    followers.push(later);
    changes.push(...later.changes);
  }
  return followers.toReversed();
}
