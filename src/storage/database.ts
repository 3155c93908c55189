import Dexie, { type EntityTable, type Transaction } from 'dexie';
import type { Apart } from '../core/mending/index.ts';
import {
  listLists,
  type DaybookEvent,
  type Item,
  type Lot,
  type Photo,
  type PhotoId,
  type Place,
  type Plan,
  type Project,
  type Settings,
} from '../core/records/index.ts';

/** Odds and ends beside the records: which household this is, and the one that an import replaced. */
export interface MetaEntry {
  key: 'generation' | 'previous' | 'unnamed' | 'file';
  value: string | Uint8Array | readonly PhotoId[] | KeptFile;
}

/** A file that the sewist picked, to be kept up to date by itself, and of which household. */
export interface KeptFile {
  readonly generation: string;
  readonly handle: FileSystemFileHandle;
}

/** The household as it was on a day, packed; without its photos, which are kept beside. */
export interface Snapshot {
  /** `2026-11-28`, as the sewist's own calendar has it. */
  readonly day: string;
  readonly atMs: number;
  readonly name: string;
  readonly lots: number;
  readonly lines: number;
  readonly bytes: Uint8Array;
  /** The photos that it names; those of an older program do not say. */
  readonly photoIds?: readonly PhotoId[];
}

/** Something that did not read, as it was found. */
export interface KeptApart extends Apart {
  readonly n?: number;
}

/** The version of the tables that this program knows. */
export const LATEST = 13;

/** Lifts what is stored with the same steps that lift a bundle, in one transaction: all of it or nothing. */
async function lift(transaction: Transaction, from: number, to: number): Promise<void> {
  const raw: Record<string, unknown> = { version: from };
  const [settings] = (await transaction.table('settings').toArray()) as unknown[];
  if (settings !== undefined) raw['settings'] = settings;
  const lists = listLists(to);
  for (const list of lists) raw[list] = await transaction.table(list).toArray();
  if (settings === undefined && lists.every((list) => (raw[list] as unknown[]).length === 0)) return;
  // Loaded by the few who come from an older version; the transaction is kept open meanwhile.
  const { migrateBundle } = await Dexie.waitFor(import('../core/records/migrations.ts'));
  const lifted = migrateBundle(raw, to);
  if (!lifted.ok) throw new Error(`records of version ${from} cannot be lifted: ${lifted.fault}`);
  if (lifted.value['settings'] !== undefined) await transaction.table('settings').put(lifted.value['settings']);
  for (const list of lists) {
    await transaction.table(list).clear();
    await transaction.table(list).bulkAdd(lifted.value[list] as object[]);
  }
}

/** The tables in the browser. A new version is added below the last, never changed. */
export class Database extends Dexie {
  declare items: EntityTable<Item, 'id'>;
  declare lots: EntityTable<Lot, 'id'>;
  declare places: EntityTable<Place, 'id'>;
  declare plans: EntityTable<Plan, 'id'>;
  declare projects: EntityTable<Project, 'id'>;
  declare settings: EntityTable<Settings, 'id'>;
  declare events: EntityTable<DaybookEvent, 'seq'>;
  declare meta: EntityTable<MetaEntry, 'key'>;
  declare photos: EntityTable<Photo, 'id'>;
  declare snapshots: EntityTable<Snapshot, 'day'>;
  declare apart: EntityTable<KeptApart & { n: number }, 'n'>;

  constructor(name: string) {
    // Done means on the disk: without it the browser says so earlier, and what it was killed over is lost.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      items: 'id',
      lots: 'id',
      places: 'id',
      plans: 'id',
      settings: 'id',
      events: 'seq',
      meta: 'key',
    });
    this.version(2).upgrade((transaction) => lift(transaction, 2, 3));
    this.version(3)
      .stores({ photos: 'id' })
      .upgrade((transaction) => lift(transaction, 3, 4));
    this.version(4).upgrade((transaction) => lift(transaction, 4, 5));
    this.version(5).upgrade((transaction) => lift(transaction, 5, 6));
    this.version(6)
      .stores({ snapshots: 'day', apart: '++n' })
      .upgrade((transaction) => lift(transaction, 6, 7));
    this.version(7).upgrade((transaction) => lift(transaction, 7, 8));
    this.version(8).upgrade((transaction) => lift(transaction, 8, 9));
    this.version(9).upgrade((transaction) => lift(transaction, 9, 10));
    this.version(10).upgrade((transaction) => lift(transaction, 10, 11));
    this.version(11)
      .stores({ projects: 'id' })
      .upgrade((transaction) => lift(transaction, 11, 12));
    // What the first screen begins with is found without reading all. Bundles of 13 to 15 left the records as they are.
    this.version(12).stores({ lots: 'id, [state+sinceMs]', places: 'id, name' });
    this.version(LATEST).upgrade((transaction) => lift(transaction, 15, 16));
  }
}
