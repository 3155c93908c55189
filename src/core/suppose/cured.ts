import type { Household, PlaceId } from '../records/index.ts';
import { createPlaceTree, getAncestor } from '../storage/index.ts';

/** The smallest thing that could be done to a room so that something has a home. */
export type Cure =
  /** A drawer, door or lid that gets a lock. */
  | { readonly code: 'lock'; readonly placeId: PlaceId }
  /** A piece on the wall that is hung so many mm higher. */
  | { readonly code: 'raise'; readonly placeId: PlaceId; readonly mm: number };

/** The household as it would be with the cure; where its place is. */
export function withCure(household: Household, cure: Cure): Household {
  const tree = createPlaceTree(household.places);
  const places = new Map(household.places);
  const at = getAncestor(tree, cure.placeId, cure.code === 'lock' ? 'slot' : 'unit');
  if (at?.slot && cure.code === 'lock') places.set(at.id, { ...at, slot: { ...at.slot, isChildSafe: true } });
  if (at?.unit && cure.code === 'raise') places.set(at.id, { ...at, unit: { ...at.unit, yMm: at.unit.yMm + cure.mm } });
  return { ...household, places };
}
