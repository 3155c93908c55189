import type { Group } from '../../core/grouping/index.ts';
import type { Bond, Household, Wish } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { wordGroup } from './groups.ts';
import { KINSHIP_WORDS } from './kinships.ts';
import { joinAnd } from './grammar.ts';
import { t } from '../language/index.ts';

/** Words of what is asked of every plan; not in the index, few screens need them. */

const MOST_NAMES = 4;

function list(names: readonly string[]): string {
  const shown = names.slice(0, MOST_NAMES);
  const more = names.length - shown.length;
  return joinAnd(more > 0 ? [...shown, t('{more} more', { more })] : shown);
}

/** `Oat linen and Peat suiting are never together.` Names of what is no more are left out. */
export function wordWish(wish: Wish, household: Household, tree: PlaceTree, groups: readonly Group[]): string {
  const lots = wish.lotIds.flatMap(
    (id) => household.items.get(household.lots.get(id)?.itemId ?? ('' as never))?.name ?? [],
  );
  const kin = groups.filter((group) => wish.groupIds.includes(group.id)).map((group) => wordGroup(group, household));
  const names = list([...lots, ...kin]);
  const count = lots.length + kin.length;
  // A place is named without its room, which has no more than its own name.
  const place = wish.placeId
    ? formatPlaceName(tree, wish.placeId) || (tree.places.get(wish.placeId)?.name ?? t('a place that is no more'))
    : '';
  switch (wish.kind) {
    case 'stays':
      return place === ''
        ? t('{names} {count, plural, one {stays} other {stay}} in place.', { names, count })
        : t('{place} is left as it is.', { place });
    case 'notIn':
      return t('{names} never {count, plural, one {goes} other {go}} into {place}.', { names, count, place });
    case 'free':
      return t('{place} is kept free.', { place });
    case 'together':
      return t('{names} are kept together.', { names });
    case 'apart':
      return t('{names} are never together.', { names });
  }
}

/** `Zips and Wool: near kin.` Empty where one of them is no more. */
export function wordBond({ groupIds, kinship }: Bond, household: Household, groups: readonly Group[]): string {
  const [a, b] = groupIds.map((id) => groups.find((group) => group.id === id));
  return a && b
    ? t('{group} and {other}: {kinship}.', {
        group: wordGroup(a, household),
        other: wordGroup(b, household),
        kinship: KINSHIP_WORDS()[kinship],
      })
    : '';
}
