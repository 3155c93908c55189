import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createUnit, CUTTING, ROOM, SEWING } from '../../../tests/household.ts';
import type { Door, Place, PlaceId, RoomSpec, UnitSpec } from '../records/index.ts';
import {
  computeCeilingAt,
  computeDoorPoint,
  computeFetchMm,
  computeFootprint,
  computeInsideMm,
  computeStandPoint,
  computeStationPoint,
  createPlaceTree,
  createWays,
  getFetchSpot,
  getWallLine,
  listCorners,
  listWalls,
  standUnit,
} from './index.ts';

const room = ROOM.room!;
const unit = createUnit('cube', {})[0]!.unit!;
const attic: RoomSpec = { ...room, slopes: [{ wallId: 'south', kneeMm: 1000, runMm: 700 }] };

describe('a sloping ceiling', () => {
  it('is at its knee over the wall, and at full height where it has run out', () => {
    expect(computeCeilingAt(attic, { xMm: 2000, yMm: 3000 })).toBe(1000);
    // Half-way up: 1000 + 1400 / 2.
    expect(computeCeilingAt(attic, { xMm: 2000, yMm: 2650 })).toBe(1700);
    expect(computeCeilingAt(attic, { xMm: 2000, yMm: 2300 })).toBe(2400);
    expect(computeCeilingAt(attic, { xMm: 2000, yMm: 500 })).toBe(2400);
  });

  it('bends the line over the walls beside it, and only there', () => {
    expect(getWallLine(attic, 'north').ceiling).toEqual([
      { xMm: 0, yMm: 2400 },
      { xMm: 4000, yMm: 2400 },
    ]);
    expect(getWallLine(attic, 'east').ceiling).toEqual([
      { xMm: 0, yMm: 2400 },
      { xMm: 2300, yMm: 2400 },
      { xMm: 3000, yMm: 1000 },
    ]);
    expect(getWallLine(attic, 'south').ceiling.map((point) => point.yMm)).toEqual([1000, 1000]);
  });

  it('makes a ridge where two slopes meet', () => {
    // Both run 2 m into a room 3 m deep: they cross in the middle, at 1000 + 1400 × 1.5 / 2.
    const tent: RoomSpec = {
      ...room,
      slopes: [
        { wallId: 'south', kneeMm: 1000, runMm: 2000 },
        { wallId: 'north', kneeMm: 1000, runMm: 2000 },
      ],
    };
    const line = getWallLine(tent, 'east').ceiling;
    expect(line.map((point) => [Math.round(point.xMm), Math.round(point.yMm)])).toEqual([
      [0, 1000],
      [1500, 2050],
      [3000, 1000],
    ]);
  });

  it('over a wall is what it is over its points', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), fc.constantFrom('east', 'west'), (x, id) => {
        const wall = getWallLine(attic, id);
        const at = { xMm: wall.from.xMm, yMm: wall.from.yMm + ((wall.to.yMm - wall.from.yMm) * x) / 3000 };
        const [before, after] = wall.ceiling
          .slice(1)
          .map((point, i) => [wall.ceiling[i]!, point] as const)
          .find(([, end]) => x <= end.xMm + 1e-9)!;
        const byLine =
          before.yMm + ((after.yMm - before.yMm) * (x - before.xMm)) / Math.max(1e-9, after.xMm - before.xMm);
        expect(byLine).toBeCloseTo(computeCeilingAt(attic, at), 6);
      }),
    );
  });
});

describe('a piece of furniture', () => {
  const at = (change: Partial<UnitSpec>) => listCorners(computeFootprint(room, { ...unit, ...change }));
  const rounded = (corners: { xMm: number; yMm: number }[]) =>
    corners.map((corner) => [Math.round(corner.xMm), Math.round(corner.yMm)]);

  it.each([
    // 382 wide and 366 deep, half a metre from the wall's left end, seen from inside.
    ['north', [500, 0], [882, 0], [882, 366], [500, 366]],
    ['east', [4000, 500], [4000, 882], [3634, 882], [3634, 500]],
    ['south', [3500, 3000], [3118, 3000], [3118, 2634], [3500, 2634]],
    ['west', [0, 2500], [0, 2118], [366, 2118], [366, 2500]],
  ] as const)('stands with its back to the %s wall', (wallId, ...corners) =>
    expect(rounded(at({ wallId, xMm: 500 }))).toEqual(corners),
  );

  it('stands free, turned as one likes', () => {
    // A quarter turn: what was its width runs down the plan, and its front looks left.
    const corners = rounded(at({ stand: { xMm: 2000, yMm: 1500, turnDeg: 90 } }));
    expect(corners).toEqual([
      [2183, 1309],
      [2183, 1691],
      [1817, 1691],
      [1817, 1309],
    ]);
  });

  it('keeps the wall that is seen behind it', () => {
    const free = standUnit(room, unit, { xMm: 2000, yMm: 1500, turnDeg: 0 });
    expect(free).toMatchObject({ wallId: 'north', xMm: 2000 - 191 });
    expect(standUnit(room, unit, { xMm: 2000, yMm: 1500, turnDeg: 90 })).toMatchObject({ wallId: 'east' });
    // Beyond the corner it is drawn at the wall's end.
    expect(standUnit(room, unit, { xMm: 50, yMm: 1500, turnDeg: 0 }).xMm).toBe(0);
  });

  it('inside its wall is inside the room', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...room.walls.map((wall) => wall.id)),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (wallId, share) => {
          const xMm = share * (getWallLine(room, wallId).lengthMm - unit.widthMm);
          for (const corner of at({ wallId, xMm }))
            for (const wall of listWalls(room)) expect(computeInsideMm(wall, corner)).toBeGreaterThan(-1e-6);
        },
      ),
    );
  });

  it('takes its station along', () => {
    const station = { id: 'st' as never, name: 'Cutting', at: { xMm: 1, yMm: 2 }, unitId: 'cube' as PlaceId };
    expect(computeStationPoint(room, station, () => null)).toEqual({ xMm: 1, yMm: 2 });
    const point = computeStationPoint(room, station, () => ({ ...unit, stand: { xMm: 2000, yMm: 1000, turnDeg: 0 } }));
    expect(point).toEqual({ xMm: 2000, yMm: 1000 + 183 + 300 });
  });
});

