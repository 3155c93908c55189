import { getAmount } from '../measure/index.ts';
import type { Household, Item, ItemId, Kind, Lot, LotId, Project, ProjectId, Reservation } from '../records/index.ts';

/** Part of a lot that is promised. */
export interface Promised {
  readonly lot: Lot;
  readonly item: Item;
  readonly promise: Reservation;
}

/** What something is promised to, by name. */
export function nameOfPromise({ projects }: Household, { forWhat, projectId }: Reservation): string {
  return forWhat ?? (projectId && projects.get(projectId)?.name) ?? '';
}

/** Whether owning one is enough, for it is not used up: such things are named by a need, and not promised. */
export function isUsedAgain(kind: Kind): boolean {
  return kind === 'tool' || kind === 'pattern' || kind === 'kit';
}

/** All that is promised to a project. */
export function listPromised(household: Household, id: ProjectId): Promised[] {
  return [...household.lots.values()].flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    if (!item || lot.state === 'gone') return [];
    return (lot.reserved ?? []).flatMap((promise) => (promise.projectId === id ? [{ lot, item, promise }] : []));
  });
}

/** The project whose bag a lot is. */
export function findProjectOfBag({ projects }: Pick<Household, 'projects'>, lotId: LotId): Project | null {
  for (const project of projects.values()) if (project.bagLotId === lotId) return project;
  return null;
}

/** A project without what is gone of the things and lots that it names. */
export function releaseFromProject(
  project: Project,
  isItemGone: (id: ItemId) => boolean,
  isLotGone: (id: LotId) => boolean,
): Project {
  const { patternItemId, bagLotId, ...rest } = project;
  return {
    ...rest,
    needs: project.needs.map((need) => {
      if (!need.itemId || !isItemGone(need.itemId)) return need;
      const { itemId: _gone, ...other } = need;
      return other;
    }),
    ...(patternItemId && !isItemGone(patternItemId) && { patternItemId }),
    ...(bagLotId && !isLotGone(bagLotId) && { bagLotId }),
  };
}

/** What of a lot is free for a project, in its unit: all but what is promised to others. */
export function getFreeFor(item: Item, lot: Lot, projectId: ProjectId): number {
  const others = (lot.reserved ?? []).filter((one) => one.projectId !== projectId);
  return Math.max(0, getAmount(item, lot) - others.reduce((sum, one) => sum + one.amount, 0));
}
