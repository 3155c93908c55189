import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listCorners } from '../storage/index.ts';
import type { Body } from './bodies.ts';
import { createFloorGrid, findCell, findFreeCell, findWidestWays, getCellPoint, measureWalk } from './floorGrid.ts';
import { isInside, type Polygon } from './polygon.ts';

const ROOM: Polygon = [
  { xMm: 0, yMm: 0 },
  { xMm: 3000, yMm: 0 },
  { xMm: 3000, yMm: 2000 },
  { xMm: 0, yMm: 2000 },
];
function block(xMm: number, yMm: number, widthMm: number, depthMm: number, fromMm = 0, toMm = 1000): Body {
  const print = { xMm, yMm, widthMm, depthMm, turnDeg: 0 };
  return { id: 'b', name: 'b', print, corners: listCorners(print), fromMm, toMm, piece: null, fixture: null };
}
const someBlocks = fc.array(
  fc
    .tuple(
      fc.integer({ min: 0, max: 30 }),
      fc.integer({ min: 0, max: 20 }),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 9 }),
    )
    .map(([x, y, w, d]) => block(x * 100, y * 100, w * 200, d * 200)),
  { maxLength: 6 },
);

describe('squares on the floor', () => {
  it('tell how far the next thing is', () => {
    const grid = createFloorGrid(ROOM, [], 100);
    const clear = (xMm: number, yMm: number) => grid.clearMm[findCell(grid, { xMm, yMm })];
    // The middle of the first square is 5 cm from the wall; so is its edge.
    expect(clear(50, 1000)).toBe(50);
    expect(clear(1450, 950)).toBe(950);
    expect(clear(-50, 500)).toBe(0);
    expect(getCellPoint(grid, findCell(grid, { xMm: 120, yMm: 180 }))).toEqual({ xMm: 150, yMm: 150 });
    expect(findCell(grid, { xMm: 9000, yMm: 0 })).toBe(-1);
  });

  it('are walked over rugs and under shelves', () => {
    const grid = createFloorGrid(
      ROOM,
      [block(1500, 1000, 800, 800, 0, 50), block(700, 1000, 400, 400, 1950, 2200)],
      100,
    );
    expect(grid.clearMm[findCell(grid, { xMm: 1500, yMm: 1000 })]).toBeGreaterThan(900);
  });

  it('measure exactly as looking at every pair does', () => {
    fc.assert(
      fc.property(someBlocks, (bodies) => {
        const grid = createFloorGrid(ROOM, bodies, 100);
        const centre = (cell: number) => getCellPoint(grid, cell);
        const taken = Array.from(grid.clearMm.keys()).filter((cell) => {
          const at = centre(cell);
          return !isInside(ROOM, at) || bodies.some((body) => isInside(body.corners, at));
        });
        for (const cell of grid.clearMm.keys()) {
          const at = centre(cell);
          const least = Math.min(
            ...taken.map((other) => Math.hypot(centre(other).xMm - at.xMm, centre(other).yMm - at.yMm)),
          );
          expect(grid.clearMm[cell]).toBeCloseTo(least === 0 ? 0 : least - 50, 6);
        }
      }),
      { numRuns: 8 },
    );
  });
});

describe('the widest way', () => {
  it('goes round what leaves a gap of 60 cm only, where there is one of 80', () => {
    // A barrier across the room, 60 cm from the north wall and 80 cm from the south one.
    const grid = createFloorGrid(ROOM, [block(1500, 900, 200, 600)], 50);
    const start = findFreeCell(grid, { xMm: 500, yMm: 1000 }, 50);
    const { halfMm, narrowest } = findWidestWays(grid, start);
    const there = findCell(grid, { xMm: 2500, yMm: 1000 });
    expect(2 * halfMm[there]! + grid.cellMm).toBe(800);
    expect(getCellPoint(grid, narrowest[there]!).yMm).toBeGreaterThan(1200);
  });

  it('is as wide as the widest body that a flood of squares lets through', () => {
    fc.assert(
      fc.property(someBlocks, (bodies) => {
        const grid = createFloorGrid(ROOM, bodies, 100);
        const start = findFreeCell(grid, { xMm: 300, yMm: 300 }, 50);
        const { halfMm } = findWidestWays(grid, start);
        if (start < 0) return expect(Math.max(...halfMm)).toBe(-1);
        for (const wide of [50, 150, 350, 550]) {
          const seen = new Set([start]);
          if (grid.clearMm[start]! >= wide)
            for (const cell of seen)
              for (const step of [-1, 1])
                for (const off of [step, step * grid.columns, step * grid.columns - 1, step * grid.columns + 1])
                  if ((grid.clearMm[cell + off] ?? 0) >= wide) seen.add(cell + off);
          for (const cell of grid.clearMm.keys())
            if (cell !== start && grid.clearMm[start]! >= wide) expect(halfMm[cell]! >= wide).toBe(seen.has(cell));
        }
      }),
      { numRuns: 20 },
    );
  });

  it('does not lead into a corner that is walled off', () => {
    const grid = createFloorGrid(ROOM, [block(1500, 1000, 200, 2000)], 100);
    const { halfMm } = findWidestWays(grid, findFreeCell(grid, { xMm: 300, yMm: 300 }, 50));
    expect(halfMm[findCell(grid, { xMm: 2500, yMm: 1000 })]).toBe(-1);
  });
});

describe('the shortest way', () => {
  it('is straight where nothing stands, and round what stands', () => {
    const free = createFloorGrid(ROOM, [], 50);
    const from = { xMm: 525, yMm: 1025 };
    const to = { xMm: 2525, yMm: 1025 };
    expect(measureWalk(free, from, 200)[findCell(free, to)]).toBeCloseTo(2000, 6);
    const grid = createFloorGrid(ROOM, [block(1500, 600, 200, 1200)], 50);
    const round = measureWalk(grid, from, 200)[findCell(grid, to)]!;
    // Straight round the corner at 25 cm from it; squares can only be longer, by 8 % at the most.
    const straight = 2 * Math.hypot(850, 425) + 300;
    expect(round).toBeGreaterThan(straight * 0.98);
    expect(round).toBeLessThan(straight * 1.09);
    const shut = createFloorGrid(ROOM, [block(1500, 1000, 200, 2000)], 50);
    expect(measureWalk(shut, from, 200)[findCell(shut, to)]).toBe(Infinity);
  });
});
