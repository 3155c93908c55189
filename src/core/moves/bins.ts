import type { Household, Place, PlaceId, Settings } from '../records/index.ts';
import {
  computeSpace,
  computeTraits,
  createPlaceTree,
  getAncestor,
  listBinsToCarry,
  withBerths,
  type PlaceTraits,
  type PlaceTree,
  type Space,
  type ToStand,
} from '../storage/index.ts';

/** A place that things are carried from or to. */
export interface MovePlace {
  readonly place: Place;
  readonly space: Space;
  readonly traits: PlaceTraits;
  /** The compartment and the piece that it is in now; -1 for a container that stands nowhere. */
  readonly slot: number;
  readonly unit: number;
  /** Whether it is there now; what is not takes nothing until its container stands there, or those in it are away. */
  readonly standsNow: boolean;
}

/** A container that is to be carried, with all that is in it. */
export interface BinCarry {
  readonly bin: ToStand;
  /** The place that it is, and the bare compartment that it goes to, among the places; -1 where that is none. */
  readonly place: number;
  readonly bare: number;
  readonly from: PlaceId | undefined;
}

/** The places that there are now, and after them those that there will be once all containers are carried. */
export interface BinPlan {
  readonly treeAfter: PlaceTree;
  readonly leaves: readonly Place[];
  /** By leaf: whether it is there now. */
  readonly standsNow: readonly boolean[];
  readonly carries: readonly BinCarry[];
}

/** What is to be carried of containers, and the places that lots come from and go to meanwhile. */
export function planBins({ places }: Household, tree: PlaceTree): BinPlan {
  const bins = listBinsToCarry(places);
  const treeAfter = bins.length === 0 ? tree : createPlaceTree(withBerths(places));
  const now = new Set(tree.leaves.map(({ id }) => id));
  const leaves = [...tree.leaves, ...treeAfter.leaves.filter(({ id }) => !now.has(id) && treeAfter !== tree)];
  const index = new Map(leaves.map(({ id }, p) => [id, p]));
  return {
    treeAfter,
    leaves,
    standsNow: leaves.map(({ id }) => now.has(id)),
    carries: bins.map((bin) => ({
      bin,
      place: index.get(bin.placeId) ?? -1,
      bare: bin.slotId ? (index.get(bin.slotId) ?? -1) : -1,
      from: places.get(bin.placeId)!.parentId,
    })),
  };
}

/** Compartments and pieces by numbers, with what they carry; the places by them. */
export interface PlaceNumbers {
  readonly places: readonly MovePlace[];
  readonly slotNumber: ReadonlyMap<PlaceId, { readonly slot: number; readonly unit: number }>;
  readonly slotLoadG: Float64Array;
  readonly slotTareG: Float64Array;
  readonly unitLoadG: Float64Array;
}

/** Numbers what there is and what there will be. */
export function numberPlaces(
  tree: PlaceTree,
  { treeAfter, leaves, standsNow }: BinPlan,
  settings: Settings,
): PlaceNumbers {
  const slotNumber = new Map<PlaceId, { slot: number; unit: number }>();
  const units = new Map<PlaceId, number>();
  for (const leaf of leaves)
    for (const one of [tree, treeAfter]) {
      const slot = getAncestor(one, leaf.id, 'slot');
      if (!slot || slotNumber.has(slot.id)) continue;
      const unitId = slot.parentId!;
      units.set(unitId, units.get(unitId) ?? units.size);
      slotNumber.set(slot.id, { slot: slotNumber.size, unit: units.get(unitId)! });
    }
  const willBe = new Set(treeAfter.leaves.map(({ id }) => id));
  const places = leaves.map((place, p): MovePlace => {
    // What is carried is reached as it will be; what it holds is the same wherever it stands.
    const there = willBe.has(place.id) ? treeAfter : tree;
    const at = there.places.get(place.id)!;
    const traits = computeTraits(there, at, settings);
    const slot = getAncestor(tree, place.id, 'slot');
    const number = slot ? slotNumber.get(slot.id)! : { slot: -1, unit: -1 };
    return { place, space: computeSpace(there, at), traits, ...number, standsNow: standsNow[p]! };
  });
  const slotLoadG = new Float64Array(slotNumber.size).fill(Infinity);
  const slotTareG = new Float64Array(slotNumber.size);
  const unitLoadG = new Float64Array(units.size).fill(Infinity);
  for (const [id, { slot, unit }] of slotNumber) {
    const at = tree.places.get(id)!;
    slotTareG[slot] = tree.getChildren(id).reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    slotLoadG[slot] = at.slot?.loadG ?? Infinity;
    unitLoadG[unit] = tree.places.get(at.parentId!)!.unit?.loadG ?? Infinity;
  }
  return { places, slotNumber, slotLoadG, slotTareG, unitLoadG };
}
