import { chooseKeeper, type Keeper } from '../../core/grouping/index.ts';
import { findSense, type Kinship } from '../../core/sense/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { getKinshipOf, listMembers, type Facts, type Offered } from '../model/index.ts';
import { getFill, scoreGroup, scoreLooks, scorePlace, searchByGroup } from '../score/index.ts';
import { computeGroupVerdicts, type GroupVerdict } from './verdicts.ts';

/** A group as an arrangement has it. */
export interface GroupHomes {
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
export interface WayOut extends Extract<GroupVerdict, { isGood: true }> {
  readonly groupId: string;
}

/** What is odd about an arrangement, and what it costs, seconds a month. A way out is null where there is none, absent where none was looked for. */
export type Oddity = { readonly seconds: number } & (
  | {
      readonly code: 'strangers';
      readonly placeId: PlaceId;
      readonly groupIds: readonly string[];
      readonly out?: WayOut | null;
      /** What would keep the small ones among them apart from the others there. */
      readonly apart: readonly { readonly groupId: string; readonly keeper: Keeper }[];
    }
  | { readonly code: 'scattered'; readonly groupId: string; readonly units: number; readonly out?: WayOut | null }
  | { readonly code: 'stuffed'; readonly placeId: PlaceId; readonly fill: number }
  | { readonly code: 'loose'; readonly lotIds: readonly LotId[]; readonly emptyIds: readonly PlaceId[] }
  | { readonly code: 'table'; readonly lotIds: readonly LotId[] }
  | { readonly code: 'homeless'; readonly lotIds: readonly LotId[] }
);

export interface ByGroup {
  readonly groups: readonly GroupHomes[];
  /** What costs most comes first. */
  readonly oddities: readonly Oddity[];
}

/** In a larger household a way out is not looked for: every place would be packed for every oddity. */
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
  const add = (to: Map<number, Offered[]>, key: number, one: Offered) => {
    const known = to.get(key);
    if (known) known.push(one);
    else to.set(key, [one]);
  };
  for (const one of offered) {
    if (!one) continue;
    add(byPlace, one.place, one);
    add(byGroup, facts.groupOf[one.lot]!, one);
  }
  return { byPlace, byGroup };
}

const listPlaces = (inside: readonly Offered[]) => new Set(inside.map((one) => one.place));

/** What each group's part is of the time that fetching takes; together they are all of it. */
function computeGroupSeconds(
  facts: Facts,
  offered: readonly (Offered | null)[],
  { byPlace, byGroup }: Inside,
): Float64Array {
  const seconds = new Float64Array(facts.groups.length);
  for (const [l, one] of offered.entries())
    seconds[facts.groupOf[l]!]! += one ? one.fetching : facts.uses[l]! * facts.settings.estimates.homelessSeconds;
  for (const [p, inside] of byPlace) for (const [g, search] of searchByGroup(facts, p, inside)) seconds[g]! += search;
  for (const [g, inside] of byGroup) seconds[g]! += scoreLooks(facts, g, listPlaces(inside));
  return seconds;
}

function findWayOut(facts: Facts, offered: readonly (Offered | null)[], g: number): WayOut | null {
  const best = computeGroupVerdicts(facts, offered, listMembers(facts, g))
    .flatMap((one) => (one.isGood ? [one] : []))
    .toSorted((a, b) => a.moreSeconds - b.moreSeconds)[0];
  return best ? { groupId: facts.groups[g]!.id, ...best } : null;
}

/** An oddity, with the group that would have to go for it to end. */
interface Found {
  readonly oddity: Oddity;
  readonly mover: number | null;
}

/** A group that takes no more of a place than this goes into a bag, a box or behind a divider there. */
const SMALL_SHARE = 0.2;
const MOST_APART = 3;

/** What would keep small groups apart from the others of a place: a few of those that take least of it, but not all. */
function keepApart(facts: Facts, p: number, inside: readonly Offered[], strangers: readonly number[]) {
  const { household, tree } = facts;
  const packages = inside.map((one) => one.pkg);
  return strangers
    .map((g) => ({ g, mine: inside.filter((one) => facts.groupOf[one.lot] === g) }))
    .toSorted((a, b) => getFill(a.mine) - getFill(b.mine) || a.g - b.g)
    .slice(0, Math.min(MOST_APART, strangers.length - 1))
    .filter(({ mine }) => getFill(mine) <= SMALL_SHARE)
    .map(({ g, mine }) => {
      const own = mine.map((one) => one.pkg);
      const keeper = chooseKeeper(own, { space: facts.places[p]!.space, packages }, household, tree);
      return { groupId: facts.groups[g]!.id, keeper };
    });
}

