import { computeWheelKey, getColourFamily } from '../../../core/colour/index.ts';
import { takesRoom, type Household, type Item, type Kind, type Lot, type LotId } from '../../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../../core/storage/index.ts';

/** A line of the stash. */
export interface StashRow {
  readonly lot: Lot;
  readonly item: Item;
  /** Where it is, or would be; empty when it has no home. */
  readonly place: string;
}

export const PRESENCES = ['all', 'in', 'out', 'homeless', 'planned'] as const;
export type Presence = (typeof PRESENCES)[number];

export const SORTS = ['name', 'colour', 'amount', 'what', 'uses', 'place'] as const;
export type SortBy = (typeof SORTS)[number];

export interface StashFilter {
  /** Fibre, garment, use or type; empty for all. */
  readonly what: string;
  readonly colour: string;
  readonly presence: Presence;
  /** Lots that the words in the search box mean; null when it is empty. */
  readonly found: ReadonlySet<LotId> | null;
}

/** The attribute a kind is told apart by. */
export function getWhat(item: Item): string {
  return item.fabric?.fibre ?? item.pattern?.garment ?? item.thread?.use ?? item.kit?.state ?? item.box?.type ?? '';
}

export function getPresence(lot: Lot): Presence {
  // What is wrapped with another, or is a file, needs no home of its own.
  if (!takesRoom(lot)) return 'in';
  if (lot.homeId === null) return 'homeless';
  if (lot.state !== 'in') return 'out';
  return lot.placeId === lot.homeId && lot.form === lot.homeForm ? 'in' : 'planned';
}

function getAmount({ item, lot }: StashRow): number {
  return item.pattern ? item.pattern.number : (lot.lengthMm ?? lot.count);
}

const COMPARE: Record<SortBy, (a: StashRow, b: StashRow) => number> = {
  name: (a, b) => a.item.name.localeCompare(b.item.name, 'en'),
  colour: (a, b) => computeWheelKey(a.item.colours[0] ?? '#888888') - computeWheelKey(b.item.colours[0] ?? '#888888'),
  amount: (a, b) => getAmount(a) - getAmount(b),
  what: (a, b) => getWhat(a.item).localeCompare(getWhat(b.item), 'en'),
  uses: (a, b) => a.item.usesPerMonth - b.item.usesPerMonth,
  // What has no home comes last, it is what one looks for least often by place.
  place: (a, b) =>
    Number(a.place === '') - Number(b.place === '') || a.place.localeCompare(b.place, 'en', { numeric: true }),
};

/** All lots of a kind that are not gone. */
export function listRows(household: Household, tree: PlaceTree, kind: Kind): StashRow[] {
  const rows: StashRow[] = [];
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || item.kind !== kind || lot.state === 'gone') continue;
    const at = lot.placeId ?? lot.homeId;
    rows.push({ lot, item, place: at === null ? '' : formatPlaceName(tree, at) });
  }
  return rows;
}

export function filterRows(rows: readonly StashRow[], filter: StashFilter): StashRow[] {
  const { what, colour, presence, found } = filter;
  return rows.filter(
    ({ lot, item }) =>
      (what === '' || getWhat(item) === what) &&
      (colour === '' || getColourFamily(item.colours[0] ?? '#888888') === colour) &&
      (presence === 'all' || getPresence(lot) === presence) &&
      (found === null || found.has(lot.id)),
  );
}

/** Sorted; equals by name, then id, so that the order never jumps. */
export function sortRows(rows: readonly StashRow[], by: SortBy, isDescending: boolean): StashRow[] {
  const sign = isDescending ? -1 : 1;
  return rows.toSorted(
    (a, b) =>
      sign * COMPARE[by](a, b) || COMPARE.name(a, b) || (a.lot.id < b.lot.id ? -1 : a.lot.id > b.lot.id ? 1 : 0),
  );
}
