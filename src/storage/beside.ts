import type { PhotoId } from '../core/records/index.ts';
import { ok, type Result } from '../core/result/index.ts';
import type { KeptFile, Snapshot } from './database.ts';
import type { HouseholdStore, StoreFault } from './store.ts';

/** Snapshots are kept of the last so many days on which there was any change. */
const SNAPSHOT_DAYS = 7;

/** What is kept beside the household: the days before, the file that was picked, photos that may go. Loaded when it is wanted. */
export class BesideStore {
  constructor(private readonly store: HouseholdStore) {}

  /**
   * Throws out photos that nothing names: not `named`, no snapshot, nothing set apart. One goes when it was named by
   * nothing the last time this was asked too, for what is just being taken in is not named yet. How many went.
   */
  async sweepPhotos(named: ReadonlySet<PhotoId>): Promise<Result<number, StoreFault>> {
    return this.store.attempt((database) =>
      database.transaction('rw', database.photos, database.meta, database.snapshots, database.apart, async () => {
        const snapshots = await database.snapshots.toArray();
        if (snapshots.some((one) => !one.photoIds)) return 0;
        const kept = new Set([...named, ...snapshots.flatMap((one) => one.photoIds ?? [])]);
        const apart = JSON.stringify(await database.apart.toArray());
        const ids = (await database.photos.toCollection().primaryKeys()) as PhotoId[];
        const unnamed = ids.filter((id) => !kept.has(id) && !apart.includes(id));
        const before = (await database.meta.get('unnamed'))?.value;
        const known = new Set<PhotoId>(Array.isArray(before) ? (before as readonly PhotoId[]) : []);
        const gone = unnamed.filter((id) => known.has(id));
        await database.photos.bulkDelete(gone);
        await database.meta.put({ key: 'unnamed', value: unnamed.filter((id) => !known.has(id)) });
        return gone.length;
      }),
    );
  }

  /** The file that is kept up to date, if one was picked; null takes it away. */
  async keepFile(file: KeptFile | null): Promise<Result<null, StoreFault>> {
    const kept = await this.store.attempt(async (database) => {
      await (file ? database.meta.put({ key: 'file', value: file }) : database.meta.delete('file'));
    });
    return kept.ok ? ok(null) : kept;
  }

  async loadFile(): Promise<KeptFile | null> {
    const found = await this.store.attempt((database) => database.meta.get('file'));
    const value = found.ok ? found.value?.value : undefined;
    return typeof value === 'object' && 'handle' in value ? value : null;
  }

  /** Keeps the household of a day; where the browser has no room, older days make it. */
  async saveSnapshot(snapshot: Snapshot): Promise<Result<null, StoreFault>> {
    for (;;) {
      const kept = await this.store.attempt((database) =>
        database.transaction('rw', database.snapshots, async () => {
          await database.snapshots.put(snapshot);
          const days = await database.snapshots.orderBy('day').primaryKeys();
          await database.snapshots.bulkDelete(days.slice(0, -SNAPSHOT_DAYS));
        }),
      );
      if (kept.ok) return ok(null);
      if (kept.fault.code !== 'full') return kept;
      const older = await this.store.attempt((database) =>
        database.snapshots.where('day').notEqual(snapshot.day).first(),
      );
      if (!older.ok || !older.value) return kept;
      const { day } = older.value;
      const thinned = await this.store.attempt((database) => database.snapshots.delete(day));
      if (!thinned.ok) return kept;
    }
  }

  /** What is kept of earlier days, the newest first. */
  async loadSnapshots(): Promise<Result<Snapshot[], StoreFault>> {
    return this.store.attempt(async (database) => (await database.snapshots.orderBy('day').toArray()).toReversed());
  }
}
