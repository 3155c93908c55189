import { computeSunHours } from '../room/index.ts';
import {
  getUses,
  takesRoom,
  type Climate,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type Place,
  type PlaceId,
  type RoomSpec,
} from '../records/index.ts';
import { computeFootprint, computeWayMm, getPointOf, listStationSpots, type PlaceTree } from '../storage/index.ts';

const LATITUDE_DEG = 50;
/** The middle of each month stands for it. */
const MONTH_DAYS = Array.from({ length: 12 }, (_, month) => Math.round((month + 0.5) * (365 / 12)));
/** What has less sun than this in a year does not fade to speak of, h. */
const LEAST_HOURS = 60;
/** Its front edge is looked at, so far in. */
const IN_MM = 20;

/** Hours of direct sun a year at a spot, when the sky is clear and nothing stands outside. */
export function computeSunYear(room: RoomSpec, spot: { xMm: number; yMm: number; zMm: number }): number {
  const latitude = room.latitudeDeg ?? LATITUDE_DEG;
  return MONTH_DAYS.reduce((sum, day) => sum + computeSunHours(room, spot, latitude, day) * (365 / 12), 0);
}

/** Things that fade in a place on which the sun falls, with its hours a year. */
export interface Fading {
  readonly placeId: PlaceId;
  readonly hours: number;
  readonly lotIds: readonly LotId[];
}

/** What fades where, by the sun hours of the room's windows through the year: places that are open, the sunniest first. */
export function listFading(household: Household, tree: PlaceTree): Fading[] {
  const byPlace = new Map<PlaceId, LotId[]>();
  for (const lot of household.lots.values()) {
    const care = household.items.get(lot.itemId)?.care ?? [];
    if (lot.state !== 'in' || !lot.placeId || !(care.includes('fades') || care.includes('noSun'))) continue;
    byPlace.set(lot.placeId, [...(byPlace.get(lot.placeId) ?? []), lot.id]);
  }
  return [...byPlace]
    .flatMap(([placeId, lotIds]): Fading[] => {
      const [room, unit, slot, bin] = tree.getPath(placeId);
      if (!room?.room || !unit?.unit || !slot?.slot || room.room.windows.length === 0) return [];
      const isOpen = slot.slot.opening === 'open' || slot.slot.isSeeThrough;
      if (!isOpen || slot.slot.light === 'dark' || (bin?.container && !bin.container.isSeeThrough)) return [];
      const print = computeFootprint(room.room, unit.unit);
      const across = slot.slot.xMm + slot.slot.widthMm / 2 - unit.unit.widthMm / 2;
      const at = getPointOf(print, across, unit.unit.depthMm / 2 - IN_MM);
      const zMm = unit.unit.yMm + slot.slot.yMm + slot.slot.heightMm / 2;
      const hours = computeSunYear(room.room, { ...at, zMm });
      return hours >= LEAST_HOURS ? [{ placeId, hours, lotIds }] : [];
    })
    .toSorted((a, b) => b.hours - a.hours);
}

const has = (word: RegExp, ...texts: (string | undefined)[]) =>
  texts.some((text) => text !== undefined && word.test(text));
/** What a climate does to things: moth and mould, rust, brittle rubber and glue, frost. Rules of thumb. */
const HARMS: Readonly<Record<Climate, (item: Item) => boolean>> = {
  damp: ({ fabric, pattern, care }) =>
    care.includes('heirloom') ||
    care.includes('sharp') ||
    pattern !== undefined ||
    has(/wool|silk|fur|leather/iu, fabric?.fibre),
  hot: ({ fabric, box, care }) =>
    care.includes('heirloom') ||
    care.includes('flammable') ||
    has(/elastic|glue|mat/iu, box?.type) ||
    has(/coated|vinyl/iu, fabric?.fibre, fabric?.cloth),
  cold: ({ care }) => care.includes('liquid'),
  swinging: ({ care, fabric }) => care.includes('heirloom') || has(/leather|fur/iu, fabric?.fibre),
};

/** What should not stay in a room that is damp, hot, cold or swings between them. */
export function listAgainstClimate(household: Household, tree: PlaceTree): AgainstClimate[] {
  const byRoom = new Map<PlaceId, { item: Item; lotId: LotId }[]>();
  for (const lot of household.lots.values()) {
    const placeId = lot.homeId ?? lot.placeId;
    const item = household.items.get(lot.itemId);
    const room = placeId && tree.getPath(placeId)[0];
    if (!item || !room || !takesRoom(lot)) continue;
    byRoom.set(room.id, [...(byRoom.get(room.id) ?? []), { item, lotId: lot.id }]);
  }
  return tree.rooms.flatMap((room) =>
    (room.room?.climates ?? []).flatMap((climate) => {
      const lotIds = (byRoom.get(room.id) ?? []).flatMap(({ item, lotId }) => (HARMS[climate](item) ? [lotId] : []));
      return lotIds.length > 0 ? [{ roomId: room.id, climate, lotIds }] : [];
    }),
  );
}

/** What should not stay in a room for its air. */
export interface AgainstClimate {
  readonly roomId: PlaceId;
  readonly climate: Climate;
  readonly lotIds: readonly LotId[];
}

/** A tool that is carried between its stations. */
export interface Carried {
  readonly item: Item;
  /** Of walking to and fro with it. */
  readonly minutesPerMonth: number;
  /** What one more cost, where that is known. */
  readonly cost: number | null;
  /** On wheels, and rolled to all its stations: kept there, it need not be carried. */
  readonly cart: Place | null;
}

/** Below this a second one is not worth a word, minutes a month. */
const LEAST_MINUTES = 1;

/** Tools that are carried between stations most, and would pay to have twice. */
export function listCarried(household: Household, tree: PlaceTree): Carried[] {
  const spots = new Map(listStationSpots(tree).map((spot) => [spot.id, spot]));
  const carts = [...tree.places.values()].filter(({ unit }) => unit?.hasWheels && unit.stationIds);
  const lotsOf = new Map<ItemId, Lot[]>();
  for (const lot of household.lots.values())
    if (takesRoom(lot)) lotsOf.set(lot.itemId, [...(lotsOf.get(lot.itemId) ?? []), lot]);
  return [...household.items.values()]
    .flatMap((item): Carried[] => {
      if (item.kind !== 'tool') return [];
      const stations = [item.stationId, ...(item.otherStationIds ?? [])].flatMap((id) => spots.get(id) ?? []);
      const [first, ...others] = stations;
      const lots = lotsOf.get(item.id) ?? [];
      const pieces = lots.reduce((sum, lot) => sum + lot.count, 0);
      if (!first || pieces === 0 || pieces >= stations.length) return [];
      const cart = carts.find(({ unit }) => stations.every(({ id }) => unit!.stationIds!.includes(id))) ?? null;
      if (cart && lots.some(({ placeId }) => placeId && tree.getPath(placeId).includes(cart))) return [];
      const mm = others.reduce((sum, other) => sum + computeWayMm(tree, first, other), 0) / Math.max(1, others.length);
      // There and back each time that it is wanted at the other station: every other use.
      const seconds = (getUses(item) / 2) * 2 * (mm / 1000) * household.settings.estimates.walkSecondsPerM;
      const minutesPerMonth = seconds / 60;
      return minutesPerMonth >= LEAST_MINUTES ? [{ item, minutesPerMonth, cost: item.cost ?? null, cart }] : [];
    })
    .toSorted((a, b) => b.minutesPerMonth - a.minutesPerMonth);
}