describe('a cart', () => {
  const at = { id: CUTTING, roomId: ROOM.id, xMm: 3000, yMm: 3000 };
  const build = (spec: Partial<UnitSpec>) => {
    const places = createUnit('cart', spec);
    return { tree: createPlaceTree(new Map([ROOM, ...places].map((place) => [place.id, place]))), shelf: places[1]! };
  };
  const stand = (spec: Partial<UnitSpec>, from = at) => {
    const { tree, shelf } = build(spec);
    return computeFetchMm(tree, from, getFetchSpot(tree, shelf));
  };

  it('is rolled to its stations: it stands beside them, and its rolling is shared by what is taken that evening', () => {
    const walkMm = stand({});
    expect(walkMm).toBeGreaterThan(3000);
    // 60 cm beside it, and a sixth of the way.
    const cart = { hasWheels: true, stationIds: [CUTTING] };
    expect(stand(cart)).toBeCloseTo(600 + walkMm / 6, 6);
    expect(stand({ ...cart, hasWheels: false })).toBe(walkMm);
    expect(stand({ ...cart, stationIds: [SEWING] })).toBe(walkMm);
    // Where it stands beside the station anyhow, it is not farther for its wheels; and it does not go to another room.
    const { tree, shelf } = build({});
    const near = { ...at, ...computeStandPoint(tree, shelf) };
    expect(stand(cart, near)).toBe(0);
    const away = { ...at, roomId: 'attic' as PlaceId };
    expect(stand(cart, away)).toBe(stand({}, away));
  });
});

describe('ways between rooms', () => {
  const door = (change: Partial<Door>): Door => ({ ...room.doors[0]!, ...change });
  const place = (id: string, doors: Door[]): Place => ({
    ...ROOM,
    id: id as PlaceId,
    room: { ...room, doors },
  });
  const spot = (roomId: string, xMm: number, yMm: number) => ({ roomId: roomId as PlaceId, xMm, yMm });

  it('go over the doors and the hall', () => {
    const rooms = [place('a', [door({ id: 'a1', wayMm: 1000 })]), place('b', [door({ id: 'b1', wayMm: 500 })])];
    expect(computeDoorPoint(room, room.doors[0]!)).toEqual({ xMm: expect.closeTo(0, 9), yMm: 1500 });
    const ways = createWays(rooms);
    // 3 m to the door, 1 m and half a metre of hall, 4 m from the other door.
    expect(ways.computeMm(spot('a', 3000, 1500), spot('b', 4000, 1500))).toBeCloseTo(3000 + 1500 + 4000, 6);
    expect(ways.computeMm(spot('a', 0, 0), spot('a', 3000, 4000))).toBe(5000);
  });

  it('take a door that leads straight there, and a third room where that is shorter', () => {
    const north = { wallId: 'north', xMm: 1600 } as const;
    const rooms = [
      place('a', [door({ id: 'a1', wayMm: 9000 }), door({ id: 'a2', ...north, wayMm: 100, leadsTo: 'b1' })]),
      place('b', [door({ id: 'b1', wayMm: 0 }), door({ id: 'b2', ...north, wayMm: 0 })]),
      place('c', [door({ id: 'c1', wayMm: 200, leadsTo: 'b2' })]),
    ];
    const ways = createWays(rooms);
    // 1 m to the door in the north wall, 10 cm of passage, half a metre inside.
    expect(ways.computeMm(spot('a', 2000, 1000), spot('b', 500, 1500))).toBeCloseTo(1000 + 100 + 500, 6);
    // Through b from its west door to its north one.
    const through = Math.hypot(2000, 1500);
    expect(ways.computeMm(spot('a', 2000, 1000), spot('c', 500, 1500))).toBeCloseTo(
      1000 + 100 + through + 200 + 500,
      6,
    );
  });

  it('are as long one way as the other, and no longer by a third room', () => {
    const rooms = [
      place('a', [door({ id: 'a1', wayMm: 700 })]),
      place('b', [door({ id: 'b1', wayMm: 300 }), door({ id: 'b2', wallId: 'east', wayMm: 40, leadsTo: 'c1' })]),
      place('c', [door({ id: 'c1' })]),
    ];
    const ways = createWays(rooms);
    const anywhere = fc.tuple(
      fc.constantFrom('a', 'b', 'c'),
      fc.integer({ min: 0, max: 4000 }),
      fc.integer({ min: 0, max: 3000 }),
    );
    fc.assert(
      fc.property(anywhere, anywhere, (from, to) => {
        const there = ways.computeMm(spot(...from), spot(...to));
        expect(there).toBeCloseTo(ways.computeMm(spot(...to), spot(...from)), 6);
        expect(there).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
