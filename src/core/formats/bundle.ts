import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import {
  listLists,
  parseRecord,
  type Chronicle,
  type DaybookEvent,
  type Item,
  type Lot,
  type Photo,
  type PhotoId,
  type Place,
  type Plan,
  type Project,
  type RecordTable,
} from '../records/index.ts';
import { BUNDLE_VERSION, migrateBundle } from '../records/migrations.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { namePhoto } from './photoName.ts';
import { readPictureHead } from './picture.ts';
import { unpack, type BundleFault } from './unpack.ts';
import { passWhole, type GateFault, type WholeChronicle } from '../daybook/index.ts';
import type { RawHousehold } from '../mending/index.ts';

export type { BundleFault };

const FORMAT = 'yardmist-bundle';
const ENTRY = 'household.json';
const PHOTOS = 'photos/';
const PHOTO_FILE = /^photos\/([0-9a-f]{32})(\.swatch)?\.(webp|jpg)$/;
/** Zip entries carry a date; a fixed one makes equal households equal files. */
const ENTRY_DATE = new Date(1980, 0, 1, 12);

/** A record with its fields in the order of their names, its id first: how it came to be so leaves no trace. */
function order<T>(value: T): T {
  if (Array.isArray(value)) return value.map((one: unknown) => order(one)) as T;
  if (typeof value !== 'object' || value === null) return value;
  const names = Object.keys(value).toSorted((a, b) => Number(b === 'id') - Number(a === 'id') || (a < b ? -1 : 1));
  return Object.fromEntries(names.map((name) => [name, order((value as Record<string, unknown>)[name])])) as T;
}

/** The records of a table in the order of their ids. */
const list = (table: ReadonlyMap<string, { readonly id: string }>) =>
  [...table.values()].toSorted((a, b) => (a.id < b.id ? -1 : 1)).map(order);

