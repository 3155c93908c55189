import type { DaybookEvent, Household } from '../../core/records/index.ts';
import { toDay } from '../../core/units/index.ts';

/** A household with its daybook on a day: what is worked out of all of that is kept by it. */
export interface Today {
  readonly household: Household;
  readonly events: readonly DaybookEvent[];
  readonly nowMs: number;
}

const known = new WeakMap<Household, Today>();

/** The same for as long as all of it is. */
export function getToday(household: Household, events: readonly DaybookEvent[], nowMs: number): Today {
  const last = known.get(household);
  if (last?.events === events && toDay(last.nowMs) === toDay(nowMs)) return last;
  const today = { household, events, nowMs };
  known.set(household, today);
  return today;
}
