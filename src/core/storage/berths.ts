import type { Berth, ContainerSpec, Place, PlaceId } from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from './tree.ts';

/** A container that is to stand somewhere, or out of the way where no slot is named. */
export interface ToStand extends Berth {
  readonly placeId: PlaceId;
}

/** Where a container belongs: where the adopted plan wants it or, where no plan wants it elsewhere, where it stands. */
export function getBerth({ parentId, container }: Place): Berth {
  if (container?.goesTo) return container.goesTo;
  return { ...(parentId !== undefined && { slotId: parentId }), ...(container?.at && { at: container.at }) };
}

/** What a container is like, without where it stands or is to stand. */
export function toLooseBox({ at: _at, goesTo: _goesTo, ...spec }: ContainerSpec): ContainerSpec {
  return spec;
}

/** A container that stands in a berth, behind so many others in the order of its compartment. */
export function standIn(place: Place, { slotId, at }: Berth, order: number): Place {
  const spec = toLooseBox(place.container!);
  const { parentId: _parentId, ...rest } = place;
  return { ...rest, ...(slotId && { parentId: slotId }), order, container: { ...spec, ...(at && { at }) } };
}

/** The places with containers carried to where they are to stand. Those of compartments that are no more stay. */
export function withBins(places: ReadonlyMap<PlaceId, Place>, bins: readonly ToStand[]): ReadonlyMap<PlaceId, Place> {
  if (bins.length === 0) return places;
  const next = new Map(places);
  const moved = new Set(bins.map(({ placeId }) => placeId));
  const order = new Map<PlaceId | undefined, number>();
  for (const { id, parentId, container, order: mine } of places.values())
    if (container && !moved.has(id)) order.set(parentId, Math.max(order.get(parentId) ?? 0, mine + 1));
  for (const { placeId, slotId, at } of bins) {
    const place = places.get(placeId);
    if (!place?.container || (slotId && !places.get(slotId)?.slot)) continue;
    const mine = order.get(slotId) ?? 0;
    order.set(slotId, mine + 1);
    next.set(placeId, standIn(place, { ...(slotId && { slotId }), ...(at && { at }) }, mine));
  }
  return next;
}

/** The containers that the adopted plan wants elsewhere than they stand. */
export function listBinsToCarry(places: ReadonlyMap<PlaceId, Place>): ToStand[] {
  return [...places.values()].flatMap(({ id, container }) =>
    container?.goesTo ? [{ placeId: id, ...container.goesTo }] : [],
  );
}

/** The places with every container where it belongs, carried there or not. */
export function withBerths(places: ReadonlyMap<PlaceId, Place>): ReadonlyMap<PlaceId, Place> {
  return withBins(places, listBinsToCarry(places));
}

/** Where lots may belong: places that there are, and those that there will be once all containers are carried. */
export function listHomes(tree: PlaceTree): ReadonlySet<PlaceId> {
  const then = withBerths(tree.places);
  const leaves = then === tree.places ? tree.leaves : [...tree.leaves, ...createPlaceTree(then).leaves];
  return new Set(leaves.map(({ id }) => id));
}
