import type { Bond, Household, Kinship, Wish } from '../records/index.ts';
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

/** Asks something of every plan that says all that some wishes said, which it takes the place of. */
export function createRule(household: Household, wish: Wish, insteadOf: readonly string[]): Act {
  const { settings } = household;
  const wishes = (settings.wishes ?? []).filter(({ id }) => !insteadOf.includes(id));
  return createSaveSettings(household, { ...settings, wishes: [...wishes, wish] });
}

const isOf = ({ groupIds }: Bond, [a, b]: readonly [string, string]) => groupIds.includes(a) && groupIds.includes(b);

/** Says how two groups get on in one place; null lets the rules say it again. */
export function createBond(household: Household, pair: readonly [string, string], kinship: Kinship | null): Act {
  const { settings } = household;
  const others = (settings.bonds ?? []).filter((bond) => !isOf(bond, pair));
  const bonds = kinship === null ? others : [...others, { groupIds: [...pair], kinship }];
  return createSaveSettings(household, { ...settings, bonds });
}

/** What the sewist says of two groups; null where the rules say it. */
export function findBond({ settings }: Household, pair: readonly [string, string]): Kinship | null {
  return settings.bonds?.find((bond) => isOf(bond, pair))?.kinship ?? null;
}
