import { computeStanding, createProjectFacts, type ProjectStanding } from '../../core/projects/index.ts';
import type { Household, Item, Lot, Project, ProjectId } from '../../core/records/index.ts';
import { formatPlaceName } from '../../core/storage/index.ts';
import { derive, getTree } from './derived.ts';
import { t } from '../language/index.ts';

export const getProjectFacts = derive(createProjectFacts);

/** How every project stands, by its id. */
export const getStandings = derive((household): ReadonlyMap<ProjectId, ProjectStanding> => {
  const facts = getProjectFacts(household);
  return new Map([...household.projects.values()].map((project) => [project.id, computeStanding(facts, project)]));
});

/** The bag of a project with where it is, in words; null where it has none. */
export function findBag(household: Household, { bagLotId }: Project): { lot: Lot; item: Item; at: string } | null {
  const lot = bagLotId && household.lots.get(bagLotId);
  const item = lot && lot.state !== 'gone' ? household.items.get(lot.itemId) : undefined;
  if (!lot || !item) return null;
  return { lot, item, at: lot.placeId === undefined ? t('out') : formatPlaceName(getTree(household), lot.placeId) };
}
