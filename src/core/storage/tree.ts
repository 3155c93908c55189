import type { Place, PlaceId, RoomSpec } from '../records/index.ts';
import { listWalls, type WallLine } from './room.ts';

/** A fault of the tree of places. */
export interface TreeFault {
  readonly code: 'missing-parent' | 'wrong-parent' | 'cycle';
  readonly placeId: PlaceId;
}

/** The tree room → unit → slot → container, indexed both ways. Immutable. */
export interface PlaceTree {
  readonly places: ReadonlyMap<PlaceId, Place>;
  readonly rooms: readonly Place[];
  readonly getChildren: (id: PlaceId) => readonly Place[];
  /** From the room down to the place itself; empty where there is no such place. */
  readonly getPath: (id: PlaceId) => readonly Place[];
  /** Where lots can be put: containers, and slots without one, in reading order of the room. */
  readonly leaves: readonly Place[];
  /** Containers that stand nowhere: idle ones, and those that are retired. */
  readonly pool: readonly Place[];
  /** Names that pieces of furniture of several rooms share. */
  readonly twins: ReadonlySet<string>;
  readonly faults: readonly TreeFault[];
}

const PARENT_LEVEL = { room: null, unit: 'room', slot: 'unit', container: 'slot' } as const;

/** Places in one, in their order. */
export function compareSiblings(a: Place, b: Place): number {
  return a.order - b.order || (a.id < b.id ? -1 : 1);
}

/** Indexes the places. Levels fix the depth, so a wrong parent is the only way to a cycle. */
export function createPlaceTree(places: ReadonlyMap<PlaceId, Place>): PlaceTree {
  const children = new Map<PlaceId, Place[]>();
  const rooms: Place[] = [];
  const pool: Place[] = [];
  const faults: TreeFault[] = [];
  for (const place of places.values()) {
    if (place.parentId === undefined) {
      if (place.level === 'room') rooms.push(place);
      else if (place.level === 'container') pool.push(place);
      else faults.push({ code: 'missing-parent', placeId: place.id });
      continue;
    }
    const parent = places.get(place.parentId);
    if (!parent) faults.push({ code: 'missing-parent', placeId: place.id });
    else if (place.parentId === place.id) faults.push({ code: 'cycle', placeId: place.id });
    else if (parent.level !== PARENT_LEVEL[place.level]) faults.push({ code: 'wrong-parent', placeId: place.id });
    else {
      const siblings = children.get(parent.id);
      if (siblings) siblings.push(place);
      else children.set(parent.id, [place]);
    }
  }
  rooms.sort(compareSiblings);
  pool.sort(compareSiblings);
  for (const siblings of children.values()) siblings.sort(compareSiblings);
  const getChildren = (id: PlaceId) => children.get(id) ?? [];
  const leaves: Place[] = [];
  const roomOf = new Map<string, Place>();
  const twins = new Set<string>();
  for (const room of rooms)
    for (const unit of getChildren(room.id)) {
      if ((roomOf.get(unit.name) ?? room) !== room) twins.add(unit.name);
      roomOf.set(unit.name, room);
      for (const slot of getChildren(unit.id)) {
        const containers = getChildren(slot.id);
        leaves.push(...(containers.length > 0 ? containers : [slot]));
      }
    }
  const getPath = (id: PlaceId) => {
    const path: Place[] = [];
    for (let at = places.get(id); at && path.length < 5; at = at.parentId ? places.get(at.parentId) : undefined)
      path.unshift(at);
    return path;
  };
  return { places, rooms, getChildren, getPath, leaves, pool, twins, faults };
}

/** The place of one level on the way from the room to `id`. */
export function getAncestor(tree: PlaceTree, id: PlaceId, level: Place['level']): Place | null {
  return tree.getPath(id).find((place) => place.level === level) ?? null;
}

/** A room's record; every room has one by validation. */
export function getRoomSpec(place: Place): RoomSpec {
  if (!place.room) throw new Error(`place ${place.id} is not a room`);
  return place.room;
}

/**
 * Names from unit to place: `Tall cubes › C3`, after that of its room where another room has a piece of that name; of a
 * container that stands nowhere, its own.
 */
export function formatPlaceName(tree: PlaceTree, id: PlaceId): string {
  const path = tree.getPath(id);
  const [room, unit] = path;
  const names = path.filter(({ level }) => level !== 'room').map((place) => place.name);
  const name = names.join(' › ');
  return room?.level === 'room' && unit && tree.twins.has(unit.name) ? `${room.name}: ${name}` : name;
}

/** The wall that a place stands at, by the id that `findWall` knows; null where it stands at none. */
export function findWallId(tree: PlaceTree, id: PlaceId): string | null {
  const unit = getAncestor(tree, id, 'unit');
  return unit?.unit && unit.parentId !== undefined ? `${unit.parentId}-${unit.unit.wallId}` : null;
}

/** The room that has a wall, and the wall; `wallId` is the room's id and the wall's, joined by a dash. */
export function findWall(tree: PlaceTree, wallId: string): { room: Place; wall: WallLine } | null {
  for (const room of tree.rooms) {
    const wall = listWalls(getRoomSpec(room)).find((one) => `${room.id}-${one.id}` === wallId);
    if (wall) return { room, wall };
  }
  return null;
}
