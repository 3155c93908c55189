import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import type { Lamp, RoomSpec, StationId } from '../records/index.ts';
import { computeFindings } from './findings.ts';
import { computeShade } from './lamp.ts';
import type { Piece } from './bodies.ts';

// A table of 1400 × 700 at the north wall, 920 high, its front edge at y = 700; one stands before it.
const table = createUnit('table', {
  kind: 'table',
  xMm: 1000,
  widthMm: 1400,
  depthMm: 700,
  heightMm: 920,
  boardMm: 0,
})[0]!.unit!;
const STATURE = 1700;
const lamp = (xMm: number, yMm: number, heightMm = 2300): Lamp => ({
  id: `l${xMm}-${yMm}`,
  name: 'Lamp',
  at: { xMm, yMm },
  heightMm,
});
const withLamps = (...lamps: Lamp[]): RoomSpec => ({
  ...ROOM.room!,
  lamps,
  stations: [{ id: 'st' as StationId, name: 'Cutting', at: { xMm: 0, yMm: 0 }, unitId: 'table' as never }],
});
const piece: Piece = { id: 'table' as never, name: 'Table', unit: table, slots: [], holdsCloth: false };
const find = (...lamps: Lamp[]) =>
  computeFindings(withLamps(...lamps), [piece], { statureMm: STATURE }).filter((one) => one.code === 'own-shadow');

describe("a worker's own shadow", () => {
  it('falls on the work from a lamp behind, and not from one above the table or beside', () => {
    const shade = (one: Lamp) => computeShade(ROOM.room!, table, one, STATURE);
    // Behind at 2 m: the ray from the middle of the work, 240 in at y = 460, rises 1380 in 2040 to the lamp. Over
    // the head, at y = 700, it is 162 up: 1082, far below the shoulders at 1394.
    expect(shade(lamp(1700, 2500))).toBe(1);
    expect(shade(lamp(1700, 300))).toBe(0);
    expect(shade(lamp(200, 300))).toBe(0);
    // Lower than the table it lights nothing.
    expect(shade(lamp(1700, 300, 900))).toBe(1);
  });

  it('is found with how far the lamp would have to go aside, and is gone once it did', () => {
    const [one] = find(lamp(1700, 2500));
    expect(one).toMatchObject({ bodyId: 'table', otherId: 'l1700-2500', isFault: false });
    expect(one!.missingMm).toBeGreaterThan(300);
    expect(find(lamp(1700 + one!.missingMm, 2500)).length * find(lamp(1700 - one!.missingMm, 2500)).length).toBe(0);
    expect(find(lamp(1700 + one!.missingMm - 50, 2500))).toHaveLength(1);
  });

  it('does not matter where another lamp lights the work, nor where no lamp is known', () => {
    expect(find(lamp(1700, 2500), lamp(1700, 300))).toEqual([]);
    expect(find()).toEqual([]);
    // Too far off to light anything.
    expect(find(lamp(1700, 2500), lamp(3900, 2900))).toHaveLength(1);
  });
});
