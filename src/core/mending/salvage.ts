import { getNaming } from '../naming/index.ts';
import {
  DEFAULT_SETTINGS,
  RECORD_TABLES,
  dropAbsent,
  isFields,
  parseRecord,
  type Change,
  type DaybookEvent,
  type EventId,
  type Fields,
  type Household,
  type RecordFault,
  type RecordTable,
  type TableName,
} from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { applyChanges, EMPTY_HOUSEHOLD } from '../daybook/fold.ts';
import { checkInvariants, computeDifference, getRecord, passWhole, type WholeChronicle } from '../daybook/index.ts';
import { mendLots, mendProjects, mendRooms } from './mend.ts';

/** Everything that was stored or stood in a file, as it was found. */
export interface RawHousehold {
  readonly settings: unknown;
  readonly places: readonly unknown[];
  readonly items: readonly unknown[];
  readonly lots: readonly unknown[];
  readonly plans: readonly unknown[];
  readonly projects: readonly unknown[];
  readonly events: readonly unknown[];
}

/** A record or line that does not read, or that could not stay as it was without one: as it was found, and why. */
export interface Apart {
  readonly table: TableName | 'events';
  readonly id: string;
  readonly raw: unknown;
  readonly faults: readonly RecordFault[];
  /** What stands in its place meanwhile, where it had to give way: a thing that lies out, as its shelf is apart. */
  readonly left?: unknown;
}

/** What could be read of it, which keeps every rule; and what is set apart. */
export interface Salvaged {
  readonly chronicle: WholeChronicle;
  readonly apart: readonly Apart[];
}

/** Gives the last line its id and time; and what it is about, where no language is spoken, as in a worker. */
interface Stamp {
  readonly id: EventId;
  readonly atMs: number;
  readonly subject?: string;
}

/** What is apart leaves others without something, they leave others, and so on: from rooms down to what is wrapped. */
const MOST_ROUNDS = 12;

const idOf = (raw: unknown, at: string) => (isFields(raw) && typeof raw['id'] === 'string' ? raw['id'] : at);
const keyOf = (table: string, id: string) => `${table} ${id}`;
const SETTINGS = keyOf('settings', 'household');

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

/** What was found, sorted into what reads and what is set apart. */
class Sieve {
  readonly settings: Household['settings'];
  readonly apart = new Map<string, Apart>();
  private readonly found = new Map<string, Fields>();
  /** What the daybook says of these is left out of it. */
  private readonly silent = new Set<string>();

  constructor(private readonly raw: RawHousehold) {
    const parsed = parseRecord('settings', raw.settings);
    this.settings = parsed.ok ? parsed.value : salvageSettings(raw.settings);
    if (!parsed.ok) this.silent.add(SETTINGS);
    if (!parsed.ok && raw.settings !== undefined) this.setApart('settings', 'household', raw.settings, parsed.fault);
    for (const table of RECORD_TABLES)
      for (const [i, record] of raw[table].entries()) this.sortRecord(table, record, i);
    for (const [i, line] of raw.events.entries()) this.sortLine(line, i);
  }

  setApart(table: TableName | 'events', id: string, found: unknown, faults: readonly RecordFault[]): void {
    const key = keyOf(table, id);
    if (!this.apart.has(key)) this.apart.set(key, { table, id, raw: found, faults });
    this.silent.add(key);
  }

  private sortRecord(table: RecordTable, record: unknown, at: number): void {
    const id = idOf(record, String(at));
    const read = parseRecord(table, record);
    const isTwice = this.found.has(keyOf(table, id));
    if (!read.ok) this.setApart(table, id, record, read.fault);
    else if (isTwice) this.setApart(table, id, record, [{ path: 'id', rule: 'twice', message: 'stands there twice' }]);
    else this.found.set(keyOf(table, id), read.value as unknown as Fields);
  }

  private sortLine(line: unknown, at: number): void {
    const read = parseRecord('events', line);
    if (read.ok && read.value.seq === at) return;
    const faults = read.ok ? [{ path: 'seq', rule: 'order', message: 'is out of turn' }] : read.fault;
    this.setApart('events', idOf(line, String(at)), line, faults);
    if (!isFields(line) || !Array.isArray(line['changes'])) return;
    for (const change of line['changes'] as unknown[]) {
      const alone = parseRecord('events', { ...line, seq: 0, subject: '', changes: [change] });
      if (alone.ok || !isFields(change) || !alone.fault.some(({ path }) => path.startsWith('changes'))) continue;
      const [table, id] = [change['table'] as TableName, String(change['id'])];
      const record = this.found.get(keyOf(table, id));
      this.silent.add(keyOf(table, id));
      if (record) this.setApart(table, id, record, faults);
    }
  }

