import type { Group } from '../../../core/grouping/index.ts';
import type { LotId, Plan, PlaceId } from '../../../core/records/index.ts';
import type { PlaceTree } from '../../../core/storage/index.ts';

/** A container that a plan has elsewhere than it stands, and what it is carried for. */
export interface BinCarried {
  readonly placeId: PlaceId;
  /** Where it is to stand; none where it goes out of the way. */
  readonly slotId: PlaceId | undefined;
  /** Groups that are to be in it. */
  readonly holds: readonly string[];
  /** Groups that are to be where it stands today. */
  readonly makesRoomFor: readonly string[];
}

/** The containers that a plan carries; a container is carried for what is to be in it, or for what comes where it stands. */
export function listBinsCarried(
  today: PlaceTree,
  planned: PlaceTree,
  groups: readonly Group[],
  plan: Plan,
): BinCarried[] {
  const groupOf = new Map<LotId, string>(groups.flatMap(({ id, lots }) => lots.map((lot) => [lot.id, id] as const)));
  const inPlace = new Map<PlaceId, Set<string>>();
  for (const { lotId, placeId } of plan.assignments) {
    const group = groupOf.get(lotId);
    if (group === undefined) continue;
    for (const { id } of planned.places.has(placeId) ? planned.getPath(placeId) : [])
      inPlace.set(id, (inPlace.get(id) ?? new Set()).add(group));
  }
  const listIn = (id: PlaceId | undefined) => (id ? [...(inPlace.get(id) ?? [])] : []);
  return (plan.bins ?? []).map(({ placeId, slotId }) => ({
    placeId,
    slotId,
    holds: listIn(placeId),
    makesRoomFor: listIn(today.places.get(placeId)?.parentId),
  }));
}
