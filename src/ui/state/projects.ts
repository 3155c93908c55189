import { computeStanding, createProjectFacts, type ProjectStanding } from '../../core/projects/index.ts';
import type { ProjectId } from '../../core/records/index.ts';
import { derive } from './derived.ts';

export const getProjectFacts = derive(createProjectFacts);

/** How every project stands, by its id. */
export const getStandings = derive((household): ReadonlyMap<ProjectId, ProjectStanding> => {
  const facts = getProjectFacts(household);
  return new Map([...household.projects.values()].map((project) => [project.id, computeStanding(facts, project)]));
});
