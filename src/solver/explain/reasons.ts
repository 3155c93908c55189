import { getUses, type LotId, type PlaceId, type Reason } from '../../core/records/index.ts';
import { isInTheWay } from '../../core/sense/index.ts';
import type { Reach } from '../../core/storage/index.ts';
import { findHardFault, type Finding } from '../constraints/index.ts';
import { getPlaceOf, getShare, getWayOf, listOptions, type Facts, type Offered } from '../model/index.ts';
import type { State } from '../score/index.ts';
import { computeHomes, findLot } from './homes.ts';

const SHAPE_CODES = new Set<Finding['code']>([
  'too-long',
  'too-high',
  'too-deep',
  'too-wide',
  'hook-load',
  'small-hole',
  'load',
  'too-much',
]);

/** A lock is nearer than any shape that misses by more than this. */
const LOCKED_MISS = 1.02;

/** Of the places that would take a lot empty, the one with most room for it now, and what is missing there. */
function findRoomiest(facts: Facts, state: State, lot: number): Reason | null {
  let best = -1;
  let most = -1;
  for (const o of listOptions(facts, lot)) {
    const free = Math.max(0, 1 - state.fill[getPlaceOf(facts, o)]!) / getShare(facts, o);
    if (free > most) {
      most = free;
      best = o;
    }
  }
  if (best === -1) return null;
  const p = getPlaceOf(facts, best);
  const { place, traits } = facts.places[p]!;
  if (facts.wishes.hasApart && state.hasRival(lot, p))
    return { code: 'apart', needed: 0, available: 0, placeId: place.id };
  if (facts.wishes.setOf[lot] !== -1) return { code: 'together', needed: 0, available: 0, placeId: place.id };
  const [needed, available] = [getShare(facts, best), Math.max(0, 1 - state.fill[p]!)];
  if (available < needed) return { code: 'full', needed, available, placeId: place.id };
  const leftG = Math.max(0, traits.loadG - state.massG[p]!);
  const massG = facts.wayMassG[getWayOf(facts, best)]!;
  if (leftG < massG) return { code: 'laden', needed: massG, available: leftG, placeId: place.id };
  // It would go in by sum: then the real packing found no way, which is no proof that there is none.
  return { code: 'not-packed', needed, available, placeId: place.id };
}

/**
 * Why a lot found no place: if some place would take it empty, the least crowded of those; else the
 * nearest miss, the rule that fails by the least. `state` is the plan's arrangement.
 */
export function explainUnplaced(facts: Facts, state: State, lot: number): Reason {
  const room = findRoomiest(facts, state, lot);
  if (room) return room;
  let nearest: Reason | null = null;
  let leastMiss = Infinity;
  for (const [p, { place, space, traits }] of facts.places.entries())
    for (const pkg of facts.packages[lot]!) {
      const wish = facts.wishes.forbid(lot, p);
      const finding = findHardFault({ item: facts.items[lot]!, pkg, space, traits, settings: facts.settings, wish });
      if (!finding || finding.code === 'form') continue;
      // A shape that misses by little is nearer than a rule, which no filing makes fit.
      const miss = SHAPE_CODES.has(finding.code)
        ? finding.needed / Math.max(1e-9, finding.available)
        : finding.code === 'children'
          ? LOCKED_MISS
          : 100;
      if (miss < leastMiss) {
        leastMiss = miss;
        nearest = { code: finding.code, needed: finding.needed, available: finding.available, placeId: place.id };
      }
    }
  return nearest ?? { code: 'no-form' };
}

/** Something that speaks for the place where a lot is, worded by the interface. */
export type LotReason =
  | { readonly code: 'kin'; readonly count: number }
  | { readonly code: 'alone' }
  | { readonly code: 'reach'; readonly reach: Reach; readonly usesPerMonth: number }
  | { readonly code: 'dark' }
  | { readonly code: 'seen' }
  | { readonly code: 'on-table'; readonly seconds: number }
  | { readonly code: 'spare'; readonly spareMm: number }
  | { readonly code: 'elsewhere'; readonly placeId: PlaceId; readonly moreSeconds: number };

/**
 * Why a lot is where the arrangement `offered` has it: kin beside it, height, light, room to spare,
 * and what the next best place would cost more, a month. Empty where it is in no place.
 */
export function explainLot(facts: Facts, offered: readonly (Offered | null)[], lotId: LotId): LotReason[] {
  const l = findLot(facts, lotId);
  const here = offered[l];
  if (!here) return [];
  const place = facts.places[here.place]!;
  const inside = offered.filter((one) => one?.place === here.place);
  const kin = inside.filter((one) => facts.groupOf[one!.lot] === facts.groupOf[l]).length - 1;
  const reasons: LotReason[] = [kin > 0 ? { code: 'kin', count: kin } : { code: 'alone' }];
  reasons.push({ code: 'reach', reach: place.traits.reach, usesPerMonth: getUses(facts.items[l]!) });
  if (place.traits.light === 'dark' && facts.items[l]!.care.some((flag) => flag === 'fades' || flag === 'noSun'))
    reasons.push({ code: 'dark' });
  if (facts.items[l]!.fabric && place.traits.isSeeThrough) reasons.push({ code: 'seen' });
  if (isInTheWay(facts.items[l]!, place.traits))
    reasons.push({ code: 'on-table', seconds: facts.settings.estimates.tableSeconds });
  if (place.space.mode === 'line' && place.space.rowsRun === 'x') {
    const used = inside.reduce((sum, one) => sum + one!.share, 0) * place.space.widthMm;
    if (used < place.space.widthMm) reasons.push({ code: 'spare', spareMm: place.space.widthMm - used });
  }
  const [best] = computeHomes(facts, offered, l, 1);
  if (best) reasons.push({ code: 'elsewhere', placeId: best.placeId, moreSeconds: best.moreSeconds });
  return reasons;
}
