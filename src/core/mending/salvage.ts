import {
  DEFAULT_SETTINGS,
  dropAbsent,
  parseRecord,
  type Change,
  type DaybookEvent,
  type EventId,
  type Household,
  type RecordFault,
  type TableName,
} from '../records/index.ts';
import { applyChanges, EMPTY_HOUSEHOLD } from '../daybook/fold.ts';
import { checkInvariants, createChange, isSame, passWhole, type WholeChronicle } from '../daybook/index.ts';
import { mendLots, mendRooms } from './mend.ts';

/** Everything that was stored or stood in a file, as it was found. */
export interface RawHousehold {
  readonly settings: unknown;
  readonly places: readonly unknown[];
  readonly items: readonly unknown[];
  readonly lots: readonly unknown[];
  readonly plans: readonly unknown[];
  readonly events: readonly unknown[];
}

/** A record or line that does not read: as it was found, and what is wrong with it. */
export interface Apart {
  readonly table: TableName | 'events';
  readonly id: string;
  readonly raw: unknown;
  readonly faults: readonly RecordFault[];
}

/** What could be read of it, which keeps every rule; and what is set apart. */
export interface Salvaged {
  readonly chronicle: WholeChronicle;
  readonly apart: readonly Apart[];
}

type Fields = Record<string, unknown>;
const LISTS = ['places', 'items', 'lots', 'plans'] as const;

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

const idOf = (raw: unknown, at: string) => (isFields(raw) && typeof raw['id'] === 'string' ? raw['id'] : at);

/** Default settings, with every field of what was found that can be kept. */
function salvageSettings(raw: unknown): Household['settings'] {
  let settings = { ...DEFAULT_SETTINGS };
  if (!isFields(raw)) return settings;
  for (const [field, value] of Object.entries(raw)) {
    const next = parseRecord('settings', { ...settings, [field]: value });
    if (next.ok) settings = next.value;
  }
  return settings;
}

/** Reads the lines that read, each without what it says of records that are set apart. */
function readLines(raw: readonly unknown[], isApart: (change: Change) => boolean): DaybookEvent[] {
  const lines: DaybookEvent[] = [];
  for (const line of raw) {
    if (!isFields(line) || !Array.isArray(line['changes'])) continue;
    const changes = (line['changes'] as unknown[]).filter((one): one is Change => {
      if (!isFields(one) || typeof one['table'] !== 'string' || typeof one['id'] !== 'string') return false;
      return !isApart(one as unknown as Change);
    });
    const kept = parseRecord('events', { ...line, seq: lines.length, changes });
    if (kept.ok) lines.push(kept.value);
  }
  return lines;
}

/** The records that a line speaks of in a way that none can be. */
function listBadChanges(line: unknown): string[] {
  if (!isFields(line) || !Array.isArray(line['changes'])) return [];
  const bad = new Set<string>();
  for (const [i, change] of (line['changes'] as unknown[]).entries()) {
    const parsed = parseRecord('events', { ...line, seq: 0, subject: '', changes: [change] });
    if (parsed.ok || !isFields(change)) continue;
    if (parsed.fault.some(({ path }) => path.startsWith('changes')))
      bad.add(`${String(change['table'])} ${idOf(change, String(i))}`);
  }
  return [...bad];
}

/**
 * Opens what can be read of a household and sets the rest apart, so that one bad record does not lock out all others. The
 * daybook goes on without what is apart; where the records say otherwise than its lines, a last line says so. Null where
 * nothing could be read. `stamp` gives that line its id and time.
 */
