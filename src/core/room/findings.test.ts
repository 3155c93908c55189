import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import type { PlaceId, RoomSpec, UnitSpec } from '../records/index.ts';
import { standUnit } from '../storage/index.ts';
import { checkRoom, computeFindings, type Finding, type Piece } from './index.ts';

const room = ROOM.room!;
const settings = { statureMm: 1680 };

function piece(id: string, unit: Partial<UnitSpec>, holdsCloth = true): Piece {
  const [place, ...slots] = createUnit(id, unit);
  return { id: id as PlaceId, name: id, unit: place!.unit!, slots: slots.map((slot) => slot.slot!), holdsCloth };
}
const SHELF: Partial<UnitSpec> = { kind: 'bookcase', widthMm: 800, heightMm: 1800, depthMm: 300, columns: 1, rows: 5 };
const TABLE: Partial<UnitSpec> = { kind: 'table', widthMm: 1400, heightMm: 740, depthMm: 650, boardMm: 0 };
const DRAWERS: Partial<UnitSpec> = { kind: 'drawers', widthMm: 480, heightMm: 700, depthMm: 500, rows: 4, boardMm: 12 };
const free = (xMm: number, yMm: number, turnDeg = 0) => ({ stand: { xMm, yMm, turnDeg } });
const find = (pieces: readonly Piece[], of: RoomSpec = room) => computeFindings(of, pieces, settings);
const codes = (found: readonly Finding[]) => found.map((one) => one.code);

