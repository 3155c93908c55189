import {
  takesRoom,
  type Change,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type Place,
  type PlaceId,
  type Station,
  type StowForm,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import {
  computeStationPoint,
  createPlaceTree,
  listBinsToCarry,
  listHomes,
  standAsPlanned,
  withoutBerth,
  type PlaceTree,
} from '../storage/index.ts';
import type { Act } from './act.ts';
import { getOrderBehind } from './behind.ts';
import { applyChanges } from '../daybook/fold.ts';
import { createChange, isSame } from '../daybook/index.ts';
import { computeContents, groupLotsByPlace } from '../whereabouts/index.ts';

/** A place without the furniture that goes. */
function untieStations(household: Household, place: Place, gone: ReadonlySet<PlaceId>): Place {
  const { room } = place;
  if (!room?.stations.some((station) => station.unitId && gone.has(station.unitId))) return place;
  const stations = room.stations.map((station) => {
    if (!station.unitId || !gone.has(station.unitId)) return station;
    return {
      ...station,
      unitId: undefined,
      at: computeStationPoint(room, station, (id) => household.places.get(id)?.unit),
    };
  });
  return { ...place, room: { ...room, stations } };
}

/**
 * The places with those saved and without those gone. A container that was put somewhere by hand, or that no longer goes
 * where a plan wants it, is not to be carried there any more.
 */
function settleBerths(
  household: Household,
  saved: readonly Place[],
  gone: ReadonlySet<PlaceId>,
): ReadonlyMap<PlaceId, Place> {
  const kept = new Map([...household.places, ...saved.map((place) => [place.id, place] as const)]);
  for (const id of gone) kept.delete(id);
  const isMoved = new Set(
    saved.flatMap(({ id, parentId, container }) => {
      const before = household.places.get(id);
      const isThere = before?.parentId === parentId && isSame(before?.container?.at, container?.at);
      return container && !isThere ? [id] : [];
    }),
  );
  const waiting = listBinsToCarry(kept);
  const { left } = standAsPlanned(
    kept,
    waiting.filter(({ placeId }) => !isMoved.has(placeId)),
  );
  for (const { placeId } of waiting)
    if (isMoved.has(placeId) || left.includes(placeId)) kept.set(placeId, withoutBerth(kept.get(placeId)!));
  return kept;
}

/**
 * Adds, changes and removes places (a unit with its slots and bins). What lies in a removed place lies
 * outside and has no home any more, and so does what lies in a bin that goes to the pool; what lies in a slot that
 * gets its first bin lies in that bin then. `heirs` says where the lots of a removed place lie instead. A station that
 * was tied to a removed piece stays where one stood.
 */
export function createSavePlaces(
  household: Household,
  subject: string,
  saved: readonly Place[],
  removed: readonly Place[],
  nowMs: number,
  heirs: ReadonlyMap<PlaceId, PlaceId> = new Map(),
): Act {
  const changes: (Change | null)[] = [];
  const gone = new Set(removed.map((place) => place.id));
  const places = settleBerths(household, saved, gone);
  const isLost = new Set([...gone, ...saved.flatMap((place) => (place.container && !place.parentId ? place.id : []))]);
  const leaves = new Set(createPlaceTree(household.places).leaves.map((place) => place.id));
  const binOf = new Map<PlaceId, PlaceId>();
  for (const place of saved.toSorted((a, b) => a.order - b.order))
    if (place.container && place.parentId && leaves.has(place.parentId) && !binOf.has(place.parentId))
      binOf.set(place.parentId, place.id);
  const homes = listHomes(createPlaceTree(places));
  for (const lot of household.lots.values()) {
    const next: Lot = { ...lot };
    const find = (id: PlaceId) => heirs.get(id) ?? (isLost.has(id) ? undefined : (binOf.get(id) ?? id));
    if (lot.homeId !== undefined) {
      const home = homes.has(lot.homeId) && !isLost.has(lot.homeId) ? lot.homeId : find(lot.homeId);
      next.homeId = home && homes.has(home) ? home : undefined;
    }
    if (lot.placeId !== undefined) {
      next.placeId = find(lot.placeId);
      if (next.placeId === undefined) Object.assign(next, { state: 'out', sinceMs: nowMs });
    }
    changes.push(createChange('lots', lot.id, lot, next));
  }
  for (const place of removed) changes.push(createChange('places', place.id, place, null));
  for (const place of places.values())
    changes.push(
      createChange('places', place.id, household.places.get(place.id) ?? null, untieStations(household, place, gone)),
    );
  const real = changes.filter((change) => change !== null);
  return real.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'roomChanged', subject, changes: real });
}

/** Containers stay where they stand after all. What was to lie where that leaves no place for it has no home any more. */
export function createLeaveBins(household: Household, ids: readonly PlaceId[], nowMs: number): Act {
  const bins = ids.flatMap((id) => household.places.get(id) ?? []).filter((place) => place.container);
  const subject = bins.map(({ name }) => name).join(' and ');
  return createSavePlaces(household, subject, bins.map(withoutBerth), [], nowMs);
}

/** What a change of places would do to the lots there. */
export interface Disturbance {
  /** Lots that would lie outside, for their place is no more. */
  readonly ousted: readonly Lot[];
  /** Places that would no longer hold what is in them; they stay recorded, over full. */
  readonly burst: readonly PlaceId[];
}