export function salvage(raw: RawHousehold, stamp: { readonly id: EventId; readonly atMs: number }): Salvaged | null {
  const apart = new Map<string, Apart>();
  const setApart = (table: TableName | 'events', id: string, found: unknown, faults: readonly RecordFault[]) => {
    if (!apart.has(`${table} ${id}`)) apart.set(`${table} ${id}`, { table, id, raw: found, faults });
  };
  const parsed = parseRecord('settings', raw.settings);
  const settings = parsed.ok ? parsed.value : salvageSettings(raw.settings);
  if (!parsed.ok && raw.settings !== undefined) setApart('settings', 'household', raw.settings, parsed.fault);
  const found = new Map<string, Fields>();
  for (const table of LISTS)
    for (const [i, record] of raw[table].entries()) {
      const id = idOf(record, String(i));
      const read = parseRecord(table, record);
      const again = found.has(`${table} ${id}`);
      if (read.ok && !again) found.set(`${table} ${id}`, read.value as unknown as Fields);
      else if (read.ok) setApart(table, id, record, [{ path: 'id', rule: 'twice', message: 'stands there twice' }]);
      else setApart(table, id, record, read.fault);
    }
  for (const [i, line] of raw.events.entries()) {
    const read = parseRecord('events', line);
    if (read.ok && read.value.seq === i) continue;
    const faults = read.ok ? [{ path: 'seq', rule: 'order', message: 'is out of turn' }] : read.fault;
    setApart('events', idOf(line, String(i)), line, faults);
    for (const key of listBadChanges(line)) {
      const [table, id] = key.split(' ') as [TableName, string];
      if (table === 'settings' || !found.has(key)) continue;
      setApart(table, id, found.get(key), faults);
    }
  }

  for (let round = 0; round < 12; round += 1) {
    const isApart = ({ table, id }: { table: TableName; id: string }) =>
      table !== 'settings' && apart.has(`${table} ${id}`);
    const kept = <T extends (typeof LISTS)[number]>(table: T) =>
      new Map(
        [...found]
          .filter(([key]) => key.startsWith(`${table} `) && !apart.has(key))
          .map(([, record]) => [record['id'], record]),
      ) as unknown as Household[T];
    let household: Household = {
      settings,
      places: kept('places'),
      items: kept('items'),
      lots: kept('lots'),
      plans: kept('plans'),
    };
    // Rules that the missing records break are mended where it is known how.
    for (let n = 0; n < 4; n += 1)
      for (const changes of [mendRooms(household, () => true), mendLots(household)]) {
        const next = applyChanges(household, changes);
        if (next.ok) household = next.value;
      }
    const faults = checkInvariants(household);
    if (faults.length > 0) {
      for (const { path, code, to } of faults) {
        const [table = '', id = ''] = path.split('.');
        setApart(table as TableName, id, found.get(`${table} ${id}`), [
          { path, rule: code, message: `${code}: ${to}` },
        ]);
      }
      continue;
    }
    const events = readLines(raw.events, isApart);
    const chronicle = conclude(household, events, stamp) ?? conclude(household, [], stamp);
    return chronicle && { chronicle, apart: [...apart.values()] };
  }
  return null;
}

/** The daybook with a last line that leads from what it tells to the household; null where its lines do not follow. */
function conclude(
  household: Household,
  events: readonly DaybookEvent[],
  stamp: { readonly id: EventId; readonly atMs: number },
): WholeChronicle | null {
  let told: Household = EMPTY_HOUSEHOLD;
  for (const event of events) {
    const next = applyChanges(told, event.changes);
    if (!next.ok) return null;
    told = next.value;
  }
  const changes: Change[] = [];
  for (const table of LISTS) {
    const [is, was] = [household[table] as ReadonlyMap<string, object>, told[table] as ReadonlyMap<string, object>];
    for (const id of new Set([...was.keys(), ...is.keys()])) {
      const change = createChange(table, id, was.get(id) ?? null, is.get(id) ?? null);
      if (change) changes.push(change);
    }
  }
  const isFirst = events.length === 0;
  if (isFirst) changes.push({ table: 'settings', id: 'household', after: dropAbsent(household.settings) as never });
  else if (!isSame(told.settings, household.settings)) {
    const change = createChange('settings', 'household', told.settings, household.settings);
    if (change) changes.push(change);
  }
  const last: DaybookEvent = {
    id: stamp.id,
    seq: events.length,
    atMs: stamp.atMs,
    type: isFirst ? 'catalogued' : 'mended',
    subject: 'what could be read',
    changes,
  };
  const lines = changes.length > 0 ? [...events, last] : [...events];
  const whole = passWhole({ household, events: lines });
  return whole.ok ? whole.value : null;
}
