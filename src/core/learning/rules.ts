import type { Group } from '../grouping/index.ts';
import type { Household, PlaceId, Wish } from '../records/index.ts';
import { getAncestor, type PlaceTree } from '../storage/index.ts';

/** What was refused often enough to be a rule, and the refusals that it takes the place of. */
export interface RuleOffer {
  /** The same for the same rule. */
  readonly key: string;
  readonly wish: Omit<Wish, 'id'>;
  readonly insteadOf: readonly string[];
}

/** Refused so often, it may be meant of all that is like it. */
const OFTEN = 2;

interface Refusal {
  readonly id: string;
  readonly groupId: string;
  readonly placeId: PlaceId;
}

/** Refusals by what they share, those shared by several only. */
function gather(refusals: readonly Refusal[], keyOf: (one: Refusal) => string | undefined): [string, Refusal[]][] {
  const byKey = new Map<string, Refusal[]>();
  for (const one of refusals) {
    const key = keyOf(one);
    if (key !== undefined) byKey.set(key, [...(byKey.get(key) ?? []), one]);
  }
  return [...byKey].filter(([, list]) => list.length >= OFTEN);
}

/**
 * Rules that single refusals add up to: a group that was refused in two places of one piece of furniture may be
 * meant not to be in that piece at all; two groups of one kind that were refused in one place, that nothing of that
 * kind is to be there.
 */
export function listRules(household: Household, tree: PlaceTree, groups: readonly Group[]): RuleOffer[] {
  const kindOf = new Map(groups.map(({ id, kind }) => [id, kind]));
  const unitOf = (id: PlaceId) => (tree.places.has(id) ? getAncestor(tree, id, 'unit')?.id : undefined);
  const refusals = (household.settings.wishes ?? []).flatMap(({ id, kind, groupIds, lotIds, placeId }): Refusal[] => {
    const [groupId] = groupIds;
    const isOne = kind === 'notIn' && groupIds.length === 1 && lotIds.length === 0;
    return isOne && placeId && kindOf.has(groupId!) ? [{ id, groupId: groupId!, placeId }] : [];
  });
  const offer = (key: string, list: readonly Refusal[], groupIds: string[], placeId: PlaceId): RuleOffer => ({
    key,
    wish: { kind: 'notIn', lotIds: [], groupIds, placeId },
    insteadOf: list.map(({ id }) => id),
  });
  const ofPieces = gather(refusals, ({ groupId, placeId }) => {
    const unit = unitOf(placeId);
    return unit === undefined || unit === placeId ? undefined : `${unit} ${groupId}`;
  }).map(([key, list]) => offer(key, list, [list[0]!.groupId], unitOf(list[0]!.placeId)!));
  const ofKinds = gather(refusals, ({ groupId, placeId }) => `${placeId} ${kindOf.get(groupId)!}`).flatMap(
    ([key, list]) => {
      const kind = kindOf.get(list[0]!.groupId)!;
      const all = groups.filter((group) => group.kind === kind).map(({ id }) => id);
      // Where all of them are refused there is nothing left to say.
      return all.length > list.length ? [offer(key, list, all, list[0]!.placeId)] : [];
    },
  );
  return [...ofPieces, ...ofKinds];
}
