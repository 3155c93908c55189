import type { Package } from '../measure/index.ts';
import { computeShare } from '../packing/index.ts';
import type { Household, Lot, Place, PlaceId } from '../records/index.ts';
import { computeSpace, computeTraits, type PlaceTree, type Space } from '../storage/index.ts';
import { computeContents, groupLotsByPlace, type PlaceContents } from './locate.ts';

/** How full a place is, in the one sense that every screen and every plan means. */
export interface PlaceState {
  /** The share of what it holds that its lots take: of its width, its piles, its room or its hooks, as it is used; 1 is full. */
  readonly fill: number;
  /** What is left of an open shelf's width beside all that stands on it, mm; piles may still take more on top. */
  readonly widthLeftMm: number | null;
  /** What is in it does not lie in it: it was packed, and did not pack. */
  readonly isOverFull: boolean;
  /** g, and what it may carry. */
  readonly massG: number;
  readonly loadG: number;
  readonly isTooHeavy: boolean;
  readonly lots: number;
}

/** The share of a place that some packages take; what does not go in by itself takes all of it. */
export function computeFill(packages: readonly Package[], space: Space): number {
  return packages.reduce((sum, pkg) => {
    const fit = computeShare(pkg, space);
    return sum + (fit.ok ? fit.share : 1);
  }, 0);
}

/** A load that is told to the gram is not too heavy by less. */
export const SLACK_G = 1;

/** How full and how heavy a place is, and whether what is in it can really lie there. */
export function computePlaceState(
  household: Household,
  tree: PlaceTree,
  place: Place,
  lots: readonly Lot[],
  which: 'is' | 'home',
): PlaceState {
  return getPlaceState(tree, place, computeContents(household, tree, place.id, lots, which));
}

/** The same of a place whose contents are packed already. */
export function getPlaceState(tree: PlaceTree, place: Place, { contents, spots }: PlaceContents): PlaceState {
  const space = computeSpace(tree, place);
  const isOverFull = contents.length > 0 && spots === null;
  const fill = computeFill(
    contents.map(({ pkg }) => pkg),
    space,
  );
  const isShelf = space.mode === 'line' && space.rowsRun === 'x';
  const end = isShelf && spots ? Math.max(0, ...spots.map((spot) => spot.xMm + spot.widthMm)) : null;
  const massG = contents.reduce((sum, { pkg }) => sum + pkg.massG, 0);
  const loadG = (place.container ?? place.slot)?.loadG ?? Infinity;
  return {
    // The shares are on the safe side: what packed all the same fills it, and no more than that.
    fill: isOverFull ? fill : Math.min(1, fill),
    widthLeftMm: end === null ? null : Math.max(0, space.widthMm - end),
    isOverFull,
    massG,
    loadG,
    isTooHeavy: massG > loadG + SLACK_G,
    lots: contents.length,
  };
}

/** Places that hold more than they should. */
export interface Strained {
  readonly full: readonly PlaceId[];
  /** Fuller than the share that the household wants filled, the over full ones among them. */
  readonly crowded: readonly PlaceId[];
}

export function listStrained(household: Household, tree: PlaceTree): Strained {
  const inside = groupLotsByPlace(household, 'is');
  const [full, crowded]: [PlaceId[], PlaceId[]] = [[], []];
  for (const place of tree.leaves) {
    const lots = inside.get(place.id);
    // A heap is as high as it is.
    if (!lots || computeTraits(tree, place, household.settings).isHeap) continue;
    const { isOverFull, fill } = computePlaceState(household, tree, place, lots, 'is');
    if (isOverFull) full.push(place.id);
    if (isOverFull || fill > household.settings.fillTarget + 1e-9) crowded.push(place.id);
  }
  return { full, crowded };
}
