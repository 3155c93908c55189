import { computeGroups, regroup, type Group } from '../../core/grouping/index.ts';
import type { Household, LotId } from '../../core/records/index.ts';
import { derive } from './derived.ts';

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
const getGrouped = derive((household): Grouped => {
  const again = last && regroup(last.groups, last.household, household);
  const groups = again ?? computeGroups(household);
  last = { household, groups, index: again && last ? last.index : indexLots(groups) };
  return last;
});

export const getGroups = (household: Household): Group[] => getGrouped(household).groups;

/** The group of each lot of a household. */
export function getGroupOf(household: Household): (lotId: LotId) => Group | undefined {
  const { groups, index } = getGrouped(household);
  return (lotId) => groups[index().get(lotId) ?? -1];
}
