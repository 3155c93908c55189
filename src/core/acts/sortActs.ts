import type { Household, Kind, LotId, Measure, Settings, Sorting, SplitBy } from '../records/index.ts';
import type { Act } from './act.ts';
import { createSaveSettings } from './settingsActs.ts';

function createSave(household: Household, change: Partial<Settings>): Act {
  return createSaveSettings(household, { ...household.settings, ...change });
}

/** Sorts a kind another way. */
export function createSort(household: Household, kind: Kind, change: Partial<Sorting>): Act {
  const { sorting } = household.settings;
  return createSave(household, { sorting: { ...sorting, [kind]: { ...sorting[kind], ...change } } });
}

/** Sets where the classes of a measure meet. Boundaries that fell together are one. */
export function createSetBounds(household: Household, measure: Measure, at: readonly number[]): Act {
  const sorted = [...new Set(at)].toSorted((a, b) => a - b);
  return createSave(household, { bounds: { ...household.settings.bounds, [measure]: sorted } });
}

/** Cuts a group at these boundaries; none makes it one group again. */
export function createSplit(household: Household, groupId: string, by: SplitBy, at: readonly number[]): Act {
  const others = (household.settings.splits ?? []).filter((split) => split.groupId !== groupId);
  const sorted = [...new Set(at)].toSorted((a, b) => a - b);
  return createSave(household, { splits: sorted.length > 0 ? [...others, { groupId, by, at: sorted }] : others });
}

/** Puts lots into a group by hand; null leaves them to the rule again. */
export function createPick(household: Household, lotIds: readonly LotId[], groupId: string | null): Act {
  const mine = new Set<string>(lotIds);
  const others = (household.settings.handPicks ?? []).filter((pick) => !mine.has(pick.lotId));
  const picked = groupId === null ? [] : lotIds.map((lotId) => ({ lotId, groupId }));
  return createSave(household, { handPicks: [...others, ...picked] });
}

/** Says by what share of itself a group grows in a year; null leaves that to the daybook, which is asked before the next search. */
export function createGrow(household: Household, groupId: string, perYear: number | null): Act {
  const others = (household.settings.growth ?? []).filter((one) => one.groupId !== groupId);
  const said = perYear === null ? [] : [{ groupId, perYear, isSaid: true }];
  return createSave(household, { growth: [...others, ...said] });
}
