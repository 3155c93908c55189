import type { Group } from '../grouping/index.ts';
import {
  createLotAlike,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type Place,
  type PlaceId,
} from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createSavePlaces } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';

/**
 * The household as it would be without a place and all in it: a bin, a compartment, a piece, or the furniture of a room,
 * which itself stays with its stations. What lay there lies out and has no home.
 */
export function withoutPlace(household: Household, placeId: PlaceId): Household {
  const tree = createPlaceTree(household.places);
  const listWithin = (id: PlaceId): Place[] =>
    tree.getChildren(id).flatMap((child) => [child, ...listWithin(child.id)]);
  const place = household.places.get(placeId);
  if (!place) return household;
  const gone = place.level === 'room' ? listWithin(placeId) : [place, ...listWithin(placeId)];
  const act = createSavePlaces(household, '', [], gone, 0);
  const without = act.ok ? applyChanges(household, act.value.changes) : act;
  // A room that is empty already lacks nothing more.
  return without.ok ? without.value : household;
}

/**
 * The household with so many mm more of cloth like that of a group, in pieces as long as the middle one of the group,
 * the last as long as is left. They lie out. Null where the group has no cloth measured by its length.
 */
export function withMoreCloth(household: Household, group: Group, lengthMm: number): Household | null {
  const measured = group.lots.filter((lot) => lot.lengthMm !== undefined && lot.lengthMm > 0);
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
      ...createLotAlike(id as LotId, middle, middle.sinceMs),
      state: 'out',
      itemId: item.id,
      lengthMm: length,
    };
    items.set(item.id, item);
    lots.set(lot.id, lot);
  }
  return { ...household, items, lots };
}
