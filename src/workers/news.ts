import { breathe } from './breathe.ts';
import {
  RECORD_TABLES,
  listChanged,
  type RecordTable,
  type Change,
  type Chronicle,
  type DaybookEvent,
  type Household,
} from '../core/records/index.ts';

/** Part of what changed between two states of a household; a record that went is null. */
export interface News {
  readonly settings: Household['settings'] | null;
  readonly records: readonly (readonly [RecordTable, string, unknown])[];
  /** Lines of the daybook that came. */
  readonly events?: readonly DaybookEvent[];
  /** Further changes of the last of them: a list that was brought in is one line with tens of thousands. */
  readonly changes?: readonly Change[];
}

/** Copying so many records takes a few ms: a page goes on answering between two slices. */
export const SLICE = 500;

/**
 * What to tell one who knows `before` (null: nothing yet), in slices of no more than `size` records: a large
 * household that is copied in one go keeps the page from answering. Records are never changed in place, so
 * another object is a changed one.
 */
export function listNews(before: Household | null, after: Household, size: number): News[] {
  const records: [RecordTable, string, unknown][] = [];
  for (const table of RECORD_TABLES) {
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

/** A line of the daybook in slices of no more than `size` changes. */
function sliceEvent(event: DaybookEvent, size: number): News[] {
  const { changes } = event;
  const slices = Math.max(1, Math.ceil(changes.length / size));
  return Array.from({ length: slices }, (_, n) => {
    const some = changes.slice(n * size, (n + 1) * size);
    const news = { settings: null, records: [] };
    return n === 0 ? { ...news, events: [{ ...event, changes: some }] } : { ...news, changes: some };
  });
}

/** A whole household with its daybook, in slices. */
export function listWholeNews({ household, events }: Chronicle, size = SLICE): News[] {
  const lines: News[] = [];
  let few: DaybookEvent[] = [];
  let changes = 0;
  const flush = () => {
    if (few.length > 0) lines.push({ settings: null, records: [], events: few });
    [few, changes] = [[], 0];
  };
  for (const event of events) {
    if (changes + event.changes.length > size) flush();
    if (event.changes.length > size) lines.push(...sliceEvent(event, size));
    else {
      few.push(event);
      // A line without changes is something to copy, too.
      changes += Math.max(1, event.changes.length);
    }
  }
  flush();
  return [...listNews(null, household, size), ...lines];
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
  private readonly tables = {
    places: new Map(),
    items: new Map(),
    lots: new Map(),
    plans: new Map(),
    projects: new Map(),
  };
  readonly events: DaybookEvent[] = [];

  hear({ settings, records, events = [], changes }: News): void {
    if (settings) this.settings = settings;
    for (const [table, id, record] of records) {
      if (record === null) this.tables[table].delete(id);
      else this.tables[table].set(id, record);
    }
    this.events.push(...events);
    const last = this.events.at(-1);
    if (changes && last) this.events[this.events.length - 1] = { ...last, changes: [...last.changes, ...changes] };
  }

  /** The household as told so far; a later `hear` changes it. */
  get household(): Household {
    if (!this.settings) throw new Error('nothing was told yet');
    return { settings: this.settings, ...this.tables };
  }
}
