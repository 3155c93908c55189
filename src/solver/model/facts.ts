import { computeGroups, getWholeId, type Group } from '../../core/grouping/index.ts';
import { computePackages, getWholeLot, hasBoards, type Package } from '../../core/measure/index.ts';
import { computeShare } from '../../core/packing/index.ts';
import {
  type Estimates,
  type Household,
  type Item,
  type Lot,
  type Place,
  type PlaceId,
  type Settings,
  getUses,
  STOW_FORMS,
} from '../../core/records/index.ts';
import {
  computeHolding,
  computeWear,
  createNature,
  getKinship,
  KINSHIPS,
  listNamed,
  type Kinship,
} from '../../core/sense/index.ts';
import { createPlaceTree, type PlaceTree } from '../../core/storage/index.ts';
import { findCautions } from '../constraints/index.ts';
import { computeFetches, describePlaces, type PlaceFacts, type PlaceTable } from './places.ts';
import { listStandings, NO_STANDINGS, type Standings } from './standings.ts';
import { compileWishes, type Wishes } from './wishes.ts';
import { listWays, type Ways } from './ways.ts';

export type { PlaceFacts };

/** Everything is looked at or passed through the hands at least once in ten months. */
const LEAST_USES = 0.1;

/** Years that a plan should hold before what came since asks for another one. */
const PLAN_YEARS = 0.5;

/** One lot in one place in one form: what it takes and what it costs by itself. Seconds a month. */
export interface Offered {
  readonly lot: number;
  readonly place: number;
  readonly pkg: Package;
  readonly share: number;
  readonly fetching: number;
  readonly moving: number;
  readonly wear: number;
  readonly rent: number;
  readonly holding: number;
  readonly cautions: number;
}

/**
 * The problem: lots, places and every allowed way to put one into the other. An option is a way (a lot in a form)
 * in a place, numbered `way × places + place`.
 */
export interface Facts extends PlaceTable, Ways {
  readonly household: Household;
  readonly settings: Settings;
  readonly tree: PlaceTree;
  /** What containers could stand where; their places come after those that there are. */
  readonly standings: Standings;
  readonly groups: readonly Group[];
  readonly lots: readonly Lot[];
  readonly items: readonly Item[];
  readonly packages: readonly (readonly Package[])[];
  readonly groupOf: Int32Array;
  /** Lots are numbered group by group: those of group `g` are `groupStart[g]` to `groupStart[g + 1]`. */
  readonly groupStart: Int32Array;
  readonly uses: Float64Array;
  readonly weight: Float64Array;
  readonly groupUses: Float64Array;
  /** By group: what of its share is likely to come to it while a plan holds. */
  readonly growth: Float64Array;
  /**
   * Index of the place where it belongs or, while it belongs nowhere, where it is; -1 for neither. And the form it has
   * there. A plan that was adopted is what the next one begins from, carried out or not.
   */
  readonly present: Int32Array;
  readonly presentForm: Int32Array;
  /** What it costs to have it anywhere else, seconds a month: carrying it and, after a plan was adopted, learning its home. */
  readonly carrying: Float64Array;
  /** Lots that are used at the same stations share a row of fetches: by row × place, seconds a fetch. */
  readonly fetchRowOf: Int32Array;
  readonly fetches: Float64Array;
  readonly fetchRowCount: number;
  readonly wishes: Wishes;
  /** By group × group: how near they are, a number of `KINSHIPS`. */
  readonly kinships: Uint8Array;
  /** By place × group: how wrong names are where the group is there: one where a name means it elsewhere, one where the place's means others. */
  readonly misnamed: Uint8Array;
  /** Describes any lot in any place, allowed or not; null when the form does not suit the place at all. */
  readonly describe: (lot: number, place: number, pkg: Package) => Offered | null;
}

/** How containers may stand. */
export interface FactsOptions {
  /** Whether there are also the places that there would be if containers stood otherwise. */
  readonly isOpen: boolean;
  /** Where containers belong: one that the household has elsewhere is carried there. */
  readonly berths: ReadonlyMap<PlaceId, Place>;
}

