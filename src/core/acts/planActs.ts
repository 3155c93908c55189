import { getNaming } from '../naming/index.ts';
import {
  takesRoom,
  type Household,
  type Lot,
  type LotId,
  type PlaceId,
  type Plan,
  type PlanId,
  type Change,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Package } from '../measure/index.ts';
import {
  computeSpace,
  createPlaceTree,
  listBinsToCarry,
  standAsPlanned,
  withoutBerth,
  type PlaceTree,
} from '../storage/index.ts';
import { type Act, getLot } from './act.ts';
import { createCarriedBins } from './moveActs.ts';
import { createChange } from '../daybook/index.ts';
import { computeFill, computePresentPackage } from '../whereabouts/index.ts';

/** So many plans are kept beside each other; more would not be compared. */
export const MOST_KEPT = 4;

/** Plans that are kept to be compared and were not adopted, the newest first. */
export function listKept(household: Household): Plan[] {
  return [...household.plans.values()]
    .filter((plan) => plan.adoptedAtMs === undefined)
    .toSorted((a, b) => b.madeAtMs - a.madeAtMs || (a.id < b.id ? -1 : 1));
}

/** Keeps a plan under a name; refused where as many are kept as are compared. */
export function createKeepPlan(household: Household, plan: Plan, name: string): Act {
  if (!household.plans.has(plan.id) && listKept(household).length >= MOST_KEPT)
    return fail({ code: 'nothing-changed' });
  const change = createChange('plans', plan.id, household.plans.get(plan.id) ?? null, {
    ...plan,
    name,
    adoptedAtMs: undefined,
  });
  return change ? ok({ type: 'planned', subject: name, changes: [change] }) : fail({ code: 'nothing-changed' });
}

export function createDropPlan(household: Household, id: PlanId): Act {
  const plan = household.plans.get(id);
  const change = plan ? createChange('plans', id, plan, null) : null;
  return change
    ? ok({ type: 'removed', subject: plan?.name ?? getNaming().told.plan, changes: [change] })
    : fail({ code: 'nothing-changed' });
}

/** How a plan stands to the household as it is. */
export interface PlanStanding {
  /** Things to carry or refold. */
  readonly moves: number;
  /** Places filled beyond the fill target. */
  readonly overTarget: number;
  /** What the plan does not know, or knows that is no more: lots that came since, lots and places that are gone. */
  readonly newLots: readonly LotId[];
  readonly goneLots: number;
  readonly gonePlaces: number;
}

export function computePlanStanding(household: Household, tree: PlaceTree, plan: Plan): PlanStanding {
  const stood = standAsPlanned(tree.places, plan.bins ?? []);
  const then = stood.places === tree.places ? tree : createPlaceTree(stood.places);
  const leaves = new Set(then.leaves.map((place) => place.id));
  const known = new Set([...plan.assignments, ...plan.unplaced].map((one) => one.lotId));
  const inside = new Map<PlaceId, Package[]>();
  let [moves, goneLots, gonePlaces] = [(plan.bins?.length ?? 0) - stood.left.length, 0, stood.left.length];
  for (const { lotId, placeId, form } of plan.assignments) {
    const lot = household.lots.get(lotId);
    if (!lot || !takesRoom(lot)) {
      goneLots += 1;
      continue;
    }
    if (!leaves.has(placeId)) {
      gonePlaces += 1;
      continue;
    }
    if (lot.placeId !== placeId || lot.form !== form) moves += 1;
    const pkg = computePresentPackage(household, lot, form);
    if (pkg) inside.set(placeId, [...(inside.get(placeId) ?? []), pkg]);
  }
  const newLots = [...household.lots.values()].filter((lot) => takesRoom(lot) && !known.has(lot.id));
  const { fillTarget } = household.settings;
  return {
    moves,
    overTarget: [...inside].filter(
      ([id, packages]) => computeFill(packages, computeSpace(then, then.places.get(id)!)) > fillTarget + 1e-9,
    ).length,
    newLots: newLots.map((lot) => lot.id),
    goneLots,
    gonePlaces,
  };
}

