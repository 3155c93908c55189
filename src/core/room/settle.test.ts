import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import { computeFootprint, listCorners } from '../storage/index.ts';
import { moveUnit, normaliseTurn, settleUnit, slideUnit, turnUnit } from './settle.ts';

const room = ROOM.room!;
const unit = { ...createUnit('cube', { widthMm: 800, depthMm: 300, heightMm: 900 })[0]!.unit!, xMm: 1000 };

describe('a piece that is let go', () => {
  it('near a wall that runs as it stands has its back to it, on whole centimetres', () => {
    const put = settleUnit(room, unit, { xMm: 1634, yMm: 190, turnDeg: 0 }, [], 60);
    expect(put).toMatchObject({ wallId: 'north', xMm: 1230 });
    expect(put.stand).toBeUndefined();
    // A little askew is meant straight.
    expect(settleUnit(room, unit, { xMm: 1634, yMm: 190, turnDeg: 4 }, [], 60).stand).toBeUndefined();
    // A quarter turned, the east wall is the one.
    const east = settleUnit(room, unit, { xMm: 3830, yMm: 1200, turnDeg: 90 }, [], 60);
    expect(east).toMatchObject({ wallId: 'east', xMm: 800 });
    expect(east.stand).toBeUndefined();
  });

  it('near a corner or a neighbour stands right beside it', () => {
    expect(settleUnit(room, unit, { xMm: 430, yMm: 150, turnDeg: 0 }, [], 60).xMm).toBe(0);
    expect(settleUnit(room, unit, { xMm: 3560, yMm: 150, turnDeg: 0 }, [], 60).xMm).toBe(3200);
    const neighbour = { ...unit, xMm: 2000 };
    expect(settleUnit(room, unit, { xMm: 1570, yMm: 150, turnDeg: 0 }, [neighbour], 60).xMm).toBe(1200);
    // What hangs above is no neighbour.
    const above = { ...neighbour, yMm: 1000 };
    expect(settleUnit(room, unit, { xMm: 1570, yMm: 150, turnDeg: 0 }, [above], 60).xMm).toBe(1170);
  });

  it('elsewhere, or turned otherwise, stands free', () => {
    expect(settleUnit(room, unit, { xMm: 2003, yMm: 1508, turnDeg: 0 }, [], 60).stand).toEqual({
      xMm: 2000,
      yMm: 1510,
      turnDeg: 0,
    });
    expect(settleUnit(room, unit, { xMm: 1600, yMm: 150, turnDeg: 45 }, [], 60).stand).toMatchObject({ turnDeg: 45 });
  });
});

describe('moving and turning', () => {
  it('goes along the wall, and away from it, by the centimetre', () => {
    const along = moveUnit(room, unit, { xMm: 10, yMm: 0 }, [], 0);
    expect(along).toMatchObject({ wallId: 'north' });
    expect(along.stand).toBeUndefined();
    expect(along.xMm).toBeCloseTo(1010, 6);
    const off = moveUnit(room, unit, { xMm: 0, yMm: 10 }, [], 0);
    expect(off.stand).toMatchObject({ xMm: 1400, yMm: 160, turnDeg: 0 });
    expect(moveUnit(room, off, { xMm: 0, yMm: -10 }, [], 0)).toMatchObject({ wallId: 'north' });
    expect(moveUnit(room, off, { xMm: 0, yMm: -10 }, [], 0).stand).toBeUndefined();
  });

  it('turns about its middle, four quarters make none', () => {
    const free = moveUnit(room, unit, { xMm: 0, yMm: 1000 }, [], 0);
    const once = turnUnit(room, free, 90);
    expect(once.stand).toMatchObject({ xMm: 1400, yMm: 1150, turnDeg: 90 });
    const back = turnUnit(room, turnUnit(room, turnUnit(room, once, 90), 90), 90);
    expect(back.stand).toMatchObject({ xMm: 1400, yMm: 1150 });
    expect(normaliseTurn(back.stand!.turnDeg)).toBeCloseTo(0, 6);
    expect([normaliseTurn(270), normaliseTurn(-190), normaliseTurn(360)]).toEqual([-90, 170, 0]);
  });

  it('there and back is where it was', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -900, max: 900 }),
        // Nowhere near a wall, into which it would turn.
        fc.integer({ min: 400, max: 900 }),
        fc.integer({ min: -180, max: 180 }),
        (xMm, yMm, turn) => {
          const there = turnUnit(room, moveUnit(room, unit, { xMm, yMm }, [], 0), turn);
          const back = moveUnit(room, turnUnit(room, there, -turn), { xMm: -xMm, yMm: -yMm }, [], 0);
          const [was, is] = [computeFootprint(room, unit), computeFootprint(room, back)];
          expect(is.xMm).toBeCloseTo(was.xMm, 3);
          expect(is.yMm).toBeCloseTo(was.yMm, 3);
          expect(normaliseTurn(is.turnDeg - was.turnDeg)).toBeCloseTo(0, 3);
        },
      ),
    );
  });
});

describe('a piece turned where it stands at a wall', () => {
  it('keeps inside: its longer side no longer goes through the wall', () => {
    // 800 × 300, its middle 150 from the wall: turned it reaches 400 to both sides.
    const turned = turnUnit(room, unit, 90);
    const { xMm, yMm, turnDeg } = computeFootprint(room, turned);
    expect([xMm, yMm, turnDeg]).toEqual([1400, 400, 90]);
    const inCorner = turnUnit(room, { ...unit, xMm: 0 }, 45);
    for (const corner of listCorners(computeFootprint(room, inCorner))) {
      expect(corner.xMm).toBeGreaterThanOrEqual(-1e-6);
      expect(corner.yMm).toBeGreaterThanOrEqual(-1e-6);
    }
  });
});

describe('a piece slid along a wall seen from the front', () => {
  const slide = (xMm: number, yMm: number, others = [] as (typeof unit)[], within = 60) => {
    const put = slideUnit(unit, { xMm, yMm }, 4000, others, within);
    return [put.xMm, put.yMm];
  };

  it('goes on whole centimetres, onto the floor and to the ends of the wall', () => {
    expect(slide(1234, 506)).toEqual([1230, 510]);
    expect(slide(40, 35)).toEqual([0, 0]);
    expect(slide(3170, 900)).toEqual([3200, 900]);
    expect(slide(9000, -300)).toEqual([3200, 0]);
    // The keys put it just there.
    expect(slide(1234, 506, [], 0)).toEqual([1234, 506]);
  });

  it('meets edges of what is near: beside it, on it, and flush with it', () => {
    const other = { ...unit, xMm: 2000, yMm: 0, widthMm: 500, heightMm: 720 };
    expect(slide(1170, 730, [other])).toEqual([1200, 720]);
    // Its right edge at 2500, its left at 2000.
    expect(slide(2470, 300, [other])).toEqual([2500, 300]);
    expect(slide(1980, 300, [other])).toEqual([2000, 300]);
  });

  it('that stood free has its back to the wall again', () => {
    const free = { ...unit, stand: { xMm: 2000, yMm: 1500, turnDeg: 30 } };
    expect(slideUnit(free, { xMm: 100, yMm: 0 }, 4000, [], 0).stand).toBeUndefined();
  });
});
