import type { LotId, PlaceId } from '../../core/records/index.ts';
import type { Facts, Offered } from '../model/index.ts';
import { scoreGroup } from '../score/index.ts';
import { computeGroupVerdicts, type GroupVerdict } from './verdicts.ts';

type Bar = Extract<GroupVerdict, { isGood: false }>;

/** Something that speaks for or against where a whole group is, worded by the interface. Seconds are seconds a month. */
export type GroupReason =
  | { readonly code: 'together'; readonly placeId: PlaceId }
  /** In several places: what looking in the wrong one first costs, and each further one. */
  | {
      readonly code: 'spread';
      readonly places: number;
      readonly units: number;
      readonly rooms: number;
      readonly seconds: number;
    }
  | { readonly code: 'homeless'; readonly count: number; readonly seconds: number }
  /** The way to it and back, a mean over how often each is fetched. */
  | { readonly code: 'fetch'; readonly usesPerMonth: number; readonly secondsEach: number; readonly seconds: number }
  /** The best other place that takes all of it as things are. */
  | { readonly code: 'elsewhere'; readonly placeId: PlaceId; readonly moreSeconds: number }
  /** No other place takes all of it as things are; this one comes nearest. */
  | {
      readonly code: 'nowhere';
      readonly placeId: PlaceId | null;
      readonly bar: Bar['code'];
      readonly needed: number;
      readonly available: number;
      readonly lotId?: LotId;
    };

const ROOM_CODES = new Set<Bar['code']>(['full', 'load']);

/** Why a group is where the arrangement has it. Empty for a group that has no lots. */
export function explainGroup(facts: Facts, offered: readonly (Offered | null)[], groupId: string): GroupReason[] {
  const g = facts.groups.findIndex((group) => group.id === groupId);
  const lots = facts.lots.flatMap((_, l) => (facts.groupOf[l] === g ? [l] : []));
  if (g < 0 || lots.length === 0) return [];
  const there = lots.flatMap((l) => offered[l] ?? []);
  const at = new Set(there.map((one) => one.place));
  const reasons: GroupReason[] = [];
  if (at.size === 1) reasons.push({ code: 'together', placeId: facts.places[there[0]!.place]!.place.id });
  if (at.size > 1) {
    const count = (of: 'unit' | 'room') => new Set([...at].map((p) => facts.places[p]![of])).size;
    const seconds = scoreGroup(facts, g, at);
    reasons.push({ code: 'spread', places: at.size, units: count('unit'), rooms: count('room'), seconds });
  }
  const homeless = lots.filter((l) => !offered[l]);
  if (homeless.length > 0) {
    const uses = homeless.reduce((sum, l) => sum + facts.uses[l]!, 0);
    reasons.push({
      code: 'homeless',
      count: homeless.length,
      seconds: uses * facts.settings.estimates.homelessSeconds,
    });
  }
  if (there.length > 0) {
    const usesPerMonth = there.reduce((sum, one) => sum + facts.uses[one.lot]!, 0);
    const seconds = there.reduce((sum, one) => sum + one.fetching, 0);
    reasons.push({ code: 'fetch', usesPerMonth, secondsEach: seconds / usesPerMonth, seconds });
  }
  const verdicts = computeGroupVerdicts(facts, offered, lots);
  const best = verdicts
    .flatMap((one) => (one.isGood ? [one] : []))
    .toSorted((a, b) => a.moreSeconds - b.moreSeconds)[0];
  if (best) reasons.push({ code: 'elsewhere', placeId: best.placeId, moreSeconds: best.moreSeconds });
  else {
    // Of the places that only lack room, the one that lacks the least share of what is needed.
    const near = verdicts
      .flatMap((one) => (!one.isGood && ROOM_CODES.has(one.code) ? [one] : []))
      .toSorted((a, b) => b.available / b.needed - a.available / a.needed)[0];
    reasons.push(
      near
        ? {
            code: 'nowhere',
            placeId: near.placeId,
            bar: near.code,
            needed: near.needed,
            available: near.available,
            lotId: near.lotId,
          }
        : { code: 'nowhere', placeId: null, bar: 'form', needed: 0, available: 0 },
    );
  }
  return reasons;
}