/** Gathers everything the search needs to know of a household. The household is not kept changed. */
export function createFacts(household: Household, options?: FactsOptions): Facts {
  const { settings } = household;
  const tree = createPlaceTree(household.places);
  const groups = computeGroups(household);
  const standings = options?.isOpen ? listStandings(household, tree, groups) : NO_STANDINGS;
  const lots: Lot[] = [];
  const groupIndex: number[] = [];
  const groupStart = new Int32Array(groups.length + 1);
  for (const [g, group] of groups.entries()) {
    for (const lot of group.lots) {
      lots.push(lot);
      groupIndex.push(g);
    }
    groupStart[g + 1] = lots.length;
  }
  const withBoards = hasBoards(household);
  const items = lots.map((lot) => household.items.get(lot.itemId) as Item);
  const packages = lots.map((lot, l) => {
    const all = computePackages(items[l]!, getWholeLot(household, lot), settings);
    // On boards that are not there goes only what can be kept in no other way.
    const other = withBoards ? all : all.filter(({ form }) => form !== 'board');
    return other.length > 0 ? other : all;
  });
  const table = describePlaces(tree, settings, standings, options?.berths);
  const { places } = table;

  const fetchTable = computeFetchTable(tree, table, settings, items);

  const placeIndex = new Map<string, number>(tree.leaves.map(({ id }, p) => [id, p]));
  const present = Int32Array.from(lots, ({ homeId, placeId }) => placeIndex.get(homeId ?? placeId ?? '') ?? -1);
  const uses = Float64Array.from(items, (item) => Math.max(LEAST_USES, getUses(item)));
  const groupUses = new Float64Array(groups.length);
  for (let l = 0; l < lots.length; l += 1) groupUses[groupIndex[l]!]! += uses[l]!;

  const wishes = compileWishes(household, {
    lots,
    groupOf: groupIndex,
    groupIds: groups.map((group) => group.id),
    paths: table.paths,
  });
  const known = {
    ...table,
    ...listWays({ lots, items, packages }, places, settings, wishes),
    ...fetchTable,
    household,
    settings,
    tree,
    standings,
    groups,
    lots,
    items,
    packages,
    groupOf: Int32Array.from(groupIndex),
    groupStart,
    uses,
    weight: Float64Array.from(uses, (u) => 1 + u),
    groupUses,
    growth: computeToCome(groups, settings),
    present,
    carrying: computeCarrying(household, lots),
    presentForm: Int32Array.from(lots, (lot) => STOW_FORMS.indexOf(lot.homeId ? lot.homeForm : lot.form)),
    wishes,
    ...describeGroups(table, tree.pool, groups, household),
  };
  return { ...known, describe: createDescribe(known) };
}

/**
 * The same problem with other estimates, for scoring arrangements (`describe`, `recount`) and not for a search: the
 * tables of wear by way stay as they were.
 */
export function withEstimates(facts: Facts, estimates: Estimates): Facts {
  const settings = { ...facts.settings, estimates };
  const table = describePlaces(facts.tree, settings, facts.standings);
  const changed = {
    ...facts,
    ...table,
    ...computeFetchTable(facts.tree, table, settings, facts.items),
    carrying: computeCarrying({ ...facts.household, settings }, facts.lots),
    settings,
  };
  return { ...changed, describe: createDescribe(changed) };
}

function computeCarrying({ plans, settings }: Household, lots: readonly Lot[]): Float64Array {
  const { carrySeconds, relearnSeconds, carryMonths } = settings.estimates;
  const adopted = [...plans.values()].find((plan) => plan.adoptedAtMs !== undefined);
  const homes = new Map(adopted?.assignments.map(({ lotId, placeId }) => [lotId, placeId]));
  return Float64Array.from(
    lots,
    ({ id, homeId }) =>
      (carrySeconds + (homeId !== undefined && homes.get(id) === homeId ? relearnSeconds : 0)) / carryMonths,
  );
}

/** What of each group's share is likely to come to it while a plan holds; a part grows as the whole does. */
function computeToCome(groups: readonly Group[], { growth = [] }: Settings): Float64Array {
  const perYear = new Map(growth.map((one) => [one.groupId, one.perYear]));
  return Float64Array.from(groups, ({ id }) => PLAN_YEARS * (perYear.get(id) ?? perYear.get(getWholeId(id)) ?? 0));
}

function describeGroups(
  { places, paths }: PlaceTable,
  pool: readonly Place[],
  groups: readonly Group[],
  { items, settings }: Household,
): Pick<Facts, 'kinships' | 'misnamed'> {
  const n = groups.length;
  const natures = groups.map((group) => createNature(group, items));
  const kinships = new Uint8Array(n * n);
  for (let a = 0; a < n; a += 1)
    for (let b = a + 1; b < n; b += 1) {
      const kinship = KINSHIPS.indexOf(getKinship(natures[a]!, natures[b]!));
      kinships[a * n + b] = kinship;
      kinships[b * n + a] = kinship;
    }
  const index = new Map(groups.map(({ id }, g) => [id, g]));
  for (const { groupIds, kinship } of settings.bonds ?? []) {
    const [a, b] = groupIds.map((id) => index.get(id));
    if (a === undefined || b === undefined) continue;
    kinships[a * n + b] = KINSHIPS.indexOf(kinship);
    kinships[b * n + a] = KINSHIPS.indexOf(kinship);
  }
  // A container that stands idle is still called what it is called.
  const idle = pool.filter(({ container }) => !container!.isRetired).map((place) => [place]);
  const all = listNamed([...paths, ...idle], groups, items);
  const named = all.slice(0, paths.length);
  const hasName = new Uint8Array(n);
  for (const { wanted, weight } of all) for (const g of wanted) hasName[g] = Math.max(hasName[g]!, weight);
  const misnamed = new Uint8Array(n * places.length);
  for (const [p, { fitting, weight }] of named.entries())
    for (let g = 0; g < n; g += 1) misnamed[p * n + g] = fitting.includes(g) ? 0 : weight + hasName[g]!;
  return { kinships, misnamed };
}

