import { findSense, KINSHIPS, type Kinship } from '../../core/sense/index.ts';
import { isPiled } from '../../core/measure/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import type { Facts, Offered } from '../model/index.ts';
import { scoreGroup, scoreLooks, scorePlace } from '../score/index.ts';
import { computeGroupVerdicts } from './verdicts.ts';

/** A group as an arrangement has it. */
export interface GroupTold {
  readonly groupId: string;
  /** Where it is, most of it first; `fill` is the share of the place that is taken by all that is in it. */
  readonly homes: readonly { readonly placeId: PlaceId; readonly count: number; readonly fill: number }[];
  /** Groups that are in the same places, and how near they are. */
  readonly beside: readonly { readonly groupId: string; readonly kinship: Kinship }[];
  /** Fetching it, looking for it and looking in the wrong place first, seconds a month. */
  readonly seconds: number;
  readonly homeless: number;
}

/** The cheapest place that would take a whole group, and what that would change, seconds a month. */
export interface WayOut {
  readonly groupId: string;
  readonly placeId: PlaceId;
  readonly moreSeconds: number;
}

/** What an arrangement itself points at. */
export type PlanPoint =
  | {
      readonly code: 'strangers';
      readonly placeId: PlaceId;
      readonly groupIds: readonly string[];
      readonly seconds: number;
      readonly out: WayOut | null;
    }
  | {
      readonly code: 'scattered';
      readonly groupId: string;
      readonly units: number;
      readonly seconds: number;
      readonly out: WayOut | null;
    }
  | { readonly code: 'stuffed'; readonly placeId: PlaceId; readonly fill: number; readonly seconds: number }
  | { readonly code: 'loose'; readonly lotIds: readonly LotId[]; readonly emptyIds: readonly PlaceId[] }
  | { readonly code: 'table'; readonly lotIds: readonly LotId[] };

export interface PlanTold {
  readonly groups: readonly GroupTold[];
  readonly points: readonly PlanPoint[];
}

/** In a larger household a way out is not looked for: every place would be packed for every point. */
const MOST_LOTS = 1500;
const MOST_WAYS = 12;
/** From a tenth over the target on a place is stuffed. */
const STUFFED = 0.1;

interface Inside {
  readonly byPlace: ReadonlyMap<number, Offered[]>;
  readonly byGroup: ReadonlyMap<number, Offered[]>;
}

function gather(facts: Facts, offered: readonly (Offered | null)[]): Inside {
  const [byPlace, byGroup] = [new Map<number, Offered[]>(), new Map<number, Offered[]>()];
  for (const one of offered) {
    if (!one) continue;
    byPlace.set(one.place, [...(byPlace.get(one.place) ?? []), one]);
    const g = facts.groupOf[one.lot]!;
    byGroup.set(g, [...(byGroup.get(g) ?? []), one]);
  }
  return { byPlace, byGroup };
}

/** What each group's part is of the time that fetching takes; together they are all of it. */
function computeGroupSeconds(
  facts: Facts,
  offered: readonly (Offered | null)[],
  { byPlace, byGroup }: Inside,
): Float64Array {
  const { estimates } = facts.settings;
  const seconds = new Float64Array(facts.groups.length);
  for (const [l, one] of offered.entries())
    seconds[facts.groupOf[l]!]! += one ? one.fetching : facts.uses[l]! * estimates.homelessSeconds;
  for (const [p, inside] of byPlace) {
    const whole = scorePlace(facts, p, inside).searching;
    const { passSeconds, liftSeconds, piles, space } = facts.places[p]!;
    const lies = (one: Offered) =>
      (isPiled(one.pkg.form) && space.mode === 'line') || (space.mode === 'area' && Boolean(space.peg?.hooks));
    const stacked = inside.filter(lies).length;
    const lift = (liftSeconds * Math.max(0, stacked / piles - 1)) / 2;
    const groups = new Map<number, { n: number; uses: number; lifted: number }>();
    for (const one of inside) {
      const g = facts.groupOf[one.lot]!;
      const uses = facts.uses[one.lot]!;
      const { n, uses: sum, lifted } = groups.get(g) ?? { n: 0, uses: 0, lifted: 0 };
      groups.set(g, { n: n + 1, uses: sum + uses, lifted: lifted + (lies(one) ? uses : 0) });
    }
    let told = 0;
    for (const [g, { n, uses, lifted }] of groups) {
      const mine =
        uses * (estimates.findSeconds + (passSeconds * (n - 1)) / 2 + estimates.passGroupSeconds * (groups.size - 1)) +
        lifted * lift;
      seconds[g]! += mine;
      told += mine;
    }
    if (Math.abs(told - whole) > 1e-6 * Math.max(1, whole))
      throw new Error('a place is searched otherwise than it is scored');
  }
  for (const [g, inside] of byGroup) seconds[g]! += scoreLooks(facts, g, new Set(inside.map((one) => one.place)));
  return seconds;
}

