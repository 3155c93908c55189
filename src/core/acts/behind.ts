import type { Household, LotId, PlaceId } from '../records/index.ts';

/** The turn of what comes to a place: behind all that lies there or belongs there, some lots aside. */
export function getOrderBehind({ lots }: Household, placeId: PlaceId, aside?: ReadonlySet<LotId>): number {
  let next = 0;
  for (const { id, homeId, placeId: at, order, homeOrder } of lots.values())
    if ((homeId === placeId || at === placeId) && !aside?.has(id)) next = Math.max(next, order + 1, homeOrder + 1);
  return next;
}
