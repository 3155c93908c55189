import type { ContainerSpec, Place, PlaceId, RoomSpec, SlotSpec, UnitSpec } from '../core/records/index.ts';
import { computeSlots } from '../core/storage/index.ts';
import { STATIONS } from './stations.ts';

/** A unit of the sample: its measures, and what is set on its slots by name (`*` for all). */
export interface UnitPlan {
  readonly name: string;
  readonly unit: Omit<UnitSpec, 'isAnchored' | 'loadG'> & { isAnchored?: boolean; loadG?: number };
  readonly slots?: Record<string, Partial<SlotSpec>>;
  readonly bins?: Record<string, [string, Partial<ContainerSpec>?][]>;
}

const CUBE_BIN: ContainerSpec = {
  kind: 'bin',
  outerWidthMm: 318,
  outerDepthMm: 360,
  outerHeightMm: 310,
  wallMm: 3,
  mode: 'volume',
  tareG: 700,
  loadG: 9000,
  isSeeThrough: false,
  hasLid: false,
};
const LIDDED: Partial<ContainerSpec> = {
  kind: 'box',
  outerWidthMm: 390,
  outerDepthMm: 460,
  outerHeightMm: 300,
  hasLid: true,
  tareG: 1300,
  loadG: 10_000,
};
const CLEAR: Partial<ContainerSpec> = { ...LIDDED, isSeeThrough: true };

/** Walls of an outline, from corner to corner. */
export function outline(
  ...corners: readonly [id: string, name: string, xMm: number, yMm: number][]
): RoomSpec['walls'] {
  return corners.map(([id, name, xMm, yMm]) => ({ id, name, from: { xMm, yMm } }));
}

export const BARE: Omit<RoomSpec, 'walls'> = {
  heightMm: 2400,
  slopes: [],
  doors: [],
  windows: [],
  sockets: [],
  fixtures: [],
  circuits: [],
  stations: [],
  arrangements: [],
  upDeg: 0,
};

/** Heron Loft: an attic over a canal lock. North is at the top of the plan; the roof comes down to the south. */
const LOFT: RoomSpec = {
  ...BARE,
  walls: outline(
    ['north', 'North wall', 0, 0],
    ['east', 'East wall', 4200, 0],
    ['south', 'South eave', 4200, 3100],
    ['west', 'West wall', 0, 3100],
  ),
  heightMm: 2300,
  slopes: [{ wallId: 'south', kneeMm: 1100, runMm: 800 }],
  doors: [
    {
      id: 'loft-door',
      wallId: 'west',
      xMm: 2000,
      widthMm: 800,
      heightMm: 2000,
      hinge: 'right',
      swing: 'in',
      wayMm: 0,
    },
  ],
  windows: [
    { id: 'skylight', wallId: 'south', xMm: 1500, sillMm: 250, widthMm: 780, heightMm: 980, isInSlope: true },
    { id: 'lock-window', wallId: 'north', xMm: 2950, sillMm: 900, widthMm: 700, heightMm: 900 },
  ],
  sockets: [
    { id: 'socket-n', wallId: 'north', xMm: 2600, heightMm: 300, circuitId: 'loft' },
    { id: 'socket-e', wallId: 'east', xMm: 1250, heightMm: 300, circuitId: 'loft' },
    { id: 'socket-w', wallId: 'west', xMm: 1200, heightMm: 300, circuitId: 'loft' },
  ],
  fixtures: [
    {
      id: 'radiator',
      kind: 'heater',
      name: 'Radiator',
      at: { xMm: 60, yMm: 2300 },
      widthMm: 120,
      depthMm: 800,
      heightMm: 600,
    },
  ],
  lamps: [{ id: 'loft-lamp', name: 'Ceiling lamp', at: { xMm: 2000, yMm: 1550 }, heightMm: 2200 }],
  circuits: [{ id: 'loft', name: 'Loft sockets', volts: 230, amps: 16 }],
  stations: [
    { id: STATIONS.cutting, name: 'Cutting', at: { xMm: 2900, yMm: 1900 }, unitId: 'r1-u3' as PlaceId },
    { id: STATIONS.sewing, name: 'Sewing', at: { xMm: 2600, yMm: 1000 }, unitId: 'r1-u8' as PlaceId },
    { id: STATIONS.pressing, name: 'Pressing', at: { xMm: 1000, yMm: 1400 }, unitId: 'r1-u11' as PlaceId },
  ],
};

