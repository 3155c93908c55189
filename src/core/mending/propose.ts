import { createChange, type Draft } from '../daybook/index.ts';
import { parseRecord, type Change, type Household } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import type { Apart } from './salvage.ts';

type Fields = Record<string, unknown>;

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

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

/** Something that can be put right, with what went with it: the lots of a thing. */
export interface Mend {
  readonly of: Apart;
  readonly others: readonly Apart[];
  /** All of them as they would be kept; null where that would be guessing. */
  readonly records: readonly { readonly of: Apart; readonly record: Fields }[] | null;
  readonly proposals: readonly Proposal[];
}

/** A lot that is apart for no other reason than that its thing is. */
const goesWith = (one: Apart, item: Apart) =>
  one.table === 'lots' &&
  item.table === 'items' &&
  isFields(one.raw) &&
  one.raw['itemId'] === item.id &&
  one.faults.every(({ rule }) => rule === 'dangling');

/** What is apart, each with the nearest that could be kept of it. */
export function listMends<A extends Apart>(
  apart: readonly A[],
): (Mend & { readonly of: A; readonly others: readonly A[] })[] {
  return apart
    .filter((one) => !apart.some((item) => goesWith(one, item)))
    .map((of) => {
      const others = apart.filter((one) => goesWith(one, of));
      const mine = proposeRecord(of);
      const theirs = others.map((one) => ({ of: one as Apart, record: one.raw as Fields }));
      return {
        of,
        others,
        records: mine && [{ of, record: mine.record }, ...theirs],
        proposals: mine?.proposals ?? [],
      };
    });
}

/** Puts records back that were set apart, as they were mended: a line like any other, which can be taken back. */
export function createMended(
  household: Household,
  records: NonNullable<Mend['records']>,
): Result<Draft, { readonly code: 'nothing-changed' }> {
  const changes = records.flatMap(({ of: { table, id }, record }): Change[] => {
    if (table === 'events') return [];
    const before =
      table === 'settings' ? household.settings : ((household[table] as ReadonlyMap<string, object>).get(id) ?? null);
    const change = createChange(table, id, before, record);
    return change ? [change] : [];
  });
  const name = records[0]?.record['name'];
  const subject = typeof name === 'string' ? name : 'a record';
  return changes.length > 0 ? ok({ type: 'mended', subject, changes }) : fail({ code: 'nothing-changed' });
}
