import type { LotId, PlaceId, StowForm } from '../../core/records/index.ts';
import { packPlace } from '../../core/packing/index.ts';
import { getOptionPackage, getPlaceOf, listOptions, type Facts, type Offered } from '../model/index.ts';
import { createShifts } from './shifts.ts';

/** A place that would take a lot as things are now, and what it costs beside where the lot is. */
export interface HomeOffer {
  readonly placeId: PlaceId;
  readonly form: StowForm;
  /** Seconds a month more than now; negative where it would save. */
  readonly moreSeconds: number;
  /** The share of the place that is used with it in it, lots of its group that are there, and other groups. */
  readonly fill: number;
  readonly kin: number;
  readonly others: number;
}

/**
 * The cheapest places for one lot alone, all else left as it is, each really packed with what lies there.
 * `offered` is the arrangement as it is; the place where the lot is now is left out.
 */
export function computeHomes(
  facts: Facts,
  offered: readonly (Offered | null)[],
  lot: number,
  limit: number,
  shifts = createShifts(facts, offered),
): HomeOffer[] {
  const here = offered[lot]?.place ?? -1;
  const candidates: (Pick<HomeOffer, 'placeId' | 'form' | 'moreSeconds'> & { option: number; share: number })[] = [];
  for (const o of listOptions(facts, lot)) {
    const p = getPlaceOf(facts, o);
    if (p === here) continue;
    const pkg = getOptionPackage(facts, lot, o);
    const other = facts.describe(lot, p, pkg);
    if (!other) continue;
    const moreSeconds = shifts.price(lot, other);
    candidates.push({ option: o, placeId: facts.places[p]!.place.id, form: pkg.form, moreSeconds, share: other.share });
  }
  candidates.sort((a, b) => a.moreSeconds - b.moreSeconds || a.option - b.option);
  const homes: HomeOffer[] = [];
  const taken = new Set<PlaceId>();
  for (const { option, placeId, form, moreSeconds, share } of candidates) {
    if (homes.length >= limit) break;
    if (taken.has(placeId) || !hasRoom(facts, offered, lot, option)) continue;
    taken.add(placeId);
    const inside = shifts.getInside(getPlaceOf(facts, option)).filter((one) => one.lot !== lot);
    const groups = inside.map((one) => facts.groupOf[one.lot]!);
    homes.push({
      placeId,
      form,
      moreSeconds,
      fill: inside.reduce((sum, one) => sum + one.share, share),
      kin: groups.filter((g) => g === facts.groupOf[lot]).length,
      others: new Set(groups.filter((g) => g !== facts.groupOf[lot])).size,
    });
  }
  return homes;
}

/** Whether a place takes a lot in an option, with what lies there now: really packed, and not too heavy. */
export function hasRoom(facts: Facts, offered: readonly (Offered | null)[], lot: number, option: number): boolean {
  const p = getPlaceOf(facts, option);
  const inside = offered.flatMap((one, l) => (one && one.place === p && l !== lot ? [one.pkg] : []));
  const pkg = getOptionPackage(facts, lot, option);
  const { space, traits, slot, unit, slotLoadG } = facts.places[p]!;
  // What lies in the place, in all places of its slot, and in all of its unit, with the lot put there.
  const load = [pkg.massG, pkg.massG, pkg.massG];
  for (const [l, one] of offered.entries()) {
    if (!one || l === lot) continue;
    const at = facts.places[one.place]!;
    if (one.place === p) load[0]! += one.pkg.massG;
    if (at.slot === slot) load[1]! += one.pkg.massG;
    if (at.unit === unit) load[2]! += one.pkg.massG;
  }
  const limits = [traits.loadG, slotLoadG, facts.unitLoadG[unit]!];
  return load.every((massG, i) => massG <= limits[i]!) && packPlace([...inside, pkg], space).status === 'packed';
}

/** The index of a lot in the facts; -1 where it is not among them. */
export function findLot(facts: Facts, lotId: LotId): number {
  return facts.lots.findIndex((lot) => lot.id === lotId);
}
