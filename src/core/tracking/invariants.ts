import type { Household } from '../records/index.ts';
import { checkContainers, createPlaceTree } from '../storage/index.ts';

/** A broken rule across records, with the path of the record. */
export interface InvariantFault {
  readonly path: string;
  readonly code: 'dangling' | 'not-a-leaf' | 'tree' | 'container-does-not-fit' | 'no-station' | 'gone-but-placed';
  readonly to: string;
}

/** Checks what no single record can: references, the tree, containers in their slots. */
export function checkInvariants(household: Household): InvariantFault[] {
  const faults: InvariantFault[] = [];
  const tree = createPlaceTree(household.places);
  for (const { code, placeId } of tree.faults) faults.push({ path: `places.${placeId}`, code: 'tree', to: code });
  const leaves = new Set(tree.leaves.map((place) => place.id));
  const stations = new Set(tree.rooms.flatMap((room) => room.room?.stations.map((station) => station.id) ?? []));
  for (const item of household.items.values())
    if (!stations.has(item.stationId))
      faults.push({ path: `items.${item.id}.stationId`, code: 'no-station', to: item.stationId });
  for (const lot of household.lots.values()) {
    const path = `lots.${lot.id}`;
    if (!household.items.has(lot.itemId)) faults.push({ path: `${path}.itemId`, code: 'dangling', to: lot.itemId });
    for (const field of ['placeId', 'homeId'] as const) {
      const id = lot[field];
      if (id === null) continue;
      if (!household.places.has(id)) faults.push({ path: `${path}.${field}`, code: 'dangling', to: id });
      else if (!leaves.has(id)) faults.push({ path: `${path}.${field}`, code: 'not-a-leaf', to: id });
    }
    if (lot.state === 'gone' && (lot.placeId ?? lot.homeId) !== null)
      faults.push({ path, code: 'gone-but-placed', to: lot.placeId ?? lot.homeId ?? '' });
  }
  for (const slot of household.places.values()) {
    if (!slot.slot) continue;
    const boxes = tree.getChildren(slot.id).flatMap((child) => child.container ?? []);
    const fault = checkContainers(slot.slot, boxes);
    if (fault) faults.push({ path: `places.${slot.id}`, code: 'container-does-not-fit', to: fault.code });
  }
  return faults;
}
