import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROOM } from '../../../tests/household.ts';
import type { RoomSpec } from '../records/index.ts';
import { computeSunHours, computeSunPosition, findSunniest, SEASONS } from './sun.ts';

const room = ROOM.room!;
const window = { id: 'w', wallId: 'south', xMm: 1500, sillMm: 900, widthMm: 1000, heightMm: 1000 };
const facing = (upDeg: number, change: Partial<RoomSpec> = {}): RoomSpec => ({
  ...room,
  windows: [window],
  upDeg,
  ...change,
});

describe('the sun', () => {
  it('is overhead at noon of an equinox on the equator, and as high as the season elsewhere', () => {
    expect(computeSunPosition(0, SEASONS.equinox, 12).heightDeg).toBeCloseTo(90, 0);
    // 90 - 50 + 23.45 in summer, 90 - 50 - 23.45 in winter, in the south.
    expect(computeSunPosition(50, SEASONS.june, 12).heightDeg).toBeCloseTo(63.45, 1);
    const winter = computeSunPosition(50, SEASONS.december, 12);
    expect(winter.heightDeg).toBeCloseTo(16.55, 1);
    expect(winter.bearingDeg).toBeCloseTo(180, 6);
    // South of the equator it stands in the north.
    expect(Math.cos((computeSunPosition(-40, SEASONS.june, 12).bearingDeg * Math.PI) / 180)).toBeCloseTo(1, 6);
  });

  it('rises in the east and sets in the west, as high before noon as after', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: 1, max: 365 }),
        fc.double({ min: 0.1, max: 11.9, noNaN: true }),
        (latitude, day, off) => {
          const [before, after] = [
            computeSunPosition(latitude, day, 12 - off),
            computeSunPosition(latitude, day, 12 + off),
          ];
          expect(before.heightDeg).toBeCloseTo(after.heightDeg, 6);
          expect(before.bearingDeg).toBeLessThanOrEqual(180);
          expect(after.bearingDeg).toBeGreaterThanOrEqual(180);
          expect(Math.sin(((before.bearingDeg + after.bearingDeg) * Math.PI) / 180)).toBeCloseTo(0, 6);
        },
      ),
    );
  });
});

describe('sun in a room', () => {
  // A metre before the middle of the window, which is 1.5 to 2.5 m along the south wall from its left end at x = 4000.
  const spot = { xMm: 2000, yMm: 2000, zMm: 500 };

  it('comes through the window where the ray does: at noon of an equinox it climbs 84 cm a metre', () => {
    // 500 + 839 mm is between the sill of 900 and the head of 1900.
    expect(computeSunHours(facing(0), spot, 50, SEASONS.equinox)).toBeGreaterThan(1);
    // Two metres further in it would have to come in at 500 + 3 × 839 mm.
    expect(computeSunHours(facing(0), { ...spot, yMm: 0 }, 50, SEASONS.equinox)).toBe(0);
    // In winter the sun is low, and reaches to the other wall: 500 + 3 × 297 mm.
    expect(computeSunHours(facing(0), { ...spot, yMm: 0 }, 50, SEASONS.december)).toBeGreaterThan(0.5);
    expect(findSunniest(facing(0), { ...spot, yMm: 0 }, 50).season).toBe('december');
  });

  it('does not come from the north, nor without a window', () => {
    for (const day of Object.values(SEASONS)) expect(computeSunHours(facing(180), spot, 50, day)).toBe(0);
    expect(computeSunHours(room, spot, 50, SEASONS.june)).toBe(0);
    // The plan turned by a quarter: what is south on paper looks west, so it comes in the afternoon, as long as it
    // would in the morning where it looks east.
    const [west, east] = [90, 270].map((up) => computeSunHours(facing(up), spot, 50, SEASONS.june));
    expect(west).toBeGreaterThan(0);
    expect(west).toBe(east);
  });

  it('comes through a skylight from high up', () => {
    const attic = facing(0, {
      slopes: [{ wallId: 'south', kneeMm: 1000, runMm: 1400 }],
      windows: [{ ...window, isInSlope: true, sillMm: 400, heightMm: 1200 }],
    });
    // The slope rises as steep as it is deep: its window is 283 to 1131 mm in, at 1283 to 2131 mm. At midsummer noon
    // the sun climbs 2 mm a mm: from the floor 2 m in it goes out at 2000 - a with 2a = 1000 + 2000 - a, a = 1000.
    expect(computeSunHours(attic, { xMm: 2000, yMm: 1000, zMm: 0 }, 50, SEASONS.june)).toBeGreaterThan(0.5);
    expect(computeSunHours(attic, { xMm: 2000, yMm: 100, zMm: 0 }, 50, SEASONS.june)).toBe(0);
  });

  it('never shines longer than the day', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4000 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -60, max: 60 }),
        (xMm, yMm, up, latitude) => {
          const hours = computeSunHours(facing(up), { xMm, yMm, zMm: 500 }, latitude, SEASONS.equinox);
          expect(hours).toBeGreaterThanOrEqual(0);
          expect(hours).toBeLessThanOrEqual(12.25);
        },
      ),
      { numRuns: 40 },
    );
  });
});
