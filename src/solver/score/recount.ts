import { isPiled } from '../../core/measure/index.ts';
import { NO_PARTS, type Score } from '../../core/records/index.ts';
import { getCompanySeconds, OPENED_SHARE } from '../../core/sense/index.ts';
import { computeDigging, getKinshipOf, type Facts, type Offered } from '../model/index.ts';

/**
 * The score of any arrangement, counted from nothing: the slow twin of the search's state, and the way
 * today's mess is scored, which need not keep the rules. `offered[l]` is null where lot l has no place.
 */
export function recount(facts: Facts, offered: readonly (Offered | null)[]): Score {
  const { estimates } = facts.settings;
  const parts = { ...NO_PARTS };
  let unplacedWeight = 0;
  let cautions = 0;
  const byPlace = new Map<number, Offered[]>();
  const placesOfGroup = new Map<number, Set<number>>();
  for (const [l, one] of offered.entries()) {
    if (!one) {
      unplacedWeight += facts.weight[l]!;
      parts.searching += facts.uses[l]! * estimates.homelessSeconds;
      continue;
    }
    parts.fetching += one.fetching;
    parts.moving += one.moving;
    parts.wear += one.wear;
    parts.rent += one.rent;
    parts.holding += one.holding;
    cautions += one.cautions;
    byPlace.set(one.place, [...(byPlace.get(one.place) ?? []), one]);
    const group = facts.groupOf[l]!;
    placesOfGroup.set(group, (placesOfGroup.get(group) ?? new Set()).add(one.place));
  }
  for (const [p, inside] of byPlace) {
    const place = scorePlace(facts, p, inside);
    parts.searching += place.searching;
    parts.crowding += place.crowding;
    parts.company += place.company;
    parts.rent += place.rent;
    parts.moving += facts.places[p]!.bringing;
  }
  for (const [g, at] of placesOfGroup) {
    parts.splitting += scoreLooks(facts, g, at);
    parts.company += scoreFurther(facts, at);
  }
  const seconds = Object.values(parts).reduce((sum, part) => sum + part, 0);
  return { unplacedWeight, cautions, seconds, parts };
}

/** The share of a place that is taken. */
export const getFill = (inside: readonly Offered[]) => inside.reduce((sum, one) => sum + one.share, 0);

/**
 * What looking for its lots in a place costs each group, seconds a month: find it; pass half of its kin; pass the other
 * groups; lift off half of what lies on it.
 */
export function searchByGroup(facts: Facts, p: number, inside: readonly Offered[]): ReadonlyMap<number, number> {
  const { estimates } = facts.settings;
  const { space, passSeconds: passFlat, digSeconds, piles, liftSeconds } = facts.places[p]!;
  const passSeconds = passFlat + digSeconds * computeDigging(space, getFill(inside));
  const isStacked = ({ pkg }: Offered) =>
    (isPiled(pkg.form) && space.mode === 'line') || (space.mode === 'area' && Boolean(space.peg?.hooks));
  const groups = new Map<number, { n: number; uses: number; stackedUses: number }>();
  let stacked = 0;
  for (const one of inside) {
    const g = facts.groupOf[one.lot]!;
    const known = groups.get(g) ?? { n: 0, uses: 0, stackedUses: 0 };
    groups.set(g, known);
    known.n += 1;
    known.uses += facts.uses[one.lot]!;
    if (!isStacked(one)) continue;
    known.stackedUses += facts.uses[one.lot]!;
    stacked += 1;
  }
  const lift = (liftSeconds * Math.max(0, stacked / piles - 1)) / 2;
  const others = estimates.passGroupSeconds * (groups.size - 1);
  return new Map(
    [...groups].map(([g, { n, uses, stackedUses }]) => [
      g,
      uses * (estimates.findSeconds + (passSeconds * (n - 1)) / 2 + others) + stackedUses * lift,
    ]),
  );
}

