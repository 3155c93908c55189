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

/** Things as they are today: what is out counts at its home, where it was there, and nothing is carried. */
export function describePresent(facts: Facts): (Offered | null)[] {
  return describeAt(facts, (lot) => lot.placeId ?? (isHomeless(lot) ? undefined : lot.homeId)).map(
    (one) => one && { ...one, moving: 0 },
  );
}
