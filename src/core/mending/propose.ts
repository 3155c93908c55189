import { createChange, getRecord, rebaseChanges, type Draft } from '../daybook/index.ts';
import { isFields, parseRecord, type Change, type Fields, type Household } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import type { Apart } from './salvage.ts';

/** The nearest value that a field can have, for the commonest faults; undefined where it is better left out. */
function findNearest(rule: string, value: unknown, limit: unknown): unknown {
  if (rule === 'maxLength' && typeof value === 'string' && typeof limit === 'number') return value.slice(0, limit);
  if ((rule === 'min' || rule === 'max') && typeof value === 'number' && typeof limit === 'number') return limit;
  return undefined;
}

/** One field of a record set apart that does not read, and what is proposed for it. */
export interface Proposal {
  readonly path: string;
  readonly is: unknown;
  /** Undefined: it is left out. */
  readonly nearest: unknown;
}

/** Proposes the nearest record that can be kept; null where one cannot be made of it without guessing. */
function proposeRecord({ table, raw, faults }: Apart): { record: Fields; proposals: readonly Proposal[] } | null {
  if (table === 'events' || !isFields(raw)) return null;
  const record = structuredClone(raw);
  const proposals: Proposal[] = [];
  for (const { path, rule, message } of faults) {
    const steps = path.split('.');
    let at: unknown = record;
    for (const step of steps.slice(0, -1)) at = isFields(at) || Array.isArray(at) ? (at as Fields)[step] : undefined;
    const field = steps.at(-1)!;
    if (!isFields(at)) return null;
    const is = at[field];
    const limit = Number(/-?\d+(?:\.\d+)?(?!.*\d)/.exec(message)?.[0] ?? Number.NaN);
    const nearest = findNearest(rule, is, limit);
    if (nearest === undefined) delete at[field];
    else at[field] = nearest;
    proposals.push({ path, is, nearest });
  }
  return parseRecord(table, record).ok ? { record, proposals } : null;
}

/** Something that can be put right, with what went with it: a thing's lots, a shelf and what had to leave it. */
export interface Mend<A extends Apart = Apart> {
  readonly of: A;
  readonly others: readonly A[];
  /** All of them as they would be kept; null where that would be guessing. */
  readonly records: readonly { readonly of: Apart; readonly record: Fields }[] | null;
  readonly proposals: readonly Proposal[];
}

/** Why something is apart, or gave way, that reads by itself: something else is missing. */
const MISSING: ReadonlySet<string> = new Set(['dangling', 'no-station', 'gaveWay']);

/** The names that a record is referred to by: its own, and a room's stations. */
function listNames({ id, raw }: Apart): string[] {
  const room = isFields(raw) ? raw['room'] : undefined;
  const stations = isFields(room) && Array.isArray(room['stations']) ? (room['stations'] as unknown[]) : [];
  return [id, ...stations.flatMap((one) => (isFields(one) && typeof one['id'] === 'string' ? [one['id']] : []))];
}

/** Every text in a value, at any depth. */
function listTexts(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(listTexts) : [];
}

/** What is apart, each with the nearest that could be kept of it and what comes back with it. */
export function listMends<A extends Apart>(apart: readonly A[]): Mend<A>[] {
  const isSecond = ({ faults }: Apart) => faults.every(({ rule }) => MISSING.has(rule));
  const names = new Map(
    apart.filter((one) => one.left === undefined).flatMap((one) => listNames(one).map((name) => [name, one])),
  );
  /** What of what is apart something refers to. */
  const needs = new Map(
    apart.filter(isSecond).map((one) => {
      const referred = listTexts(one.raw).flatMap((text) => names.get(text) ?? []);
      return [one, new Set(referred.filter((other) => other !== one))];
    }),
  );
  const firsts = apart.filter((one) => !needs.get(one)?.size);
  return firsts.map((of) => {
    const back = new Set<A>([of]);
    for (let size = 0; size < back.size;) {
      size = back.size;
      for (const [one, needed] of needs)
        if (needed.size > 0 && [...needed].every((other) => back.has(other))) back.add(one);
    }
    back.delete(of);
    const others = [...back];
    const mine = proposeRecord(of);
    const theirs = others.map((one) => ({ of: one, record: one.raw as Fields }));
    return { of, others, records: mine && [{ of, record: mine.record }, ...theirs], proposals: mine?.proposals ?? [] };
  });
}

/**
 * Puts records back that were set apart, as they were mended: a line like any other, which can be taken back. What had
 * given way goes back to how it was, unless it was given another place since.
 */
export function createMended(
  household: Household,
  records: NonNullable<Mend['records']>,
): Result<Draft, { readonly code: 'nothing-changed' }> {
  const changes = records.flatMap(({ of: { table, id, left }, record }): readonly Change[] => {
    if (table === 'events') return [];
    const change = createChange(
      table,
      id,
      left === undefined ? getRecord(household, table, id) : (left as object),
      record,
    );
    if (!change) return [];
    if (left === undefined) return [change];
    const back = rebaseChanges(household, [change]);
    return back.conflicts.length > 0 ? [] : back.changes;
  });
  const name = records[0]?.record['name'];
  const subject = typeof name === 'string' ? name : 'a record';
  return changes.length > 0 ? ok({ type: 'mended', subject, changes }) : fail({ code: 'nothing-changed' });
}
