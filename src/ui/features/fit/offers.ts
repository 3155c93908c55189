import type { Household, PlaceId, Stowage } from '../../../core/records/index.ts';
import { computeTraits, getAncestor, type PlaceTree } from '../../../core/storage/index.ts';
import type { GroupVerdict } from '../../../workers/protocol.ts';
import { t } from '../../language/index.ts';

/** A place that takes what a group has in another. */
export type Offer = Extract<GroupVerdict, { isGood: true }>;

/** So many of the cheapest are offered, beside the best of each other sort. */
const CHEAPEST = 3;

/** What one would say of a place when asking for it. */
export function listTags(household: Household, tree: PlaceTree, id: PlaceId, kin: ReadonlySet<PlaceId>): string[] {
  const place = tree.places.get(id)!;
  const isDrawer = getAncestor(tree, id, 'slot')?.slot?.opening === 'drawer' && !place.container;
  const { isSeeThrough } = computeTraits(tree, place, household.settings);
  return [
    ...(kin.has(id) ? [t('with the rest of it')] : []),
    ...(isDrawer ? [t('in a drawer')] : []),
    ...(place.container ? [t('in a bin')] : []),
    ...(isSeeThrough ? [t('in sight')] : []),
  ];
}

/** The cheapest places, and of each sort that one might ask for the cheapest. */
export function chooseOffers(good: readonly Offer[], tagsOf: (id: PlaceId) => readonly string[]): Offer[] {
  const sorted = good.toSorted((a, b) => a.moreSeconds - b.moreSeconds || (a.placeId < b.placeId ? -1 : 1));
  const chosen = new Set(sorted.slice(0, CHEAPEST));
  const told = new Set<string>();
  for (const one of sorted)
    for (const tag of tagsOf(one.placeId)) {
      if (told.has(tag)) continue;
      told.add(tag);
      chosen.add(one);
    }
  return sorted.filter((one) => chosen.has(one));
}

/** A plan in which some of its things are in another place. */
export function withElsewhere<T extends Stowage>(plan: T, { placeId, forms }: Pick<Offer, 'placeId' | 'forms'>): T {
  const moved = new Map(forms);
  const rest = plan.assignments.filter(({ lotId }) => !moved.has(lotId));
  const first = rest.reduce((most, one) => (one.placeId === placeId ? Math.max(most, one.order + 1) : most), 0);
  const there = forms.map(([lotId, form], i) => ({ lotId, placeId, form, order: first + i }));
  return { ...plan, assignments: [...rest, ...there] };
}
