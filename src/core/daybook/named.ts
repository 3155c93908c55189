import type { Change, Chronicle, Item, PhotoId } from '../records/index.ts';

/** The photos that a household names now, or did once: an undo may bring them back. */
export function listNamedPhotos({ household, events }: Chronicle): Set<PhotoId> {
  const named = new Set([...household.items.values()].flatMap((item) => item.photos ?? []));
  const take = (fields: Change['before']) => {
    for (const id of (fields?.['photos'] as Item['photos']) ?? []) named.add(id);
  };
  for (const { changes } of events)
    for (const { table, before, after } of changes) {
      if (table !== 'items') continue;
      take(before);
      take(after);
    }
  return named;
}