const LANDING: RoomSpec = {
  ...BARE,
  walls: outline(
    ['landing', 'Landing cupboard', 0, 0],
    ['landing-right', 'Right side', 1000, 0],
    ['landing-front', 'Front', 1000, 1100],
    ['landing-left', 'Left side', 0, 1100],
  ),
  heightMm: 2250,
  doors: [
    {
      id: 'landing-door',
      wallId: 'landing-front',
      xMm: 100,
      widthMm: 800,
      heightMm: 2000,
      hinge: 'left',
      swing: 'none',
      wayMm: 1500,
    },
  ],
};

type Pair = [number, number];

export function box(
  kind: UnitSpec['kind'],
  wallId: string,
  at: Pair,
  size: [number, number, number],
  grid: Pair = [1, 1],
  boardMm = 16,
): UnitPlan['unit'] {
  const [xMm, yMm] = at;
  const [widthMm, heightMm, depthMm] = size;
  return { kind, wallId, xMm, yMm, widthMm, heightMm, depthMm, boardMm, columns: grid[0], rows: grid[1] };
}

const PATTERN_CHEST = 'Pattern chest';
/** Its drawers were too low for large envelopes when the things of the loft were put away. */
const OLD_CHEST_MM = 760;

const LOFT_UNITS: readonly UnitPlan[] = [
  {
    name: 'Tall cubes',
    unit: { ...box('cubes', 'east', [120, 0], [1054, 1746, 390], [3, 5]), isAnchored: true },
    bins: {
      A5: [['Batting']],
      B5: [['Knit ends']],
      C5: [['Oilskin']],
      C4: [['Interfacing']],
      C1: [['Skirt kit']],
    },
  },
  { name: 'Peg field', unit: box('pegboard', 'east', [1290, 1150], [1016, 762, 12], [1, 1], 0) },
  {
    name: 'Cutting table',
    unit: box('table', 'east', [1290, 0], [1200, 900, 700], [1, 1], 0),
    slots: { '*': { light: 'sun', heightMm: 240, depthMm: 300 } },
  },
  {
    name: 'Bench drawers',
    unit: box('drawers', 'east', [1370, 0], [480, 800, 520], [1, 5], 12),
    slots: { 'Drawer 1': { mode: 'line' }, 'Drawer 2': { mode: 'line' } },
  },
  { name: 'Roll corner', unit: box('floor', 'east', [1880, 0], [520, 760, 420], [1, 1], 0) },
  { name: 'Eave drawers', unit: box('drawers', 'east', [2540, 0], [480, 600, 450], [1, 3], 12) },
  {
    name: PATTERN_CHEST,
    unit: box('drawers', 'north', [300, 0], [480, 1090, 600], [1, 3], 12),
    slots: { '*': { mode: 'line', loadG: 10_000 } },
  },
  {
    name: 'Machine table',
    unit: box('table', 'north', [1900, 0], [1500, 740, 650], [1, 1], 0),
    slots: { '*': { heightMm: 380, depthMm: 320 } },
  },
  { name: 'Spool wall', unit: box('spoolRack', 'north', [1950, 1300], [960, 480, 75], [1, 1], 0) },
  {
    name: 'Long shelf',
    unit: box('bookcase', 'north', [300, 1650], [1400, 330, 300], [1, 1]),
    slots: { '*': { isDustProof: false } },
  },
  {
    name: 'Iron trolley',
    unit: box('drawers', 'north', [900, 0], [420, 700, 420], [1, 2], 10),
    slots: { '*': { isNearHeat: true } },
  },
  {
    name: 'Low shelves',
    unit: box('bookcase', 'south', [520, 0], [1700, 960, 340], [2, 2]),
    slots: { '*': { light: 'sun' } },
  },
  {
    name: 'Eave chest',
    unit: box('drawers', 'south', [2300, 0], [1000, 480, 520], [1, 1]),
    slots: { '*': { opening: 'lid', loadG: 40_000 } },
  },
];

