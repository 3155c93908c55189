import type { Act } from './act.ts';
import { createChange } from '../daybook/index.ts';
import { type Settings, dropAbsent, parseRecord, type Household } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';

export function createSaveSettings(household: Household, settings: Settings): Act {
  // What a file could not hold is never kept, wherever it was typed.
  if (!parseRecord('settings', dropAbsent(settings)).ok) return fail({ code: 'out-of-range' });
  const change = createChange('settings', 'household', household.settings, settings);
  return change
    ? ok({ type: 'settingsChanged', subject: settings.name, changes: [change] })
    : fail({ code: 'nothing-changed' });
}
