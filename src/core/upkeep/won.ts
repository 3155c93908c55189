import type { Household, Lot, LotId, PlaceId } from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from '../storage/index.ts';
import { listStrained } from '../whereabouts/index.ts';
import { computeLitres } from './flowsByGroup.ts';

/** What a sitting brought: what stays, what is to be used, what leaves, and the room that is won by it. */
export interface SittingWon {
  readonly stays: number;
  readonly leaves: number;
  readonly litres: number;
  /** Where it lies, the most room first. */
  readonly places: readonly { readonly placeId: PlaceId; readonly litres: number }[];
}

const getPlace = ({ homeId, placeId }: Lot): PlaceId | undefined => homeId ?? placeId;

/** The household without what is to leave: its room is free. */
export function withoutLeaving(household: Household): Household {
  const lots = new Map([...household.lots].filter(([, lot]) => lot.leaving === undefined));
  return { ...household, lots };
}

/** What was won of the things that were gone through. */
export function sumWon(household: Household, ids: readonly LotId[], sinceMs: number): SittingWon {
  const lots = ids.flatMap((id) => household.lots.get(id) ?? []);
  const leaving = lots.filter((lot) => lot.leaving !== undefined || lot.state === 'gone');
  const byPlace = new Map<PlaceId, number>();
  for (const lot of leaving) {
    const place = getPlace(lot);
    const litres = computeLitres(household, [lot]);
    if (place) byPlace.set(place, (byPlace.get(place) ?? 0) + litres);
  }
  return {
    stays: lots.filter((lot) => lot.leaving === undefined && lot.state !== 'gone' && (lot.lookedAtMs ?? 0) >= sinceMs)
      .length,
    leaves: leaving.length,
    litres: computeLitres(household, leaving),
    places: [...byPlace]
      .map(([placeId, litres]) => ({ placeId, litres }))
      .toSorted((a, b) => b.litres - a.litres || (a.placeId < b.placeId ? -1 : 1)),
  };
}

/** What would gain most by the room that is won: what has no home, then what lies in places that hold too much; the often used first. */
export function listWaiting(
  household: Household,
  tree: PlaceTree = createPlaceTree(household.places),
  most = 6,
): LotId[] {
  const { full, crowded } = listStrained(household, tree);
  const strained = new Set([...full, ...crowded]);
  const rank = (lot: Lot): number => {
    if (lot.leaving !== undefined || lot.state !== 'in') return lot.homeId === undefined && lot.state === 'out' ? 0 : 9;
    if (full.includes(lot.placeId!)) return 1;
    return strained.has(lot.placeId!) ? 2 : 9;
  };
  const usesOf = (lot: Lot) => household.items.get(lot.itemId)?.usesPerMonth ?? 0;
  return [...household.lots.values()]
    .map((lot) => ({ lot, rank: rank(lot) }))
    .filter((one) => one.rank < 9)
    .toSorted((a, b) => a.rank - b.rank || usesOf(b.lot) - usesOf(a.lot) || (a.lot.id < b.lot.id ? -1 : 1))
    .slice(0, most)
    .map(({ lot }) => lot.id);
}
