import type { LotId, PlaceId } from '../../core/records/index.ts';
import type { Reach } from '../../core/storage/index.ts';
import { getOptionPackage, isAllowed, type Facts, type Offered } from '../model/index.ts';
import { scoreCompany, scorePlace, sumToCome } from '../score/index.ts';
import { computeHomes, hasRoom } from './homes.ts';
import { createShifts, type Shifts } from './shifts.ts';

/** Something that speaks for or against what a place holds, worded by the interface. Seconds are seconds a month. */
export type PlaceReason =
  | { readonly code: 'empty' }
  /** Its groups, those with most lots first. */
  | { readonly code: 'holds'; readonly groups: readonly { readonly groupId: string; readonly count: number }[] }
  | {
      readonly code: 'fetch';
      readonly usesPerMonth: number;
      readonly secondsEach: number;
      readonly seconds: number;
      readonly reach: Reach;
    }
  /** Several groups share it: passing the others, and what a blurred label is worth. */
  | { readonly code: 'shared'; readonly groups: number; readonly seconds: number }
  | {
      readonly code: 'crowded';
      readonly fill: number;
      /** What is likely to come there while a plan holds, as a share of it. */
      readonly toCome: number;
      readonly target: number;
      readonly seconds: number;
    }
  /** What would save most by leaving for another place, all else left; `placeId` takes it. */
  | { readonly code: 'leave'; readonly lotId: LotId; readonly placeId: PlaceId; readonly saves: number }
  /** What would save most by coming here, all else left. */
  | { readonly code: 'come'; readonly lotId: LotId; readonly saves: number }
  /** Nothing saves by coming or leaving alone. */
  | { readonly code: 'settled' };

/** Below this nobody would carry a thing. */
const WORTH_SECONDS = 3;

/** The lot elsewhere that would save most here, by price, then really packed. */
function findComer(facts: Facts, offered: readonly (Offered | null)[], p: number, shifts: Shifts) {
  const candidates: { lot: number; option: number; saves: number }[] = [];
  for (let l = 0; l < facts.lots.length; l += 1) {
    if (offered[l]?.place === p) continue;
    for (let way = facts.wayStart[l]!; way < facts.wayStart[l + 1]!; way += 1) {
      if (!isAllowed(facts, way, p)) continue;
      const option = way * facts.places.length + p;
      const other = facts.describe(l, p, getOptionPackage(facts, l, option));
      const saves = other ? -shifts.price(l, other) : 0;
      if (saves >= WORTH_SECONDS) candidates.push({ lot: l, option, saves });
    }
  }
  candidates.sort((a, b) => b.saves - a.saves || a.option - b.option);
  return candidates.find(({ lot, option }) => hasRoom(facts, offered, lot, option)) ?? null;
}

/** The lot of a place that would save most by leaving. */
function findLeaver(facts: Facts, offered: readonly (Offered | null)[], p: number, shifts: Shifts) {
  let most: { lot: number; placeId: PlaceId; saves: number } | null = null;
  for (const { lot } of shifts.getInside(p)) {
    const [home] = computeHomes(facts, offered, lot, 1, shifts);
    const saves = home ? -home.moreSeconds : 0;
    if (home && saves >= WORTH_SECONDS && saves > (most?.saves ?? 0)) most = { lot, placeId: home.placeId, saves };
  }
  return most;
}

/** Why a place holds what the arrangement puts in it, and what one thing more or less would change. Empty for an unknown place. */
export function explainPlace(facts: Facts, offered: readonly (Offered | null)[], placeId: PlaceId): PlaceReason[] {
  const p = facts.places.findIndex(({ place }) => place.id === placeId);
  if (p < 0) return [];
  const { settings } = facts;
  const { estimates, fillTarget } = settings;
  const shifts = createShifts(facts, offered);
  const inside = shifts.getInside(p);
  const reasons: PlaceReason[] = [];
  if (inside.length === 0) reasons.push({ code: 'empty' });
  else {
    const counts = new Map<number, number>();
    for (const { lot } of inside) counts.set(facts.groupOf[lot]!, (counts.get(facts.groupOf[lot]!) ?? 0) + 1);
    const groups = [...counts]
      .toSorted((a, b) => b[1] - a[1] || a[0] - b[0])
      .map(([g, count]) => ({ groupId: facts.groups[g]!.id, count }));
    reasons.push({ code: 'holds', groups });
    const usesPerMonth = inside.reduce((sum, { lot }) => sum + facts.uses[lot]!, 0);
    const seconds = inside.reduce((sum, one) => sum + one.fetching, 0);
    const { reach } = facts.places[p]!.traits;
    reasons.push({ code: 'fetch', usesPerMonth, secondsEach: seconds / usesPerMonth, seconds, reach });
    if (groups.length > 1) {
      const more = groups.length - 1;
      const shared = usesPerMonth * estimates.passGroupSeconds * more + scoreCompany(facts, p, [...counts.keys()]);
      reasons.push({ code: 'shared', groups: groups.length, seconds: shared });
    }
    const fill = inside.reduce((sum, one) => sum + one.share, 0);
    const toCome = sumToCome(facts, inside);
    if (fill + toCome > fillTarget) {
      const { crowding } = scorePlace(facts, p, inside);
      reasons.push({ code: 'crowded', fill, toCome, target: fillTarget, seconds: crowding });
    }
  }
  const leaver = findLeaver(facts, offered, p, shifts);
  if (leaver)
    reasons.push({
      code: 'leave',
      lotId: facts.lots[leaver.lot]!.id,
      placeId: leaver.placeId,
      saves: leaver.saves,
    });
  const comer = findComer(facts, offered, p, shifts);
  if (comer) reasons.push({ code: 'come', lotId: facts.lots[comer.lot]!.id, saves: comer.saves });
  if (!leaver && !comer) reasons.push({ code: 'settled' });
  return reasons;
}
