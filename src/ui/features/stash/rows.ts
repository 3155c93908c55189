import { toDay } from '../../../core/units/index.ts';
import { computeWheelKey, getColourFamily, getColour } from '../../../core/colour/index.ts';
import { findClass } from '../../../core/grouping/index.ts';
import { computeStock, getAmount, getReserved } from '../../../core/measure/index.ts';
import { nameOfPromise } from '../../../core/promises/index.ts';
import {
  getUses,
  listChanged,
  isHomeless,
  takesRoom,
  type Household,
  type Item,
  type Kind,
  type Lot,
  type LotId,
} from '../../../core/records/index.ts';
import { formatPlaceName, getRoomSpec, type PlaceTree } from '../../../core/storage/index.ts';
import { finish, mapInSlices, type Slices } from '../../../core/slices/index.ts';
import { getTree } from '../../state/derived.ts';
import { deriveSlowly, slowlyBy } from '../../state/slowly.ts';
import { wordClass } from '../../text/index.ts';
import { getLanguage, perLanguage, wordTerm } from '../../language/index.ts';

/** A line of the stash, with what it can be narrowed and sorted by. */
export interface StashRow {
  readonly lot: Lot;
  readonly item: Item;
  /** Where it is, or would be; empty when it has no home. */
  readonly place: string;
  /** Its values for each facet of its kind, in the order of `FACETS_OF_KIND`. */
  readonly facets: readonly (readonly string[])[];
  readonly wheelKey: number;
}

export type Presence = 'in' | 'out' | 'homeless' | 'planned';

export const SORTS = ['name', 'colour', 'amount', 'what', 'uses', 'place', 'since'] as const;
export type SortBy = (typeof SORTS)[number];

/** What the stash is narrowed by. A row may have several values, as of tags, or none. */
export const FACETS = [
  'what',
  'colour',
  'presence',
  'length',
  'print',
  'washed',
  'promised',
  'attention',
  'station',
  'tag',
] as const;
export type Facet = (typeof FACETS)[number];

const COMMON: readonly Facet[] = ['what', 'colour', 'presence', 'promised', 'attention', 'station', 'tag'];
const CLOTHY: readonly Facet[] = [
  'what',
  'colour',
  'presence',
  'length',
  'print',
  'washed',
  'promised',
  'attention',
  'station',
  'tag',
];
export const FACETS_OF_KIND: Record<Kind, readonly Facet[]> = {
  fabric: CLOTHY,
  scrap: CLOTHY.filter((facet) => facet !== 'length'),
  pattern: COMMON,
  thread: COMMON,
  notion: COMMON,
  tool: COMMON,
  kit: COMMON,
  other: COMMON,
};

/** The values asked for, by facet; a facet that is not there is not narrowed by. */
export type Narrowing = Partial<Record<Facet, string>>;

/** The attribute a kind is told apart by. */
export function getWhat(item: Item): string {
  return item.fabric?.fibre ?? item.pattern?.garment ?? item.thread?.use ?? item.box?.type ?? '';
}

export function getPresence(lot: Lot): Presence {
  // What is wrapped with another, or is a file, needs no home of its own.
  if (!takesRoom(lot)) return 'in';
  if (isHomeless(lot)) return 'homeless';
  if (lot.state !== 'in') return 'out';
  return lot.placeId === lot.homeId && lot.form === lot.homeForm ? 'in' : 'planned';
}

const DAY_MS = 86_400_000;
/** Cloth is up for review after a year, all else after two. */
const FORGOTTEN_DAYS = { cloth: 365, other: 730 } as const;

/** What came lately and has no home yet is not forgotten, it is new. */
const NEW_DAYS = 30;

/** Not touched for long and promised to nothing, or long without a home: what a sewist would like to be reminded of. */
export function isForgotten(item: Item, lot: Lot, nowMs: number): boolean {
  if (getPresence(lot) === 'homeless') return nowMs - lot.sinceMs > NEW_DAYS * DAY_MS;
  const days = item.fabric ? FORGOTTEN_DAYS.cloth : FORGOTTEN_DAYS.other;
  return takesRoom(lot) && getReserved(lot) === 0 && nowMs - lot.sinceMs > days * DAY_MS;
}

/** What about a lot wants looking at. */
function listAttention(item: Item, lot: Lot, lotsOf: Context['lotsOf'], nowMs: number): string[] {
  const today = toDay(nowMs);
  const found: string[] = [];
  if (isForgotten(item, lot, nowMs)) found.push('forgotten');
  if (typeof lot.expiresOn === 'string' && lot.expiresOn < today) found.push('past');
  if (item.restockBelow !== undefined && computeStock(item, lotsOf(item)).amount < item.restockBelow) found.push('low');
  if (!item.photos) found.push('noPhoto');
  return found;
}

interface Context {
  readonly household: Household;
  readonly stations: ReadonlyMap<string, string>;
  /** All lots of a thing that are not gone. */
  readonly lotsOf: (item: Item) => readonly Lot[];
  readonly nowMs: number;
}

