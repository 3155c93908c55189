import { getUses, type Household, type Kind, type PlaceId } from '../records/index.ts';
import type { PlaceTree } from '../storage/index.ts';
import type { Fetch } from './arrange.ts';
import type { Piece } from './bodies.ts';

/** What heat and sun would harm. */
const TENDER: ReadonlySet<Kind> = new Set<Kind>(['fabric', 'scrap', 'pattern', 'thread', 'kit']);

/** All that stands in a room, down to its bins. */
export function listInRoom(tree: PlaceTree, roomId: PlaceId): Set<PlaceId> {
  const here = new Set<PlaceId>();
  const add = (id: PlaceId) => {
    here.add(id);
    for (const child of tree.getChildren(id)) add(child.id);
  };
  add(roomId);
  return here;
}

/** How often a month things in each piece of a room are fetched for the work at each station. */
export function listFetches(household: Household, tree: PlaceTree, roomId: PlaceId): Fetch[] {
  const sums = new Map<string, Fetch>();
  const here = listInRoom(tree, roomId);
  for (const lot of household.lots.values()) {
    const at = lot.placeId ?? lot.homeId;
    if (at === undefined || !here.has(at)) continue;
    const item = household.items.get(lot.itemId);
    if (!item || getUses(item) === 0 || lot.state === 'gone') continue;
    const path = tree.getPath(at);
    const unit = path.find((place) => place.level === 'unit');
    if (!unit || unit.parentId !== roomId) continue;
    const key = `${unit.id} ${item.stationId}`;
    const perMonth = (sums.get(key)?.perMonth ?? 0) + getUses(item);
    sums.set(key, { unitId: unit.id, stationId: item.stationId, perMonth });
  }
  return [...sums.values()];
}

/** The furniture of a room as the plan judges it. */
export function listPieces(household: Household, tree: PlaceTree, roomId: PlaceId): Piece[] {
  const tender = new Set<PlaceId>();
  const here = listInRoom(tree, roomId);
  for (const { placeId, itemId } of household.lots.values()) {
    if (placeId === undefined || !here.has(placeId)) continue;
    const kind = household.items.get(itemId)?.kind;
    if (kind && TENDER.has(kind)) tender.add(placeId);
  }
  const fetched = new Map<PlaceId, Map<string, number>>();
  for (const { unitId, stationId, perMonth } of listFetches(household, tree, roomId))
    fetched.set(unitId, (fetched.get(unitId) ?? new Map<string, number>()).set(stationId, perMonth));
  return tree.getChildren(roomId).flatMap((place): Piece[] => {
    if (!place.unit) return [];
    const fetches = fetched.get(place.id);
    const slots = tree.getChildren(place.id);
    const leaves = slots.flatMap((slot) => [slot, ...tree.getChildren(slot.id)]);
    return [
      {
        id: place.id,
        name: place.name,
        unit: place.unit,
        slots: slots.flatMap((slot) => slot.slot ?? []),
        holdsCloth: leaves.some((leaf) => tender.has(leaf.id)),
        ...(fetches && { fetched: fetches }),
      },
    ];
  });
}