  /** The records that read and are not apart. */
  assemble(): Household {
    const keep = <T extends RecordTable>(table: T) =>
      new Map(
        [...this.found]
          .filter(([key]) => key.startsWith(`${table} `) && !this.apart.has(key))
          .map(([, record]) => [record['id'], record]),
      ) as unknown as Household[T];
    return {
      settings: this.settings,
      places: keep('places'),
      items: keep('items'),
      lots: keep('lots'),
      plans: keep('plans'),
      projects: keep('projects'),
    };
  }

  /** The lines that read, each without what it says of what is apart. */
  readLines(): DaybookEvent[] {
    const lines: DaybookEvent[] = [];
    for (const line of this.raw.events) {
      if (!isFields(line) || !Array.isArray(line['changes'])) continue;
      const changes = (line['changes'] as unknown[]).filter(
        (one) => isFields(one) && !this.silent.has(keyOf(String(one['table']), String(one['id']))),
      );
      const kept = parseRecord('events', { ...line, seq: lines.length, changes });
      if (kept.ok) lines.push(kept.value);
    }
    return lines;
  }
}

/** Places without what they stand in: they are apart with it, or they would come back to nothing. */
function setApartPlaces(sieve: Sieve, household: Household): boolean {
  const lost = createPlaceTree(household.places).faults.filter(
    ({ placeId }) => !household.places.get(placeId)!.container,
  );
  for (const { code, placeId } of lost)
    sieve.setApart('places', placeId, household.places.get(placeId), [
      { path: `places.${placeId}.parentId`, rule: 'dangling', message: code },
    ]);
  return lost.length > 0;
}

/** What breaks a rule without what is apart gives way: it lies out, waits in the pool, is used at another station. */
function giveWay(household: Household): Household {
  let now = household;
  for (let n = 0; n < 2; n += 1)
    for (const mend of [() => mendRooms(now, () => true), () => mendProjects(now), () => mendLots(now)]) {
      const next = applyChanges(now, mend());
      if (next.ok) now = next.value;
    }
  return now;
}

/**
 * Opens what can be read of a household and sets the rest apart, so that one bad record does not lock out all others. The
 * daybook goes on without what is apart; where the records say otherwise than its lines, a last line says so. Null where
 * nothing could be read. `stamp` gives that line its id and time.
 */
export function salvage(raw: RawHousehold, stamp: Stamp): Salvaged | null {
  const sieve = new Sieve(raw);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const read = sieve.assemble();
    if (setApartPlaces(sieve, read)) continue;
    const household = giveWay(read);
    const faults = checkInvariants(household);
    if (faults.length === 0) return conclude(sieve, read, household, stamp);
    for (const { path, code, to } of faults) {
      const [table = '', id = ''] = path.split('.');
      const record = getRecord(read, table as TableName, id);
      sieve.setApart(table as TableName, id, record, [{ path, rule: code, message: `${code}: ${to}` }]);
    }
  }
  return null;
}

/** Lines as far as they follow on each other, the household that they tell, and those after. */
function followLines(lines: readonly DaybookEvent[]): {
  told: Household;
  kept: readonly DaybookEvent[];
  lost: readonly DaybookEvent[];
} {
  let told: Household = EMPTY_HOUSEHOLD;
  for (const [i, line] of lines.entries()) {
    const next = applyChanges(told, line.changes);
    if (!next.ok) return { told, kept: lines.slice(0, i), lost: lines.slice(i) };
    told = next.value;
  }
  return { told, kept: lines, lost: [] };
}

/** The daybook with a last line that leads from what it tells to the household, and all that is apart. */
function conclude(sieve: Sieve, read: Household, household: Household, stamp: Stamp): Salvaged | null {
  const { told, kept, lost } = followLines(sieve.readLines());
  const hasSettings = kept.some(({ changes }) =>
    changes.some(({ table, before }) => table === 'settings' && before === undefined),
  );
  const changes: Change[] = computeDifference(told, household).filter(
    ({ table }) => hasSettings || table !== 'settings',
  );
  // Settings that no line brings come whole, so that the daybook does not lean on later defaults.
  if (!hasSettings) changes.push({ table: 'settings', id: 'household', after: { ...dropAbsent(household.settings) } });
  const last: DaybookEvent = {
    subject: getNaming().told.readable,
    ...stamp,
    seq: kept.length,
    type: kept.length === 0 ? 'catalogued' : 'mended',
    changes,
  };
  const whole = passWhole({ household, events: changes.length > 0 ? [...kept, last] : [...kept] });
  if (!whole.ok) return null;
  const gaveWay = computeDifference(read, household).map(({ table, id }): Apart => ({
    table,
    id,
    raw: getRecord(read, table, id),
    faults: [{ path: `${table}.${id}`, rule: 'gaveWay', message: 'could not stay as it was' }],
    left: getRecord(household, table, id),
  }));
  const rule = { path: 'seq', rule: 'order', message: 'does not follow on the line before' };
  const unread = lost.map((line): Apart => ({ table: 'events', id: line.id, raw: line, faults: [rule] }));
  return { chronicle: whole.value, apart: [...sieve.apart.values(), ...gaveWay, ...unread] };
}
