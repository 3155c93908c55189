import Dexie from 'dexie';
import { passWhole, type Passed, type WholeChronicle } from '../core/daybook/index.ts';
import type { Apart, RawHousehold } from '../core/mending/index.ts';
import type { Change, Chronicle, DaybookEvent, Household, Photo, PhotoId, TableName } from '../core/records/index.ts';
import { fail, ok, type Result } from '../core/result/index.ts';
import { Database, LATEST, type KeptApart } from './database.ts';
import { byId, readGlimpse, type Glimpse } from './glimpse.ts';

/** Why the browser's storage did not do what was asked. Nothing was written in any of these cases. */
export interface StoreFault {
  readonly code: 'denied' | 'full' | 'behind' | 'damaged' | 'newer' | 'taken' | 'emptied' | 'unknown';
  readonly note: string;
  /** What is stored, as it was found, where it does not read. */
  readonly raw?: RawHousehold;
}

/** What is stored, and the mark of the household it belongs to. */
export interface Stored {
  readonly chronicle: WholeChronicle;
  readonly generation: string;
  /** What did not read at one time and was set apart. */
  readonly apart: readonly KeptApart[];
}

/** News from another window of the same browser. */
export type StoreNews = { readonly type: 'appended'; readonly generation: string } | { readonly type: 'replaced' };

function toFault(error: unknown): StoreFault {
  const name = error instanceof Error ? error.name : '';
  const inner = (error as { inner?: Error }).inner?.name ?? '';
  const note = error instanceof Error ? error.message : String(error);
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') return { code: 'full', note };
  if (name === 'VersionError') return { code: 'newer', note };
  if (['OpenFailedError', 'MissingAPIError', 'InvalidStateError', 'SecurityError', 'UnknownError'].includes(name))
    return { code: 'denied', note };
  return { code: 'unknown', note };
}

/** The version of the tables as the browser has it; 0 where there are none. Nothing is made or changed by asking. */
function readVersion(name: string): Promise<number> {
  return new Promise((resolve, reject) => {
    const request = Dexie.dependencies.indexedDB.open(name);
    request.addEventListener('upgradeneeded', () => request.transaction?.abort());
    request.addEventListener('success', () => {
      resolve(request.result.version);
      request.result.close();
    });
    request.addEventListener('error', () => {
      // Aborted above, as there was nothing.
      if (request.error?.name === 'AbortError') resolve(0);
      else reject(request.error ?? new Error('not opened'));
    });
  });
}

/** The household in this browser. Every event is one transaction: written whole, or not at all. */
export class HouseholdStore {
  private database: Database;
  private readonly channel: BroadcastChannel | null;
  private onLater: () => void = () => undefined;

  constructor(name = 'yardmist') {
    this.database = this.createDatabase(name);
    this.channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
  }

  private createDatabase(name: string): Database {
    const database = new Database(name);
    // The library lets go of the tables by itself, so that the other window need not wait.
    database.on('versionchange', ({ newVersion }) => {
      if (newVersion !== null) this.onLater();
    });
    return database;
  }

  /** Calls `listener` when another window makes the tables those of a later program. */
  onUpgrade(listener: () => void): void {
    this.onLater = listener;
  }

  /** Calls `listener` when another window has written. */
  onNews(listener: (news: StoreNews) => void): void {
    if (this.channel) this.channel.onmessage = (message: MessageEvent<StoreNews>) => listener(message.data);
  }

  close(): void {
    this.channel?.close();
    this.database.close();
  }

  /** Opens the tables; refused where a later program wrote them, which might be harmed by what this one writes. */
  private async open(): Promise<Database> {
    const { database } = this;
    if (database.isOpen()) return database;
    // Asked before the library opens it: that would make a later program's tables its own. It counts in tens.
    if ((await readVersion(database.name)) > LATEST * 10)
      throw new DOMException('written by a later Yardmist', 'VersionError');
    await database.open();
    return database;
  }

