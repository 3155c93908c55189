import { computeGroupsInSlices, regroup, type Group } from '../../core/grouping/index.ts';
import type { Household, LotId } from '../../core/records/index.ts';
import type { Slices } from '../../core/slices/index.ts';
import { deriveSlowly } from './slowly.ts';

interface Grouped {
  readonly household: Household;
  readonly groups: Group[];
  /** Which of the groups each lot is in; made when it is first asked for. */
  readonly index: () => ReadonlyMap<LotId, number>;
}

let last: Grouped | null = null;

function indexLots(groups: readonly Group[]): () => ReadonlyMap<LotId, number> {
  let index: Map<LotId, number> | null = null;
  return () => {
    if (index) return index;
    index = new Map();
    for (const [at, { lots }] of groups.entries()) for (const { id } of lots) index.set(id, at);
    return index;
  };
}

/** Most acts move things about and leave the groups as they are. */
const grouped = deriveSlowly(function* (household): Slices<Grouped> {
  const again = last && regroup(last.groups, last.household, household);
  const index = again && last?.index;
  const groups = again ?? (yield* computeGroupsInSlices(household));
  last = { household, groups, index: index ?? indexLots(groups) };
  return last;
});

export const getGroups = (household: Household): Group[] => grouped.get(household).groups;
/** The groups for what is drawn: it waits for them where they take a while. */
export const useGroups = (household: Household): Group[] => grouped.use(household).groups;
/** Works the groups out in slices, for who goes on with them. */
export function* groupInSlices(household: Household): Slices<Group[]> {
  return (yield* grouped.inSlices(household)).groups;
}

/** The group of each lot of a household. */
export function getGroupOf(household: Household): (lotId: LotId) => Group | undefined {
  const { groups, index } = grouped.get(household);
  return (lotId) => groups[index().get(lotId) ?? -1];
}
