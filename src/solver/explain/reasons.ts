import type { Lot, LotId, PlaceId, Reason } from '../../core/records/index.ts';
import type { Reach } from '../../core/storage/index.ts';
import { findHardFault, type Finding } from '../constraints/index.ts';
import { getOptionPackage, type Facts, type Offered } from '../model/index.ts';
import { recount, State } from '../score/index.ts';

const SHAPE_CODES: readonly Finding['code'][] = [
  'too-long',
  'too-high',
  'too-deep',
  'too-wide',
  'hook-load',
  'load',
  'too-much',
];

/**
 * Why a lot found no place: if some place would take it empty, the least crowded of those; else the
 * nearest miss, the rule that fails by the least. `state` is the plan's arrangement.
 */
export function explainUnplaced(facts: Facts, state: State, lot: number): Reason {
  let room: Reason | null = null;
  for (let o = facts.optStart[lot]!; o < facts.optStart[lot + 1]!; o += 1) {
    const p = facts.optPlace[o]!;
    const free = Math.max(0, 1 - state.fill[p]!);
    if (!room || free / facts.optShare[o]! > room.available! / room.needed!)
      room = { code: 'full', needed: facts.optShare[o]!, available: free, placeId: facts.places[p]!.place.id };
  }
  if (room) return room;
  let nearest: Reason | null = null;
  let leastMiss = Infinity;
  for (const { place, space, traits } of facts.places)
    for (const pkg of facts.packages[lot]!) {
      const finding = findHardFault({ item: facts.items[lot]!, pkg, space, traits, settings: facts.settings });
      if (!finding || finding.code === 'form') continue;
      // A shape that misses by little is nearer than a rule, which no filing makes fit.
      const miss = SHAPE_CODES.includes(finding.code) ? finding.needed / Math.max(1e-9, finding.available) : 100;
      if (miss < leastMiss) {
        leastMiss = miss;
        nearest = { code: finding.code, needed: finding.needed, available: finding.available, placeId: place.id };
      }
    }
  return nearest ?? { code: 'no-form' };
}

/** Something that speaks for the place where a lot is, worded by the interface. */
export type PlaceReason =
  | { readonly code: 'kin'; readonly count: number }
  | { readonly code: 'alone' }
  | { readonly code: 'reach'; readonly reach: Reach; readonly usesPerMonth: number }
  | { readonly code: 'dark' }
  | { readonly code: 'spare'; readonly spareMm: number }
  | { readonly code: 'elsewhere'; readonly placeId: PlaceId; readonly moreSeconds: number };

/**
 * Why a lot is where the arrangement `placeOf` has it: kin beside it, height, light, room to spare,
 * and what the next best place would cost more, a month.
 */
export function explainPlace(facts: Facts, placeOf: (lot: Lot) => PlaceId | null, lotId: LotId): PlaceReason[] {
  const l = facts.lots.findIndex((lot) => lot.id === lotId);
  if (l < 0) return [];
  const index = new Map(facts.places.map((one, p) => [one.place.id, p]));
  const offered = facts.lots.map((lot, i): Offered | null => {
    const id = placeOf(lot);
    const p = id === null ? undefined : index.get(id);
    if (p === undefined) return null;
    for (const pkg of facts.packages[i]!) {
      const one = facts.describe(i, p, pkg);
      if (one) return one;
    }
    return null;
  });
  const here = offered[l];
  if (!here) return [];
  const place = facts.places[here.place]!;
  const inside = offered.filter((one) => one?.place === here.place);
  const kin = inside.filter((one) => facts.groupOf[one!.lot] === facts.groupOf[l]).length - 1;
  const reasons: PlaceReason[] = [kin > 0 ? { code: 'kin', count: kin } : { code: 'alone' }];
  reasons.push({ code: 'reach', reach: place.traits.reach, usesPerMonth: facts.items[l]!.usesPerMonth });
  if (place.traits.light === 'dark' && facts.items[l]!.care.some((flag) => flag === 'fades' || flag === 'noSun'))
    reasons.push({ code: 'dark' });
  if (place.space.mode === 'line' && place.space.rowsRun === 'x') {
    const used = inside.reduce((sum, one) => sum + one!.share, 0) * place.space.widthMm;
    if (used < place.space.widthMm) reasons.push({ code: 'spare', spareMm: place.space.widthMm - used });
  }
  // The next best place for it alone, all else left as it is.
  const base = recount(facts, offered).seconds;
  const fill = new Float64Array(facts.places.length);
  for (const one of offered) if (one) fill[one.place]! += one.share;
  let best: { placeId: PlaceId; moreSeconds: number } | null = null;
  for (let o = facts.optStart[l]!; o < facts.optStart[l + 1]!; o += 1) {
    const p = facts.optPlace[o]!;
    if (p === here.place || fill[p]! + facts.optShare[o]! > 1) continue;
    const other = facts.describe(l, p, getOptionPackage(facts, l, o));
    if (!other) continue;
    const more = recount(facts, offered.with(l, other)).seconds - base;
    if (!best || more < best.moreSeconds) best = { placeId: facts.places[p]!.place.id, moreSeconds: more };
  }
  if (best) reasons.push({ code: 'elsewhere', ...best });
  return reasons;
}