describe('an arrangement', () => {
  it('of one shelf against a wall is sound', () => expect(find([piece('shelf', { ...SHELF, xMm: 2000 })])).toEqual([]));

  it('tells by how much pieces overlap, where they reach into the same height only', () => {
    const low = piece('low', { ...SHELF, heightMm: 900, xMm: 1000 });
    const beside = piece('beside', { ...SHELF, heightMm: 900, xMm: 1720 });
    expect(find([low, beside])[0]).toMatchObject({ code: 'overlap', bodyId: 'low', otherId: 'beside', missingMm: 80 });
    const above = piece('above', { ...SHELF, heightMm: 300, yMm: 1200, xMm: 1000 });
    expect(codes(find([low, above]))).not.toContain('overlap');
    // Drawers go under a table, what is higher than its top does not.
    const table = piece('table', { ...TABLE, xMm: 1000 });
    expect(codes(find([table, piece('under', { ...DRAWERS, xMm: 1100 })]))).not.toContain('overlap');
    expect(codes(find([table, piece('under', { ...DRAWERS, heightMm: 760, xMm: 1100 })]))).toContain('overlap');
  });

  it('tells what sticks out of the room or through its slope', () => {
    expect(find([piece('out', { ...SHELF, ...free(3700, 1500) })])[0]).toMatchObject({
      code: 'outside',
      missingMm: 100,
    });
    const attic: RoomSpec = { ...room, slopes: [{ wallId: 'south', kneeMm: 1000, runMm: 700 }] };
    // Its back is at the knee of 1 m.
    expect(find([piece('high', { ...SHELF, wallId: 'south', xMm: 1000 })], attic)[0]).toMatchObject({
      code: 'headroom',
      missingMm: 800,
    });
  });

  it('asks for the pull of a drawer and 60 cm to stand', () => {
    // 488 mm of pull and 600: the wall opposite is 3000 - 500 away; a chest 1 m before it leaves 1000 mm.
    const chest = piece('chest', { ...DRAWERS, xMm: 2000 });
    const across = piece('across', { ...SHELF, heightMm: 900, ...free(2240, 1500 + 150, 180) });
    expect(chest.slots[0]!.depthMm).toBe(488);
    expect(find([chest, across]).find((one) => one.code === 'zone-drawer')).toMatchObject({
      bodyId: 'chest',
      otherId: 'across',
      neededMm: 1088,
      missingMm: 88,
      isFault: false,
    });
    expect(codes(find([chest]))).not.toContain('zone-drawer');
  });

  it('asks for a chair behind a table, and for space all round one that is for cutting', () => {
    const table = piece('table', { ...TABLE, ...free(2000, 1000, 0) });
    // Its front edge is at 1325; a shelf's back at 2000 leaves 675 of 900.
    const shelf = piece('shelf', { ...SHELF, heightMm: 900, ...free(2000, 2150, 0) });
    expect(find([table, shelf]).find((one) => one.code === 'zone-chair')).toMatchObject({ missingMm: 225 });
    // Seen from behind there are 675 mm to the wall.
    const around = { ...table, unit: { ...table.unit, access: 'around' as const } };
    const sides = find([around]).filter((one) => one.code === 'zone-around');
    expect(sides).toHaveLength(1);
    expect(sides[0]!.missingMm).toBeCloseTo(75, 6);
  });

  it('reaches over a table to what hangs above it, but not over one that is too deep', () => {
    const board = piece('board', { kind: 'pegboard', widthMm: 900, heightMm: 600, depthMm: 12, yMm: 1100, xMm: 1200 });
    expect(codes(find([board, piece('table', { ...TABLE, xMm: 1000 })]))).toEqual([]);
    const deep = find([board, piece('table', { ...TABLE, depthMm: 700, xMm: 1000 })]);
    expect(deep.find((one) => one.code === 'reach-over')).toMatchObject({ missingMm: 38 });
  });

  it('keeps a door free to swing: hinges left, it sweeps a quarter round them', () => {
    // The door is 80 cm wide, from 1100 to 1900 along the west wall, which runs up the plan: hinge at y = 1900.
    const inIts = piece('shelf', { ...SHELF, heightMm: 900, ...free(500, 1200, 0) });
    expect(find([inIts])[0]).toMatchObject({ code: 'door-swing', otherId: 'door' });
    // Outside of the arc's corner nothing is swept.
    const corner = piece('corner', { kind: 'cubes', widthMm: 150, depthMm: 150, heightMm: 400, ...free(770, 1150) });
    expect(codes(find([corner]))).not.toContain('door-swing');
    const out: RoomSpec = { ...room, doors: [{ ...room.doors[0]!, swing: 'out' }] };
    expect(codes(find([corner], out))).toEqual([]);
    expect(find([inIts], out)[0]).toMatchObject({ code: 'door-way', neededMm: 600 });
  });

  it('tells where the way in gets narrow, once for all that lies beyond', () => {
    // A barrier from the north wall leaves 500 mm at the south wall.
    const wall = piece('wall', { ...SHELF, widthMm: 2500, heightMm: 900, ...free(2000, 1250, 90) });
    const beyond = ['a', 'b'].map((id, i) =>
      piece(id, { ...SHELF, wallId: 'east', heightMm: 900, xMm: 300 + 1000 * i }),
    );
    const found = find([wall, ...beyond]).filter((one) => one.code.startsWith('way') || one.code === 'unreachable');
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ code: 'way-narrow', isFault: true });
    expect(found[0]!.missingMm).toBeCloseTo(100, -2);
    expect(found[0]!.where[0]!.yMm).toBeGreaterThan(2500);
    const shut = piece('wall', { ...SHELF, widthMm: 3000, heightMm: 900, ...free(2000, 1500, 90) });
    expect(codes(find([shut, ...beyond]))).toContain('unreachable');
  });

  it('tells what covers a socket or a window, and what is too near to a heater', () => {
    const full: RoomSpec = {
      ...room,
      sockets: [{ id: 's', wallId: 'north', xMm: 1400, heightMm: 300 }],
      windows: [{ id: 'w', wallId: 'north', xMm: 3000, sillMm: 900, widthMm: 700, heightMm: 1000 }],
      fixtures: [
        {
          id: 'h',
          kind: 'heater',
          name: 'Heater',
          at: { xMm: 3950, yMm: 1500 },
          widthMm: 100,
          depthMm: 800,
          heightMm: 600,
        },
      ],
    };
    const found = (unit: Partial<UnitSpec>, holdsCloth = false) =>
      find([piece('shelf', { ...SHELF, ...unit }, holdsCloth)], full);
    expect(found({ xMm: 1000 })[0]).toMatchObject({ code: 'socket-behind', otherId: 's' });
    expect(codes(found({ xMm: 1500 }))).not.toContain('socket-behind');
    // A table stands before a socket without covering it.
    expect(codes(find([piece('table', { ...TABLE, xMm: 1000 }, false)], full))).toEqual([]);
    expect(found({ xMm: 2800 })[0]).toMatchObject({ code: 'window-covered', otherId: 'w', missingMm: 900 });
    expect(codes(found({ xMm: 2800, heightMm: 850 }))).not.toContain('window-covered');
    // 3900 is where the heater begins; a shelf that ends at 3200 is 70 cm away.
    const near = found({ ...free(2800, 1500), heightMm: 900 }, true).find((one) => one.code === 'heater-near');
    expect(near).toMatchObject({ missingMm: 300, otherId: 'h' });
    expect(codes(found({ ...free(2800, 1500), heightMm: 900 }))).not.toContain('heater-near');
  });

  it('tells where the sun shines on open cloth, and when most', () => {
    // A window to the south, opposite of the shelf at the north wall: the low sun of winter reaches it.
    const sunny: RoomSpec = {
      ...room,
      windows: [{ id: 'w', wallId: 'south', xMm: 1500, sillMm: 900, widthMm: 1000, heightMm: 1000 }],
    };
    const shelf = piece('shelf', { ...SHELF, xMm: 1600 });
    const found = find([shelf], sunny).find((one) => one.code === 'sun-on');
    expect(found).toMatchObject({ isFault: false, bodyId: 'shelf', sun: { season: 'december' } });
    expect(found!.sun!.hours).toBeGreaterThan(1);
    // With the window to the north, behind doors or without cloth, it does not matter.
    expect(codes(find([shelf], { ...sunny, upDeg: 180 }))).not.toContain('sun-on');
    const shut = { ...shelf, slots: shelf.slots.map((slot) => ({ ...slot, opening: 'door' as const })) };
    expect(codes(find([shut], sunny))).not.toContain('sun-on');
    expect(codes(find([{ ...shelf, holdsCloth: false }], sunny))).not.toContain('sun-on');
  });

  it('is judged alike, wherever the room lies on the paper and however it is turned', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 300, max: 3700 }),
            fc.integer({ min: 300, max: 2700 }),
            fc.constantFrom(0, 90, 180, 270, 30),
          ),
          { minLength: 1, maxLength: 4 },
        ),
        (at) => {
          const units = at.map(([x, y, turn], i) => piece(`p${i}`, { ...SHELF, heightMm: 900, ...free(x, y, turn) }));
          const shifted: RoomSpec = {
            ...room,
            walls: room.walls.map((wall) => ({
              ...wall,
              from: { xMm: wall.from.xMm + 700, yMm: wall.from.yMm - 300 },
            })),
          };
          const moved = units.map((one) => {
            const { xMm, yMm, turnDeg } = one.unit.stand!;
            return { ...one, unit: standUnit(shifted, one.unit, { xMm: xMm + 700, yMm: yMm - 300, turnDeg }) };
          });
          const round = (found: readonly Finding[]) =>
            found
              .map((one) => [one.code, one.bodyId, one.otherId, Math.round(one.missingMm)])
              .map(String)
              .toSorted((a, b) => (a < b ? -1 : 1));
          expect(round(find(moved, shifted))).toEqual(round(find(units)));
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a room as it is drawn', () => {
  const judge = (change: Partial<RoomSpec>) => checkRoom({ ...room, ...change });
  const corner = (id: string, xMm: number, yMm: number) => ({ id, name: id, from: { xMm, yMm } });

  it('is sound where it goes round', () => expect(checkRoom(room)).toEqual([]));

  it.each([
    [
      'crosses itself',
      { walls: [corner('a', 0, 0), corner('b', 4000, 3000), corner('c', 4000, 0), corner('d', 0, 3000)] },
      'walls-cross',
      'c',
    ],
    [
      'goes round the wrong way',
      { walls: [corner('a', 0, 0), corner('b', 0, 3000), corner('c', 4000, 3000), corner('d', 4000, 0)], doors: [] },
      'goes-round-wrong',
      'a',
    ],
    ['has a wall of nothing', { walls: [...room.walls, corner('e', 0, 0)], doors: [] }, 'wall-too-short', 'e'],
    [
      'has a knee above its ceiling',
      { slopes: [{ wallId: 'south', kneeMm: 2500, runMm: 10 }] },
      'knee-above-ceiling',
      'south',
    ],
    ['has a door wider than its wall', { doors: [{ ...room.doors[0]!, xMm: 2500 }] }, 'beyond-wall', 'door'],
    ['has a door through the ceiling', { doors: [{ ...room.doors[0]!, heightMm: 2500 }] }, 'above-ceiling', 'door'],
    [
      'has two doors in one place',
      { doors: [room.doors[0]!, { ...room.doors[0]!, id: 'second', xMm: 1800 }] },
      'doors-overlap',
      'second',
    ],
    [
      'has a pillar outside',
      {
        fixtures: [
          { id: 'p', kind: 'pillar', name: 'p', at: { xMm: 9000, yMm: 0 }, widthMm: 100, depthMm: 100, heightMm: 2400 },
        ],
      },
      'outside',
      'p',
    ],
  ] as const)('that %s says so', (_, change, code, at) =>
    expect(judge(change as unknown as Partial<RoomSpec>)).toContainEqual(expect.objectContaining({ code, at })),
  );

  it('of any three corners or more is judged without breaking', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 50 })), {
          minLength: 3,
          maxLength: 8,
        }),
        (corners) => {
          const walls = corners.map(([x, y], i) => corner(`w${i}`, x * 100, y * 100));
          const odd: RoomSpec = { ...room, walls, doors: [] };
          expect(Array.isArray(checkRoom(odd))).toBe(true);
          expect(Array.isArray(find([piece('shelf', { ...SHELF, wallId: 'w0' })], odd))).toBe(true);
        },
      ),
    );
  });
});

