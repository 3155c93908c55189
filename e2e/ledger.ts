import { isDeepStrictEqual } from 'node:util';
import { expect, type Page } from '@playwright/test';

interface RawChange {
  table: string;
  id: string;
  before?: Record<string, unknown>;
  after?: Record<string, unknown>;
}
interface Stored {
  tables: Record<string, Record<string, unknown>[]>;
  events: { seq: number; changes: RawChange[] }[];
}

const TABLES = ['items', 'lots', 'places', 'plans', 'projects', 'settings'] as const;

/** What is stored in the browser, read past the app. */
export async function readStored(page: Page): Promise<Stored> {
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

/**
 * Folds the stored daybook by a way of its own and compares it with the stored state: every record, every field. Each
 * line must also tell what was there before it.
 */
export async function expectFolded(page: Page): Promise<void> {
  const { tables, events } = await readStored(page);
  const folded = new Map<string, Record<string, unknown>>();
  const faults: string[] = [];
  // Thousands of records: compared by hand, and only what differs is told.
  for (const [nth, { seq, changes }] of events.entries()) {
    if (seq !== nth) faults.push(`line ${nth} has the number ${seq}`);
    for (const { table, id, before, after } of changes) {
      const key = `${table} ${id}`;
      const record = folded.get(key);
      const fields = Object.keys({ ...before, ...after });
      const was = Object.fromEntries(
        fields.flatMap((name) => (record && name in record ? [[name, record[name]]] : [])),
      );
      const isTold =
        before === undefined ? record === undefined || table === 'settings' : isDeepStrictEqual(was, before);
      if (!isTold) faults.push(`line ${nth} tells otherwise what ${key} was`);
      if (after === undefined) folded.delete(key);
      else if (before === undefined) folded.set(key, after);
      else {
        const kept = Object.entries(record ?? {}).filter(([name]) => !fields.includes(name));
        folded.set(key, { ...Object.fromEntries(kept), ...after });
      }
    }
  }
  const stored = new Map(
    TABLES.flatMap((table) => tables[table]!.map((one) => [`${table} ${String(one['id'])}`, one])),
  );
  for (const key of new Set([...folded.keys(), ...stored.keys()]))
    if (!isDeepStrictEqual(folded.get(key), stored.get(key))) faults.push(`${key} is stored otherwise`);
  expect(faults).toEqual([]);
  expect(stored.size).toBeGreaterThan(0);
}