/** Lots that two plans put into different places, or that only one of them places. */
export function listDifferences(a: Plan, b: Plan): LotId[] {
  const placeIn = (plan: Plan) => new Map(plan.assignments.map((one) => [one.lotId, one.placeId]));
  const [first, second] = [placeIn(a), placeIn(b)];
  return [...new Set([...first.keys(), ...second.keys()])].filter((id) => first.get(id) !== second.get(id));
}

/** What every container is told by a plan: where it is to be carried, or that it stays. */
function createBerths({ places }: Household, { bins = [] }: Plan): (Change | null)[] {
  const to = new Map(bins.map((one) => [one.placeId, one]));
  return [...places.values()].flatMap((place) => {
    if (!place.container) return [];
    const still = withoutBerth(place);
    const wanted = to.get(place.id);
    if (!wanted) return place.container.goesTo ? createChange('places', place.id, place, still) : [];
    const { placeId: _placeId, ...goesTo } = wanted;
    return createChange('places', place.id, place, { ...still, container: { ...still.container!, goesTo } });
  });
}

/**
 * Adopts a plan: every lot in it gets its home there, and those for which it found none lose theirs; what it does not
 * know, for it came since, keeps its home while that is left. Where things and containers are does not change yet. A plan
 * that names a lot or place that is gone, or a container that goes there no more, is refused whole.
 */
export function createAdopt(household: Household, plan: Plan, subject: string, nowMs: number): Act {
  const changes: (Change | null)[] = [];
  const known = household.plans.get(plan.id) ?? null;
  const { places, left } = standAsPlanned(household.places, plan.bins ?? []);
  const leaves = new Set(createPlaceTree(places).leaves.map((place) => place.id));
  const isStale = plan.assignments.some(
    ({ lotId, placeId }) => getLot(household, lotId) === null || !leaves.has(placeId),
  );
  if (isStale || left.length > 0) return fail({ code: 'stale-plan' });
  changes.push(...createBerths(household, plan));
  for (const other of household.plans.values())
    if (other.id !== plan.id && other.adoptedAtMs !== undefined)
      changes.push(createChange('plans', other.id, other, { ...other, adoptedAtMs: undefined }));
  changes.push(createChange('plans', plan.id, known, { ...plan, adoptedAtMs: nowMs }));
  const homes = new Map(plan.assignments.map((one) => [one.lotId, one]));
  const without = new Set(plan.unplaced.map((one) => one.lotId));
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot)) continue;
    const to = homes.get(lot.id);
    if (!to && !without.has(lot.id) && (lot.homeId === undefined || leaves.has(lot.homeId))) continue;
    // What lay about without a home still does until it is carried.
    const isFirst = lot.homeId === undefined && lot.state === 'out' && lot.away === undefined;
    const next = to
      ? {
          ...lot,
          homeId: to.placeId,
          homeOrder: to.order,
          homeForm: to.form,
          ...(isFirst && { away: 'waiting' as const }),
        }
      : { ...lot, homeId: undefined, ...(lot.away === 'waiting' && { away: undefined }) };
    changes.push(createChange('lots', lot.id, lot, next));
  }
  return ok({ type: 'adopted', subject, changes: changes.filter((change) => change !== null) });
}

/** Every container and lot that is not where it belongs, not lent, goes there: the whole reorganising day in one line. */
export function createCarryAll(household: Household, subject: string, nowMs: number): Act {
  const bins = listBinsToCarry(household.places);
  const isCarried = (lot: Lot) => lot.homeId !== undefined;
  const changes: (Change | null)[] = createCarriedBins(household, bins, nowMs, isCarried);
  for (const lot of household.lots.values()) {
    if (lot.homeId === undefined || !takesRoom(lot) || lot.state === 'lent') continue;
    const isHome =
      lot.state === 'in' && lot.placeId === lot.homeId && lot.order === lot.homeOrder && lot.form === lot.homeForm;
    if (isHome) continue;
    const { homeId, homeOrder, homeForm } = lot;
    const next = { ...lot, state: 'in', placeId: homeId, order: homeOrder, form: homeForm, sinceMs: nowMs };
    changes.push(createChange('lots', lot.id, lot, next));
  }
  const real = changes.filter((change) => change !== null);
  return real.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'carried', subject, changes: real });
}
