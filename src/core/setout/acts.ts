import { createSaveSettings, type Act } from '../acts/index.ts';
import type { Household, SetoutStage, SetoutWay } from '../records/index.ts';

/** Says how one begins, which also begins setting out anew where it was over. */
export function createBegin(household: Household, way: SetoutWay): Act {
  const { settings } = household;
  return createSaveSettings(household, { ...settings, setout: { done: [], ...settings.setout, way } });
}

/** Says that a stage is done, or takes that back. */
export function createTickStage(household: Household, stage: SetoutStage, isDone: boolean): Act {
  const { settings } = household;
  const { setout = { done: [] } } = settings;
  const others = setout.done.filter((one) => one !== stage);
  return createSaveSettings(household, {
    ...settings,
    setout: { ...setout, done: isDone ? [...others, stage] : others },
  });
}

/** Setting out is over, or let be: the bench comes first from now on. */
export function createEndSetout(household: Household): Act {
  const { setout: _, ...settings } = household.settings;
  return createSaveSettings(household, settings);
}
