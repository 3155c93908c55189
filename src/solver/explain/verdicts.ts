import { packPlace } from '../../core/packing/index.ts';
import type { LotId, PlaceId, StowForm } from '../../core/records/index.ts';
import { findHardFault, type Finding } from '../constraints/index.ts';
import { isAllowed, type Facts, type Offered } from '../model/index.ts';
import { recount } from '../score/index.ts';
import { hasRoom } from './homes.ts';
import { createShifts } from './shifts.ts';

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
  const shifts = createShifts(facts, offered);
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
      const moreSeconds = shifts.price(lot, other);
      if (!best || moreSeconds < best.moreSeconds) best = { placeId, isGood: true, form: pkg.form, moreSeconds };
    }
    return best ?? bar ?? { placeId, isGood: false, code: 'form', needed: 0, available: 0 };
  });
}

/** What would come of putting all lots of a group into one place, all else left as it is. */
export type GroupVerdict =
  | {
      readonly placeId: PlaceId;
      readonly isGood: true;
      readonly forms: readonly (readonly [LotId, StowForm])[];
      readonly moreSeconds: number;
    }
  /** `lotId` is the first that may not go there; none where they do not go in together. */
  | (Extract<Verdict, { isGood: false }> & { readonly lotId?: LotId });

/** Whether a place, its slot and its unit carry some lots more, which are taken from where they are. */
function carries(
  facts: Facts,
  offered: readonly (Offered | null)[],
  moved: ReadonlySet<number>,
  p: number,
  massG: number,
) {
  const { traits, slot, unit, slotLoadG } = facts.places[p]!;
  const load = [massG, massG, massG];
  for (const [l, one] of offered.entries()) {
    if (!one || moved.has(l)) continue;
    const at = facts.places[one.place]!;
    if (one.place === p) load[0]! += one.pkg.massG;
    if (at.slot === slot) load[1]! += one.pkg.massG;
    if (at.unit === unit) load[2]! += one.pkg.massG;
  }
  const limits = [traits.loadG, slotLoadG, facts.unitLoadG[unit]!];
  const most = Math.min(...load.map((one, i) => limits[i]! - one));
  return { isGood: most >= 0, available: Math.max(0, massG + most) };
}

/**
 * The verdict on every place for a whole group: each lot in the form that takes least there, really packed with what
 * lies there already, or the rule that forbids one of them.
 */
export function computeGroupVerdicts(
  facts: Facts,
  offered: readonly (Offered | null)[],
  lots: readonly number[],
): GroupVerdict[] {
  const base = recount(facts, offered).seconds;
  const moved = new Set(lots);
  return facts.places.map(({ place, space, traits }, p): GroupVerdict => {
    const placeId = place.id;
    const no = (code: Extract<Verdict, { isGood: false }>['code'], needed = 0, available = 0) =>
      ({ placeId, isGood: false, code, needed, available }) as const;
    if (lots.every((l) => offered[l]?.place === p)) return no('here');
    const next = [...offered];
    let share = 0;
    let massG = 0;
    for (const l of lots) {
      let best: Offered | null = null;
      let bar: Finding | null = null;
      for (const [i, pkg] of facts.packages[l]!.entries()) {
        const wish = facts.wishes.forbid(l, p);
        const item = facts.items[l]!;
        const finding = findHardFault({ item, pkg, space, traits, settings: facts.settings, wish });
        if (finding && (!bar || DULL.has(bar.code))) bar = finding;
        if (finding || !isAllowed(facts, facts.wayStart[l]! + i, p)) continue;
        const one = facts.describe(l, p, pkg);
        if (one && (!best || one.share < best.share)) best = one;
      }
      if (!best) {
        const lotId = facts.lots[l]!.id;
        return bar ? { ...no(bar.code, bar.needed, bar.available), lotId } : { ...no('form'), lotId };
      }
      next[l] = best;
      share += best.share;
      massG += best.pkg.massG;
    }
    const load = carries(facts, offered, moved, p, massG);
    if (!load.isGood) return no('load', massG, load.available);
    const inside = next.flatMap((one) => (one?.place === p ? [one.pkg] : []));
    if (packPlace(inside, space).status !== 'packed') {
      const fill = offered.reduce((sum, one, l) => (one?.place === p && !moved.has(l) ? sum + one.share : sum), 0);
      return no('full', share, Math.max(0, 1 - fill));
    }
    const forms = lots.map((l) => [facts.lots[l]!.id, next[l]!.pkg.form] as const);
    return { placeId, isGood: true, forms, moreSeconds: recount(facts, next).seconds - base };
  });
}
