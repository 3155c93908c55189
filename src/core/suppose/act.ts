import { applyChanges } from '../daybook/fold.ts';
import type { Act } from '../acts/index.ts';
import type { Household } from '../records/index.ts';

/** The household as it would be after an act; null where the act cannot be done. Nothing of it is kept. */
export function withAct(household: Household, act: Act): Household | null {
  const next = act.ok ? applyChanges(household, act.value.changes) : null;
  return next?.ok ? next.value : null;
}
