import { computeShare } from '../packing/index.ts';
import { takesRoom, type Household, type Lot, type LotId, type StowForm } from '../records/index.ts';
import { type PlaceTree } from '../storage/index.ts';
import type { Package } from '../measure/index.ts';
import { numberPlaces, planBins, type BinCarry, type PlaceNumbers } from './bins.ts';
import { computePresentPackage } from '../whereabouts/index.ts';

/** Where a thing is that is in no place: lying about, on the staging table, or out of the way in another room. */
export const ABOUT = -1;
export const TABLE = -2;
export const ASIDE = -3;

/** What one person carries at once: by weight, less where it is lifted above the shoulder, and by an armful. */
const LIFT_G = 10_000;
const HIGH_LIFT_G = 5000;
const ARMFUL_MM3 = 45_000_000;

/** Something that is not where, or not as, the adopted plan wants it. */
export interface Mover {
  readonly lot: Lot;
  readonly from: number;
  readonly to: number;
  readonly form: StowForm;
  /** As it is now, and as it will be. */
  readonly before: Package;
  readonly after: Package;
  readonly massG: number;
  /** As it lies on the table, mm³. */
  readonly volumeMm3: number;
  /** Of an empty place, where it is now (0 where that is no place) and where it goes. */
  readonly shareFrom: number;
  readonly shareTo: number;
}

/** The work of one reorganising: what moves, and what stays where it is. */
export interface MoveFacts extends PlaceNumbers {
  readonly household: Household;
  readonly tree: PlaceTree;
  /** Containers that are to be carried. */
  readonly carries: readonly BinCarry[];
  /** What should go home and cannot: none of its forms has a size any more, or its home is no more. */
  readonly noWayIds: readonly LotId[];
  /** What lies on the table and is not to be carried on now, mm³. */
  readonly tableTakenMm3: number;
  readonly movers: readonly Mover[];
  /** What is filled and weighs by what stays and by what has yet to go, by place. */
  readonly fill: Float64Array;
  readonly massG: Float64Array;
  /** What stays in each place, in its order. */
  readonly stays: readonly (readonly { readonly lotId: LotId; readonly pkg: Package }[])[];
}

const volumeOf = (pkg: Package) => pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces;

/**
 * Gathers what has to be carried from how things are to the homes that they have. What is lent or missing is left out;
 * what is skipped stays where it is.
 */
export function createMoveFacts(
  household: Household,
  tree: PlaceTree,
  skipped: ReadonlySet<LotId> = new Set(),
): MoveFacts {
  const plan = planBins(household, tree);
  const numbers = numberPlaces(tree, plan, household.settings);
  const { places } = numbers;
  const index = new Map(places.map((one, p) => [one.place.id, p]));
  const fill = new Float64Array(places.length);
  const massG = new Float64Array(places.length);
  const stays: { lotId: LotId; pkg: Package; order: number }[][] = places.map(() => []);
  const movers: Mover[] = [];
  const noWayIds: LotId[] = [];
  let tableTakenMm3 = 0;
  // What does not go in by the rules fills the place where it lies.
  const shareIn = (pkg: Package, p: number) => {
    const fit = computeShare(pkg, places[p]!.space);
    return fit.ok ? fit.share : 1;
  };
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot) || lot.state === 'lent' || lot.away === 'missing') continue;
    const before = computePresentPackage(household, lot);
    const isAstray = lot.homeId !== undefined && lot.homeId !== lot.placeId && !skipped.has(lot.id);
    if (isAstray && (!before || !index.has(lot.homeId!))) noWayIds.push(lot.id);
    if (!before) continue;
    const at = lot.placeId === undefined ? undefined : index.get(lot.placeId);
    const to = lot.homeId === undefined ? undefined : index.get(lot.homeId);
    if (at !== undefined) {
      fill[at]! += shareIn(before, at);
      massG[at]! += before.massG;
    }
    // A form that no longer suits it is not waited for.
    const after = computePresentPackage(household, lot, lot.homeForm) ?? before;
    if (to === undefined || skipped.has(lot.id) || (at === to && lot.form === after.form)) {
      if (at === undefined && lot.away === 'table') tableTakenMm3 += volumeOf(before);
      if (at !== undefined) stays[at]!.push({ lotId: lot.id, pkg: before, order: lot.order });
      continue;
    }
    const away = lot.away === 'table' ? TABLE : lot.away === 'aside' ? ASIDE : ABOUT;
    movers.push({
      lot,
      from: at ?? away,
      to,
      form: after.form,
      before,
      after,
      massG: before.massG,
      volumeMm3: volumeOf(before),
      shareFrom: at === undefined ? 0 : shareIn(before, at),
      shareTo: shareIn(after, to),
    });
  }
  for (const list of stays) list.sort((a, b) => a.order - b.order);
  return {
    household,
    tree,
    ...numbers,
    carries: plan.carries,
    movers,
    fill,
    massG,
    stays,
    tableTakenMm3,
    noWayIds,
  };
}

/** What one person lifts between two places, g. */
export function getLiftG(facts: MoveFacts, from: number, to: number): number {
  const isHigh = [from, to].some((p) => p >= 0 && ['stretch', 'stool'].includes(facts.places[p]!.traits.reach));
  return isHigh ? HIGH_LIFT_G : LIFT_G;
}

/**
 * Splits movers into what is carried at once: the heaviest first, each into the first load that has room. What is too
 * heavy or too large by itself goes alone.
 */
export function splitLoads(movers: readonly Mover[], which: readonly number[], liftG: number): number[][] {
  const loads: { list: number[]; massG: number; volumeMm3: number }[] = [];
  const sorted = [...which].sort((a, b) => movers[b]!.massG - movers[a]!.massG || a - b);
  for (const m of sorted) {
    const { massG, volumeMm3 } = movers[m]!;
    const load = loads.find((one) => one.massG + massG <= liftG && one.volumeMm3 + volumeMm3 <= ARMFUL_MM3);
    if (load) {
      load.list.push(m);
      load.massG += massG;
      load.volumeMm3 += volumeMm3;
    } else loads.push({ list: [m], massG, volumeMm3 });
  }
  return loads.map(({ list }) => list);
}

/**
 * No order gets by with fewer trips, as long as all that is carried at once goes to one place in the end (a pile on the
 * table is for one place): for each pair of a place and where its things go, the weight by what one lifts and the bulk
 * by what one holds, rounded up. Each of these trips leaves that place with things for that other, so that none counts
 * for two pairs.
 */
export function computeLeastTrips(facts: MoveFacts): number {
  const pairs = new Map<string, { from: number; to: number; massG: number; volumeMm3: number }>();
  for (const { from, to, massG, volumeMm3 } of facts.movers) {
    const key = `${from} ${to}`;
    const pair = pairs.get(key) ?? { from, to, massG: 0, volumeMm3: 0 };
    // What is too heavy or too large by itself still goes at once.
    pair.massG += Math.min(massG, getLiftG(facts, from, to));
    pair.volumeMm3 += Math.min(volumeMm3, ARMFUL_MM3);
    pairs.set(key, pair);
  }
  let least = 0;
  for (const { from, to, massG, volumeMm3 } of pairs.values())
    least += Math.max(1, Math.ceil(massG / getLiftG(facts, from, to) - 1e-9), Math.ceil(volumeMm3 / ARMFUL_MM3 - 1e-9));
  return least + facts.carries.length;
}