function computeFetchTable(
  tree: PlaceTree,
  table: PlaceTable,
  settings: Settings,
  items: readonly Item[],
): Pick<Facts, 'fetchRowOf' | 'fetches' | 'fetchRowCount'> {
  const { places } = table;
  const byStation = computeFetches(tree, table, settings);
  const first = [...byStation.values()][0] ?? new Float64Array(places.length);
  const rows: Float64Array[] = [];
  const rowNumbers = new Map<string, number>();
  const fetchRowOf = Int32Array.from(items, (item) => {
    const used = [item.stationId, ...(item.otherStationIds ?? [])];
    const key = used.join(' ');
    const known = rowNumbers.get(key);
    if (known !== undefined) return known;
    const of = used.map((id) => byStation.get(id) ?? first);
    rows.push(Float64Array.from(places, (_, p) => of.reduce((sum, seconds) => sum + seconds[p]!, 0) / used.length));
    rowNumbers.set(key, rows.length - 1);
    return rows.length - 1;
  });
  const fetches = new Float64Array(rows.length * places.length);
  for (const [i, row] of rows.entries()) fetches.set(row, i * places.length);
  return { fetchRowOf, fetches, fetchRowCount: rows.length };
}

function createDescribe(
  facts: Pick<
    Facts,
    'places' | 'settings' | 'items' | 'present' | 'presentForm' | 'carrying' | 'uses' | 'fetches' | 'fetchRowOf'
  >,
): Facts['describe'] {
  const { places, settings, items, present, uses, fetches, fetchRowOf } = facts;
  const { presentForm, carrying } = facts;
  const { estimates } = settings;
  const { rentSeconds } = estimates;
  return (l, p, pkg) => {
    const { space, traits, worth } = places[p]!;
    const fit = computeShare(pkg, space);
    if (!fit.ok) return null;
    const item = items[l]!;
    const isMoved = present[l] !== p || STOW_FORMS[presentForm[l]!] !== pkg.form;
    return {
      lot: l,
      place: p,
      pkg,
      share: fit.share,
      fetching: uses[l]! * fetches[fetchRowOf[l]! * places.length + p]!,
      moving: isMoved ? carrying[l]! : 0,
      wear: computeWear(item, traits, estimates),
      rent: rentSeconds * worth * fit.share,
      holding: computeHolding(item, pkg, traits, estimates),
      cautions: findCautions({ item, pkg, space, traits, settings }).length,
    };
  };
}

/** How near two groups are. */
export function getKinshipOf(facts: Pick<Facts, 'kinships' | 'groups'>, a: number, b: number): Kinship {
  return KINSHIPS[facts.kinships[a * facts.groups.length + b]!]!;
}

/** All lots of a group, by their numbers. */
export function listMembers({ groupStart }: Pick<Facts, 'groupStart'>, g: number): number[] {
  return Array.from({ length: groupStart[g + 1]! - groupStart[g]! }, (_, i) => groupStart[g]! + i);
}

/** The place of an option. */
export function getPlaceOf(facts: Facts, option: number): number {
  return option % facts.places.length;
}

/** The way of an option. */
export function getWayOf(facts: Facts, option: number): number {
  return Math.floor(option / facts.places.length);
}

/** Whether a way is allowed in a place: by shape, load, care and wishes, were the place empty. */
export function isAllowed(facts: Facts, way: number, place: number): boolean {
  return facts.allowed[facts.patternOf[way]! * facts.places.length + place] === 1;
}

/** The share of an empty place that an option takes. */
export function getShare(facts: Facts, option: number): number {
  return facts.shares[getWayOf(facts, option) * facts.spaceCount + facts.spaceOf[getPlaceOf(facts, option)]!]!;
}

/** How many cautions an option raises. */
export function countCautions(facts: Facts, option: number): number {
  const trait = facts.traitOf[getPlaceOf(facts, option)]!;
  return facts.cautions[facts.careOf[getWayOf(facts, option)]! * facts.traitCount + trait]!;
}

/** All allowed options of a lot, by place. */
export function listOptions(facts: Facts, lot: number): number[] {
  const options: number[] = [];
  const count = facts.places.length;
  for (let p = 0; p < count; p += 1)
    for (let w = facts.wayStart[lot]!; w < facts.wayStart[lot + 1]!; w += 1)
      if (isAllowed(facts, w, p)) options.push(w * count + p);
  return options;
}

/** The package of an option of a lot. */
export function getOptionPackage(facts: Facts, lot: number, option: number): Package {
  return facts.packages[lot]![getWayOf(facts, option) - facts.wayStart[lot]!]!;
}
