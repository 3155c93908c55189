import type { Household } from '../core/records/index.ts';

const TABLES = ['items', 'lots', 'places', 'plans'] as const;
type Table = (typeof TABLES)[number];

/** Part of what changed between two states of a household; a record that went is null. */
export interface News {
  readonly settings: Household['settings'] | null;
  readonly records: readonly (readonly [Table, string, unknown])[];
}

/**
 * What to tell one who knows `before` (null: nothing yet), in slices of no more than `size` records: a large
 * household that is copied in one go keeps the page from answering. Records are never changed in place, so
 * another object is a changed one.
 */
export function listNews(before: Household | null, after: Household, size: number): News[] {
  const records: [Table, string, unknown][] = [];
  for (const table of TABLES) {
    const known: ReadonlyMap<string, unknown> | undefined = before?.[table];
    const now: ReadonlyMap<string, unknown> = after[table];
    for (const id of known?.keys() ?? []) if (!now.has(id)) records.push([table, id, null]);
    for (const [id, record] of now) if (known?.get(id) !== record) records.push([table, id, record]);
  }
  const settings = before?.settings === after.settings ? null : after.settings;
  const slices = Math.max(1, Math.ceil(records.length / size));
  return Array.from({ length: slices }, (_, n) => ({
    settings: n === 0 ? settings : null,
    records: records.slice(n * size, (n + 1) * size),
  }));
}

/** A household put together from news. */
export class Told {
  private settings: Household['settings'] | null = null;
  private readonly tables = { items: new Map(), lots: new Map(), places: new Map(), plans: new Map() };

  hear({ settings, records }: News): void {
    if (settings) this.settings = settings;
    for (const [table, id, record] of records) {
      if (record === null) this.tables[table].delete(id);
      else this.tables[table].set(id, record);
    }
  }

  /** The household as told so far; a later `hear` changes it. */
  get household(): Household {
    if (!this.settings) throw new Error('nothing was told yet');
    return { settings: this.settings, ...this.tables };
  }
}