function listValues(facet: Facet, item: Item, lot: Lot, { household, stations, lotsOf, nowMs }: Context): string[] {
  switch (facet) {
    case 'what':
      return [getWhat(item)];
    case 'colour':
      return item.colours[0] ? [getColourFamily(item.colours[0])] : [];
    case 'presence':
      return [getPresence(lot)];
    case 'length': {
      const { bounds, units } = household.settings;
      return [wordClass('lengthMm', findClass(bounds.lengthMm, lot.lengthMm ?? 0), bounds, units)];
    }
    case 'print':
      return [item.fabric?.print ?? 'solid'];
    case 'washed':
      return [lot.isWashed === true ? 'yes' : lot.isWashed === false ? 'no' : 'unknown'];
    case 'promised':
      return (lot.reserved ?? []).length > 0 ? lot.reserved!.map((one) => nameOfPromise(household, one)) : ['nothing'];
    case 'attention':
      return listAttention(item, lot, lotsOf, nowMs);
    case 'station':
      return [item.stationId, ...(item.otherStationIds ?? [])].map((id) => stations.get(id) ?? id);
    case 'tag':
      return item.tags ?? [];
  }
}

/** Makes the rows of a household; `lotsOf` lists the lots of an item that are not gone. */
function createRowMaker(
  household: Household,
  tree: PlaceTree,
  nowMs: number,
  lotsOf: (item: Item) => readonly Lot[],
): (item: Item, lot: Lot) => StashRow {
  const stations = new Map(
    tree.rooms.flatMap((room) => getRoomSpec(room).stations.map((station) => [station.id, station.name] as const)),
  );
  const context: Context = { household, stations, lotsOf, nowMs };
  const names = new Map<string, string>();
  const nameOf = (id: NonNullable<Lot['placeId']>) => {
    let name = names.get(id);
    if (name === undefined) names.set(id, (name = formatPlaceName(tree, id)));
    return name;
  };
  return (item, lot) => {
    const at =
      lot.placeId ?? lot.homeId ?? (lot.withLotId ? (household.lots.get(lot.withLotId)?.placeId ?? null) : null);
    return {
      lot,
      item,
      place: at === null ? '' : nameOf(at),
      facets: FACETS_OF_KIND[item.kind].map((facet) => listValues(facet, item, lot, context)),
      wheelKey: computeWheelKey(getColour(item)),
    };
  };
}

/** All lots of a kind that are not gone. */
export const listRows = (household: Household, tree: PlaceTree, kind: Kind, nowMs: number): StashRow[] =>
  finish(listRowsInSlices(household, tree, kind, nowMs));

function* listRowsInSlices(household: Household, tree: PlaceTree, kind: Kind, nowMs: number): Slices<StashRow[]> {
  const mine: { item: Item; lot: Lot }[] = [];
  const lotsOf = new Map<string, Lot[]>();
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || item.kind !== kind || lot.state === 'gone') continue;
    mine.push({ item, lot });
    const known = lotsOf.get(item.id);
    if (known) known.push(lot);
    else lotsOf.set(item.id, [lot]);
  }
  const toRow = createRowMaker(household, tree, nowMs, (item) => lotsOf.get(item.id) ?? []);
  yield;
  return yield* mapInSlices(mine, ({ item, lot }) => toRow(item, lot));
}

/**
 * The rows after an act, from those before it: new ones for what changed, for other lots of the same thing and for what
 * is wrapped with it. Null where more than that may have changed.
 */
export function relistRows(
  rows: readonly StashRow[],
  before: Household,
  household: Household,
  tree: PlaceTree,
  nowMs: number,
): readonly StashRow[] | null {
  const isSame = (['items', 'places', 'projects', 'settings'] as const).every(
    (table) => before[table] === household[table],
  );
  if (!isSame) return null;
  const [lots, items] = [new Set<string>(), new Set<string>()];
  for (const id of listChanged(before.lots, household.lots)) {
    const [was, is] = [before.lots.get(id), household.lots.get(id)];
    if (!was || !is || was.itemId !== is.itemId || (was.state === 'gone') !== (is.state === 'gone')) return null;
    lots.add(id);
    items.add(is.itemId);
  }
  const isOther = ({ item, lot }: StashRow) =>
    items.has(item.id) || (lot.withLotId !== undefined && lots.has(lot.withLotId));
  if (!rows.some(isOther)) return rows;
  const toRow = createRowMaker(household, tree, nowMs, (item) =>
    [...household.lots.values()].filter((lot) => lot.itemId === item.id && lot.state !== 'gone'),
  );
  return rows.map((row) => (isOther(row) ? toRow(row.item, household.lots.get(row.lot.id)!) : row));
}

