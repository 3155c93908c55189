import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlaceId, RoomSpec, StationId } from '../records/index.ts';
import { listWalls } from '../storage/index.ts';
import {
  checkRoom,
  createBareRoom,
  findNearestWall,
  isInside,
  placeDoor,
  placeWindow,
  ROOM_SHAPES,
  shapeRoom,
} from './index.ts';

const STATIONS = [
  { id: 's1' as StationId, name: 'Cutting', at: { xMm: 3800, yMm: 200 } },
  { id: 's2' as StationId, name: 'Sewing', at: { xMm: 2000, yMm: 900 } },
];
const BARE = createBareRoom('r' as PlaceId, 'Room', 0, STATIONS, () => 'door').room!;
const lengths = (room: RoomSpec) => listWalls(room).map(({ id, lengthMm }) => [id, lengthMm]);

describe('a room of a shape', () => {
  it('is as long and wide as was measured', () => {
    const room = shapeRoom(BARE, 'rectangle', { widthMm: 4200, depthMm: 3100, heightMm: 2500 });
    expect(lengths(room)).toEqual([
      ['far', 4200],
      ['right', 3100],
      ['near', 4200],
      ['left', 3100],
    ]);
    expect(room).toMatchObject({ heightMm: 2500, doors: [], windows: [] });
  });

  it('is an L with a corner less', () => {
    const room = shapeRoom(BARE, 'ell', {
      widthMm: 5000,
      depthMm: 4000,
      heightMm: 2400,
      missingWidthMm: 1500,
      missingDepthMm: 1000,
    });
    expect(lengths(room)).toEqual([
      ['far', 3500],
      ['inner-right', 1000],
      ['inner-far', 1500],
      ['right', 3000],
      ['near', 5000],
      ['left', 4000],
    ]);
  });

  it('has a roof that comes down to the far wall, and a closet a front to stand before', () => {
    const roof = shapeRoom(BARE, 'roof', { widthMm: 4000, depthMm: 3000, heightMm: 2300, kneeMm: 900 });
    expect(roof.slopes).toEqual([{ wallId: 'far', kneeMm: 900, runMm: 1400 }]);
    expect(listWalls(roof)[0]!.ceiling).toEqual([
      { xMm: 0, yMm: 900 },
      { xMm: 4000, yMm: 900 },
    ]);
    const closet = shapeRoom(BARE, 'closet', { widthMm: 1200, depthMm: 600, heightMm: 2200 });
    expect(lengths(closet)).toEqual([
      ['far', 1200],
      ['right', 1400],
      ['near', 1200],
      ['left', 1400],
    ]);
    expect(closet.doors.map(({ wallId, widthMm, swing }) => [wallId, widthMm, swing])).toEqual([
      ['near', 1200, 'none'],
    ]);
  });

  it('is sound whatever is measured, with a door and a window wherever they are tapped', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(
        fc.constantFrom(...ROOM_SHAPES),
        mm(900, 9000),
        mm(900, 9000),
        mm(1200, 4000),
        fc.array(fc.tuple(mm(-500, 9500), mm(-500, 9500), fc.boolean()), { maxLength: 6 }),
        (shape, widthMm, depthMm, heightMm, taps) => {
          let room = shapeRoom(BARE, shape, { widthMm, depthMm, heightMm });
          expect(checkRoom(room)).toEqual([]);
          const outline = room.walls.map(({ from }) => from);
          for (const { at } of room.stations) expect(isInside(outline, at)).toBe(true);
          for (const [i, [xMm, yMm, isDoor]] of taps.entries()) {
            const { wall, alongMm } = findNearestWall(room, { xMm, yMm })!;
            room = (isDoor ? placeDoor : placeWindow)(room, wall.id, alongMm, `o${i}`) ?? room;
          }
          expect(checkRoom(room)).toEqual([]);
        },
      ),
    );
  });
});

describe('a door that was tapped', () => {
  const room = shapeRoom(BARE, 'rectangle', { widthMm: 4000, depthMm: 3000, heightMm: 2400 });

  it('has its middle there, and its hinges at the nearer corner', () => {
    const tapped = findNearestWall(room, { xMm: 1000, yMm: 2900 })!;
    // The door wall runs from right to left on the plan: 1 m from the left of it is 3 m along.
    expect([tapped.wall.id, tapped.alongMm]).toEqual(['near', 3000]);
    expect(placeDoor(room, 'near', 3000, 'd')!.doors).toEqual([
      {
        id: 'd',
        wallId: 'near',
        xMm: 2600,
        widthMm: 800,
        heightMm: 2000,
        hinge: 'right',
        swing: 'in',
        wayMm: 0,
      },
    ]);
  });

  it('makes way for what is open already, and is narrower where there is no more room', () => {
    const one = placeDoor(room, 'near', 300, 'a')!;
    const two = placeWindow(one, 'near', 500, 'b')!;
    expect(one.doors[0]!.xMm).toBe(50);
    // The door ends at 850.
    expect(two.windows[0]).toMatchObject({ xMm: 900, widthMm: 1000, sillMm: 900, heightMm: 1100 });
    const narrow = shapeRoom(BARE, 'rectangle', { widthMm: 650, depthMm: 3000, heightMm: 2400 });
    expect(placeDoor(narrow, 'near', 300, 'a')!.doors[0]).toMatchObject({ xMm: 50, widthMm: 550 });
    expect(
      placeDoor(shapeRoom(BARE, 'rectangle', { widthMm: 450, depthMm: 3000, heightMm: 2400 }), 'near', 1, 'a'),
    ).toBeNull();
  });
});
