import type { Chronicle, Place, PlaceId, RoomSpec, Wish } from '../core/records/index.ts';
import { createMessy } from './household.ts';
import { BARE, box, createUnits, outline, type UnitPlan } from './room.ts';
import { STATIONS } from './stations.ts';

/** About thirty items. */
const KITCHEN_LOTS = 38;

/** Five feet of wall in a kitchen: a table that is wanted for meals, a peg field, a cart, a bench with a lid. */
const KITCHEN: RoomSpec = {
  ...BARE,
  walls: outline(
    ['window-wall', 'Window wall', 0, 0],
    ['free-wall', 'Free wall', 3400, 0],
    ['door-wall', 'Door wall', 3400, 3000],
    ['counter-wall', 'Counter wall', 0, 3000],
  ),
  doors: [
    {
      id: 'kitchen-door',
      wallId: 'door-wall',
      xMm: 2400,
      widthMm: 800,
      heightMm: 2000,
      hinge: 'left',
      swing: 'out',
      wayMm: 0,
    },
  ],
  windows: [{ id: 'window', wallId: 'window-wall', xMm: 900, sillMm: 950, widthMm: 1100, heightMm: 1100 }],
  sockets: [{ id: 'socket', wallId: 'free-wall', xMm: 1700, heightMm: 300, circuitId: 'kitchen' }],
  fixtures: [
    {
      id: 'stove',
      kind: 'heater',
      name: 'Stove',
      at: { xMm: 300, yMm: 2500 },
      widthMm: 600,
      depthMm: 600,
      heightMm: 900,
    },
  ],
  lamps: [{ id: 'kitchen-lamp', name: 'Lamp over the table', at: { xMm: 1500, yMm: 1100 }, heightMm: 1900 }],
  circuits: [{ id: 'kitchen', name: 'Kitchen sockets', volts: 230, amps: 16 }],
  stations: [
    { id: STATIONS.cutting, name: 'Cutting', at: { xMm: 1500, yMm: 1700 }, unitId: 'k1-u1' as PlaceId },
    { id: STATIONS.sewing, name: 'Sewing', at: { xMm: 1100, yMm: 1700 }, unitId: 'k1-u1' as PlaceId },
    { id: STATIONS.pressing, name: 'Pressing', at: { xMm: 900, yMm: 2500 } },
  ],
};

const KITCHEN_UNITS: readonly UnitPlan[] = [
  {
    name: 'Kitchen table',
    unit: { ...box('table', 'window-wall', [800, 0], [1300, 740, 800], [1, 1], 0) },
    slots: { '*': { heightMm: 380, depthMm: 320, light: 'sun' } },
  },
  { name: 'Peg field', unit: box('pegboard', 'free-wall', [300, 1100], [610, 610, 12], [1, 1], 0) },
  {
    name: 'Cart',
    unit: { ...box('bookcase', 'free-wall', [1100, 0], [400, 700, 320], [1, 2], 8), hasWheels: true },
    slots: { '*': { loadG: 6000 } },
  },
  {
    name: 'Bench',
    unit: box('drawers', 'free-wall', [100, 0], [760, 420, 360], [1, 1]),
    slots: { '*': { opening: 'lid', loadG: 30_000 } },
  },
];

function createKitchen(): Place[] {
  const id = 'k1' as PlaceId;
  return [
    { id, parentId: undefined, level: 'room', name: 'Kitchen', order: 0, room: KITCHEN },
    ...createUnits(id, id, KITCHEN_UNITS),
  ];
}

/** The second sample: a beginner at the kitchen table, with a peg field, a cart and a bench. */
export function createKitchenHousehold(): Chronicle {
  // The table is wanted for meals.
  const wish: Wish = { id: 'meals', kind: 'free', lotIds: [], groupIds: [], placeId: 'k1-u1' as PlaceId };
  return createMessy('Tern Steps', createKitchen(), 7, KITCHEN_LOTS, [wish]);
}