/** What is odd about a place: strangers in it, or too much. */
function lookInto(facts: Facts, p: number, inside: readonly Offered[]): Found[] {
  const { fillTarget } = facts.settings;
  const { place, mingling } = facts.places[p]!;
  const found: Found[] = [];
  const sizes = new Map<number, number>();
  for (const { lot } of inside) sizes.set(facts.groupOf[lot]!, (sizes.get(facts.groupOf[lot]!) ?? 0) + 1);
  const isStrange = (a: number, b: number) => a !== b && ['stranger', 'clash'].includes(getKinshipOf(facts, a, b));
  const strangers = [...sizes.keys()].filter((a) => [...sizes.keys()].some((b) => isStrange(a, b)));
  // Things with a hook, a pin or a cell each are told apart all the same.
  if (strangers.length > 1 && mingling === 1) {
    const mover = strangers.toSorted((a, b) => sizes.get(a)! - sizes.get(b)!)[0]!;
    found.push({
      oddity: {
        code: 'strangers',
        placeId: place.id,
        groupIds: strangers.map((g) => facts.groups[g]!.id),
        seconds: scorePlace(facts, p, inside).company,
        apart: keepApart(facts, p, inside, strangers),
      },
      mover,
    });
  }
  const fill = getFill(inside);
  if (fill > Math.min(0.99, fillTarget + STUFFED))
    found.push({
      oddity: { code: 'stuffed', placeId: place.id, fill, seconds: scorePlace(facts, p, inside).crowding },
      mover: null,
    });
  return found;
}

function listOddities(facts: Facts, offered: readonly (Offered | null)[], { byPlace, byGroup }: Inside): Oddity[] {
  const { looseSeconds, tableSeconds, homelessSeconds } = facts.settings.estimates;
  const found = [...byPlace].flatMap(([p, inside]) => lookInto(facts, p, inside));
  const homeless = offered.flatMap((one, l) => (one ? [] : [l]));
  if (homeless.length > 0) {
    const seconds = homelessSeconds * homeless.reduce((sum, l) => sum + facts.uses[l]!, 0);
    const lotIds = homeless.map((l) => facts.lots[l]!.id);
    found.push({ oddity: { code: 'homeless', lotIds, seconds }, mover: null });
  }
  for (const [g, inside] of byGroup) {
    const at = listPlaces(inside);
    const units = new Set([...at].map((p) => facts.places[p]!.unit)).size;
    if (units < 3) continue;
    const seconds = scoreGroup(facts, g, at);
    found.push({ oddity: { code: 'scattered', groupId: facts.groups[g]!.id, units, seconds }, mover: g });
  }
  const sense = findSense(
    facts.household,
    offered.flatMap((one) =>
      one ? [{ lotId: facts.lots[one.lot]!.id, placeId: facts.places[one.place]!.place.id, form: one.pkg.form }] : [],
    ),
  );
  if (sense.looseSmall.length > 0) {
    const seconds = looseSeconds * sense.looseSmall.length;
    found.push({
      oddity: { code: 'loose', lotIds: sense.looseSmall, emptyIds: sense.emptyHolders, seconds },
      mover: null,
    });
  }
  if (sense.onWorkTops.length > 0) {
    const seconds = tableSeconds * sense.onWorkTops.length;
    found.push({ oddity: { code: 'table', lotIds: sense.onWorkTops, seconds }, mover: null });
  }
  let left = facts.lots.length > MOST_LOTS ? 0 : MOST_WAYS;
  return found
    .toSorted((a, b) => b.oddity.seconds - a.oddity.seconds)
    .map(({ oddity, mover }) => {
      if (mover === null || left === 0) return oddity;
      left -= 1;
      return { ...oddity, out: findWayOut(facts, offered, mover) };
    });
}

/** An arrangement as a sewist thinks of it: every group with its homes, and what is odd about them. */
export function explainByGroup(facts: Facts, offered: readonly (Offered | null)[]): ByGroup {
  const inside = gather(facts, offered);
  const seconds = computeGroupSeconds(facts, offered, inside);
  const groups = facts.groups.map(({ id, lots }, g): GroupHomes => {
    const mine = inside.byGroup.get(g) ?? [];
    const counts = new Map<number, number>();
    for (const { place } of mine) counts.set(place, (counts.get(place) ?? 0) + 1);
    const others = new Set(
      [...counts.keys()].flatMap((p) => inside.byPlace.get(p)!.map((one) => facts.groupOf[one.lot]!)),
    );
    others.delete(g);
    return {
      groupId: id,
      homes: [...counts]
        .toSorted((a, b) => b[1] - a[1] || a[0] - b[0])
        .map(([p, count]) => ({
          placeId: facts.places[p]!.place.id,
          count,
          fill: getFill(inside.byPlace.get(p)!),
        })),
      beside: [...others]
        .toSorted((a, b) => a - b)
        .map((h) => ({ groupId: facts.groups[h]!.id, kinship: getKinshipOf(facts, g, h) })),
      seconds: seconds[g]!,
      homeless: lots.length - mine.length,
    };
  });
  return { groups, oddities: listOddities(facts, offered, inside) };
}
