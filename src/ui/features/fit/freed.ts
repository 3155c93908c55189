import type { Household, Place, Plan } from '../../../core/records/index.ts';
import type { PlaceTree } from '../../../core/storage/index.ts';

/** Containers in use today, and those of them that a plan leaves empty. */
export function listFreed(household: Household, tree: PlaceTree, plan: Plan): { used: number; freed: Place[] } {
  const kept = new Set(plan.assignments.map((one) => one.placeId));
  const now = new Set([...household.lots.values()].map((lot) => lot.placeId));
  const used = tree.leaves.filter((place) => place.container && now.has(place.id));
  return { used: used.length, freed: used.filter((place) => !kept.has(place.id)) };
}
