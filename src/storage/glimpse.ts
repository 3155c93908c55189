import Dexie from 'dexie';
import { parseRecord, type Household, type Place, type PlaceId } from '../core/records/index.ts';
import type { Database } from './database.ts';

/** As much of a household as the first screen begins with: the newest that is out, what it is and where it belongs. */
export interface Glimpse {
  readonly household: Household;
  /** Whether that is all that is out. */
  readonly isAllOut: boolean;
}

/** So many things that are out, the newest, are shown before all else is there. */
const MOST_OUT = 80;
/** Pieces of furniture of one name: some in two rooms are among so many. */
const MOST_ALIKE = 8;

export const byId = <R extends { id: string }>(records: readonly R[]) =>
  new Map(records.map((record) => [record.id as R['id'], record]));

/** Whether each record is as its class says. */
const isRead = ({ settings, ...tables }: Household) =>
  parseRecord('settings', settings, '').ok &&
  (['items', 'lots', 'places'] as const).every((table) =>
    [...tables[table].values()].every((record) => parseRecord(table, record, '').ok),
  );

/** Places with all that they stand in. */
async function findWays(database: Database, ids: Iterable<PlaceId>): Promise<Map<PlaceId, Place>> {
  const found = new Map<PlaceId, Place>();
  // A place stands four deep at most.
  for (let wanted = [...ids], depth = 0; wanted.length > 0 && depth < 4; depth += 1) {
    const some = (await database.places.bulkGet(wanted)).filter((place) => place !== undefined);
    for (const place of some) found.set(place.id, place);
    wanted = [...new Set(some.flatMap(({ parentId }) => parentId ?? []))].filter((id) => !found.has(id));
  }
  return found;
}

/** Furniture of the same names: a name that two rooms share is said with its room. */
async function findAlike(database: Database, ways: ReadonlyMap<PlaceId, Place>): Promise<PlaceId[]> {
  const names = new Set([...ways.values()].flatMap(({ level, name }) => (level === 'unit' ? name : [])));
  const alike = await Promise.all(
    [...names].map((name) => database.places.where('name').equals(name).limit(MOST_ALIKE).primaryKeys()),
  );
  return alike.flat();
}

/** No `glimpse` where some of it does not read; null where nothing is stored. For this folder only. */
export async function readGlimpse(database: Database): Promise<{ readonly glimpse: Glimpse | null } | null> {
  const settings = await database.settings.get('household');
  if (!settings) return null;
  const newest = database.lots
    .where('[state+sinceMs]')
    .between(['out', Dexie.minKey], ['out', Dexie.maxKey])
    // oxlint-disable-next-line unicorn/no-array-reverse -- a collection is no array
    .reverse();
  const lots = await newest.limit(MOST_OUT + 1).toArray();
  const isAllOut = lots.length <= MOST_OUT;
  const shown = lots.slice(0, MOST_OUT);
  const items = await database.items.bulkGet([...new Set(shown.map(({ itemId }) => itemId))]);
  const homes = new Set(shown.flatMap(({ homeId }) => homeId ?? []));
  const ways = await findWays(database, homes);
  const household: Household = {
    settings,
    lots: byId(shown),
    items: byId(items.filter((item) => item !== undefined)),
    places: new Map([...ways, ...(await findWays(database, await findAlike(database, ways)))]),
    plans: new Map(),
    projects: new Map(),
  };
  const isThere = household.items.size === items.length && [...homes].every((id) => ways.has(id));
  return { glimpse: isThere && isRead(household) ? { household, isAllOut } : null };
}
