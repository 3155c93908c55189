import type { Berth, Place, PlaceId } from '../records/index.ts';
import { checkContainers } from './stand.ts';
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

/** A container that no plan wants elsewhere any more. */
export function withoutBerth(place: Place): Place {
  const { goesTo: _goesTo, ...container } = place.container!;
  return { ...place, container };
}

/** A container that stands in a berth, behind so many others in the order of its compartment. */
export function standIn(place: Place, { slotId, at }: Berth, order: number): Place {
  const { at: _at, goesTo: _goesTo, ...spec } = place.container!;
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

/** Whether a container stands in its compartment with all others that stand there; also where it stands in none. */
function isStanding(places: ReadonlyMap<PlaceId, Place>, id: PlaceId): boolean {
  const { parentId } = places.get(id)!;
  const slot = parentId && places.get(parentId)?.slot;
  if (!slot) return parentId === undefined;
  const boxes = [...places.values()]
    .filter((one) => one.container && one.parentId === parentId)
    .toSorted((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
  return (
    checkContainers(
      slot,
      boxes.map((one) => one.container!),
    ) === null
  );
}

/** The places as a plan has them: its containers carried, all others where they stand. */
export interface PlannedPlaces {
  readonly places: ReadonlyMap<PlaceId, Place>;
  /** Containers that do not go any more where the plan has them; they stay where they stand. */
  readonly left: readonly PlaceId[];
}

/** Carries the containers of a plan; what an earlier plan wanted carried stays where it stands. */
export function standAsPlanned(places: ReadonlyMap<PlaceId, Place>, bins: readonly ToStand[]): PlannedPlaces {
  const waiting = listBinsToCarry(places);
  let settled = places;
  if (waiting.length > 0) {
    const next = new Map(places);
    for (const { placeId } of waiting) next.set(placeId, withoutBerth(places.get(placeId)!));
    settled = next;
  }
  const left: PlaceId[] = [];
  for (let good = bins; ;) {
    const next = withBins(settled, good);
    const bad = good.filter(
      ({ placeId, slotId }) =>
        !next.has(placeId) || next.get(placeId)!.parentId !== slotId || !isStanding(next, placeId),
    );
    if (bad.length === 0) return { places: next, left };
    left.push(...bad.map(({ placeId }) => placeId));
    good = good.filter((one) => !bad.includes(one));
  }
}

/** Where lots may belong: places that there are, and those that there will be once all containers are carried. */
export function listHomes(tree: PlaceTree): ReadonlySet<PlaceId> {
  const then = withBerths(tree.places);
  const leaves = then === tree.places ? tree.leaves : [...tree.leaves, ...createPlaceTree(then).leaves];
  return new Set(leaves.map(({ id }) => id));
}
