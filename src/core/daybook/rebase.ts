import { isFields, type Change, type Fields, type Household, type TableName } from '../records/index.ts';
import { createChange, getRecord, isSame } from './fold.ts';

/** What an edit and something else both changed, each in its own way; `field` is empty where it is the record itself. */
export interface EditConflict {
  readonly table: TableName;
  readonly id: string;
  readonly field: string;
}

/** The changes of an edit as they follow on the household as it is now. */
export interface Rebased {
  readonly changes: readonly Change[];
  readonly conflicts: readonly EditConflict[];
}

/** Lays what differs between two states of some fields upon a third, at any depth of what has fields itself. */
function lay(began: Fields, came: Fields, now: Fields, path: string, conflicts: string[]): Fields {
  const next: Fields = { ...now };
  for (const key of new Set([...Object.keys(began), ...Object.keys(came)])) {
    const [was, will, present] = [began[key], came[key], now[key]];
    if (isSame(was, will)) continue;
    const at = path === '' ? key : `${path}.${key}`;
    if (isFields(was) && isFields(will) && isFields(present)) {
      next[key] = lay(was, will, present, at, conflicts);
      continue;
    }
    if (!isSame(present, was) && !isSame(present, will)) conflicts.push(at);
    if (will === undefined) delete next[key];
    else next[key] = will;
  }
  return next;
}

/**
 * Lays an edit upon a household that has gone on since the edit began. `changes` lead from what the edit began with to
 * what it came to; only what differs between the two is written. Where the household has meanwhile become something else
 * again, the edit's value stands and the field is named: it is the sewist's to decide.
 */
export function rebaseChanges(household: Household, changes: readonly Change[]): Rebased {
  const conflicts: EditConflict[] = [];
  const rebased = changes.flatMap((change): Change[] => {
    const { table, id, before, after } = change;
    const present = getRecord(household, table, id);
    const conflict = (field: string) => conflicts.push({ table, id, field });
    if (before === undefined || after === undefined) {
      const isAsBefore = before === undefined ? present === null : present !== null && isSame(present, before);
      if (!isAsBefore && !isSame(present ?? undefined, after)) conflict('');
      return [createChange(table, id, present, after ?? null)].filter((one) => one !== null);
    }
    if (present === null) {
      conflict('');
      return [];
    }
    const named: string[] = [];
    const next = lay(before, after, present as Fields, '', named);
    for (const field of named) conflict(field);
    return [createChange(table, id, present, next)].filter((one) => one !== null);
  });
  return { changes: rebased, conflicts };
}