/** What is likely to come to these lots, as a share of their place. */
export function sumToCome({ groupOf, growth }: Facts, inside: readonly Offered[]): number {
  return inside.reduce((sum, { lot, share }) => sum + growth[groupOf[lot]!]! * share, 0);
}

/** What a place with these lots in it costs beside what each lot costs by itself, seconds a month. An empty one costs nothing. */
export function scorePlace(
  facts: Facts,
  p: number,
  inside: readonly Offered[],
): { readonly searching: number; readonly crowding: number; readonly company: number; readonly rent: number } {
  if (inside.length === 0) return { searching: 0, crowding: 0, company: 0, rent: 0 };
  const { estimates, fillTarget } = facts.settings;
  const search = searchByGroup(facts, p, inside);
  const groups = [...search.keys()];
  // Also what is likely to come crowds; what of it will not go in any more costs the same however much is there already.
  const full = getFill(inside) + sumToCome(facts, inside);
  const room = Math.max(0.01, 1 - fillTarget);
  const over = Math.min(1 - fillTarget, Math.max(0, full - fillTarget)) / room;
  const outside = ((1 - fillTarget) * 2 * Math.max(0, full - 1)) / room ** 2;
  return {
    searching: [...search.values()].reduce((sum, one) => sum + one, 0),
    crowding: estimates.crowdSeconds * (over * over + outside),
    company: scoreCompany(facts, p, groups) + groups.reduce((sum, g) => sum + scoreNaming(facts, p, g), 0),
    rent: OPENED_SHARE * facts.places[p]!.worth * estimates.rentSeconds,
  };
}

/** What it costs that a group is in a place where names say otherwise, seconds a month. */
export function scoreNaming({ groups, misnamed, settings }: Facts, p: number, g: number): number {
  return settings.estimates.nameSeconds * misnamed[p * groups.length + g]!;
}

/**
 * What it costs that these groups share a place, seconds a month: every two of them, by how near they are. `scorePlace` has
 * what their names cost beside that.
 */
export function scoreCompany(facts: Facts, p: number, groups: readonly number[]): number {
  let seconds = 0;
  for (const [i, a] of groups.entries())
    for (const b of groups.slice(i + 1))
      seconds += getCompanySeconds(getKinshipOf(facts, a, b), facts.settings.estimates);
  return facts.places[p]!.mingling * seconds;
}

function countAround(facts: Facts, at: ReadonlySet<number>) {
  const count = (of: 'unit' | 'room') => new Set([...at].map((p) => facts.places[p]![of])).size;
  return { places: at.size - 1, units: count('unit') - 1, rooms: count('room') - 1 };
}

/** What looking in the wrong place first costs for a group that lies in these places, seconds a month. */
export function scoreLooks(facts: Facts, g: number, at: ReadonlySet<number>): number {
  if (at.size === 0) return 0;
  const { splitPlaceSeconds, splitUnitSeconds, splitRoomSeconds } = facts.settings.estimates;
  const { places, units, rooms } = countAround(facts, at);
  // In half of the searches the wrong one comes first.
  return (facts.groupUses[g]! / 2) * (splitPlaceSeconds * places + splitUnitSeconds * units + splitRoomSeconds * rooms);
}

/** What each further place of a group is a price of, however seldom it is used, seconds a month. */
function scoreFurther(facts: Facts, at: ReadonlySet<number>): number {
  if (at.size === 0) return 0;
  const { furtherPlaceSeconds, furtherUnitSeconds, furtherRoomSeconds } = facts.settings.estimates;
  const { places, units, rooms } = countAround(facts, at);
  return furtherPlaceSeconds * places + furtherUnitSeconds * units + furtherRoomSeconds * rooms;
}

/** What it costs in all that a group lies in these places, seconds a month. */
export function scoreGroup(facts: Facts, g: number, at: ReadonlySet<number>): number {
  return scoreLooks(facts, g, at) + scoreFurther(facts, at);
}
