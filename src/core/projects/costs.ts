import { computeUnitPrice } from '../measure/index.ts';
import type { ProjectFacts, ProjectStanding } from './standing.ts';

/** What a project has cost, in the user's own money. */
export interface ProjectCost {
  /** What was cut or used up for it. */
  readonly spent: number;
  /** What is promised to it and not used yet. */
  readonly promised: number;
  /** Promised things of which nobody said what they cost. */
  readonly unknown: number;
}

export function computeProjectCost({ lotsOf }: ProjectFacts, { project, needs }: ProjectStanding): ProjectCost {
  let [promised, unknown] = [0, 0];
  for (const need of needs)
    for (const { item, promise } of need.promised) {
      const price = computeUnitPrice(item, lotsOf.get(item.id) ?? []);
      if (price === null) unknown += 1;
      else promised += price * promise.amount;
    }
  return { spent: project.spent ?? 0, promised, unknown };
}