  /** Does something with the tables; what fails is told. For this folder only. */
  async attempt<T>(work: (database: Database) => Promise<T>): Promise<Result<T, StoreFault>> {
    try {
      return ok(await work(await this.open()));
    } catch (error) {
      const fault = toFault(error);
      // Tables that failed but for want of room may be open by halves: the next try begins with new ones.
      if (fault.code !== 'full') {
        this.database.close();
        this.database = this.createDatabase(this.database.name);
      }
      return fail(fault);
    }
  }

  /**
   * What the first screen can show before all of it was read and has passed the gate. No `glimpse` where some of that does
   * not read; null where nothing is stored, or the browser does not let it be read.
   */
  async loadGlimpse(): Promise<{ readonly glimpse: Glimpse | null } | null> {
    const read = await this.attempt((database) =>
      database.transaction('r', [database.settings, database.lots, database.items, database.places], () =>
        readGlimpse(database),
      ),
    );
    return read.ok ? read.value : null;
  }

  /** Everything that is stored, when it passes the gate; null when nothing is yet. */
  async load(): Promise<Result<Stored | null, StoreFault>> {
    const read = await this.attempt((database) =>
      database.transaction('r', database.tables, async () => ({
        generation: (await database.meta.get('generation'))?.value,
        settings: await database.settings.get('household'),
        items: await database.items.toArray(),
        lots: await database.lots.toArray(),
        places: await database.places.toArray(),
        plans: await database.plans.toArray(),
        projects: await database.projects.toArray(),
        events: await database.events.orderBy('seq').toArray(),
        apart: await database.apart.toArray(),
      })),
    );
    if (!read.ok) return read;
    const { generation, settings, apart, ...raw } = read.value;
    const isEmpty = settings === undefined && Object.values(raw).every((list) => list.length === 0);
    if (isEmpty) return ok(null);
    const damaged = (note: string) => fail<StoreFault>({ code: 'damaged', note, raw: { settings, ...raw } });
    if (typeof generation !== 'string' || !settings)
      return damaged('the settings or the mark of the household are missing');
    const household: Household = {
      settings,
      items: byId(raw.items),
      lots: byId(raw.lots),
      places: byId(raw.places),
      plans: byId(raw.plans),
      projects: byId(raw.projects),
    };
    const whole = passWhole({ household, events: raw.events });
    if (!whole.ok) return damaged(`${whole.fault.length} faults`);
    return ok({ chronicle: whole.value, generation, apart });
  }

  /** Writes the records that changes touch, as they are after them. */
  private async write(database: Database, household: Household, changes: readonly Change[]): Promise<void> {
    const touched = new Map<TableName, Set<string>>();
    for (const { table, id } of changes) touched.set(table, (touched.get(table) ?? new Set()).add(id));
    for (const [table, ids] of touched) {
      if (table === 'settings') {
        await database.settings.put(household.settings);
        continue;
      }
      const records = household[table] as ReadonlyMap<string, object>;
      const [here, gone]: [object[], string[]] = [[], []];
      for (const id of ids) {
        const record = records.get(id);
        if (record) here.push(record);
        else gone.push(id);
      }
      if (gone.length > 0) await database.table(table).bulkDelete(gone);
      if (here.length > 0) await database.table(table).bulkPut(here);
    }
  }

  /** Writes lines that have passed the gate, in one transaction. `behind` when another window wrote first. */
  async append(passed: readonly Passed[], generation: string): Promise<Result<null, StoreFault>> {
    const [first] = passed;
    const last = passed.at(-1);
    if (!first || !last) return ok(null);
    const written = await this.attempt((database) =>
      database.transaction('rw', database.tables, async () => {
        // The key alone: a line that brought a whole household is long.
        // oxlint-disable-next-line unicorn/no-array-reverse -- a collection is no array
        const [known = -1] = await database.events.orderBy('seq').reverse().limit(1).keys();
        const mark = await database.meta.get('generation');
        if (!mark && known === -1) return 'emptied';
        if (mark?.value !== generation || known !== first.event.seq - 1) return 'behind';
        await database.events.bulkAdd(passed.map((one) => one.event));
        await this.write(
          database,
          last.household,
          passed.flatMap((one) => one.event.changes),
        );
        return null;
      }),
    );
    if (!written.ok) return written;
    if (written.value) return fail({ code: written.value, note: `event ${first.event.seq} does not follow` });
    this.channel?.postMessage({ type: 'appended', generation } satisfies StoreNews);
    return ok(null);
  }

