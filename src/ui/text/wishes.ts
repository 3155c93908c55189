import type { Group } from '../../core/grouping/index.ts';
import type { Bond, Household, Wish } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { wordGroup } from './groups.ts';
import { KINSHIP_WORDS } from './kinships.ts';
import { joinNames } from './lists.ts';

/** Words of what is asked of every plan; not in the index, few screens need them. */

const MOST_NAMES = 4;

function list(names: readonly string[]): string {
  const shown = names.slice(0, MOST_NAMES);
  const more = names.length - shown.length;
  return joinNames(more > 0 ? [...shown, `${more} more`] : shown);
}

/** `Oat linen and Peat suiting are never together.` Names of what is no more are left out. */
export function wordWish(wish: Wish, household: Household, tree: PlaceTree, groups: readonly Group[]): string {
  const lots = wish.lotIds.flatMap(
    (id) => household.items.get(household.lots.get(id)?.itemId ?? ('' as never))?.name ?? [],
  );
  const kin = groups.filter((group) => wish.groupIds.includes(group.id)).map((group) => wordGroup(group, household));
  const names = list([...lots, ...kin]);
  const isOne = lots.length + kin.length === 1;
  const place = wish.placeId ? formatPlaceName(tree, wish.placeId) || 'a place that is no more' : '';
  switch (wish.kind) {
    case 'stays':
      return place === '' ? `${names} ${isOne ? 'stays' : 'stay'} in place.` : `${place} is left as it is.`;
    case 'notIn':
      return `${names} never ${isOne ? 'goes' : 'go'} into ${place}.`;
    case 'free':
      return `${place} is kept free.`;
    case 'together':
      return `${names} are kept together.`;
    case 'apart':
      return `${names} are never together.`;
  }
}

/** `Zips and Wool: near kin.` Empty where one of them is no more. */
export function wordBond({ groupIds, kinship }: Bond, household: Household, groups: readonly Group[]): string {
  const [a, b] = groupIds.map((id) => groups.find((group) => group.id === id));
  return a && b ? `${wordGroup(a, household)} and ${wordGroup(b, household)}: ${KINSHIP_WORDS[kinship]}.` : '';
}
