import type { Household } from '../records/index.ts';

/** Whether there are boards to wind cloth on: as was said, or as is seen by what is wound on one. Nobody is told to wind cloth on boards that are not there. */
export function hasBoards({ settings, lots }: Household): boolean {
  if (settings.boards !== undefined) return settings.boards > 0;
  return [...lots.values()].some(({ form, homeForm }) => form === 'board' || homeForm === 'board');
}
