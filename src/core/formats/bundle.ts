import { strFromU8, strToU8, Unzip, UnzipInflate, zipSync } from 'fflate';
import {
  BUNDLE_VERSION,
  migrateBundle,
  parseRecord,
  type Chronicle,
  type DaybookEvent,
  type Household,
  type Item,
  type Lot,
  type Place,
  type Plan,
} from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { checkInvariants, foldEvents, isSame } from '../tracking/index.ts';

/** What is wrong with a bundle file. `path` leads to the record and field, `note` is for people who mend files. */
export interface BundleFault {
  readonly code:
    'empty' | 'not-a-bundle' | 'damaged' | 'too-large' | 'too-new' | 'record' | 'duplicate' | 'invariant' | 'daybook';
  readonly path: string;
  readonly note: string;
}

const FORMAT = 'yardmist-bundle';
const ENTRY = 'household.json';
/** Unpacked text above this is not a sewing room; a zip bomb is refused before it is unpacked. */
const MAX_UNPACKED = 400_000_000;
/** Zip entries carry a date; a fixed one makes equal households equal files. */
const ENTRY_DATE = new Date(1980, 0, 1, 12);

/** Writes everything to one file: a zip with `household.json`. Equal chronicles give equal bytes. */
export function toBundle({ household, events }: Chronicle): Uint8Array {
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
  return zipSync({ [ENTRY]: [strToU8(text), { level: 6, mtime: ENTRY_DATE }] });
}

/** Unpacks piece by piece and stops as soon as it grows past the limit: sizes written in a zip may lie. */
function unpackEntry(bytes: Uint8Array): Result<string, BundleFault[]> {
  const no = (code: BundleFault['code'], note: string) => fail<BundleFault[]>([{ code, path: '', note }]);
  if (bytes.length === 0) return no('empty', 'the file is empty');
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return no('not-a-bundle', 'the file is not a zip archive');
  const chunks: Uint8Array[] = [];
  let size = 0;
  let isDone = false;
  let isTooLarge = false;
  let broken = '';
  const unzip = new Unzip((file) => {
    if (file.name !== ENTRY) return;
    file.ondata = (error, chunk, final) => {
      if (error) broken = error.message;
      else {
        size += chunk.length;
        if (size > MAX_UNPACKED) {
          isTooLarge = true;
          file.terminate();
        } else chunks.push(chunk);
        isDone ||= final;
      }
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && !isTooLarge; at += 65_536)
      unzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
  } catch (error) {
    broken = String(error);
  }
  if (isTooLarge) return no('too-large', `more than ${MAX_UNPACKED / 1e6} MB unpacked`);
  if (broken !== '' || (!isDone && chunks.length > 0)) return no('damaged', broken || 'the archive ends too early');
  if (!isDone) return no('not-a-bundle', `there is no ${ENTRY} inside`);
  const whole = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return ok(strFromU8(whole));
}

type Raw = Record<string, unknown>;

/** Reads a bundle, old versions too. All or nothing: every fault is reported with its path. */
export function parseBundle(bytes: Uint8Array): Result<Chronicle, BundleFault[]> {
  const text = unpackEntry(bytes);
  if (!text.ok) return text;
  let raw: Raw;
  try {
    raw = JSON.parse(text.value) as Raw;
  } catch (error) {
    return fail([{ code: 'damaged', path: ENTRY, note: String(error) }]);
  }
  if (typeof raw !== 'object' || raw === null || raw['format'] !== FORMAT)
    return fail([{ code: 'not-a-bundle', path: 'format', note: `the format is not ${FORMAT}` }]);
  const migrated = migrateBundle(raw);
  if (!migrated.ok) return fail([{ code: migrated.fault, path: 'version', note: `version ${String(raw['version'])}` }]);
  return parseContents(migrated.value);
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
