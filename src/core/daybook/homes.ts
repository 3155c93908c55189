import type { DaybookEvent, LotId, PlaceId } from '../records/index.ts';

/** Where each lot belonged last, of the places that are asked for; by the daybook. */
export function listHomesBefore(
  events: readonly DaybookEvent[],
  isAskedFor: (id: PlaceId) => boolean,
): Map<LotId, PlaceId> {
  const homes = new Map<LotId, PlaceId>();
  for (const { changes } of events)
    for (const { table, id, before } of changes) {
      const home = before?.['homeId'];
      if (table === 'lots' && typeof home === 'string' && isAskedFor(home as PlaceId))
        homes.set(id as LotId, home as PlaceId);
    }
  return homes;
}
