export { computeGroups, SCHOOLS_OF_KIND, type Group, type GroupLabel } from './groups.ts';
export { computeNeeds, type GroupNeeds } from './needs.ts';
