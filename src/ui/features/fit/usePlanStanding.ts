import { useMemo } from 'react';
import { computePlanStanding, listKept } from '../../../core/acts/index.ts';
import { takesRoom } from '../../../core/records/index.ts';
import { useHousehold } from '../../state/app.ts';
import { getStrays, getTree } from '../../state/derived.ts';
import { wordStale } from '../../text/stale.ts';
import { useFitRun } from './fitRun.ts';

/** How the plan that is looked at stands: whether it is adopted, kept, old or stale, and what there is to carry. */
export function usePlanStanding() {
  const household = useHousehold();
  const { plan, supposed, household: madeFor } = useFitRun();
  const { toMove, out, homeless } = getStrays(household);
  // Once a plan is adopted, what lies out waits to be carried too: new things have never had a place.
  const hasAdopted = [...household.plans.values()].some((one) => one.adoptedAtMs !== undefined);
  const toCarry = hasAdopted ? toMove + out : 0;
  const isAdopted = plan !== null && (household.plans.get(plan.id)?.adoptedAtMs ?? null) !== null;
  // Keeping a plan changes the plans, not what it was made from.
  const isSame = (['lots', 'items', 'places', 'settings'] as const).every(
    (part) => madeFor?.[part] === household[part],
  );
  const isOld = plan !== null && !isAdopted && !isSame && supposed === null;
  const kept = listKept(household);
  // One that was kept was checked when it was made, and can be adopted while nothing of it is stale.
  const isKept = plan !== null && household.plans.has(plan.id);
  const standing = useMemo(() => plan && computePlanStanding(household, getTree(household), plan), [household, plan]);
  const isStale = isKept && standing !== null && (standing.goneLots > 0 || standing.gonePlaces > 0);
  // Kept or only looked at: what changed since is told, and only that is mended.
  const staleWords = standing && supposed === null && (isOld || isKept) ? wordStale(standing) : null;
  const count = [...household.lots.values()].filter(takesRoom).length;

  const canGoOn = plan !== null && supposed === null && !isOld && !isAdopted && staleWords === null;
  const crowded = standing && standing.overTarget;
  return {
    hasAdopted,
    toCarry,
    isAdopted,
    isOld,
    kept,
    isKept,
    isStale,
    staleWords,
    count,
    canGoOn,
    homeless,
    crowded,
  };
}
export type LookedAt = ReturnType<typeof usePlanStanding>;
