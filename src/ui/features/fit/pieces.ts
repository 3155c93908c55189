import type { Group } from '../../../core/grouping/index.ts';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { derive } from '../../state/derived.ts';
import { getGroupOf, getGroups } from '../../state/groups.ts';
import { getLotsByPlace } from '../../state/whereabouts.ts';

/** What a group has in one place. */
export interface GroupPiece {
  readonly group: Group;
  readonly placeId: PlaceId;
  readonly lotIds: readonly LotId[];
}

/** By place, what each group has there; groups in their order. */
export const getPieces: (household: Household) => ReadonlyMap<PlaceId, readonly GroupPiece[]> = derive((household) => {
  const groupOf = getGroupOf(household);
  const turn = new Map(getGroups(household).map((group, i) => [group, i]));
  const pieces = new Map<PlaceId, GroupPiece[]>();
  for (const [placeId, lots] of getLotsByPlace(household)) {
    const byGroup = new Map<Group, LotId[]>();
    for (const { id } of lots) {
      const group = groupOf(id);
      const ids = group && byGroup.get(group);
      if (ids) ids.push(id);
      else if (group) byGroup.set(group, [id]);
    }
    const here = [...byGroup].map(([group, lotIds]) => ({ group, placeId, lotIds }));
    pieces.set(
      placeId,
      here.toSorted((a, b) => turn.get(a.group)! - turn.get(b.group)!),
    );
  }
  return pieces;
});
