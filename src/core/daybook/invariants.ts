import { getAmount, getReserved } from '../measure/index.ts';
import type { Household } from '../records/index.ts';
import { checkContainers, createPlaceTree } from '../storage/index.ts';
import { checkHooks } from '../storage/pegs.ts';

/** A broken rule across records, with the path of the record. */
export interface InvariantFault {
  readonly path: string;
  readonly code:
    | 'dangling'
    | 'not-a-leaf'
    | 'tree'
    | 'container-does-not-fit'
    | 'hook-does-not-hold'
    | 'no-station'
    | 'gone-but-placed'
    | 'over-reserved'
    | 'wrapped'
    | 'code-twice';
  readonly to: string;
}

/** Checks what no single record can: references, the tree, containers in their slots. */
export function checkInvariants(household: Household): InvariantFault[] {
  const faults: InvariantFault[] = [];
  const tree = createPlaceTree(household.places);
  for (const { code, placeId } of tree.faults) faults.push({ path: `places.${placeId}`, code: 'tree', to: code });
  const leaves = new Set(tree.leaves.map((place) => place.id));
  const stations = new Set(tree.rooms.flatMap((room) => room.room?.stations.map((station) => station.id) ?? []));
  for (const item of household.items.values()) {
    for (const id of [item.stationId, ...(item.otherStationIds ?? [])])
      if (!stations.has(id)) faults.push({ path: `items.${item.id}.stationId`, code: 'no-station', to: id });
    const parentId = item.scrap?.parentItemId;
    if (parentId && !household.items.has(parentId))
      faults.push({ path: `items.${item.id}.scrap.parentItemId`, code: 'dangling', to: parentId });
  }
  for (const lot of household.lots.values()) {
    const path = `lots.${lot.id}`;
    const item = household.items.get(lot.itemId);
    if (!item) faults.push({ path: `${path}.itemId`, code: 'dangling', to: lot.itemId });
    else if (getReserved(lot) > getAmount(item, lot) + 0.5)
      faults.push({ path: `${path}.reserved`, code: 'over-reserved', to: String(getAmount(item, lot)) });
    if (lot.state === 'with') {
      // What wraps another is itself somewhere: nothing is wrapped in what is wrapped.
      const wrap = household.lots.get(lot.withLotId!);
      if (!wrap) faults.push({ path: `${path}.withLotId`, code: 'dangling', to: lot.withLotId! });
      else if (wrap.state === 'with' || wrap.state === 'gone' || wrap.state === 'digital')
        faults.push({ path: `${path}.withLotId`, code: 'wrapped', to: wrap.state });
    }
    for (const field of ['placeId', 'homeId'] as const) {
      const id = lot[field];
      if (id === null) continue;
      if (!household.places.has(id)) faults.push({ path: `${path}.${field}`, code: 'dangling', to: id });
      else if (!leaves.has(id)) faults.push({ path: `${path}.${field}`, code: 'not-a-leaf', to: id });
    }
    if (lot.state === 'gone' && (lot.placeId ?? lot.homeId) !== null)
      faults.push({ path, code: 'gone-but-placed', to: lot.placeId ?? lot.homeId ?? '' });
  }
  const codes = new Map<string, string>();
  for (const table of ['lots', 'places'] as const)
    for (const { id, label } of household[table].values()) {
      if (!label) continue;
      const other = codes.get(label.code);
      if (other !== undefined) faults.push({ path: `${table}.${id}.label`, code: 'code-twice', to: other });
      codes.set(label.code, id);
    }
  for (const slot of household.places.values()) {
    if (!slot.slot) continue;
    const boxes = tree.getChildren(slot.id).flatMap((child) => child.container ?? []);
    const fault = checkContainers(slot.slot, boxes);
    if (fault) faults.push({ path: `places.${slot.id}`, code: 'container-does-not-fit', to: fault.code });
    const hook = checkHooks(slot.slot);
    if (hook) faults.push({ path: `places.${slot.id}`, code: 'hook-does-not-hold', to: hook.code });
  }
  return faults;
}
