import type { Estimates } from '../../core/records/index.ts';
import { withEstimates, type Facts, type Offered } from '../model/index.ts';
import { recount } from '../score/index.ts';

type OfEstimates = Readonly<Record<keyof Estimates, number>>;

/** The seconds a month that an arrangement costs when the estimates are others. `offered` is described anew. */
export function scoreWith(facts: Facts, offered: readonly (Offered | null)[], estimates: Estimates): number {
  const other = withEstimates(facts, estimates);
  const described = offered.map((one, l) => one && other.describe(l, one.place, one.pkg));
  return recount(other, described).seconds;
}

/**
 * What each estimate makes of the seconds a month of an arrangement: how many fewer there would be were it nought. Every
 * cost is in proportion to one of them, so that together they make the whole. `carryMonths` divides, and has none.
 */
export function computeEstimateParts(facts: Facts, offered: readonly (Offered | null)[]): OfEstimates {
  const { estimates } = facts.settings;
  const whole = recount(facts, offered).seconds;
  const parts = Object.keys(estimates).map((field) => {
    if (field === 'carryMonths') return [field, 0];
    return [field, whole - scoreWith(facts, offered, { ...estimates, [field]: 0 })];
  });
  return Object.fromEntries(parts) as OfEstimates;
}
