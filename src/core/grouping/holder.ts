import { computePackages, getWholeLot, type Package } from '../measure/index.ts';
import { computeShare, packPlace } from '../packing/index.ts';
import type { Household, Lot, Place } from '../records/index.ts';
import { computeSpace, getAncestor, type PlaceTree, type Space } from '../storage/index.ts';

/** A place that would hold all of some lots if it were empty, how full that would be, 0 to 1, and how each lot lies in it. */
export interface Holder {
  readonly place: Place;
  readonly space: Space;
  readonly share: number;
  readonly packages: readonly Package[];
}

/** What a place measures inside, for telling small from large. */
function computeSize({ mode, widthMm, heightMm, depthMm }: Space): number {
  // A board is hung full, whatever its thickness.
  return mode === 'area' || mode === 'pins' ? widthMm * heightMm * 100 : widthMm * heightMm * depthMm;
}

/** The way to keep a lot that takes least of a place; null where none suits it. */
function findTightest(packages: readonly Package[], space: Space): { pkg: Package; share: number } | null {
  let best: { pkg: Package; share: number } | null = null;
  for (const pkg of packages) {
    const fit = computeShare(pkg, space);
    if (fit.ok && (!best || fit.share < best.share)) best = { pkg, share: fit.share };
  }
  return best;
}

/** A place with what it measures. */
interface Candidate {
  readonly place: Place;
  readonly space: Space;
}
const candidatesOf = new WeakMap<PlaceTree, readonly Candidate[]>();

/** Tables are for work, and the floor for feet: whatever else there is comes first. */
function isForWork(tree: PlaceTree, place: Place): boolean {
  const kind = getAncestor(tree, place.id, 'unit')?.unit?.kind;
  return kind === 'table' || kind === 'floor';
}

/** One of each size of place that takes things, the smallest first, table tops and spots on the floor last. */
function listCandidates(tree: PlaceTree): readonly Candidate[] {
  const known = candidatesOf.get(tree);
  if (known) return known;
  const bySize = new Map<string, Candidate & { isForWork: boolean }>();
  for (const place of tree.leaves) {
    const space = computeSpace(tree, place);
    const candidate = { place, space, isForWork: isForWork(tree, place) };
    const size = JSON.stringify([candidate.isForWork, space]);
    if (!bySize.has(size)) bySize.set(size, candidate);
  }
  const candidates = [...bySize.values()].toSorted(
    (a, b) => Number(a.isForWork) - Number(b.isForWork) || computeSize(a.space) - computeSize(b.space),
  );
  candidatesOf.set(tree, candidates);
  return candidates;
}

/** The ways to keep each lot. */
function listWaysOf(household: Household, lots: readonly Lot[]): (readonly Package[])[] {
  return lots.map((lot) => {
    const item = household.items.get(lot.itemId);
    return item ? computePackages(item, getWholeLot(household, lot), household.settings) : [];
  });
}

/**
 * Tries every place of the household, the smallest first, with real packing. Null where none takes all of the lots
 * within the share given: then they are split. What lies there now, loads and the rules of the household are left out
 * of account.
 */
export function findSmallestHolder(
  household: Household,
  tree: PlaceTree,
  lots: readonly Lot[],
  most = 1,
): Holder | null {
  const ways = listWaysOf(household, lots);
  for (const { place, space } of listCandidates(tree)) {
    const packages: Package[] = [];
    let share = 0;
    for (const way of ways) {
      const tightest = findTightest(way, space);
      share += tightest?.share ?? Infinity;
      // Of a large group most places are out after a few lots.
      if (!tightest || share > most) break;
      packages.push(tightest.pkg);
    }
    if (packages.length < ways.length) continue;
    if (packPlace(packages, space).status === 'packed') return { place, space, share, packages };
  }
  return null;
}

/** The place in which all of some lots together take the least share, and what each takes; null where no place takes each of them. */
export function findRoomiest(
  household: Household,
  tree: PlaceTree,
  lots: readonly Lot[],
): { place: Place; space: Space; shares: number[]; packages: Package[] } | null {
  const ways = listWaysOf(household, lots);
  let best: ReturnType<typeof findRoomiest> = null;
  let least = Infinity;
  for (const { place, space } of listCandidates(tree)) {
    const tightest = ways.map((way) => findTightest(way, space));
    if (tightest.some((one) => one === null)) continue;
    const shares = tightest.map((one) => one!.share);
    const total = shares.reduce((sum, share) => sum + share, 0);
    if (total >= least) continue;
    least = total;
    best = { place, space, shares, packages: tightest.map((one) => one!.pkg) };
  }
  return best;
}
