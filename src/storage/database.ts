import Dexie, { type EntityTable } from 'dexie';
import type { DaybookEvent, Item, Lot, Place, Plan, Settings } from '../core/records/index.ts';

/** Odds and ends beside the records: which household this is, and the one that an import replaced. */
export interface MetaEntry {
  key: 'generation' | 'previous';
  value: string | Uint8Array;
}

/** The tables in the browser. A new version is added below the last, never changed. */
export class Database extends Dexie {
  declare items: EntityTable<Item, 'id'>;
  declare lots: EntityTable<Lot, 'id'>;
  declare places: EntityTable<Place, 'id'>;
  declare plans: EntityTable<Plan, 'id'>;
  declare settings: EntityTable<Settings, 'id'>;
  declare events: EntityTable<DaybookEvent, 'seq'>;
  declare meta: EntityTable<MetaEntry, 'key'>;

  constructor(name: string) {
    super(name);
    this.version(1).stores({
      items: 'id',
      lots: 'id',
      places: 'id',
      plans: 'id',
      settings: 'id',
      events: 'seq',
      meta: 'key',
    });
  }
}
