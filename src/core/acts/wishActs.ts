import type { Household, Wish } from '../records/index.ts';
import type { Act } from './act.ts';
import { createSaveSettings } from './settingsActs.ts';

/** Asks something of every plan from now on. */
export function createWish(household: Household, wish: Wish): Act {
  const { settings } = household;
  return createSaveSettings(household, { ...settings, wishes: [...(settings.wishes ?? []), wish] });
}

/** No longer asks it. */
export function createLiftWish(household: Household, id: string): Act {
  const { settings } = household;
  return createSaveSettings(household, {
    ...settings,
    wishes: (settings.wishes ?? []).filter((wish) => wish.id !== id),
  });
}

/** The wish that says just this, where there is one. */
export function findWish(household: Household, like: Omit<Wish, 'id'>): Wish | null {
  const same = (a: readonly string[], b: readonly string[]) => a.length === b.length && a.every((id) => b.includes(id));
  return (
    household.settings.wishes?.find(
      (wish) =>
        wish.kind === like.kind &&
        wish.placeId === like.placeId &&
        same(wish.lotIds, like.lotIds) &&
        same(wish.groupIds, like.groupIds),
    ) ?? null
  );
}
