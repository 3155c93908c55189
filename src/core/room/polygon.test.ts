import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listCorners } from '../storage/index.ts';
import {
  computeDistanceToLine,
  computeGapMm,
  computeOutsideMm,
  computeOverlapMm,
  computeRangeInStrip,
  computeSignedArea2,
  doCross,
  isInside,
  type Polygon,
} from './polygon.ts';

const box = (xMm: number, yMm: number, widthMm: number, depthMm: number, turnDeg = 0): Polygon =>
  listCorners({ xMm, yMm, widthMm, depthMm, turnDeg });
const anyBox = fc
  .tuple(
    fc.integer({ min: 0, max: 2000 }),
    fc.integer({ min: 0, max: 2000 }),
    fc.integer({ min: 50, max: 1200 }),
    fc.integer({ min: 50, max: 1200 }),
    fc.integer({ min: 0, max: 359 }),
  )
  .map(([x, y, w, d, turn]) => box(x, y, w, d, turn));
const move = (polygon: Polygon, dx: number, dy: number): Polygon =>
  polygon.map(({ xMm, yMm }) => ({ xMm: xMm + dx, yMm: yMm + dy }));

describe('overlap', () => {
  it.each([
    ['side by side', box(0, 0, 100, 100), box(100, 0, 100, 100), 0],
    ['a centimetre deep', box(0, 0, 100, 100), box(90, 0, 100, 100), 10],
    ['deep, pushed out the short way', box(0, 0, 100, 100), box(40, 10, 100, 100), 60],
    ['one in the other', box(0, 0, 400, 400), box(0, 0, 100, 100), 250],
    // A square on its corner reaches 70.71 mm from its middle; the edge is at 50: 100 - 120.71 lie apart.
    ['a turned one, apart', box(0, 0, 100, 100), box(121, 0, 100, 100, 45), 0],
    ['a turned one, 0.71 mm deep', box(0, 0, 100, 100), box(120, 0, 100, 100, 45), Math.SQRT1_2 * 100 - 70],
  ] as const)('of two, %s', (_, a, b, mm) => expect(computeOverlapMm(a, b)).toBeCloseTo(mm, 6));

  it('is the same both ways, and none once one is pushed as far', () => {
    fc.assert(
      fc.property(anyBox, anyBox, fc.integer({ min: 0, max: 359 }), (a, b, angle) => {
        const deep = computeOverlapMm(a, b);
        expect(computeOverlapMm(b, a)).toBeCloseTo(deep, 6);
        // No push shorter than the one found parts them.
        const [dx, dy] = [Math.cos(angle) * deep * 0.99, Math.sin(angle) * deep * 0.99];
        if (deep > 1) expect(computeOverlapMm(move(a, dx, dy), b)).toBeGreaterThan(0);
      }),
    );
  });

  it('is found exactly where points are shared', () => {
    fc.assert(
      fc.property(anyBox, anyBox, (a, b) => {
        const deep = computeOverlapMm(a, b);
        let shared = false;
        for (let i = 0; i <= 20; i += 1)
          for (let j = 0; j <= 20; j += 1) {
            const [u, v] = [i / 20, j / 20];
            const at = {
              xMm: a[0]!.xMm + u * (a[1]!.xMm - a[0]!.xMm) + v * (a[3]!.xMm - a[0]!.xMm),
              yMm: a[0]!.yMm + u * (a[1]!.yMm - a[0]!.yMm) + v * (a[3]!.yMm - a[0]!.yMm),
            };
            shared ||= isInside(b, at) && computeOutsideMm(a, at) < 1e-6;
          }
        if (shared) expect(deep).toBeGreaterThanOrEqual(0);
        // Apart by a gap, they share nothing.
        if (computeGapMm(a, b) > 0) expect(shared).toBe(false);
        expect(computeGapMm(a, b) > 1e-9 && deep > 0).toBe(false);
      }),
    );
  });
});

describe('a face', () => {
  const room: Polygon = [
    { xMm: 0, yMm: 0 },
    { xMm: 4000, yMm: 0 },
    { xMm: 4000, yMm: 1000 },
    { xMm: 2000, yMm: 1000 },
    { xMm: 2000, yMm: 3000 },
    { xMm: 0, yMm: 3000 },
  ];

  it('of an L knows its inside, its area and how far out a point is', () => {
    expect(computeSignedArea2(room) / 2).toBe(4000 * 1000 + 2000 * 2000);
    expect(computeSignedArea2(room.toReversed()) / 2).toBe(-8_000_000);
    expect([isInside(room, { xMm: 1000, yMm: 2900 }), isInside(room, { xMm: 3000, yMm: 1500 })]).toEqual([true, false]);
    expect(computeOutsideMm(room, { xMm: 3000, yMm: 1500 })).toBe(500);
    expect(computeOutsideMm(room, { xMm: 2300, yMm: 1400 })).toBe(300);
    expect(computeOutsideMm(room, { xMm: 100, yMm: 100 })).toBe(0);
  });

  it('is as far from another as its nearest points', () => {
    expect(computeGapMm(box(0, 0, 100, 100), box(200, 0, 100, 100))).toBe(100);
    expect(computeGapMm(box(0, 0, 100, 100), box(180, 190, 100, 100))).toBeCloseTo(Math.hypot(80, 90), 9);
    expect(computeDistanceToLine({ xMm: -3, yMm: 4 }, { xMm: 0, yMm: 0 }, { xMm: 9, yMm: 0 })).toBe(5);
  });

  it('shows what of it lies before a stretch', () => {
    const triangle = [
      [0, 10],
      [100, 60],
      [-100, 60],
    ] as const;
    expect(computeRangeInStrip(triangle, -20, 20)).toEqual([10, 60]);
    expect(computeRangeInStrip(triangle, 50, 80)).toEqual([35, 60]);
    expect(computeRangeInStrip(triangle, 101, 200)).toBeNull();
  });
});

describe('lines', () => {
  const p = (xMm: number, yMm: number) => ({ xMm, yMm });
  it.each([
    ['cross', p(0, 0), p(10, 10), p(0, 10), p(10, 0), true],
    ['stay apart', p(0, 0), p(10, 0), p(0, 1), p(10, 1), false],
    ['touch', p(0, 0), p(10, 0), p(5, 0), p(5, 9), true],
    ['end before each other', p(0, 0), p(10, 0), p(11, -5), p(11, 5), false],
    ['lie on each other', p(0, 0), p(10, 0), p(5, 0), p(15, 0), true],
  ] as const)('that %s', (_, a, b, c, d, is) => {
    expect(doCross(a, b, c, d)).toBe(is);
    expect(doCross(d, c, b, a)).toBe(is);
  });
});
