import { computePackages, getWholeLot, type Package } from '../measure/index.ts';
import { computeShare, packPlace } from '../packing/index.ts';
import type { Household, PlaceId } from '../records/index.ts';
import { computeSpace, type PlaceTree, type Space } from '../storage/index.ts';
import type { Group } from './groups.ts';

/** The smallest place that would hold all of a group if it were empty, and how full that would be, 0 to 1. */
export interface Holder {
  readonly placeId: PlaceId;
  readonly share: number;
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

/**
 * Tries every place of the household, the smallest first, with real packing. Null where none takes all of the group:
 * then it is split. What lies there now, loads and the rules of the household are left out of account.
 */
export function findSmallestHolder(household: Household, tree: PlaceTree, group: Group): Holder | null {
  const ways = group.lots.map((lot) => {
    const item = household.items.get(lot.itemId);
    return item ? computePackages(item, getWholeLot(household, lot), household.settings) : [];
  });
  const places = tree.leaves
    .map((place) => ({ place, space: computeSpace(tree, place) }))
    .toSorted((a, b) => computeSize(a.space) - computeSize(b.space));
  for (const { place, space } of places) {
    const kept: Package[] = [];
    let share = 0;
    for (const packages of ways) {
      const tightest = findTightest(packages, space);
      share += tightest?.share ?? Infinity;
      // Of a large group most places are out after a few lots.
      if (!tightest || share > 1) break;
      kept.push(tightest.pkg);
    }
    if (kept.length < ways.length) continue;
    const packed = packPlace(kept, space);
    if (packed.status === 'packed') return { placeId: place.id, share };
  }
  return null;
}
