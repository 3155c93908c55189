import type { Household, LotId, Place, PlaceId, Wish } from '../../core/records/index.ts';

/** What a wish says of one lot and one place. */
export type WishCode = 'stays' | 'not-in' | 'free';

/** The sewist's wishes, by the numbers of lots, places and groups. */
export interface Wishes {
  /** Why a lot may not go into a place; null where no wish speaks against it. */
  readonly forbid: (lot: number, place: number) => WishCode | null;
  /** By place, 1 where wishes forbid a lot; null where none does. Lots with the same id share a row. */
  readonly getForbidden: (lot: number) => { readonly id: number; readonly places: Uint8Array } | null;
  /** Lots that are to keep the form they have. */
  readonly keepsForm: (lot: number) => boolean;
  /** Lots that go to one place together, none in two sets. */
  readonly sets: readonly (readonly number[])[];
  /** The set of each lot, -1 where it is in none. */
  readonly setOf: Int32Array;
  /** By lot and by group: those that must not be in the same place. */
  readonly apartLots: readonly (readonly number[])[];
  readonly apartGroups: readonly (readonly number[])[];
  readonly hasApart: boolean;
}

interface Numbered {
  readonly lots: readonly { readonly id: LotId; readonly homeId?: PlaceId; readonly placeId?: PlaceId }[];
  readonly groupOf: readonly number[];
  readonly groupIds: readonly string[];
  /** From the room down to each place; those that there are come first. */
  readonly paths: readonly (readonly Place[])[];
}

/** Sets that share a lot are one. */
function mergeSets(sets: readonly (readonly number[])[]): number[][] {
  const merged: Set<number>[] = [];
  for (const set of sets) {
    const mine = merged.filter((other) => set.some((lot) => other.has(lot)));
    const next = new Set([...mine.flatMap((other) => [...other]), ...set]);
    for (const other of mine) merged.splice(merged.indexOf(other), 1);
    merged.push(next);
  }
  return merged.map((set) => [...set].toSorted((a, b) => a - b)).filter((set) => set.length > 1);
}

/** Works out the wishes of a household. What a wish names and is no more is passed over. */
export function compileWishes(household: Household, of: Numbered): Wishes {
  const wishes = household.settings.wishes ?? [];
  const lotIndex = new Map(of.lots.map((lot, l) => [lot.id as string, l]));
  const groupIndex = new Map(of.groupIds.map((id, g) => [id, g]));
  const placeIndex = new Map<string, number>();
  for (const [p, path] of of.paths.entries()) if (!placeIndex.has(path.at(-1)!.id)) placeIndex.set(path.at(-1)!.id, p);
  const placesIn = (id: PlaceId) => of.paths.flatMap((path, p) => (path.some((place) => place.id === id) ? [p] : []));
  const lotsOf = ({ lotIds, groupIds }: Wish) => {
    const groups = new Set(groupIds.map((id) => groupIndex.get(id)));
    return of.lots.flatMap((lot, l) => (lotIds.includes(lot.id) || groups.has(of.groupOf[l]!) ? [l] : []));
  };
  /** Where each lot is, or belongs while it is out. */
  const here = of.lots.map((lot) => placeIndex.get(lot.placeId ?? lot.homeId ?? '') ?? -1);

  const stays = new Set<number>();
  const closed = new Set<number>();
  const free = new Set<number>();
  const notIn = of.lots.map(() => new Set<number>());
  const together: number[][] = [];
  const apartLots: number[][] = of.lots.map(() => []);
  const apartGroups: number[][] = of.groupIds.map(() => []);
  for (const wish of wishes) {
    const { kind, placeId } = wish;
    if (kind === 'stays') {
      if (placeId) {
        const inside = new Set(placesIn(placeId));
        for (const p of inside) closed.add(p);
        for (const [l, p] of here.entries()) if (inside.has(p)) stays.add(l);
      }
      for (const l of lotsOf(wish)) if (here[l]! >= 0) stays.add(l);
    } else if (kind === 'free' && placeId) for (const p of placesIn(placeId)) free.add(p);
    else if (kind === 'notIn' && placeId) {
      const inside = placesIn(placeId);
      for (const l of lotsOf(wish)) for (const p of inside) notIn[l]!.add(p);
    } else if (kind === 'together') together.push(lotsOf(wish));
    else if (kind === 'apart') {
      const lots = wish.lotIds.flatMap((id) => lotIndex.get(id) ?? []);
      for (const a of lots) for (const b of lots) if (a !== b) apartLots[a]!.push(b);
      const groups = wish.groupIds.flatMap((id) => groupIndex.get(id) ?? []);
      for (const a of groups) for (const b of groups) if (a !== b) apartGroups[a]!.push(b);
    }
  }
  const forbid = (l: number, p: number): WishCode | null => {
    if (stays.has(l)) return here[l] === p ? null : 'stays';
    if (closed.has(p)) return 'stays';
    if (free.has(p)) return 'free';
    return notIn[l]?.has(p) ? 'not-in' : null;
  };
  const createRow = (l: number) => ({
    id: l,
    places: Uint8Array.from(of.paths, (_, p) => Number(forbid(l, p) !== null)),
  });
  // The row of all lots that no wish names.
  const common = closed.size + free.size > 0 ? createRow(-1) : null;
  const sets = mergeSets(together);
  const setOf = new Int32Array(of.lots.length).fill(-1);
  for (const [i, set] of sets.entries()) for (const l of set) setOf[l] = i;
  return {
    forbid,
    getForbidden: (l) => (stays.has(l) || notIn[l]!.size > 0 ? createRow(l) : common),
    keepsForm: (l) => stays.has(l),
    sets,
    setOf,
    apartLots,
    apartGroups,
    hasApart: apartLots.some((list) => list.length > 0) || apartGroups.some((list) => list.length > 0),
  };
}
