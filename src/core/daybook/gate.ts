import {
  RECORD_TABLES,
  parseRecord,
  type Change,
  type Chronicle,
  type DaybookEvent,
  type EventType,
  type Household,
  type RecordFault,
  type TableName,
} from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { applyChanges, foldEvents, getRecord, computeDifference, isIdentical, type FoldFault } from './fold.ts';
import { hasPassed, markPassed, type PASSED, type WholeChronicle } from './passed.ts';
import { checkInvariants, type InvariantFault } from './invariants.ts';

/** Why something was not let through: which rule, and the path of the record and field. */
export type GateFault =
  | FoldFault
  | ({ readonly code: 'record' } & RecordFault)
  | { readonly code: 'invariant'; readonly path: string; readonly rule: InvariantFault['code']; readonly to: string }
  | {
      readonly code: 'daybook';
      readonly path: string;
      readonly rule: 'order' | 'differs' | 'id-again' | 'not-conserved';
    };

/** A line that may be written, and the household after it. */
export interface Passed {
  readonly event: DaybookEvent;
  readonly household: Household;
  readonly [PASSED]: true;
}

/** Amounts of cloth are told to half a millimetre. */
const LEAST_MM = 0.5;

const pathOf = ({ table, id }: { table: TableName; id: string }) =>
  table === 'settings' ? 'settings' : `${table}.${id}`;

/** What was cut is what there was less what is left. */
function isConserved({ type, amount, amountUnit, changes }: DaybookEvent): boolean {
  if (type !== 'cut' || amountUnit !== 'length' || amount === undefined) return true;
  const cuts = changes.flatMap(({ table, before, after }) => {
    const [was, is] = [before?.['lengthMm'], after?.['lengthMm']];
    return table === 'lots' && typeof was === 'number' && typeof is === 'number' ? [was - is] : [];
  });
  return cuts.length !== 1 || Math.abs(cuts[0]! - amount) <= LEAST_MM;
}

function checkTouched(household: Household, changes: readonly Change[]): GateFault[] {
  const faults: GateFault[] = [];
  for (const change of new Map(changes.map((one) => [pathOf(one), one])).values()) {
    const record = getRecord(household, change.table, change.id);
    if (!record) continue;
    const parsed = parseRecord(change.table, record, pathOf(change));
    if (!parsed.ok) for (const fault of parsed.fault) faults.push({ code: 'record', ...fault });
  }
  return faults;
}

const toFault = ({ code, path, to }: InvariantFault): GateFault => ({ code: 'invariant', path, rule: code, to });

/**
 * Rules that changes broke: of the records that they touch, and of all that refers to those or is referred to by them.
 * What was broken before is not held against them.
 */
export function findNewFaults(before: Household, after: Household, changes: readonly Change[]): InvariantFault[] {
  const faults = checkInvariants(after, changes);
  if (faults.length === 0) return faults;
  const known = new Set(checkInvariants(before).map(({ path, code, to }) => `${path} ${code} ${to}`));
  return faults.filter(({ path, code, to }) => !known.has(`${path} ${code} ${to}`));
}

/**
 * The one way from a household to the next. The line must follow on it; it and every record that it touches must be as
 * their classes say; and no rule across records may be broken by it. All faults are told.
 */
export function passGate(household: Household, event: DaybookEvent): Result<Passed, GateFault[]> {
  const line = parseRecord('events', event, 'event');
  if (!line.ok) return fail(line.fault.map((fault): GateFault => ({ code: 'record', ...fault })));
  if (!isConserved(event)) return fail([{ code: 'daybook', path: 'event.amount', rule: 'not-conserved' }]);
  const next = applyChanges(household, event.changes);
  if (!next.ok) return fail([next.fault]);
  const faults = checkTouched(next.value, event.changes);
  if (faults.length === 0) faults.push(...findNewFaults(household, next.value, event.changes).map(toFault));
  return faults.length > 0 ? fail(faults) : ok({ event, household: next.value } as Passed);
}

/** Lines that bring a record back that went. A plan is the same plan again, whoever dropped it. */
const BRINGS_BACK: ReadonlySet<EventType> = new Set(['undone', 'joined', 'mended']);

/** Ids that went are not given to something else. */
function findIdsAgain(events: readonly DaybookEvent[]): GateFault[] {
  const gone = new Set<string>();
  const faults: GateFault[] = [];
  for (const [i, event] of events.entries())
    for (const [n, change] of event.changes.entries()) {
      const key = pathOf(change);
      if (change.after === undefined) gone.add(key);
      else if (change.before === undefined && change.table !== 'plans' && gone.has(key) && !BRINGS_BACK.has(event.type))
        faults.push({ code: 'daybook', path: `events.${i}.changes.${n}`, rule: 'id-again' });
    }
  return faults;
}

/** Records as lines brought them whole. */
function listBrought(events: readonly DaybookEvent[]): ReadonlySet<object> {
  const brought = new Set<object>();
  for (const { changes } of events) for (const { before, after } of changes) if (!before && after) brought.add(after);
  return brought;
}

/**
 * The gate for a household that comes whole, from a file or another device: every record and every line as their classes
 * say, every rule kept, and the state just what the daybook tells.
 */
export function passWhole(chronicle: Chronicle): Result<WholeChronicle, GateFault[]> {
  const { household, events } = chronicle;
  if (hasPassed(chronicle)) return ok(chronicle);
  const faults: GateFault[] = [];
  const check = (table: TableName | 'events', record: object, path: string) => {
    const parsed = parseRecord(table, record, path);
    if (!parsed.ok) for (const fault of parsed.fault) faults.push({ code: 'record', ...fault });
  };
  for (const [i, event] of events.entries()) {
    check('events', event, `events.${i}`);
    if (event.seq !== i) faults.push({ code: 'daybook', path: `events.${i}.seq`, rule: 'order' });
    if (!isConserved(event)) faults.push({ code: 'daybook', path: `events.${i}.amount`, rule: 'not-conserved' });
  }
  const told = faults.length === 0 ? foldEvents(events) : null;
  check('settings', household.settings, 'settings');
  // A record that a line brought whole was checked with it: one that still says the very same is as good.
  const isChecked = listBrought(events);
  for (const table of RECORD_TABLES)
    for (const [id, record] of household[table]) {
      const known = told?.ok ? getRecord(told.value, table, id) : null;
      if (known && isChecked.has(known) && isIdentical(known, record)) continue;
      check(table, record, `${table}.${id}`);
    }
  if (faults.length > 0) return fail(faults);
  faults.push(...checkInvariants(household).map(toFault), ...findIdsAgain(events));
  if (!told?.ok) return fail(told ? [...faults, told.fault] : faults);
  for (const change of computeDifference(told.value, household))
    faults.push({ code: 'daybook', path: pathOf(change), rule: 'differs' });
  return faults.length > 0 ? fail(faults) : ok(markPassed(chronicle));
}