describe('above a lid or a piece one works on', () => {
  it('there is room to open it, or for the hands', () => {
    const chest: Partial<UnitSpec> = { ...SHELF, widthMm: 1000, heightMm: 480, depthMm: 520, rows: 1, xMm: 1000 };
    const withLid = (unit: Partial<UnitSpec>) => {
      const made = piece('chest', unit);
      return { ...made, slots: made.slots.map((slot) => ({ ...slot, opening: 'lid' as const })) };
    };
    const table = piece('table', { ...TABLE, xMm: 1200 });
    // The top of 40 mm begins at 700: 220 mm above a lid of 520.
    expect(find([withLid(chest), table]).find((one) => one.code === 'lid-under')).toMatchObject({
      bodyId: 'chest',
      otherId: 'table',
      missingMm: 300,
      isFault: true,
    });
    expect(codes(find([withLid({ ...chest, xMm: 0 }), table]))).not.toContain('lid-under');
    expect(codes(find([piece('chest', chest), table]))).not.toContain('lid-under');
    const shelfOver = piece('over', { ...SHELF, heightMm: 300, depthMm: 250, yMm: 1100, xMm: 1200 });
    const at = (unitId: string) => ({
      ...room,
      stations: [{ id: 'st' as never, name: 'Pressing', at: { xMm: 0, yMm: 0 }, unitId: unitId as PlaceId }],
    });
    expect(codes(find([piece('chest', chest), table], at('chest')))).toContain('work-under');
    // A shelf at the back over a table leaves its front free.
    expect(codes(find([table, shelfOver], at('table')))).not.toContain('work-under');
  });
});

