import { HOLE_DROP_MM } from '../packing/index.ts';
import type { Household, PegHook, Place, PlaceId } from '../records/index.ts';
import {
  checkContainers,
  createPlaceTree,
  type ContainerFault,
  type PlaceTree,
  checkHooks,
  type HookFault,
} from '../storage/index.ts';
import { computeContents, groupLotsByPlace } from '../whereabouts/index.ts';

/** How what is in a compartment would get on with new measures of it. */
export interface SlotFit {
  readonly place: Place;
  /** What is in it still lies in it. */
  readonly isFit: boolean;
  readonly lots: number;
  /** Room over the tallest thing or bin in it; below 0 where that is too tall. Null where it is empty. */
  readonly overMm: number | null;
  readonly containerFault: ContainerFault | null;
  readonly hookFault: HookFault | null;
}

/** A household with some places changed or added, for looking ahead. */
function withPlaces(household: Household, saved: readonly Place[]): Household {
  const places = new Map(household.places);
  for (const place of saved) places.set(place.id, place);
  return { ...household, places };
}

/** Judges compartments as they would be in `household`, whose places may be a draft. */
function judgeSlots(household: Household, tree: PlaceTree, slotIds: readonly PlaceId[]): SlotFit[] {
  const byPlace = groupLotsByPlace(household, 'is');
  return slotIds.flatMap((id) => {
    const place = tree.places.get(id);
    const slot = place?.slot;
    if (!place || !slot) return [];
    const bins = tree.getChildren(id);
    const boxes = bins.map((bin) => bin.container!);
    const inside = computeContents(household, tree, id, bins.length > 0 ? [] : (byPlace.get(id) ?? []));
    const containerFault = checkContainers(slot, boxes);
    const hookFault = checkHooks(slot);
    const tops = [
      ...boxes.map((box) => (box.at?.zMm ?? 0) + box.outerHeightMm),
      ...inside.contents.map(({ pkg }) => pkg.heightMm),
    ];
    return [
      {
        place,
        isFit: inside.spots !== null && containerFault === null && hookFault === null,
        lots: inside.contents.length + bins.reduce((sum, bin) => sum + (byPlace.get(bin.id)?.length ?? 0), 0),
        overMm: tops.length === 0 ? null : slot.heightMm - Math.max(...tops),
        containerFault,
        hookFault,
      },
    ];
  });
}

/** The same for a draft of some places: those compartments that it changes. */
export function judgeDraft(household: Household, saved: readonly Place[]): SlotFit[] {
  const draft = withPlaces(household, saved);
  const ids = saved.flatMap((place) => (place.slot ? [place.id] : place.container ? [place.parentId] : []));
  return judgeSlots(
    draft,
    createPlaceTree(draft.places),
    [...new Set(ids)].filter((id) => id !== undefined),
  );
}

/** A hook for each thing that hangs on a field now, where it hangs, each like the field's usual one. */
export function nameHooks(household: Household, tree: PlaceTree, place: Place): PegHook[] {
  const peg = place.slot?.peg;
  if (!peg || !place.slot) return [];
  const lots = groupLotsByPlace(household, 'is').get(place.id) ?? [];
  const { spots } = computeContents(household, tree, place.id, lots);
  const { heightMm } = place.slot;
  const hooks = new Map<string, PegHook>();
  for (const spot of spots ?? []) {
    // A thing hangs by its hole, in its middle near the top.
    const column = Math.round((spot.xMm + spot.widthMm / 2) / peg.pitchMm - 0.5);
    const row = Math.round((heightMm - spot.zMm - spot.heightMm + HOLE_DROP_MM) / peg.pitchMm - 0.5);
    const { wireMm, projectionMm, hookLoadG } = peg;
    hooks.set(`${column} ${row}`, {
      family: peg.family ?? 'round',
      column,
      row: Math.max(0, row),
      wireMm,
      projectionMm,
      loadG: hookLoadG,
    });
  }
  return [...hooks.values()];
}
