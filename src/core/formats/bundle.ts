import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import {
  parseRecord,
  type Chronicle,
  type DaybookEvent,
  type Household,
  type Item,
  type Lot,
  type Photo,
  type PhotoId,
  type Place,
  type Plan,
} from '../records/index.ts';
import { BUNDLE_VERSION, migrateBundle } from '../records/migrations.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { readPictureHead } from './picture.ts';
import { unpack, type BundleFault } from './unpack.ts';
import { checkInvariants, foldEvents, isSame } from '../daybook/index.ts';

export type { BundleFault };

const FORMAT = 'yardmist-bundle';
const ENTRY = 'household.json';
const PHOTOS = 'photos/';
const PHOTO_FILE = /^photos\/([0-9a-f]{32})(\.swatch)?\.(webp|jpg)$/;
/** Zip entries carry a date; a fixed one makes equal households equal files. */
const ENTRY_DATE = new Date(1980, 0, 1, 12);

/** Writes everything to one file: a zip with `household.json` and the photos. Equal chronicles give equal bytes. */
export function toBundle({ household, events, photos = [] }: Chronicle): Uint8Array {
  const text = JSON.stringify(
    {
      format: FORMAT,
      version: BUNDLE_VERSION,
      settings: household.settings,
      places: [...household.places.values()],
      items: [...household.items.values()],
      lots: [...household.lots.values()],
      plans: [...household.plans.values()],
      events,
    },
    null,
    1,
  );
  const files: Zippable = { [ENTRY]: [strToU8(text), { level: 6, mtime: ENTRY_DATE }] };
  // Pictures are as small as they get already.
  for (const { id, type, bytes, swatch } of photos.toSorted((a, b) => (a.id < b.id ? -1 : 1))) {
    const ending = type === 'image/webp' ? 'webp' : 'jpg';
    files[`${PHOTOS}${id}.${ending}`] = [bytes, { level: 0, mtime: ENTRY_DATE }];
    files[`${PHOTOS}${id}.swatch.${ending}`] = [swatch, { level: 0, mtime: ENTRY_DATE }];
  }
  return zipSync(files);
}

type Raw = Record<string, unknown>;

/** Reads a bundle, old versions too. All or nothing: every fault is reported with its path. */
export function parseBundle(bytes: Uint8Array): Result<Chronicle, BundleFault[]> {
  const files = unpack(bytes, (name) => name === ENTRY || PHOTO_FILE.test(name));
  if (!files.ok) return files;
  const whole = files.value.get(ENTRY);
  if (!whole) return fail([{ code: 'not-a-bundle', path: '', note: `there is no ${ENTRY} inside` }]);
  let raw: Raw;
  try {
    raw = JSON.parse(strFromU8(whole)) as Raw;
  } catch (error) {
    return fail([{ code: 'damaged', path: ENTRY, note: String(error) }]);
  }
  if (typeof raw !== 'object' || raw === null || raw['format'] !== FORMAT)
    return fail([{ code: 'not-a-bundle', path: 'format', note: `the format is not ${FORMAT}` }]);
  const migrated = migrateBundle(raw);
  if (!migrated.ok) return fail([{ code: migrated.fault, path: 'version', note: `version ${String(raw['version'])}` }]);
  const contents = parseContents(migrated.value);
  const photos = parsePhotos(files.value);
  if (!photos.ok) return photos;
  if (!contents.ok || photos.value.length === 0) return contents;
  return ok({ ...contents.value, photos: photos.value });
}

/** Photos with their swatches; each is what its ending says, by its own mark. */
function parsePhotos(files: ReadonlyMap<string, Uint8Array>): Result<Photo[], BundleFault[]> {
  const photos: Photo[] = [];
  const faults: BundleFault[] = [];
  for (const [name, bytes] of files) {
    const [, id, part, ending = ''] = PHOTO_FILE.exec(name) ?? [];
    if (!id) continue;
    const type = ending === 'webp' ? 'image/webp' : 'image/jpeg';
    const head = readPictureHead(bytes);
    if (!head.ok || head.value.type !== type)
      faults.push({ code: 'record', path: name, note: 'is no picture of its kind' });
    if (part) continue;
    const swatch = files.get(`${PHOTOS}${id}.swatch.${ending}`);
    if (swatch) photos.push({ id: id as PhotoId, type, bytes, swatch });
    else faults.push({ code: 'record', path: name, note: 'has no swatch' });
  }
  return faults.length > 0 ? fail(faults) : ok(photos);
}

function parseContents(raw: Raw): Result<Chronicle, BundleFault[]> {
  const faults: BundleFault[] = [];
  const readTable = <T extends 'items' | 'lots' | 'places' | 'plans' | 'events'>(table: T) => {
    const list = raw[table];
    const records = new Map<string, unknown>();
    if (!Array.isArray(list)) {
      faults.push({ code: 'record', path: table, note: 'must be a list' });
      return records;
    }
    for (const [i, entry] of list.entries()) {
      const parsed = parseRecord(table, entry, `${table}.${i}`);
      if (!parsed.ok) {
        for (const fault of parsed.fault) faults.push({ code: 'record', path: fault.path, note: fault.message });
        continue;
      }
      if (records.has(parsed.value.id))
        faults.push({ code: 'duplicate', path: `${table}.${i}.id`, note: parsed.value.id });
      records.set(parsed.value.id, parsed.value);
    }
    return records;
  };
  const settings = parseRecord('settings', raw['settings'], 'settings');
  if (!settings.ok)
    for (const { path, message } of settings.fault) faults.push({ code: 'record', path, note: message });
  const tables = {
    places: readTable('places') as Map<Place['id'], Place>,
    items: readTable('items') as Map<Item['id'], Item>,
    lots: readTable('lots') as Map<Lot['id'], Lot>,
    plans: readTable('plans') as Map<Plan['id'], Plan>,
  };
  const events = [...(readTable('events') as Map<string, DaybookEvent>).values()];
  if (faults.length > 0 || !settings.ok) return fail(faults);

  const household: Household = { settings: settings.value, ...tables };
  for (const { path, code, to } of checkInvariants(household))
    faults.push({ code: 'invariant', path, note: `${code}: ${to}` });
  for (const [i, event] of events.entries())
    if (event.seq !== i) faults.push({ code: 'daybook', path: `events.${i}.seq`, note: `is ${event.seq}, not ${i}` });
  const told = foldEvents(events);
  if (!told.ok)
    faults.push({ code: 'daybook', path: 'events', note: `${told.fault.table} ${told.fault.id} do not follow` });
  else
    for (const table of ['places', 'items', 'lots', 'plans'] as const) {
      const [is, was] = [
        household[table] as ReadonlyMap<string, object>,
        told.value[table] as ReadonlyMap<string, object>,
      ];
      for (const id of new Set([...is.keys(), ...was.keys()]))
        if (!isSame(is.get(id), was.get(id)))
          faults.push({ code: 'daybook', path: `${table}.${id}`, note: 'differs from what the daybook tells' });
    }
  if (told.ok && !isSame(household.settings, told.value.settings))
    faults.push({ code: 'daybook', path: 'settings', note: 'differ from what the daybook tells' });
  return faults.length > 0 ? fail(faults) : ok({ household, events });
}