/** Looks ahead at what `createSavePlaces` would do. A place that is over full already does not count as burst. */
export function findDisturbance(
  household: Household,
  saved: readonly Place[],
  removed: readonly Place[],
  heirs?: ReadonlyMap<PlaceId, PlaceId>,
): Disturbance {
  const draft = createSavePlaces(household, '', saved, removed, 0, heirs);
  if (!draft.ok) return { ousted: [], burst: [] };
  const after = applyChanges(household, draft.value.changes);
  if (!after.ok) return { ousted: [], burst: [] };
  const ousted = [...household.lots.values()].filter(
    (lot) => lot.placeId !== undefined && after.value.lots.get(lot.id)?.placeId === undefined,
  );
  const isBurst = (of: Household, placeId: PlaceId) => {
    const lots = groupLotsByPlace(of, 'is').get(placeId) ?? [];
    return computeContents(of, createPlaceTree(of.places), placeId, lots).spots === null;
  };
  const leaves = createPlaceTree(after.value.places).leaves.filter((leaf) =>
    saved.some((place) => place.id === leaf.id || place.id === leaf.parentId),
  );
  const wasBurst = (id: PlaceId) => household.places.has(id) && isBurst(household, id);
  const burst = leaves.flatMap(({ id }) => (isBurst(after.value, id) && !wasBurst(id) ? [id] : []));
  return { ousted, burst };
}

/** Puts several lots into one place, each in a form, in this order behind what is there; it is their home from now on. */
export function createMoveTogether(
  household: Household,
  forms: readonly (readonly [LotId, StowForm])[],
  placeId: PlaceId,
  subject: string,
  nowMs: number,
): Act {
  const place = household.places.get(placeId);
  if (!place || !createPlaceTree(household.places).leaves.includes(place)) return fail({ code: 'no-such-place' });
  const moved = new Set<LotId>(forms.map(([id]) => id));
  const first = getOrderBehind(household, placeId, moved);
  const changes = forms.flatMap(([id, form], i) => {
    const lot = household.lots.get(id);
    if (!lot || !takesRoom(lot)) return [];
    const order = first + i;
    const home = { homeId: placeId, homeOrder: order, homeForm: form };
    const next: Lot = { ...lot, state: 'in', placeId, order, form, ...home, sinceMs: nowMs };
    return createChange('lots', id, lot, next) ?? [];
  });
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'moved', subject, changes });
}

/** What removing a room would do. */
export interface RoomLoss {
  readonly pieces: number;
  /** Lots that would lie outside. */
  readonly ousted: number;
  /** Items that are used at one of its stations, and the station they would be used at instead. */
  readonly items: number;
  readonly station: Station | null;
}

/** Looks ahead at `createRemoveRoom`. */
export function findRoomLoss(household: Household, roomId: PlaceId): RoomLoss {
  const tree = createPlaceTree(household.places);
  const within = new Set(listWithin(tree, roomId).map((place) => place.id));
  const gone = new Set<string>(tree.places.get(roomId)?.room?.stations.map((station) => station.id));
  const items = [...household.items.values()].filter((item) => listStations(item).some((id) => gone.has(id)));
  return {
    pieces: tree.getChildren(roomId).length,
    ousted: [...household.lots.values()].filter((lot) => lot.placeId !== undefined && within.has(lot.placeId)).length,
    items: items.length,
    station: tree.rooms.flatMap((room) => (room.id === roomId ? [] : room.room!.stations))[0] ?? null,
  };
}

const listStations = ({ stationId, otherStationIds }: Item) => [stationId, ...(otherStationIds ?? [])];

function listWithin(tree: PlaceTree, id: PlaceId): Place[] {
  return tree.getChildren(id).flatMap((place) => [...listWithin(tree, place.id), place]);
}

/**
 * Removes a room with its furniture; its bins go to the pool, what lay in them lies out, and what was used at its
 * stations is used at the first station that is left. Refused for the last room, and where no station would be left
 * for things that need one. Doors of other rooms that led there lead to the hall.
 */
export function createRemoveRoom(household: Household, roomId: PlaceId, nowMs: number): Act {
  const tree = createPlaceTree(household.places);
  const room = tree.places.get(roomId);
  const { station, items } = findRoomLoss(household, roomId);
  if (!room?.room || tree.rooms.length < 2 || (items > 0 && station === null)) return fail({ code: 'nothing-changed' });
  const within = listWithin(tree, roomId);
  const idle = within
    .filter((place) => place.container)
    .map((place, i): Place => {
      const { at: _at, ...container } = place.container!;
      return { ...place, parentId: undefined, order: tree.pool.length + i, container };
    });
  const doors = new Set(room.room.doors.map((door) => door.id));
  const freed = tree.rooms.flatMap((other): Place[] => {
    if (other.id === roomId || !other.room!.doors.some((door) => door.leadsTo && doors.has(door.leadsTo))) return [];
    const rest = other.room!.doors.map((door) =>
      door.leadsTo && doors.has(door.leadsTo) ? { ...door, leadsTo: undefined } : door,
    );
    return [{ ...other, room: { ...other.room!, doors: rest } }];
  });
  const removed = [...within.filter((place) => !place.container), room];
  const places = createSavePlaces(household, room.name, [...idle, ...freed], removed, nowMs);
  if (!places.ok) return places;
  const gone = new Set<string>(room.room.stations.map((one) => one.id));
  const moved = [...household.items.values()].flatMap((item) => {
    if (!listStations(item).some((id) => gone.has(id))) return [];
    const left = listStations(item).filter((id) => !gone.has(id));
    const [stationId, ...others] = left.length > 0 ? left : [station!.id];
    const next: Item = { ...item, stationId: stationId! };
    if (item.otherStationIds) next.otherStationIds = others;
    return createChange('items', item.id, item, next) ?? [];
  });
  return ok({ ...places.value, changes: [...places.value.changes, ...moved] });
}