/** Writes everything to one file: a zip with `household.json` and the photos. Equal chronicles give equal bytes. */
export function toBundle({ household, events, photos = [] }: Chronicle): Uint8Array {
  const text = JSON.stringify(
    {
      format: FORMAT,
      version: BUNDLE_VERSION,
      settings: order(household.settings),
      places: list(household.places),
      items: list(household.items),
      lots: list(household.lots),
      plans: list(household.plans),
      projects: list(household.projects),
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

/** Bytes of the records: a household of twenty thousand lots has some thirty million. */
const MOST_WORDS = 120_000_000;
/** Bytes of a photo: it was made small when it was taken in. */
const MOST_PHOTO = 20_000_000;
/** Nested deeper than this is no household, and would run others out of their stack. */
const MOST_DEEP = 60;
/** More records or lines of one table than this are not a sewing room. */
const MOST_RECORDS = 500_000;
/** So many faults tell enough; what is all wrong is not gone through to the end. */
const MOST_FAULTS = 200;

/** How deep brackets are nested in a JSON text, as far as `most`; what stands in strings does not count. */
function isTooDeep(bytes: Uint8Array, most: number): boolean {
  let [depth, isInString] = [0, false];
  for (let i = 0; i < bytes.length; i += 1) {
    const byte = bytes[i];
    if (isInString) {
      if (byte === 0x5c) i += 1;
      else if (byte === 0x22) isInString = false;
    } else if (byte === 0x22) isInString = true;
    else if (byte === 0x7b || byte === 0x5b) {
      depth += 1;
      if (depth > most) return true;
    } else if (byte === 0x7d || byte === 0x5d) depth -= 1;
  }
  return false;
}

/** What stands in a bundle, lifted to today's version and not looked at further. */
export interface OpenedBundle {
  readonly raw: RawHousehold;
  readonly photos: readonly Photo[];
  /** What of its photos is not as it was. */
  readonly photoFaults: readonly BundleFault[];
}

/** Unpacks a bundle and lifts it. */
export function openBundle(bytes: Uint8Array): Result<OpenedBundle, BundleFault[]> {
  const unpacked = unpack(bytes, (name) => (name === ENTRY ? MOST_WORDS : PHOTO_FILE.test(name) ? MOST_PHOTO : 0));
  if (!unpacked.ok) return unpacked;
  const { files, broken } = unpacked.value;
  const whole = files.get(ENTRY);
  if (!whole) return fail([{ code: 'not-a-bundle', path: '', note: `there is no ${ENTRY} inside` }]);
  if (broken.has(ENTRY)) return fail([{ code: 'damaged', path: ENTRY, note: 'is not as it was written' }]);
  if (isTooDeep(whole, MOST_DEEP)) return fail([{ code: 'damaged', path: ENTRY, note: 'is nested too deep' }]);
  let raw: Raw;
  try {
    raw = JSON.parse(strFromU8(whole)) as Raw;
  } catch (error) {
    return fail([{ code: 'damaged', path: ENTRY, note: String(error) }]);
  }
  if (typeof raw !== 'object' || raw === null || raw['format'] !== FORMAT)
    return fail([{ code: 'not-a-bundle', path: 'format', note: `the format is not ${FORMAT}` }]);
  const { version } = raw;
  if (typeof version === 'number' && version > BUNDLE_VERSION)
    return fail([{ code: 'too-new', path: 'version', note: `version ${version}` }]);
  const faults: BundleFault[] = [];
  for (const table of listLists(typeof version === 'number' ? version : BUNDLE_VERSION)) {
    const list = raw[table];
    if (!Array.isArray(list)) faults.push({ code: 'record', path: table, note: 'must be a list' });
    else if (list.length > MOST_RECORDS)
      faults.push({ code: 'too-large', path: table, note: `${list.length.toLocaleString('en')} records of one kind` });
  }
  if (faults.length > 0) return fail(faults);
  let migrated: ReturnType<typeof migrateBundle>;
  try {
    migrated = migrateBundle(raw);
  } catch (error) {
    // An older version whose shape is not what that version wrote.
    return fail([{ code: 'damaged', path: ENTRY, note: String(error) }]);
  }
  if (!migrated.ok) return fail([{ code: migrated.fault, path: 'version', note: `version ${String(raw['version'])}` }]);
  return ok({ raw: migrated.value as unknown as RawHousehold, ...parsePhotos(files, broken) });
}

/** Reads what was unpacked. All or nothing: every fault is reported with its path. */
export function readOpened({ raw, photos, photoFaults }: OpenedBundle): Result<WholeChronicle, BundleFault[]> {
  const contents = parseContents(raw);
  if (photoFaults.length > 0) return fail([...(contents.ok ? [] : contents.fault), ...photoFaults]);
  return contents.ok && photos.length > 0 ? ok({ ...contents.value, photos }) : contents;
}

/** Reads a bundle, old versions too. */
export function parseBundle(bytes: Uint8Array): Result<WholeChronicle, BundleFault[]> {
  const opened = openBundle(bytes);
  return opened.ok ? readOpened(opened.value) : opened;
}

/** Photos with their swatches; each is what its ending and its name say. */
function parsePhotos(
  files: ReadonlyMap<string, Uint8Array>,
  broken: ReadonlySet<string>,
): Pick<OpenedBundle, 'photos' | 'photoFaults'> {
  const photos: Photo[] = [];
  const photoFaults: BundleFault[] = [];
  const isGood = (name: string, type: Photo['type']) => {
    const bytes = files.get(name);
    const head = bytes && !broken.has(name) ? readPictureHead(bytes) : null;
    if (head?.ok && head.value.type === type) return true;
    const note = !bytes ? 'is missing' : broken.has(name) ? 'is not as it was written' : 'is no picture of its kind';
    photoFaults.push({ code: 'record', path: name, note });
    return false;
  };
  for (const [name, bytes] of files) {
    const [, id, part, ending = ''] = PHOTO_FILE.exec(name) ?? [];
    if (!id || part) continue;
    const type = ending === 'webp' ? 'image/webp' : 'image/jpeg';
    const swatchName = `${PHOTOS}${id}.swatch.${ending}`;
    const isWhole = [isGood(name, type), isGood(swatchName, type)].every(Boolean);
    if (!isWhole) continue;
    if (namePhoto(bytes) === id) photos.push({ id: id as PhotoId, type, bytes, swatch: files.get(swatchName)! });
    else photoFaults.push({ code: 'record', path: name, note: 'is another picture than its name says' });
  }
  return { photos, photoFaults };
}

function parseContents(raw: RawHousehold): Result<WholeChronicle, BundleFault[]> {
  const faults: BundleFault[] = [];
  const readTable = <T extends RecordTable | 'events'>(table: T) => {
    const records = new Map<string, unknown>();
    for (const [i, entry] of raw[table].entries()) {
      if (faults.length > MOST_FAULTS) return records;
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
  const settings = parseRecord('settings', raw.settings, 'settings');
  if (!settings.ok)
    for (const { path, message } of settings.fault) faults.push({ code: 'record', path, note: message });
  const tables = {
    places: readTable('places') as Map<Place['id'], Place>,
    items: readTable('items') as Map<Item['id'], Item>,
    lots: readTable('lots') as Map<Lot['id'], Lot>,
    plans: readTable('plans') as Map<Plan['id'], Plan>,
    projects: readTable('projects') as Map<Project['id'], Project>,
  };
  const events = [...(readTable('events') as Map<string, DaybookEvent>).values()];
  if (faults.length > 0 || !settings.ok) return fail(faults);

  const whole = passWhole({ household: { settings: settings.value, ...tables }, events });
  return whole.ok ? whole : fail(whole.fault.map(toFault));
}

function toFault(fault: GateFault): BundleFault {
  switch (fault.code) {
    case 'record':
      return { code: 'record', path: fault.path, note: fault.message };
    case 'invariant':
      return { code: 'invariant', path: fault.path, note: `${fault.rule}: ${fault.to}` };
    case 'conflict':
      return { code: 'daybook', path: 'events', note: `${fault.table} ${fault.id} do not follow` };
    case 'daybook': {
      const notes = {
        order: 'is out of turn',
        differs: 'differs from what the daybook tells',
        'id-again': 'brings back what is gone under its old id',
        'not-conserved': 'cuts another length than is missing after',
      };
      return { code: 'daybook', path: fault.path, note: notes[fault.rule] };
    }
  }
}
