import { listChanged, type Chronicle, type DaybookEvent, type Household } from '../core/records/index.ts';

const TABLES = ['items', 'lots', 'places', 'plans'] as const;
type Table = (typeof TABLES)[number];

/** Part of what changed between two states of a household; a record that went is null. */
export interface News {
  readonly settings: Household['settings'] | null;
  readonly records: readonly (readonly [Table, string, unknown])[];
  /** Lines of the daybook that came. */
  readonly events?: readonly DaybookEvent[];
}

/** Copying so many records takes a few ms: a page goes on answering between two slices. */
export const SLICE = 500;

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
    if (known) for (const id of listChanged(known, now)) records.push([table, id, now.get(id) ?? null]);
    else for (const [id, record] of now) records.push([table, id, record]);
  }
  const settings = before?.settings === after.settings ? null : after.settings;
  const slices = Math.max(1, Math.ceil(records.length / size));
  return Array.from({ length: slices }, (_, n) => ({
    settings: n === 0 ? settings : null,
    records: records.slice(n * size, (n + 1) * size),
  }));
}

/** A whole household with its daybook, in slices. */
export function listWholeNews({ household, events }: Chronicle, size = SLICE): News[] {
  const slices = Math.ceil(events.length / size);
  return [
    ...listNews(null, household, size),
    ...Array.from({ length: slices }, (_, n) => ({
      settings: null,
      records: [],
      events: events.slice(n * size, (n + 1) * size),
    })),
  ];
}

/** Gives other work its turn. A timer would wait longer, and for a whole second each in a window that is not looked at. */
function breathe(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

/** Passes news on one by one, so that other work gets its turn in between. */
export async function tellSlowly(news: readonly News[], tell: (one: News) => void): Promise<void> {
  for (const [n, one] of news.entries()) {
    if (n > 0) await breathe();
    tell(one);
  }
}

/** A household put together from news. */
export class Told {
  private settings: Household['settings'] | null = null;
  private readonly tables = { items: new Map(), lots: new Map(), places: new Map(), plans: new Map() };
  readonly events: DaybookEvent[] = [];

  hear({ settings, records, events = [] }: News): void {
    if (settings) this.settings = settings;
    for (const [table, id, record] of records) {
      if (record === null) this.tables[table].delete(id);
      else this.tables[table].set(id, record);
    }
    this.events.push(...events);
  }

  /** The household as told so far; a later `hear` changes it. */
  get household(): Household {
    if (!this.settings) throw new Error('nothing was told yet');
    return { settings: this.settings, ...this.tables };
  }
}
