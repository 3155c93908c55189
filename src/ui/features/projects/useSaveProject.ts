import { createSaveProject } from '../../../core/acts/index.ts';
import type { Project } from '../../../core/records/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';

/** Keeps a project as it was changed, as seen on this screen; what else changed meanwhile stays. */
export function useSaveProject(project: Project) {
  const household = useHousehold();
  return (change: Partial<Project>, told?: string): Promise<boolean> =>
    edit(household, (from) => createSaveProject(from, { ...project, ...change }, world.nowMs()), told);
}
