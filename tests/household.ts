import {
  createLooseLot,
  DEFAULT_SETTINGS,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type Place,
  type PlaceId,
  type Settings,
  type SlotSpec,
  type StationId,
  type UnitSpec,
} from '../src/core/records/index.ts';
import { computeSlots } from '../src/core/storage/index.ts';

/** A household small enough to work out by hand: one room, four metres by three, with what a test puts in it. */
export const CUTTING = 'st-cut' as StationId;
export const SEWING = 'st-sew' as StationId;

export const ROOM: Place = {
  id: 'room' as PlaceId,
  level: 'room',
  name: 'Room',
  order: 0,
  room: {
    walls: [
      { id: 'north', name: 'North wall', from: { xMm: 0, yMm: 0 } },
      { id: 'east', name: 'East wall', from: { xMm: 4000, yMm: 0 } },
      { id: 'south', name: 'South wall', from: { xMm: 4000, yMm: 3000 } },
      { id: 'west', name: 'West wall', from: { xMm: 0, yMm: 3000 } },
    ],
    heightMm: 2400,
    slopes: [],
    doors: [
      { id: 'door', wallId: 'west', xMm: 1100, widthMm: 800, heightMm: 2000, hinge: 'left', swing: 'in', wayMm: 0 },
    ],
    windows: [],
    sockets: [],
    fixtures: [],
    circuits: [],
    arrangements: [],
    upDeg: 0,
    stations: [
      { id: CUTTING, name: 'Cutting', at: { xMm: 2000, yMm: 1500 } },
      { id: SEWING, name: 'Sewing', at: { xMm: 1000, yMm: 2000 } },
    ],
  },
};

/** A unit with its slots; their ids are the unit's and the slot's name, but rows of cubes and shelves are counted from below. */
export function createUnit(id: string, unit: Partial<UnitSpec>, slots: Partial<SlotSpec> = {}): Place[] {
  const spec: UnitSpec = {
    kind: 'cubes',
    wallId: 'north',
    xMm: 0,
    yMm: 0,
    widthMm: 382,
    heightMm: 382,
    depthMm: 366,
    boardMm: 16,
    columns: 1,
    rows: 1,
    isAnchored: false,
    ...unit,
  };
  const layout = computeSlots(spec);
  if (!layout.ok) throw new Error(layout.fault.code);
  const markOf = (name: string, at: number) =>
    spec.kind === 'drawers' ? name : name.replace(/\d+$/u, String((at % spec.rows) + 1));
  return [
    { id: id as PlaceId, parentId: ROOM.id, level: 'unit', name: id, order: 0, unit: spec },
    ...layout.slots.map(({ name, slot }, order): Place => ({
      id: `${id}-${markOf(name, order)}` as PlaceId,
      parentId: id as PlaceId,
      level: 'slot',
      name,
      order,
      slot: { ...slot, ...slots },
    })),
  ];
}

const BASE = { notes: '', usesPerMonth: 2, stationId: CUTTING, care: [], colours: ['#2f5d7c'] };

export function createCloth(id: string, change: Partial<Item> = {}): Item {
  return {
    ...BASE,
    id: id as ItemId,
    kind: 'fabric',
    name: id,
    forms: ['stack'],
    // 1 mm a layer, 1 m wide, 100 g/m²: figures one can add up in the head.
    fabric: {
      fibre: 'cotton',
      cloth: 'poplin',
      widthMm: 1000,
      grammageGsm: 100,
      layerMm: 1,
      stacking: 1,
      print: 'solid',
    },
    ...change,
  };
}

export function createThing(id: string, change: Partial<Item> = {}): Item {
  return {
    ...BASE,
    id: id as ItemId,
    kind: 'tool',
    name: id,
    forms: ['box'],
    box: { type: 'cutting', widthMm: 100, depthMm: 50, heightMm: 40, massG: 200, isSoft: false },
    ...change,
  };
}

export function createPattern(id: string, number: number, change: Partial<Item> = {}): Item {
  return {
    ...BASE,
    id: id as ItemId,
    kind: 'pattern',
    name: id,
    forms: ['envelope'],
    pattern: { number, garment: 'skirt', widthMm: 155, heightMm: 215, thicknessMm: 5, isMade: false },
    ...change,
  };
}

export function createSpool(id: string, change: Partial<Item> = {}): Item {
  return {
    ...BASE,
    id: id as ItemId,
    kind: 'thread',
    name: id,
    forms: ['spool', 'box'],
    thread: { fibre: 'polyester', use: 'general', tex: 27, diameterMm: 26, heightMm: 52, massG: 14 },
    ...change,
  };
}

/** A lot of an item: in a place when one is named, else out without a home. */
export function createLot(item: Item, placeId: string | null = null, change: Partial<Lot> = {}): Lot {
  const at = (placeId ?? undefined) as PlaceId | undefined;
  const loose = createLooseLot(`lot-${item.id}` as LotId, item, 1, item.fabric ? 2000 : undefined, 1000);
  return { ...loose, state: at ? 'in' : 'out', ...(at && { placeId: at, homeId: at }), ...change };
}

export function createHousehold(
  places: readonly Place[],
  items: readonly Item[],
  lots: readonly Lot[],
  settings: Partial<Settings> = {},
): Household {
  const byId = <R extends { id: string }>(records: readonly R[]) => new Map(records.map((r) => [r.id as R['id'], r]));
  return {
    settings: { ...DEFAULT_SETTINGS, ...settings },
    places: byId([ROOM, ...places]),
    items: byId(items),
    lots: byId(lots),
    plans: new Map(),
    projects: new Map(),
  };
}
