import type { Change, Chronicle, Household, Item, PhotoId, RoomSpec } from '../records/index.ts';

const listBehind = (room: RoomSpec | undefined): PhotoId[] => (room?.photos ?? []).map(({ photoId }) => photoId);

/** The photos that a household shows: of its things, and behind its walls. */
export function listShownPhotos({ items, places }: Household): Set<PhotoId> {
  const shown = new Set([...items.values()].flatMap((item) => item.photos ?? []));
  for (const { room } of places.values()) for (const id of listBehind(room)) shown.add(id);
  return shown;
}

/** The photos that a household shows now, or did once: an undo may bring them back. */
export function listNamedPhotos({ household, events }: Chronicle): Set<PhotoId> {
  const named = listShownPhotos(household);
  const take = (table: Change['table'], fields: Change['before']) => {
    if (table === 'items') for (const id of (fields?.['photos'] as Item['photos']) ?? []) named.add(id);
    if (table === 'places') for (const id of listBehind(fields?.['room'] as RoomSpec | undefined)) named.add(id);
  };
  for (const { changes } of events)
    for (const { table, before, after } of changes) {
      take(table, before);
      take(table, after);
    }
  return named;
}
