import { perLanguage } from '../language/index.ts';
import { isHomeless, takesRoom, type Household, type LotId, type Place } from '../../core/records/index.ts';
import {
  createPlaceTree,
  getRoomSpec,
  listBinsToCarry,
  listWalls,
  withBerths,
  type PlaceTree,
  type WallLine,
} from '../../core/storage/index.ts';

/**
 * A figure of a household, or of a part of it, that is worked out once and kept as long as that state of it is. It may hold
 * words: in another language it is worked out anew.
 */
export function derive<T, Of extends object = Household>(compute: (of: Of) => T): (of: Of) => T {
  const known = perLanguage(() => new WeakMap<Of, { value: T }>());
  return (of) => {
    const hit = known().get(of);
    if (hit) return hit.value;
    const value = compute(of);
    known().set(of, { value });
    return value;
  };
}

const createTree = derive((places: Household['places']) => createPlaceTree(places));
/** The same for as long as the places are the same: most acts only move things about. */
export const getTree = ({ places }: Household): PlaceTree => createTree(places);

/** A wall of a room, with the id that addresses name it by. */
export interface WallOfRoom {
  readonly id: string;
  readonly room: Place;
  readonly wall: WallLine;
}

/** Every wall, room by room. */
const listWallsOf = derive(({ rooms }: PlaceTree) =>
  rooms.flatMap((room): WallOfRoom[] =>
    listWalls(getRoomSpec(room)).map((wall) => ({ id: `${room.id}-${wall.id}`, room, wall })),
  ),
);
export const getWalls = (household: Household): WallOfRoom[] => listWallsOf(getTree(household));

const getMainWall = derive((tree: PlaceTree): WallOfRoom | null => {
  const count = ({ room, wall }: WallOfRoom) =>
    tree.getChildren(room.id).filter((unit) => unit.unit?.wallId === wall.id).length;
  return listWallsOf(tree).toSorted((a, b) => count(b) - count(a))[0] ?? null;
});

/** The wall asked for, or else the one where most stands. */
export function findWallOrMain(household: Household, id: string | null | undefined): WallOfRoom | null {
  const walls = getWalls(household);
  const wanted = walls.find((one) => one.id === id);
  if (wanted) return wanted;
  return getMainWall(getTree(household));
}

/** Lots of each item, in the order they came. */
export const getLotsByItem = derive((household) => {
  const byItem = new Map<string, LotId[]>();
  for (const lot of household.lots.values()) {
    if (lot.state === 'gone') continue;
    const ids = byItem.get(lot.itemId);
    if (ids) ids.push(lot.id);
    else byItem.set(lot.itemId, [lot.id]);
  }
  return byItem;
});

const getBerths = derive((places: Household['places']) => withBerths(places));
/** The household with its bins where the adopted plan wants them. */
export const getAsPlanned = derive((household) => {
  const places = getBerths(household.places);
  return places === household.places ? household : { ...household, places };
});

/** Lots that are not where their home is: planned moves, things out, things without a home. */
export const getStrays = derive((household) => {
  let toMove = listBinsToCarry(household.places).length;
  let out = 0;
  let homeless = 0;
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot)) continue;
    if (isHomeless(lot)) homeless += 1;
    else if (lot.state === 'out') out += 1;
    if (lot.away === 'waiting') toMove += 1;
    if (lot.homeId !== undefined && lot.state === 'in' && (lot.placeId !== lot.homeId || lot.form !== lot.homeForm))
      toMove += 1;
  }
  return { toMove, out, homeless };
});
