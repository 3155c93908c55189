import {
  parseRecord,
  type Change,
  type Chronicle,
  type DaybookEvent,
  type Photo,
  type PhotoId,
  type RecordFault,
} from '../core/records/index.ts';
import { fail, ok, type Result } from '../core/result/index.ts';
import { Database } from './database.ts';

/** Why the browser's storage did not do what was asked. Nothing was written in any of these cases. */
export interface StoreFault {
  readonly code: 'denied' | 'full' | 'behind' | 'damaged' | 'unknown';
  readonly note: string;
  readonly faults?: readonly RecordFault[];
}

/** What is stored, and the mark of the household it belongs to. */
export interface Stored {
  readonly chronicle: Chronicle;
  readonly generation: string;
}

/** News from another window of the same browser. */
export type StoreNews = { readonly type: 'appended'; readonly generation: string } | { readonly type: 'replaced' };

function toFault(error: unknown): StoreFault {
  const name = error instanceof Error ? error.name : '';
  const inner = (error as { inner?: Error }).inner?.name ?? '';
  const note = error instanceof Error ? error.message : String(error);
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') return { code: 'full', note };
  if (['OpenFailedError', 'MissingAPIError', 'InvalidStateError', 'SecurityError', 'UnknownError'].includes(name))
    return { code: 'denied', note };
  return { code: 'unknown', note };
}

/** The household in this browser. Every event is one transaction: written whole, or not at all. */
export class HouseholdStore {
  private readonly database: Database;
  private readonly channel: BroadcastChannel | null;

  constructor(name = 'yardmist') {
    this.database = new Database(name);
    this.channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
  }

  /** Calls `listener` when another window has written. */
  onNews(listener: (news: StoreNews) => void): void {
    if (this.channel) this.channel.onmessage = (message: MessageEvent<StoreNews>) => listener(message.data);
  }

  close(): void {
    this.channel?.close();
    this.database.close();
  }

  /** Everything that is stored, checked record by record; null when nothing is yet. */
  async load(): Promise<Result<Stored | null, StoreFault>> {
    try {
      const { database } = this;
      const raw = await database.transaction('r', database.tables, async () => ({
        generation: (await database.meta.get('generation'))?.value,
        settings: await database.settings.get('household'),
        items: await database.items.toArray(),
        lots: await database.lots.toArray(),
        places: await database.places.toArray(),
        plans: await database.plans.toArray(),
        events: await database.events.orderBy('seq').toArray(),
      }));
      if (typeof raw.generation !== 'string' || !raw.settings) return ok(null);
      const faults: RecordFault[] = [];
      for (const table of ['items', 'lots', 'places', 'plans'] as const)
        for (const record of raw[table]) {
          const parsed = parseRecord(table, record, `${table}.${record.id}`);
          if (!parsed.ok) faults.push(...parsed.fault);
        }
      const settings = parseRecord('settings', raw.settings, 'settings');
      if (!settings.ok) faults.push(...settings.fault);
      if (faults.length > 0) return fail({ code: 'damaged', note: `${faults.length} records do not read`, faults });
      const byId = <R extends { id: string }>(records: R[]) =>
        new Map(records.map((record) => [record.id as R['id'], record]));
      const household = {
        settings: raw.settings,
        items: byId(raw.items),
        lots: byId(raw.lots),
        places: byId(raw.places),
        plans: byId(raw.plans),
      };
      return ok({ chronicle: { household, events: raw.events }, generation: raw.generation });
    } catch (error) {
      return fail(toFault(error));
    }
  }

