import { isDeepStrictEqual } from 'node:util';
import { expect, type Page } from '@playwright/test';

interface RawChange {
  table: string;
  id: string;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
}
interface Stored {
  tables: Record<string, Record<string, unknown>[]>;
  events: { seq: number; changes: RawChange[] }[];
}

const TABLES = ['items', 'lots', 'places', 'plans', 'settings'] as const;

/** What is stored in the browser, read past the app. */
async function readStored(page: Page): Promise<Stored> {
  return page.evaluate(async (names) => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.addEventListener('success', () => resolve(request.result));
        request.addEventListener('error', () => reject(request.error ?? new Error('not read')));
      });
    const found = (await indexedDB.databases()).find(({ name }) => name?.startsWith('yardmist'));
    const database = await asked(indexedDB.open(found!.name!));
    const transaction = database.transaction([...names, 'events']);
    const read = (name: string) => asked(transaction.objectStore(name).getAll());
    const tables = Object.fromEntries(
      await Promise.all(names.map(async (name) => [name, (await read(name)) as Record<string, unknown>[]] as const)),
    );
    const events = (await read('events')) as Stored['events'];
    database.close();
    return { tables, events };
  }, TABLES);
}

/** Fields that are null or absent say the same. */
function tidy(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(tidy);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, field]) => field !== null && field !== undefined)
      .map(([name, field]) => [name, tidy(field)]),
  );
}

/**
 * Folds the stored daybook by a way of its own and compares it with the stored state: every record, every field. Each
 * line must also tell what was there before it.
 */
export async function expectFolded(page: Page): Promise<void> {
  const { tables, events } = await readStored(page);
  const folded = new Map<string, Record<string, unknown>>();
  const faults: string[] = [];
  // Thousands of records: compared by hand, and only what differs is told.
  const isSame = (a: unknown, b: unknown) => isDeepStrictEqual(tidy(a), tidy(b));
  for (const [nth, { seq, changes }] of events.entries()) {
    if (seq !== nth) faults.push(`line ${nth} has the number ${seq}`);
    for (const { table, id, before, after } of changes) {
      const key = `${table} ${id}`;
      const record = folded.get(key) ?? null;
      const was = before && record && Object.fromEntries(Object.keys(before).map((name) => [name, record[name]]));
      const isTold = before === null ? record === null || table === 'settings' : isSame(was, before);
      if (!isTold) faults.push(`line ${nth} tells otherwise what ${key} was`);
      if (after === null) folded.delete(key);
      else folded.set(key, before === null ? after : { ...record, ...after });
    }
  }
  const stored = new Map(
    TABLES.flatMap((table) => tables[table]!.map((one) => [`${table} ${String(one['id'])}`, one])),
  );
  for (const key of new Set([...folded.keys(), ...stored.keys()]))
    if (!isSame(folded.get(key), stored.get(key))) faults.push(`${key} is stored otherwise`);
  expect(faults).toEqual([]);
  expect(stored.size).toBeGreaterThan(0);
}
