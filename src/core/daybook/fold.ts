import { fail, ok, type Result } from '../result/index.ts';
import {
  DEFAULT_SETTINGS,
  RECORD_TABLES,
  dropAbsent,
  type Fields,
  type Change,
  type DaybookEvent,
  type Household,
  type Lot,
  type RecordTable,
  type TableName,
} from '../records/index.ts';

/** A household before its first event, which brings the settings. */
export const EMPTY_HOUSEHOLD: Household = {
  settings: DEFAULT_SETTINGS,
  items: new Map(),
  lots: new Map(),
  places: new Map(),
  plans: new Map(),
  projects: new Map(),
};

/** A change that does not go with what is recorded: the record is missing, present already, or differs. */
export interface FoldFault {
  readonly code: 'conflict';
  readonly table: TableName;
  readonly id: string;
  readonly field: string | null;
}

/** Whether two values say the same. A field that is undefined is absent. */
function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  if (Array.isArray(a) && a.length !== (b as unknown[]).length) return false;
  for (const key of Object.keys(a)) if (!isSame((a as Fields)[key], (b as Fields)[key])) return false;
  for (const key of Object.keys(b))
    if ((b as Fields)[key] !== undefined && (a as Fields)[key] === undefined) return false;
  return true;
}

/** Whether two plain values are the same to the last field: one that is there without a value counts too. */
export function isIdentical(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  for (const key of keys) if (!(key in b) || !isIdentical((a as Fields)[key], (b as Fields)[key])) return false;
  return true;
}

/**
 * Only what is out waits on the table, out of the way, or is missing; that ends with whatever puts it elsewhere. What is gone is
 * nowhere, is nobody's, and is promised to nothing.
 */
function settle(lot: Lot): Lot {
  if (lot.state === 'gone') {
    const { placeId: _p, homeId: _h, withLotId: _w, lentTo: _l, away: _a, isThreaded: _t, ...rest } = lot;
    const { dueBackOn: _d, isInRepair: _r, chores: _c, leaving: _g, ...gone } = rest;
    return gone.reserved ? { ...gone, reserved: [] } : gone;
  }
  // Most have nothing to lose.
  let settled = lot;
  if (lot.state !== 'lent' && ('dueBackOn' in lot || 'isInRepair' in lot)) {
    const { dueBackOn: _d, isInRepair: _r, ...here } = lot;
    settled = here;
  }
  return settled.away && settled.state !== 'out' ? { ...settled, away: undefined } : settled;
}

/**
 * What turns one record into another: whole records when it comes or goes, else only the fields that
 * differ. What is absent on one side is absent there. Null when nothing differs.
 */
export function createChange(table: TableName, id: string, before: object | null, to: object | null): Change | null {
  const after = table === 'lots' && to ? settle(to as Lot) : to;
  if (before === null || after === null) {
    if (before === after) return null;
    return {
      table,
      id,
      ...(before && { before: before as Fields }),
      ...(after && { after: dropAbsent(after as Fields) }),
    };
  }
  if (isIdentical(before, after)) return null;
  const [was, is]: [Fields, Fields] = [{}, {}];
  let differs = false;
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const [old, now] = [(before as Fields)[key], (after as Fields)[key]];
    if (isSame(old, now)) continue;
    differs = true;
    if (old !== undefined) was[key] = old;
    if (now !== undefined) is[key] = dropAbsent(now);
  }
  return differs ? { table, id, before: was, after: is } : null;
}

function applyFields(record: Fields, { table, id, before = {}, after = {} }: Change): Result<Fields, FoldFault> {
  const next = { ...record };
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (!isSame(record[key], before[key])) return fail({ code: 'conflict', table, id, field: key });
    if (after[key] === undefined) delete next[key];
    else next[key] = after[key];
  }
  return ok(next);
}

/**
 * Applies changes in order, all or none. Each is checked against the record as it is, so that a change
 * made from an older state (another window, an undo out of turn) is a conflict and never silently wins.
 */
export function applyChanges(household: Household, changes: readonly Change[]): Result<Household, FoldFault> {
  const touched: Partial<Record<RecordTable, Map<string, object>>> = {};
  let settings = household.settings;
  for (const change of changes) {
    if (change.table === 'settings') {
      // The first event brings them whole, so that a daybook tells the same whatever later defaults are.
      if (change.before === undefined && change.after !== undefined) {
        settings = change.after as unknown as typeof settings;
        continue;
      }
      if (change.after === undefined)
        return fail({ code: 'conflict', table: change.table, id: change.id, field: null });
      const next = applyFields({ ...settings }, change);
      if (!next.ok) return next;
      settings = next.value as unknown as typeof settings;
      continue;
    }
    const table = (touched[change.table] ??= new Map<string, object>(household[change.table]));
    const record = table.get(change.id);
    const conflict = fail<FoldFault>({ code: 'conflict', table: change.table, id: change.id, field: null });
    if (change.before === undefined) {
      if (record || !change.after) return conflict;
      table.set(change.id, change.after);
    } else if (change.after === undefined) {
      if (!record || !isSame(record, change.before)) return conflict;
      table.delete(change.id);
    } else {
      if (!record) return conflict;
      const next = applyFields(record as Fields, change);
      if (!next.ok) return next;
      table.set(change.id, next.value);
    }
  }
  return ok({ ...household, settings, ...touched } as Household);
}

/** A record as it stands; null where there is none. */
export function getRecord(household: Household, table: TableName, id: string): object | null {
  if (table === 'settings') return household.settings;
  return (household[table] as ReadonlyMap<string, object>).get(id) ?? null;
}

/** Every record in which two households differ. */
export function computeDifference(before: Household, after: Household): Change[] {
  const ids = RECORD_TABLES.flatMap((table) =>
    [...new Set<string>([...before[table].keys(), ...after[table].keys()])].map((id) => [table, id] as const),
  );
  return [...ids, ['settings', 'household'] as const].flatMap(
    ([table, id]) => createChange(table, id, getRecord(before, table, id), getRecord(after, table, id)) ?? [],
  );
}

/** The state that a daybook tells, from an empty household on. */
export function foldEvents(
  events: readonly DaybookEvent[],
  from: Household = EMPTY_HOUSEHOLD,
): Result<Household, FoldFault> {
  let household = from;
  for (const event of events) {
    const next = applyChanges(household, event.changes);
    if (!next.ok) return next;
    household = next.value;
  }
  return ok(household);
}

/** The changes that take an event back, last first. */
export function invertChanges(changes: readonly Change[]): Change[] {
  return changes.toReversed().map(({ table, id, before, after }) => ({
    table,
    id,
    ...(after && { before: after }),
    ...(before && { after: before }),
  }));
}

export { isSame };