  /** Writes changes in order; those of one table and sort that come one after the other go in together. */
  private async write(changes: readonly Change[]): Promise<void> {
    const sortOf = ({ before, after }: Change) => (after === null ? 'goes' : before === null ? 'comes' : 'changes');
    for (let from = 0; from < changes.length;) {
      const first = changes[from]!;
      const sort = sortOf(first);
      let end = from + 1;
      while (end < changes.length && changes[end]!.table === first.table && sortOf(changes[end]!) === sort) end += 1;
      const run = changes.slice(from, end);
      const records = this.database.table(first.table);
      if (sort === 'goes') await records.bulkDelete(run.map((change) => change.id));
      else if (sort === 'comes') await records.bulkPut(run.map((change) => change.after));
      // One by one where it is one: a bulk update reads the records first.
      else if (run.length === 1) await records.update(first.id, first.after!);
      else await records.bulkUpdate(run.map(({ id, after }) => ({ key: id, changes: after! })));
      from = end;
    }
  }

  /** Writes an event and what it changes. `behind` when another window wrote first: read its events, then try again. */
  async append(event: DaybookEvent, generation: string): Promise<Result<null, StoreFault>> {
    const { database } = this;
    try {
      const written = await database.transaction('rw', database.tables, async () => {
        const last = await database.events.orderBy('seq').last();
        const mark = await database.meta.get('generation');
        if (mark?.value !== generation || (last?.seq ?? -1) !== event.seq - 1) return false;
        await database.events.add(event);
        await this.write(event.changes);
        return true;
      });
      if (!written) return fail({ code: 'behind', note: `event ${event.seq} does not follow` });
      this.channel?.postMessage({ type: 'appended', generation } satisfies StoreNews);
      return ok(null);
    } catch (error) {
      return fail(toFault(error));
    }
  }

  /** Keeps photos; one that is there already is the same. */
  async savePhotos(photos: readonly Photo[]): Promise<Result<null, StoreFault>> {
    try {
      await this.database.photos.bulkPut([...photos]);
      return ok(null);
    } catch (error) {
      return fail(toFault(error));
    }
  }

  /** A photo, or null where it is not kept here. */
  async loadPhoto(id: PhotoId): Promise<Photo | null> {
    try {
      return (await this.database.photos.get(id)) ?? null;
    } catch {
      return null;
    }
  }

  /** Every photo, for a bundle. */
  async loadPhotos(): Promise<Photo[]> {
    try {
      return await this.database.photos.toArray();
    } catch {
      return [];
    }
  }

  /** Events from `seq` on, and whose household they belong to. */
  async loadEventsFrom(seq: number): Promise<Result<{ events: DaybookEvent[]; generation: string }, StoreFault>> {
    try {
      const events = await this.database.events.where('seq').aboveOrEqual(seq).sortBy('seq');
      const mark = await this.database.meta.get('generation');
      return ok({ events, generation: typeof mark?.value === 'string' ? mark.value : '' });
    } catch (error) {
      return fail(toFault(error));
    }
  }

  /** Puts another household in the place of this one, all or nothing. `previous` is kept to bring it back. */
  async replace(
    chronicle: Chronicle,
    generation: string,
    previous: Uint8Array | null,
  ): Promise<Result<null, StoreFault>> {
    const { database } = this;
    const { household, events } = chronicle;
    try {
      await database.transaction('rw', database.tables, async () => {
        for (const table of database.tables) await table.clear();
        await database.settings.add(household.settings);
        await database.items.bulkAdd([...household.items.values()]);
        await database.lots.bulkAdd([...household.lots.values()]);
        await database.places.bulkAdd([...household.places.values()]);
        await database.plans.bulkAdd([...household.plans.values()]);
        await database.events.bulkAdd([...events]);
        await database.photos.bulkAdd([...(chronicle.photos ?? [])]);
        await database.meta.add({ key: 'generation', value: generation });
        if (previous) await database.meta.add({ key: 'previous', value: previous });
      });
      this.channel?.postMessage({ type: 'replaced' } satisfies StoreNews);
      return ok(null);
    } catch (error) {
      return fail(toFault(error));
    }
  }

  /** The bundle of the household that the last import replaced. */
  async loadPrevious(): Promise<Uint8Array | null> {
    try {
      const entry = await this.database.meta.get('previous');
      return entry && typeof entry.value !== 'string' ? entry.value : null;
    } catch {
      return null;
    }
  }
}