describe('at a table where one sits', () => {
  const table = { ...TABLE, xMm: 1000 };

  it('the knees take 60 cm between what stands below', () => {
    // 1400 wide: drawers of 480 in the middle leave 460 on either side; at the edge they leave 920.
    const middle = find([piece('table', table), piece('drawers', { ...DRAWERS, xMm: 1460 })]);
    expect(middle.find((one) => one.code === 'knees')).toMatchObject({
      bodyId: 'table',
      otherId: 'drawers',
      missingMm: 140,
      isFault: false,
    });
    expect(codes(find([piece('table', table), piece('drawers', { ...DRAWERS, xMm: 1000 })]))).not.toContain('knees');
    // One stands at a high table, and walks round one for cutting.
    const high = { ...table, heightMm: 900 };
    expect(codes(find([piece('table', high), piece('drawers', { ...DRAWERS, xMm: 1460 })]))).not.toContain('knees');
  });

  it('what is wanted daily is within an arm of the chair', () => {
    const seated = {
      ...room,
      stations: [{ id: 'sew' as never, name: 'Sewing', at: { xMm: 0, yMm: 0 }, unitId: 'table' as PlaceId }],
    };
    const near = { ...piece('near', { ...DRAWERS, xMm: 2400 }), fetched: new Map([['sew', 40]]) };
    // The chair is at 1700 along and 950 from the wall; the drawers begin 700 beside and 450 behind: 832 away, and an arm
    // of 1680 mm of stature reaches 739.
    const found = find([piece('table', table), near], seated).find((one) => one.code === 'reach-chair');
    expect(found?.missingMm).toBeCloseTo(Math.hypot(700, 450) - 0.44 * 1680, 0);
    // As deep as the chair is away from the wall, they begin just beside it.
    const closer = { ...near, unit: { ...near.unit, depthMm: 950 } };
    expect(codes(find([piece('table', table), closer], seated))).not.toContain('reach-chair');
    // Hung with its lower edge at 1.7 m it is 774 over the shoulder, which is at 0.575 × 1680 - 40 = 926.
    const hung = { ...closer, unit: { ...closer.unit, yMm: 1700, heightMm: 300 } };
    const high = find([piece('table', table), hung], seated).find((one) => one.code === 'reach-chair');
    expect(high?.missingMm).toBeCloseTo(Math.hypot(700, 1700 - 926) - 0.44 * 1680, 0);
    const seldom = { ...near, fetched: new Map([['sew', 10]]) };
    expect(codes(find([piece('table', table), seldom], seated))).not.toContain('reach-chair');
  });
});
