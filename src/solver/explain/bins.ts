import type { Household, PlaceId } from '../../core/records/index.ts';
import { createFacts, type Offered } from '../model/index.ts';
import { describePresent, recount } from '../score/index.ts';

/** What would come of a container, with all that is in it, standing elsewhere: the best of the other compartments. */
export interface BinReason {
  /** Null where there is no other compartment free that it would stand in. */
  readonly best: { readonly slotId: PlaceId; readonly moreSeconds: number } | null;
}

/**
 * Why a container stands where it does: every free compartment that it could stand in was tried with all that is in it,
 * and priced like a plan, carrying it counted. Null for what is no container, or an empty one.
 */
export function explainBin(household: Household, placeId: PlaceId): BinReason | null {
  const isUsed = [...household.lots.values()].some((lot) => (lot.placeId ?? lot.homeId) === placeId);
  if (!household.places.get(placeId)?.container || !isUsed) return null;
  const facts = createFacts(household, { isOpen: true, berths: household.places });
  const { places, standings } = facts;
  const p = places.findIndex(({ place }) => place.id === placeId);
  if (p < 0) return null;
  const offered = describePresent(facts);
  const inside = offered.flatMap((one, l) => (one?.place === p ? [l] : []));
  if (inside.length === 0) return null;
  const kind = standings.kindOf.get(placeId);
  const taken = new Set(offered.flatMap((one) => (one ? [places[one.place]!.slot] : [])));
  const base = recount(facts, offered).seconds;
  const count = places.length - standings.further.length;
  let best: BinReason['best'] = null;
  for (const [i, further] of standings.further.entries()) {
    const q = count + i;
    if (kind === undefined || further.kind !== kind || taken.has(places[q]!.slot)) continue;
    const next: (Offered | null)[] = [...offered];
    const isLaid = inside.every((l) => {
      next[l] = facts.describe(l, q, offered[l]!.pkg);
      return next[l] !== null;
    });
    if (!isLaid) continue;
    const moreSeconds = recount(facts, next).seconds - base;
    if (!best || moreSeconds < best.moreSeconds) best = { slotId: further.slotId, moreSeconds };
  }
  return { best };
}
