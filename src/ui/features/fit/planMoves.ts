import type { Household, Item, Lot, Place, PlaceId, Plan, StowForm } from '../../../core/records/index.ts';
import type { PlaceTree } from '../../../core/storage/index.ts';

/** One thing to carry, or to fold another way where it is. */
export interface PlanMove {
  readonly lot: Lot;
  readonly item: Item;
  readonly from: PlaceId | null;
  readonly form: StowForm;
  readonly isRefold: boolean;
}

/** What comes to a place. */
export interface Arrivals {
  readonly place: Place;
  readonly moves: readonly PlanMove[];
}

/** What a plan would have one carry, by where it goes, in the order of the places; `tree` is as the plan has it. */
export function listMoves(household: Household, tree: PlaceTree, plan: Plan): Arrivals[] {
  const byPlace = new Map<PlaceId, PlanMove[]>();
  for (const { lotId, placeId, form } of plan.assignments) {
    const lot = household.lots.get(lotId);
    const item = lot && household.items.get(lot.itemId);
    if (!lot || !item) continue;
    const isThere = lot.placeId === placeId;
    if (isThere && lot.form === form) continue;
    const moves = byPlace.get(placeId) ?? [];
    byPlace.set(placeId, moves);
    moves.push({ lot, item, from: lot.placeId ?? null, form, isRefold: isThere });
  }
  return tree.leaves.flatMap((place) => {
    const moves = byPlace.get(place.id);
    return moves ? [{ place, moves }] : [];
  });
}
