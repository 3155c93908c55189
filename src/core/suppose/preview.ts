import { takesRoom, type Stowage, type Household, type Lot } from '../records/index.ts';
import { createPlaceTree, listBinsToCarry, standAsPlanned } from '../storage/index.ts';

/** The household as it would be with a plan carried out; what the plan does not place lies out. For looking at only. */
export function previewPlan(household: Household, plan: Stowage): Household {
  const { places } = standAsPlanned(household.places, plan.bins ?? []);
  const leaves = new Set(createPlaceTree(places).leaves.map(({ id }) => id));
  const assigned = new Map(plan.assignments.map((one) => [one.lotId, one]));
  const lots = new Map(household.lots);
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot)) continue;
    const to = assigned.get(lot.id);
    const next: Lot =
      to && leaves.has(to.placeId)
        ? {
            ...lot,
            state: 'in',
            away: undefined,
            placeId: to.placeId,
            order: to.order,
            form: to.form,
            homeId: to.placeId,
            homeOrder: to.order,
            homeForm: to.form,
          }
        : { ...lot, state: 'out', placeId: undefined, homeId: undefined };
    lots.set(lot.id, next);
  }
  return { ...household, places, lots };
}

/** Where the homes are, as a plan: what was adopted, and what was changed by hand since. */
export function toHomePlan(household: Household): Stowage {
  return {
    assignments: [...household.lots.values()].flatMap((lot) =>
      takesRoom(lot) && lot.homeId !== undefined
        ? [{ lotId: lot.id, placeId: lot.homeId, form: lot.homeForm, order: lot.homeOrder }]
        : [],
    ),
    bins: listBinsToCarry(household.places),
  };
}
