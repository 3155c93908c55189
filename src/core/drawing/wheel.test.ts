import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findWheelCell, layOutWheel } from './wheel.ts';

const amounts = fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { maxLength: 80 });

describe('the wall of cloth by the colour wheel', () => {
  it('is worked by hand for four', () => {
    // 4 × 4 with amounts 8, 4, 2, 2: one area each unit. 8 fills two columns of width; then 4, then 2 above 2.
    expect(layOutWheel([8, 4, 2, 2], 4, 4)).toEqual([
      { index: 0, x: 0, y: 0, width: 2, height: 4 },
      { index: 1, x: 2, y: 0, width: 2, height: 2 },
      { index: 2, x: 2, y: 2, width: 2, height: 1 },
      { index: 3, x: 2, y: 3, width: 2, height: 1 },
    ]);
  });

  it('gives every amount its share of the wall, in order, without gaps or overlaps', () => {
    fc.assert(
      fc.property(amounts, (list) => {
        const cells = layOutWheel(list, 800, 500);
        const total = list.reduce((sum, one) => sum + one, 0);
        if (total === 0) {
          expect(cells).toEqual([]);
          return;
        }
        for (const cell of cells) {
          expect((cell.width * cell.height) / (800 * 500)).toBeCloseTo(list[cell.index]! / total, 6);
          expect(cell.x + cell.width).toBeLessThanOrEqual(800 + 1e-6);
          expect(cell.y + cell.height).toBeLessThanOrEqual(500 + 1e-6);
        }
        expect(cells.map((cell) => cell.index)).toEqual(cells.map((cell) => cell.index).toSorted((a, b) => a - b));
        const area = cells.reduce((sum, cell) => sum + cell.width * cell.height, 0);
        expect(area / (800 * 500)).toBeCloseTo(1, 6);
      }),
    );
  });

  it('finds the cell under any point, as looking through all of them does', () => {
    fc.assert(
      fc.property(
        amounts,
        fc.double({ min: -5, max: 805, noNaN: true }),
        fc.double({ min: -5, max: 505, noNaN: true }),
        (list, x, y) => {
          const cells = layOutWheel(list, 800, 500);
          const slow = cells.find((c) => x >= c.x && x < c.x + c.width && y >= c.y && y < c.y + c.height) ?? null;
          const fast = x < 0 || y < 0 ? null : findWheelCell(cells, x, y);
          // On a seam that rounding moved by a hair either of two cells will do.
          if (fast !== slow && fast && slow) expect(Math.abs(fast.index - slow.index)).toBeLessThanOrEqual(1);
          else expect(fast).toBe(slow);
        },
      ),
    );
  });

  it('is made of nearly square cells where all have as much', () => {
    const cells = layOutWheel(
      Array.from({ length: 400 }, () => 1),
      800,
      500,
    );
    for (const { width, height } of cells.slice(0, -20))
      expect(Math.max(width / height, height / width)).toBeLessThan(1.6);
  });
});
