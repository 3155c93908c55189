import { computeNeeds, type Group, type GroupNeeds } from '../../core/grouping/index.ts';
import type { Household } from '../../core/records/index.ts';
import { derive } from './derived.ts';

const needsByGroup: (household: Household) => Map<string, GroupNeeds> = derive(() => new Map());

/** The room that a group of the household as it is needs; worked out when it is first asked for. */
export function getNeeds(household: Household, group: Group): GroupNeeds {
  const known = needsByGroup(household);
  const needs = known.get(group.id) ?? computeNeeds(group, household);
  known.set(group.id, needs);
  return needs;
}
