import type { Household, Ware } from '../records/index.ts';
import type { Act } from './act.ts';
import { createSaveSettings } from './settingsActs.ts';

/** Adds something that could be got, or changes it. */
export function createSaveWare(household: Household, ware: Ware): Act {
  const { settings } = household;
  const wares = settings.wares ?? [];
  const isKnown = wares.some((one) => one.id === ware.id);
  return createSaveSettings(household, {
    ...settings,
    wares: isKnown ? wares.map((one) => (one.id === ware.id ? ware : one)) : [...wares, ware],
  });
}

/** No longer thinks of getting it. */
export function createDropWare(household: Household, id: string): Act {
  const { settings } = household;
  return createSaveSettings(household, {
    ...settings,
    wares: (settings.wares ?? []).filter((ware) => ware.id !== id),
  });
}