function createWayOut(facts: Facts, offered: readonly (Offered | null)[]): (g: number) => WayOut | null {
  let left = facts.lots.length > MOST_LOTS ? 0 : MOST_WAYS;
  return (g) => {
    if (left === 0) return null;
    left -= 1;
    const lots = Array.from(
      { length: facts.groupStart[g + 1]! - facts.groupStart[g]! },
      (_, i) => facts.groupStart[g]! + i,
    );
    const best = computeGroupVerdicts(facts, offered, lots)
      .flatMap((one) => (one.isGood ? [one] : []))
      .toSorted((a, b) => a.moreSeconds - b.moreSeconds)[0];
    return best ? { groupId: facts.groups[g]!.id, placeId: best.placeId, moreSeconds: best.moreSeconds } : null;
  };
}

function listPoints(facts: Facts, offered: readonly (Offered | null)[], { byPlace, byGroup }: Inside): PlanPoint[] {
  const { estimates, fillTarget } = facts.settings;
  const findWayOut = createWayOut(facts, offered);
  const points: PlanPoint[] = [];
  const sense = findSense(
    facts.household,
    offered.flatMap((one) =>
      one ? [{ lotId: facts.lots[one.lot]!.id, placeId: facts.places[one.place]!.place.id, form: one.pkg.form }] : [],
    ),
  );
  for (const [p, inside] of byPlace) {
    const placeId = facts.places[p]!.place.id;
    const groups = [...new Set(inside.map((one) => facts.groupOf[one.lot]!))];
    const kinship = (a: number, b: number) => KINSHIPS[facts.kinships[a * facts.groups.length + b]!]!;
    const isStrange = (a: number, b: number) => a !== b && (kinship(a, b) === 'stranger' || kinship(a, b) === 'clash');
    const strangers = groups.filter((a) => groups.some((b) => isStrange(a, b)));
    if (strangers.length > 1 && facts.places[p]!.mingling === 1) {
      const size = (g: number) => inside.filter((one) => facts.groupOf[one.lot] === g).length;
      const small = strangers.toSorted((a, b) => size(a) - size(b))[0]!;
      const { company } = scorePlace(facts, p, inside);
      points.push({
        code: 'strangers',
        placeId,
        groupIds: strangers.map((g) => facts.groups[g]!.id),
        seconds: company,
        out: findWayOut(small),
      });
    }
    const fill = inside.reduce((sum, one) => sum + one.share, 0);
    const over = (fill - fillTarget) / Math.max(0.01, 1 - fillTarget);
    if (fill > Math.min(0.99, fillTarget + STUFFED))
      points.push({ code: 'stuffed', placeId, fill, seconds: estimates.crowdSeconds * over * over });
  }
  for (const [g, inside] of byGroup) {
    const at = new Set(inside.map((one) => one.place));
    const units = new Set([...at].map((p) => facts.places[p]!.unit)).size;
    if (units > 2)
      points.push({
        code: 'scattered',
        groupId: facts.groups[g]!.id,
        units,
        seconds: scoreGroup(facts, g, at),
        out: findWayOut(g),
      });
  }
  if (sense.looseSmall.length > 0)
    points.push({ code: 'loose', lotIds: sense.looseSmall, emptyIds: sense.emptyHolders });
  if (sense.onWorkTops.length > 0) points.push({ code: 'table', lotIds: sense.onWorkTops });
  return points;
}

/** An arrangement as a sewist thinks of it: every group with its homes, and what is odd about them. */
export function explainPlan(facts: Facts, offered: readonly (Offered | null)[]): PlanTold {
  const inside = gather(facts, offered);
  const seconds = computeGroupSeconds(facts, offered, inside);
  const groups = facts.groups.map(({ id, lots }, g): GroupTold => {
    const mine = inside.byGroup.get(g) ?? [];
    const counts = new Map<number, number>();
    for (const one of mine) counts.set(one.place, (counts.get(one.place) ?? 0) + 1);
    const homes = [...counts]
      .toSorted((a, b) => b[1] - a[1] || a[0] - b[0])
      .map(([p, count]) => ({
        placeId: facts.places[p]!.place.id,
        count,
        fill: inside.byPlace.get(p)!.reduce((sum, one) => sum + one.share, 0),
      }));
    const others = new Set(
      [...counts.keys()].flatMap((p) => inside.byPlace.get(p)!.map((one) => facts.groupOf[one.lot]!)),
    );
    others.delete(g);
    const beside = [...others]
      .toSorted((a, b) => a - b)
      .map((h) => ({
        groupId: facts.groups[h]!.id,
        kinship: KINSHIPS[facts.kinships[g * facts.groups.length + h]!]!,
      }));
    return { groupId: id, homes, beside, seconds: seconds[g]!, homeless: lots.length - mine.length };
  });
  return { groups, points: listPoints(facts, offered, inside) };
}
