import type { Household, Place } from '../records/index.ts';
import { checkContainers, findNook, type ContainerFault, type PlaceTree } from '../storage/index.ts';
import { groupLotsByPlace } from '../whereabouts/index.ts';

/** A bin put into a compartment, or why it does not go there. */
export type Put =
  | {
      readonly ok: true;
      readonly bin: Place;
      /** Room left above it, and beside it along the front. */
      readonly overMm: number;
      readonly besideMm: number;
    }
  | { readonly ok: false; readonly fault: PutFault };

export type PutFault =
  | { readonly code: 'holds-no-bins' }
  | { readonly code: 'loose-things'; readonly lots: number }
  | { readonly code: 'retired' }
  | { readonly code: 'no-room'; readonly fault: ContainerFault | null };

/**
 * Where a bin would stand in a compartment, at the first corner where it fits. Nothing is pushed aside: loose things
 * in the compartment would end up in the bin, so that they are to be taken out first, unless the bin is empty and
 * alone there.
 */
export function putBin(household: Household, tree: PlaceTree, bin: Place, slotPlace: Place): Put {
  const slot = slotPlace.slot;
  const box = bin.container;
  if (!slot || !box || (slot.mode !== 'line' && slot.mode !== 'volume'))
    return { ok: false, fault: { code: 'holds-no-bins' } };
  if (box.isRetired) return { ok: false, fault: { code: 'retired' } };
  const others = tree.getChildren(slotPlace.id).filter((one) => one.id !== bin.id);
  const byPlace = groupLotsByPlace(household, 'is');
  const loose = byPlace.get(slotPlace.id)?.length ?? 0;
  if (loose > 0 && (byPlace.get(bin.id)?.length ?? 0) > 0)
    return { ok: false, fault: { code: 'loose-things', lots: loose } };
  const boxes = others.map((one) => one.container!);
  const { at: _at, ...plain } = box;
  const at = findNook(slot, boxes, plain);
  if (!at) {
    // Alone in it, a measure is missing; beside others it is the room they leave.
    const alone = checkContainers(slot, [plain]);
    return { ok: false, fault: { code: 'no-room', fault: alone } };
  }
  const order = Math.max(-1, ...others.map((one) => one.order)) + 1;
  const wide = at.isTurned ? box.outerDepthMm : box.outerWidthMm;
  return {
    ok: true,
    bin: { ...bin, parentId: slotPlace.id, order, container: { ...plain, at } },
    overMm: slot.heightMm - at.zMm - box.outerHeightMm,
    besideMm: slot.widthMm - at.xMm - wide,
  };
}