  /** Keeps photos; one that is there already is the same. */
  async savePhotos(photos: readonly Photo[]): Promise<Result<null, StoreFault>> {
    const kept = await this.attempt((database) => database.photos.bulkPut([...photos]));
    return kept.ok ? ok(null) : kept;
  }

  /** A photo, or null where it is not kept here. */
  async loadPhoto(id: PhotoId): Promise<Photo | null> {
    const found = await this.attempt((database) => database.photos.get(id));
    return (found.ok ? found.value : null) ?? null;
  }

  /** Those of the photos that are kept here, for a bundle. */
  async loadPhotos(ids: Iterable<PhotoId>): Promise<Result<Photo[], StoreFault>> {
    const wanted = [...new Set(ids)];
    if (wanted.length === 0) return ok([]);
    const found = await this.attempt((database) => database.photos.bulkGet(wanted));
    return found.ok ? ok(found.value.filter((photo) => photo !== undefined)) : found;
  }

  /** Events from `seq` on, and whose household they belong to. */
  async loadEventsFrom(seq: number): Promise<Result<{ events: DaybookEvent[]; generation: string }, StoreFault>> {
    return this.attempt(async (database) => {
      const events = await database.events.where('seq').aboveOrEqual(seq).sortBy('seq');
      const mark = await database.meta.get('generation');
      return { events, generation: typeof mark?.value === 'string' ? mark.value : '' };
    });
  }

  /**
   * Puts another household in the place of this one, all or nothing. `previous` is kept to bring it back, and `apart` is
   * what of it did not read. Photos stay: other days' households name them.
   */
  async replace(
    chronicle: WholeChronicle & Chronicle,
    generation: string,
    previous: Uint8Array | null,
    apart: readonly Apart[] = [],
  ): Promise<Result<null, StoreFault>> {
    const { household, events } = chronicle;
    const kept = await this.attempt((database) =>
      database.transaction('rw', database.tables, async () => {
        for (const table of [
          database.settings,
          database.items,
          database.lots,
          database.places,
          database.plans,
          database.projects,
          database.events,
          database.apart,
        ])
          await table.clear();
        await database.settings.add(household.settings);
        await database.items.bulkAdd([...household.items.values()]);
        await database.lots.bulkAdd([...household.lots.values()]);
        await database.places.bulkAdd([...household.places.values()]);
        await database.plans.bulkAdd([...household.plans.values()]);
        await database.projects.bulkAdd([...household.projects.values()]);
        await database.events.bulkAdd([...events]);
        await database.photos.bulkPut([...(chronicle.photos ?? [])]);
        await database.apart.bulkAdd(
          apart.map(
            ({ table, id, raw, faults, left }) =>
              ({ table, id, raw, faults, ...(left !== undefined && { left }) }) as never,
          ),
        );
        await database.meta.put({ key: 'generation', value: generation });
        if (previous) await database.meta.put({ key: 'previous', value: previous });
      }),
    );
    if (!kept.ok) return kept;
    this.channel?.postMessage({ type: 'replaced' } satisfies StoreNews);
    return ok(null);
  }

  /** Lets go of what was set apart. */
  async dropApart(ns: readonly number[]): Promise<Result<null, StoreFault>> {
    const dropped = await this.attempt((database) => database.apart.bulkDelete([...ns]));
    return dropped.ok ? ok(null) : dropped;
  }

  /** The bundle of the household that the last import replaced. */
  async loadPrevious(): Promise<Result<Uint8Array | null, StoreFault>> {
    const found = await this.attempt((database) => database.meta.get('previous'));
    if (!found.ok) return found;
    return ok(found.value?.value instanceof Uint8Array ? found.value.value : null);
  }
}
