import type { PlaceId, StowForm } from '../../core/records/index.ts';
import { findHardFault, type Finding } from '../constraints/index.ts';
import { isAllowed, type Facts, type Offered } from '../model/index.ts';
import { recount } from '../score/index.ts';
import { hasRoom } from './homes.ts';

/** What would come of putting one lot into one place, all else left as it is. */
export type Verdict =
  | {
      readonly placeId: PlaceId;
      readonly isGood: true;
      readonly form: StowForm;
      /** Seconds a month more than where it is now; negative where it would save. */
      readonly moreSeconds: number;
    }
  | {
      readonly placeId: PlaceId;
      readonly isGood: false;
      /** The first rule that is broken in the form that comes nearest; `full` where others take the room. */
      readonly code: Finding['code'] | 'full' | 'here';
      readonly needed: number;
      readonly available: number;
    };

/** Rules that speak of the place itself say more than a form that is not kept there at all. */
const DULL = new Set<Finding['code']>(['form']);

/**
 * The verdict on every place for one lot: really packed with what lies there, or the rule that forbids it with the
 * missing measure. `offered` is the arrangement as it is.
 */
export function computeVerdicts(facts: Facts, offered: readonly (Offered | null)[], lot: number): Verdict[] {
  const base = recount(facts, offered).seconds;
  const here = offered[lot]?.place ?? -1;
  const item = facts.items[lot]!;
  return facts.places.map(({ place, space, traits }, p): Verdict => {
    const placeId = place.id;
    if (p === here) return { placeId, isGood: false, code: 'here', needed: 0, available: 0 };
    let best: Extract<Verdict, { isGood: true }> | null = null;
    let bar: Extract<Verdict, { isGood: false }> | null = null;
    for (const [i, pkg] of facts.packages[lot]!.entries()) {
      const wish = facts.wishes.forbid(lot, p);
      const finding = findHardFault({ item, pkg, space, traits, settings: facts.settings, wish });
      if (finding) {
        if (!bar || DULL.has(bar.code as Finding['code'])) bar = { placeId, isGood: false, ...finding };
        continue;
      }
      const other = facts.describe(lot, p, pkg);
      const way = facts.wayStart[lot]! + i;
      if (!other || !isAllowed(facts, way, p)) continue;
      const option = way * facts.places.length + p;
      if (!hasRoom(facts, offered, lot, option)) {
        const fill = offered.reduce((sum, one) => (one?.place === p && one.lot !== lot ? sum + one.share : sum), 0);
        bar = { placeId, isGood: false, code: 'full', needed: other.share, available: Math.max(0, 1 - fill) };
        continue;
      }
      const moreSeconds = recount(facts, offered.with(lot, other)).seconds - base;
      if (!best || moreSeconds < best.moreSeconds) best = { placeId, isGood: true, form: pkg.form, moreSeconds };
    }
    return best ?? bar ?? { placeId, isGood: false, code: 'form', needed: 0, available: 0 };
  });
}
