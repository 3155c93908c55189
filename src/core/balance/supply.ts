import type { Place, Settings } from '../records/index.ts';
import { computeSpace, computeTraits, type PlaceTree, type Space } from '../storage/index.ts';

/** What room is by what it takes: open and shut shelves, drawers with bins and boxes, pegs, pins, rails. */
export const ROOM_SORTS = ['shelf', 'drawer', 'pegs', 'pins', 'rail'] as const;
export type RoomSort = (typeof ROOM_SORTS)[number];

/** Places alike. */
export interface Spaces {
  readonly space: Space;
  readonly sort: RoomSort;
  readonly count: number;
}

function getSort(space: Space): RoomSort {
  if (space.mode === 'area') return 'pegs';
  if (space.mode === 'pins' || space.mode === 'rail') return space.mode;
  return space.mode === 'line' && space.rowsRun === 'x' ? 'shelf' : 'drawer';
}

/** How much a place of a sort is: mm³, mm² of pegs, pins, mm of rail. */
export function measureSpace({ space, sort }: Pick<Spaces, 'space' | 'sort'>): number {
  const { widthMm, depthMm, heightMm, pinPitchMm } = space;
  if (sort === 'rail') return widthMm;
  if (sort === 'pegs') return widthMm * heightMm;
  if (sort === 'pins') return Math.floor(widthMm / pinPitchMm) * Math.floor(heightMm / pinPitchMm);
  return widthMm * depthMm * heightMm;
}

function isStorage(tree: PlaceTree, place: Place, settings: Settings): boolean {
  const { isFloor, isHeap, isWorkTop } = computeTraits(tree, place, settings);
  return !isFloor && !isHeap && !isWorkTop;
}

/** Counts spaces that are alike once. */
export function gatherSpaces(spaces: Iterable<Space>): Spaces[] {
  const alike = new Map<string, { space: Space; sort: RoomSort; count: number }>();
  for (const space of spaces) {
    const key = JSON.stringify(space);
    const known = alike.get(key);
    if (known) known.count += 1;
    else alike.set(key, { space, sort: getSort(space), count: 1 });
  }
  return [...alike.values()];
}

/** All room that things may live in: neither the floor, nor tops on which one works, nor heaps. */
export function listSupply(tree: PlaceTree, settings: Settings): Spaces[] {
  return gatherSpaces(
    tree.leaves.filter((place) => isStorage(tree, place, settings)).map((place) => computeSpace(tree, place)),
  );
}
