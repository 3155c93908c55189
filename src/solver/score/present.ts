import { isHomeless, type Lot, type PlaceId } from '../../core/records/index.ts';
import type { Facts, Offered } from '../model/index.ts';

/**
 * Things anywhere, broken rules and all, priced by the same rules as a plan: by lot, null where it is in no place of
 * the household. A form that does not suit its place counts as the first one that does.
 */
export function describeAt(facts: Facts, placeOf: (lot: Lot) => PlaceId | undefined): (Offered | null)[] {
  const index = new Map(facts.places.map((one, p) => [one.place.id, p]));
  return facts.lots.map((lot, l): Offered | null => {
    const id = placeOf(lot);
    const p = id === undefined ? undefined : index.get(id);
    if (p === undefined) return null;
    const packages = facts.packages[l]!.toSorted((a, b) => Number(b.form === lot.form) - Number(a.form === lot.form));
    for (const pkg of packages) {
      const offered = facts.describe(l, p, pkg);
      if (offered) return offered;
    }
    return null;
  });
}

/** A place that there is now, where a home that waits for its container to be carried will be. */
function findStandIn({ tree }: Facts, id: PlaceId): PlaceId {
  const place = tree.places.get(id);
  const slotId = place?.container && !place.parentId ? place.container.goesTo?.slotId : undefined;
  const at = slotId ?? id;
  return tree.getChildren(at)[0]?.id ?? at;
}

/** Things as they are today: what is out counts at its home, where it was there, and nothing is carried. */
export function describePresent(facts: Facts): (Offered | null)[] {
  const placeOf = (lot: Lot) => {
    const home = isHomeless(lot) ? undefined : lot.homeId;
    return lot.placeId ?? (home && findStandIn(facts, home));
  };
  return describeAt(facts, placeOf).map((one) => one && { ...one, moving: 0 });
}
