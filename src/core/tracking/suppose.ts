import type { Group } from '../grouping/index.ts';
import type { Household, Item, ItemId, Lot, LotId, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';

/**
 * The household as it would be without a place and all in it: a bin, a compartment, a piece, or the furniture of a room,
 * which itself stays with its stations. What lay there lies out and has no home.
 */
export function withoutPlace(household: Household, placeId: PlaceId): Household {
  const tree = createPlaceTree(household.places);
  const gone = new Set<PlaceId>();
  const take = (id: PlaceId) => {
    gone.add(id);
    for (const child of tree.getChildren(id)) take(child.id);
  };
  if (household.places.get(placeId)?.level === 'room') for (const unit of tree.getChildren(placeId)) take(unit.id);
  else take(placeId);
  const places = new Map([...household.places].filter(([id]) => !gone.has(id)));
  const lots = new Map(household.lots);
  for (const lot of household.lots.values()) {
    const isHere = lot.placeId !== null && gone.has(lot.placeId);
    const isHome = lot.homeId !== null && gone.has(lot.homeId);
    if (!isHere && !isHome) continue;
    lots.set(lot.id, {
      ...lot,
      ...(isHere && { state: 'out' as const, placeId: null }),
      ...(isHome && { homeId: null }),
    });
  }
  return { ...household, places, lots };
}

/**
 * The household with so many mm more of cloth like that of a group, in pieces as long as the middle one of the group,
 * the last as long as is left. They lie out. Null where the group has no cloth measured by its length.
 */
export function withMoreCloth(household: Household, group: Group, lengthMm: number): Household | null {
  const measured = group.lots.filter((lot) => lot.lengthMm !== null && lot.lengthMm > 0);
  const middle = measured.toSorted((a, b) => a.lengthMm! - b.lengthMm!)[Math.floor(measured.length / 2)];
  const like = middle && household.items.get(middle.itemId);
  if (!middle || !like || like.kind !== 'fabric') return null;
  const items = new Map(household.items);
  const lots = new Map(household.lots);
  let left = lengthMm;
  for (let n = 0; left > 0; n += 1) {
    const length = Math.min(left, middle.lengthMm!);
    left -= length;
    const id = `supposed-${n}`;
    const item: Item = { ...like, id: id as ItemId, name: `${like.name}, more of it` };
    const lot: Lot = {
      ...middle,
      id: id as LotId,
      itemId: item.id,
      lengthMm: length,
      state: 'out',
      placeId: null,
      homeId: null,
      reserved: [],
    };
    items.set(item.id, item);
    lots.set(lot.id, lot);
  }
  return { ...household, items, lots };
}