function createRowsOf(kind: Kind, nowMs: number) {
  let last: { readonly household: Household; readonly rows: readonly StashRow[] } | null = null;
  return deriveSlowly(function* (household): Slices<readonly StashRow[]> {
    const tree = getTree(household);
    const again = last && relistRows(last.rows, last.household, household, tree, nowMs);
    const rows = again ?? (yield* listRowsInSlices(household, tree, kind, nowMs));
    last = { household, rows };
    return rows;
  });
}

const rowsBy = slowlyBy<readonly StashRow[]>();

/** The rows of a household as it is on that day; those that an act did not touch are kept. */
export const useRows = (household: Household, kind: Kind, nowMs: number): readonly StashRow[] =>
  rowsBy(`${kind} ${Math.floor(nowMs / DAY_MS)}`, () => createRowsOf(kind, nowMs)).use(household);

/** What is left of the rows, and for each facet how many rows each of its values would leave. */
export interface Narrowed {
  readonly rows: readonly StashRow[];
  readonly counts: Readonly<Record<string, ReadonlyMap<string, number>>>;
}

/**
 * Narrows by all that is asked for at once. A value's count is over the rows that pass everything else, so
 * that choosing it leaves just so many.
 */
export function narrowRows(
  rows: readonly StashRow[],
  kind: Kind,
  narrowing: Narrowing,
  found: ReadonlySet<LotId> | null,
): Narrowed {
  const facets = FACETS_OF_KIND[kind];
  const wanted = facets.map((facet) => narrowing[facet]);
  const counts = facets.map(() => new Map<string, number>());
  const kept: StashRow[] = [];
  for (const row of rows) {
    if (found !== null && !found.has(row.lot.id)) continue;
    let failed = -1;
    let fails = 0;
    for (let f = 0; f < facets.length && fails < 2; f += 1)
      if (wanted[f] !== undefined && !row.facets[f]!.includes(wanted[f]!)) {
        failed = f;
        fails += 1;
      }
    if (fails > 1) continue;
    if (fails === 0) kept.push(row);
    for (let f = 0; f < facets.length; f += 1) {
      if (fails === 1 && f !== failed) continue;
      for (const value of row.facets[f]!) counts[f]!.set(value, (counts[f]!.get(value) ?? 0) + 1);
    }
  }
  return { rows: kept, counts: Object.fromEntries(facets.map((facet, f) => [facet, counts[f]!])) };
}

const collator = perLanguage(() => new Intl.Collator(getLanguage(), { numeric: true }));

function getSortAmount({ item, lot }: StashRow): number {
  return item.pattern ? item.pattern.number : getAmount(item, lot);
}

const COMPARE: Record<SortBy, (a: StashRow, b: StashRow) => number> = {
  name: (a, b) => collator().compare(a.item.name, b.item.name),
  colour: (a, b) => a.wheelKey - b.wheelKey,
  amount: (a, b) => getSortAmount(a) - getSortAmount(b),
  what: (a, b) => collator().compare(wordTerm(getWhat(a.item)), wordTerm(getWhat(b.item))),
  uses: (a, b) => getUses(a.item) - getUses(b.item),
  // What has no home comes last, it is what one looks for least often by place.
  place: (a, b) => Number(a.place === '') - Number(b.place === '') || collator().compare(a.place, b.place),
  since: (a, b) => a.lot.sinceMs - b.lot.sinceMs,
};

/** Sorted; equals by name, then id, so that the order never jumps. */
export function sortRows(rows: readonly StashRow[], by: SortBy, isDescending: boolean): StashRow[] {
  const sign = isDescending ? -1 : 1;
  return rows.toSorted(
    (a, b) =>
      sign * COMPARE[by](a, b) || COMPARE.name(a, b) || (a.lot.id < b.lot.id ? -1 : a.lot.id > b.lot.id ? 1 : 0),
  );
}

/** Rows under headings, or a plain run of rows under none. */
export type TableLine =
  | { readonly type: 'head'; readonly value: string; readonly count: number }
  | { readonly type: 'row'; readonly row: StashRow; readonly index: number };

/** Groups sorted rows by a facet, keeping their order; a row with several values stands under its first. */
export function groupRows(rows: readonly StashRow[], kind: Kind, by: Facet | null): TableLine[] {
  const at = by === null ? -1 : FACETS_OF_KIND[kind].indexOf(by);
  if (at < 0) return rows.map((row, index) => ({ type: 'row', row, index }));
  const groups = new Map<string, StashRow[]>();
  for (const row of rows) {
    const value = row.facets[at]![0] ?? '';
    const group = groups.get(value);
    if (group) group.push(row);
    else groups.set(value, [row]);
  }
  let index = 0;
  return [...groups]
    .toSorted(([a], [b]) => Number(a === '') - Number(b === '') || collator().compare(a, b))
    .flatMap(([value, members]): TableLine[] => [
      { type: 'head', value, count: members.length },
      ...members.map((row): TableLine => ({ type: 'row', row, index: index++ })),
    ]);
}
