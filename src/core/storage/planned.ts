import type { Place, PlaceId } from '../records/index.ts';
import { listBinsToCarry, withBins, type ToStand } from './berths.ts';
import { checkContainers } from './stand.ts';
import { compareSiblings } from './tree.ts';

/** A container that no plan wants elsewhere any more. */
export function withoutBerth(place: Place): Place {
  const { goesTo: _goesTo, ...container } = place.container!;
  return { ...place, container };
}

/** Whether a container stands in its compartment with all others that stand there; also where it stands in none. */
function isStanding(places: ReadonlyMap<PlaceId, Place>, id: PlaceId): boolean {
  const { parentId } = places.get(id)!;
  const slot = parentId && places.get(parentId)?.slot;
  if (!slot) return parentId === undefined;
  const boxes = [...places.values()]
    .filter((one) => one.container && one.parentId === parentId)
    .toSorted(compareSiblings);
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