const LANDING_UNITS: readonly UnitPlan[] = [
  {
    name: 'Cupboard',
    unit: { ...box('bookcase', 'landing', [60, 0], [880, 2000, 520], [1, 4]), isAnchored: true },
    slots: {
      '*': { opening: 'door', isSeeThrough: false, light: 'dark', isDustProof: true, isPetProof: true, loadG: 25_000 },
    },
    bins: {
      'Shelf 4': [
        ['Wide backing box', LIDDED],
        ['Batting box', LIDDED],
      ],
      'Shelf 3': [
        ['Clear box left', CLEAR],
        ['Clear box right', CLEAR],
      ],
      'Shelf 1': [['Top box', LIDDED]],
    },
  },
];

/** The unit, slot and container places of a list of units. Ids are made of the prefix, so they are the same every time. */
export function createUnits(roomId: PlaceId, prefix: string, units: readonly UnitPlan[]): Place[] {
  const places: Place[] = [];
  for (const [order, plan] of units.entries()) {
    const unitId = `${prefix}-u${order + 1}` as PlaceId;
    const unit: UnitSpec = { isAnchored: false, ...plan.unit };
    places.push({ id: unitId, parentId: roomId, level: 'unit', name: plan.name, order, unit });
    const layout = computeSlots(unit);
    if (!layout.ok) throw new Error(`the sample's ${plan.name} has no room inside`);
    for (const [at, { name, slot }] of layout.slots.entries()) {
      const slotId = `${unitId}-s${at + 1}` as PlaceId;
      const set = { ...slot, ...plan.slots?.['*'], ...plan.slots?.[name] };
      places.push({ id: slotId, parentId: unitId, level: 'slot', name, order: at, slot: set });
      for (const [nth, [binName, spec]] of (plan.bins?.[name] ?? []).entries())
        places.push({
          id: `${slotId}-c${nth + 1}` as PlaceId,
          parentId: slotId,
          level: 'container',
          name: binName,
          order: nth,
          container: { ...CUBE_BIN, ...spec },
        });
    }
  }
  return places;
}

/** The same room, so much further off. */
function withWay(room: RoomSpec, mm: number): RoomSpec {
  return { ...room, doors: room.doors.map((door) => ({ ...door, wayMm: door.wayMm + mm })) };
}

/** The loft with the pattern chest that was there before the one of today. */
const OLD_LOFT_UNITS = LOFT_UNITS.map((plan): UnitPlan =>
  plan.name === PATTERN_CHEST ? { ...plan, unit: { ...plan.unit, heightMm: OLD_CHEST_MM } } : plan,
);

/** `lofts` copies of the loft with its cupboard, as they are today or were before; the first is Heron Loft itself. */
export function createRooms(lofts: number, isBefore = false): Place[] {
  const units = isBefore ? OLD_LOFT_UNITS : LOFT_UNITS;
  const places: Place[] = [];
  for (let n = 0; n < lofts; n += 1) {
    const mark = n === 0 ? '' : ` ${n + 1}`;
    const loftId = `r${n + 1}` as PlaceId;
    const landingId = `r${n + 1}b` as PlaceId;
    // Only the first room has stations: the sewist works there and walks to the others.
    const loft: RoomSpec = n === 0 ? LOFT : { ...withWay(LOFT, 3000 * n), stations: [] };
    const landing = withWay(LANDING, 3000 * n);
    places.push({
      id: loftId,
      parentId: undefined,
      level: 'room',
      name: `Heron Loft${mark}`,
      order: 2 * n,
      room: loft,
    });
    places.push({
      id: landingId,
      parentId: undefined,
      level: 'room',
      name: `Landing${mark}`,
      order: 2 * n + 1,
      room: landing,
    });
    places.push(...createUnits(loftId, loftId, units), ...createUnits(landingId, landingId, LANDING_UNITS));
  }
  return places;
}
