import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { fail, ok, type Result } from '../result/index.ts';
import { findBadField } from './absent.ts';
import { compileTest } from './compile.ts';
import { DaybookEvent, type Change, type TableName } from './event.ts';
import { Item } from './item.ts';
import { Lot } from './lot.ts';
import { Place } from './place.ts';
import { Plan } from './plan.ts';
import { Project } from './project.ts';
import { Settings } from './settings.ts';

/** A broken rule of a record: where (a path such as `items.3.fabric.widthMm`) and which. */
export interface RecordFault {
  readonly path: string;
  readonly rule: string;
  readonly message: string;
}

export interface RecordOf {
  items: Item;
  lots: Lot;
  places: Place;
  plans: Plan;
  projects: Project;
  settings: Settings;
  events: DaybookEvent;
}

/** The class of each table's records. */
export const CLASS_OF: { [T in TableName | 'events']: new () => RecordOf[T] } = {
  items: Item,
  lots: Lot,
  places: Place,
  plans: Plan,
  projects: Project,
  settings: Settings,
  events: DaybookEvent,
};

function collect(errors: readonly ValidationError[], prefix: string, faults: RecordFault[]): void {
  for (const error of errors) {
    const path = prefix === '' ? error.property : `${prefix}.${error.property}`;
    for (const [rule, message] of Object.entries(error.constraints ?? {})) faults.push({ path, rule, message });
    collect(error.children ?? [], path, faults);
  }
}

const SPECS_OF_KIND = {
  fabric: ['fabric'],
  pattern: ['pattern'],
  thread: ['thread'],
  notion: ['box'],
  tool: ['box'],
  scrap: ['fabric', 'scrap'],
  kit: ['box'],
  other: ['box'],
} as const;

/** Nothing is kept in a cell that is narrower. */
const LEAST_CELL_MM = 5;

/** Rules that span fields of one record. */
function checkWhole(table: string, record: object, path: string): RecordFault[] {
  const faults: RecordFault[] = [];
  if (table === 'items') {
    const item = record as Item;
    for (const spec of SPECS_OF_KIND[item.kind])
      if (!item[spec]) faults.push({ path: `${path}${spec}`, rule: 'missing', message: `${spec} is missing` });
  }
  if (table === 'places') {
    const place = record as Place;
    if (!place[place.level])
      faults.push({ path: `${path}${place.level}`, rule: 'missing', message: `${place.level} is missing` });
    const box = place.container;
    // A room stands alone, and a container may: it is idle then.
    if ((place.parentId === undefined) !== (place.level === 'room') && !(place.parentId === undefined && box))
      faults.push({ path: `${path}parentId`, rule: 'tree', message: 'only a room stands alone' });
    const cells = box?.dividers;
    if (box && cells) {
      const side = (outerMm: number, n: number) => (outerMm - 2 * box.wallMm - (n - 1) * cells.thickMm) / n;
      const least = Math.min(side(box.outerWidthMm, cells.columns), side(box.outerDepthMm, cells.rows));
      if (least < LEAST_CELL_MM)
        faults.push({ path: `${path}container.dividers`, rule: 'max', message: 'the dividers leave no room inside' });
    }
    if (box?.isRetired && place.parentId !== undefined)
      faults.push({ path: `${path}parentId`, rule: 'tree', message: 'what is retired stands nowhere' });
    if (box && 2 * box.wallMm >= Math.min(box.outerWidthMm, box.outerDepthMm, box.outerHeightMm))
      faults.push({ path: `${path}container.wallMm`, rule: 'max', message: 'the walls leave no room inside' });
  }
  if (table === 'lots') {
    const lot = record as Lot;
    if ((lot.state === 'in') !== (lot.placeId !== undefined))
      faults.push({ path: `${path}placeId`, rule: 'onePlace', message: 'a lot is in exactly one place, or out' });
    if (lot.away && lot.state !== 'out')
      faults.push({ path: `${path}away`, rule: 'onePlace', message: 'only what is out waits or is missing' });
    for (const [i, { forWhat, projectId, needId }] of (lot.reserved ?? []).entries())
      if ((forWhat === undefined) !== (projectId !== undefined) || (projectId === undefined && needId !== undefined))
        faults.push({
          path: `${path}reserved.${i}`,
          rule: 'missing',
          message: 'is promised to a project or to something in words',
        });
    if ((lot.state === 'with') !== (lot.withLotId !== undefined))
      faults.push({
        path: `${path}withLotId`,
        rule: 'onePlace',
        message: 'what is wrapped names what it is wrapped with',
      });
  }
  if (table === 'events')
    for (const [i, change] of (record as DaybookEvent).changes.entries())
      faults.push(...checkChange(change, `${path}changes.${i}`));
  return faults;
}

/** Made when a table is first read; the decorators are all there by then. */
const tests = new Map<string, (raw: unknown) => boolean>();

function passesQuickly(table: TableName | 'events', raw: unknown, isPart: boolean): boolean {
  const key = isPart ? `${table} in part` : table;
  let test = tests.get(key);
  if (!test) {
    test = compileTest(CLASS_OF[table], isPart);
    tests.set(key, test);
  }
  return test(raw);
}

/**
 * What the validator itself says of a record: the slow twin, which finds the words for what is wrong. With `isPart`, of
 * those of its fields that are there.
 */
export function findClassFaults(table: TableName | 'events', raw: object, path: string, isPart = false): RecordFault[] {
  const bad = findBadField(raw, path);
  if (bad) return [{ ...bad, message: bad.rule === 'name' ? 'no field can be called so' : 'has no value' }];
  const instance = plainToInstance(CLASS_OF[table] as new () => object, raw);
  const errors = validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  const faults: RecordFault[] = [];
  collect(isPart ? errors.filter((error) => error.property in raw) : errors, path, faults);
  return faults;
}

/** Both sides of a change are as good as records: the whole of one that comes or goes, else those fields that differ. */
function checkChange(change: Change, path: string): RecordFault[] {
  const { table, id, before, after } = change;
  if (!before && !after) return [{ path, rule: 'change', message: 'must say what was or what is' }];
  const isPart = before !== undefined && after !== undefined;
  return (['before', 'after'] as const).flatMap((side): RecordFault[] => {
    const fields = change[side];
    if (!fields) return [];
    const at = `${path}.${side}`;
    const faults = passesQuickly(table, fields, isPart) ? [] : findClassFaults(table, fields, at, isPart);
    if (faults.length > 0) return faults;
    if (!isPart) faults.push(...checkWhole(table, fields, `${at}.`));
    const named = fields['id'];
    if (isPart ? named !== undefined : named !== id)
      faults.push({ path: `${at}.id`, rule: 'change', message: 'a record keeps its id' });
    return faults;
  });
}

/**
 * Checks an untrusted record against its class: all fields known, with a value and in range.
 * Returns the record itself (plain, unchanged) or every fault with its path.
 */
export function parseRecord<T extends TableName | 'events'>(
  table: T,
  raw: unknown,
  path = '',
): Result<RecordOf[T], RecordFault[]> {
  const prefix = path === '' ? '' : `${path}.`;
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return fail([{ path: path || table, rule: 'isObject', message: 'must be an object' }]);
  const faults = passesQuickly(table, raw, false) ? [] : findClassFaults(table, raw, path);
  if (faults.length === 0) faults.push(...checkWhole(table, raw, prefix));
  return faults.length > 0 ? fail(faults) : ok(raw as RecordOf[T]);
}
