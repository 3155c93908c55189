export {
  computeGroups,
  computeGroupsInSlices,
  getSplitKey,
  getWholeId,
  regroup,
  type Group,
  type GroupLabel,
  type GroupPart,
} from './groups.ts';
export { computeNeeds, type FormNeed, type GroupNeeds } from './needs.ts';
export { findClass, NUMBER_RUN } from './tell.ts';
export { findSmallestHolder } from './holder.ts';
export { chooseKeeper, isTooSmall, proposePartners, type Keeper } from './partners.ts';
export { proposeSplit } from './split.ts';
