import type { Change, DaybookEvent, EventId, Household, TableName } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import type { Draft } from './draft.ts';
import { applyChanges, createChange, getRecord, invertChanges } from './fold.ts';
import { findNewFaults } from './gate.ts';

/**
 * The lines that count for nothing any more: those taken back by a line that is not itself taken back. A line that
 * joined takes the lines with it that came with it.
 */
export function listTakenBack(events: readonly DaybookEvent[]): Set<EventId> {
  const taken = new Set<EventId>();
  for (let i = events.length - 1; i >= 0; i -= 1) {
    const event = events[i]!;
    if (taken.has(event.id)) {
      for (let n = Math.max(0, i - (event.joins ?? 0)); n < i; n += 1) taken.add(events[n]!.id);
      continue;
    }
    for (const id of event.undoes ?? []) taken.add(id);
  }
  return taken;
}

/** The newest line that is neither an undo nor taken back: what U takes back. */
export function getUndoable(events: readonly DaybookEvent[]): DaybookEvent | null {
  const taken = listTakenBack(events);
  return events.findLast((event) => event.type !== 'undone' && !taken.has(event.id) && event.seq > 0) ?? null;
}

/** Whether one change builds on another: the same record, and a field that both write, or the record's coming or going. */
function meets(a: Change, b: Change): boolean {
  const isWhole = (change: Change) => change.before === undefined || change.after === undefined;
  if (isWhole(a) || isWhole(b)) return true;
  const fields = new Set([...Object.keys(a.before ?? {}), ...Object.keys(a.after ?? {})]);
  return [b.before ?? {}, b.after ?? {}].some((side) => Object.keys(side).some((field) => fields.has(field)));
}

const keyOf = ({ table, id }: { readonly table: TableName; readonly id: string }) => `${table} ${id}`;

/** Changes by the record that they are of. */
class Touched {
  private readonly byRecord = new Map<string, Change[]>();
  add(event: DaybookEvent): void {
    for (const change of event.changes) {
      const list = this.byRecord.get(keyOf(change));
      if (list) list.push(change);
      else this.byRecord.set(keyOf(change), [change]);
    }
  }
  isMetBy(event: DaybookEvent): boolean {
    return event.changes.some((change) => this.byRecord.get(keyOf(change))?.some((known) => meets(known, change)));
  }
}

/** What U does: the draft that takes lines back, all at once, and those that had to go with the one that was meant. */
export interface UndoPlan {
  readonly draft: Draft;
  /** Later lines that build on it, the newest first. */
  readonly others: readonly DaybookEvent[];
}

/** Takes lines back from the state as it is, the last first: what that comes to, record by record. */
function takeBack(household: Household, chosen: readonly DaybookEvent[]): Change[] | null {
  const changes = chosen.flatMap((event) => invertChanges(event.changes));
  const next = applyChanges(household, changes);
  if (!next.ok) return null;
  return [...new Map(changes.map((change) => [keyOf(change), change])).values()].flatMap(
    ({ table, id }) => createChange(table, id, getRecord(household, table, id), getRecord(next.value, table, id)) ?? [],
  );
}

/**
 * Plans to take a line back, with all that builds on it: later lines that wrote the same fields, and those without which
 * a rule would break (what lies in a place that goes, the lots of an item that goes). All of it or nothing. A line of the
 * daybook can always be taken back: where nothing less will do, all that came after it goes too.
 */
export function planUndo(
  household: Household,
  events: readonly DaybookEvent[],
  event: DaybookEvent,
): Result<UndoPlan, 'nothing-to-undo'> {
  const at = events.findIndex((one) => one.id === event.id);
  const taken = listTakenBack(events);
  if (at <= 0 || taken.has(event.id)) return fail('nothing-to-undo');
  // A line that came with others may have to go with all of them.
  const joined = events.find((one) => one.joins !== undefined && one.seq >= at && one.seq - one.joins <= at);
  const first = Math.max(1, joined ? joined.seq - joined.joins! : at);
  const later = events.slice(first);
  const standing = later.filter((one) => !taken.has(one.id));
  const byId = new Map(later.map((one) => [one.id, one]));
  const chosen = new Set<DaybookEvent>();
  /** What came in one go goes in one go. Taking back an undo does again what it took back; that came too, and goes too. */
  const choose = (one: DaybookEvent) => {
    chosen.add(one);
    const lines = new Set(later.slice(Math.max(0, one.seq - first - (one.joins ?? 0)), one.seq - first));
    for (const line of lines) if (!taken.has(line.id)) chosen.add(line);
    for (const line of lines)
      if (chosen.has(line))
        for (const id of line.undoes ?? []) {
          const target = byId.get(id);
          if (target && lines.has(target)) chosen.add(target);
        }
  };
  choose(event);
  const follow = () => {
    for (let size = -1; size < chosen.size;) {
      size = chosen.size;
      const touched = new Touched();
      for (const one of later) {
        const isOpen = !chosen.has(one) && !taken.has(one.id) && one.type !== 'undone';
        if (isOpen && touched.isMetBy(one)) choose(one);
        if (chosen.has(one)) touched.add(one);
      }
    }
  };
  const finish = (list: readonly DaybookEvent[], changes: readonly Change[]): Result<UndoPlan, 'nothing-to-undo'> => {
    const draft: Draft = { type: 'undone', subject: event.subject, changes, undoes: list.map((one) => one.id) };
    const others = list.filter((one) => one.seq > event.seq && standing.includes(one) && one.type !== 'undone');
    return ok({ draft, others });
  };
  for (let size = -1; size < chosen.size;) {
    follow();
    size = chosen.size;
    const list = later.filter((one) => chosen.has(one)).toReversed();
    const changes = takeBack(household, list);
    if (!changes) break;
    const next = applyChanges(household, changes);
    if (!next.ok) break;
    const faults = findNewFaults(household, next.value, changes);
    if (faults.length === 0) return finish(list, changes);
    const broken = new Set(faults.map(({ path }) => path.split('.').slice(0, 2).join(' ')));
    for (const one of standing)
      if (one.seq > event.seq && one.type !== 'undone' && one.changes.some((change) => broken.has(keyOf(change))))
        choose(one);
  }
  const list = later.toReversed();
  const changes = takeBack(household, list);
  return changes ? finish(list, changes) : fail('nothing-to-undo');
}
