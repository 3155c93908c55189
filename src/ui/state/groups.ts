import { computeGroups, regroup, type Group } from '../../core/grouping/index.ts';
import type { Household } from '../../core/records/index.ts';
import { derive } from './derived.ts';

let grouped: { readonly household: Household; readonly groups: Group[] } | null = null;

/** Most acts move things about and leave the groups as they are. */
export const getGroups: (household: Household) => Group[] = derive((household) => {
  const groups = (grouped && regroup(grouped.groups, grouped.household, household)) ?? computeGroups(household);
  grouped = { household, groups };
  return groups;
});
