import { rankThreadUse } from '../catalog/index.ts';
import { computeDeltaE, getLab, getMatch } from '../colour/index.ts';
import { computeStock } from '../measure/index.ts';
import { isOver, type AmountUnit, type Item, type Project } from '../records/index.ts';
import { mapInSlices, type Slices } from '../slices/index.ts';
import type { NeedStanding, ProjectFacts, ProjectStanding } from './standing.ts';

/** Something to be got: what a project lacks, or what is below its mark. */
export type Wanted =
  | { readonly type: 'need'; readonly project: Project; readonly standing: NeedStanding }
  | {
      readonly type: 'restock';
      readonly item: Item;
      readonly present: number;
      readonly mark: number;
      readonly unit: AmountUnit;
    }
  /** A cloth of a project that no thread at home goes with. */
  | { readonly type: 'thread'; readonly project: Project; readonly cloth: Item };

/** Whether some thread at home goes with a cloth: by what it is for and by its colour. */
export function createThreadMatch({ household, lotsOf }: ProjectFacts): (cloth: Item) => boolean {
  const threads = [...household.items.values()].flatMap((item) => {
    const lab = item.kind === 'thread' && lotsOf.has(item.id) ? getLab(item) : null;
    return lab ? [{ item, lab }] : [];
  });
  return (cloth) => {
    const lab = getLab(cloth);
    return (
      lab !== null &&
      threads.some(
        (thread) => rankThreadUse(thread.item, cloth) < 2 && getMatch(computeDeltaE(thread.lab, lab)) !== 'off',
      )
    );
  };
}

/** A cloth that no thread at home goes with, and how much of it there is. */
export interface Unmatched {
  readonly item: Item;
  readonly lengthMm: number;
}

/** Cloths that are there and that no thread at home goes with, the most of it first; mm of all its lengths. Pauses in between. */
export function* listUnmatchedInSlices(facts: ProjectFacts): Slices<Unmatched[]> {
  const isMatched = createThreadMatch(facts);
  const found = yield* mapInSlices(facts.lotsOf, ([id, lots]): Unmatched | null => {
    const item = facts.household.items.get(id as Item['id']);
    if (item?.kind !== 'fabric' || item.colours[0] === undefined || isMatched(item)) return null;
    return { item, lengthMm: lots.reduce((sum, lot) => sum + (lot.lengthMm ?? 0), 0) };
  });
  return found.filter((one) => one !== null).toSorted((a, b) => b.lengthMm - a.lengthMm);
}

/** What is to be got: for projects that are planned or going on, what is due soonest first; then what runs low. */
export function listWanted(facts: ProjectFacts, standings: readonly ProjectStanding[]): Wanted[] {
  const { household, lotsOf } = facts;
  const going = standings
    .filter(({ project }) => !isOver(project) && project.state !== 'idea')
    .toSorted((a, b) => ((a.project.due ?? '9999') < (b.project.due ?? '9999') ? -1 : 1));
  const needs = going.flatMap(({ project, missing }) =>
    missing.map((standing): Wanted => ({ type: 'need', project, standing })),
  );
  const isMatched = createThreadMatch(facts);
  const seen = new Set<string>();
  const unmatched = going.flatMap(({ project, needs: all }) =>
    all.flatMap(({ need, item }): Wanted[] => {
      const colour = item?.colours[0];
      if (need.kind !== 'fabric' || need.part !== 'main' || !item || !colour || seen.has(item.id)) return [];
      seen.add(item.id);
      const isAsked = all.some((one) => one.need.kind === 'thread');
      return isMatched(item) || isAsked ? [] : [{ type: 'thread', project, cloth: item }];
    }),
  );
  const low = [...household.items.values()].flatMap((item): Wanted[] => {
    if (item.restockBelow === undefined) return [];
    const { amount, unit } = computeStock(item, lotsOf.get(item.id) ?? []);
    return amount < item.restockBelow
      ? [{ type: 'restock', item, present: amount, mark: item.restockBelow, unit }]
      : [];
  });
  return [...needs, ...unmatched, ...low];
}
