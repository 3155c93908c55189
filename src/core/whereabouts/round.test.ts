import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findRound } from './round.ts';

const distances = (points: readonly (readonly [number, number])[]) =>
  points.map(([ax, ay]) => points.map(([bx, by]) => Math.hypot(ax - bx, ay - by)));

/** Every order there is. */
function findByBrute(way: number[][]): number {
  const go = (at: number, left: readonly number[]): number =>
    left.length === 0
      ? way[at]![0]!
      : Math.min(
          ...left.map(
            (next) =>
              way[at]![next]! +
              go(
                next,
                left.filter((one) => one !== next),
              ),
          ),
        );
  return go(0, way.map((_, i) => i).slice(1));
}

const spots = fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 30 })), {
  minLength: 1,
  maxLength: 8,
});

describe('a round', () => {
  it('goes along the sides of a square, not across', () => {
    const way = distances([
      [0, 0],
      [1, 1],
      [1, 0],
      [0, 1],
    ]);
    expect(findRound(way).length).toBeCloseTo(4, 9);
  });

  it('is as short as the shortest of all, where all can be tried', () => {
    fc.assert(
      fc.property(spots, (points) => {
        const way = distances(points);
        const { order, length } = findRound(way);
        expect(order[0]).toBe(0);
        expect([...order].toSorted((a, b) => a - b)).toEqual(way.map((_, i) => i));
        expect(length).toBeCloseTo(findByBrute(way), 6);
      }),
      { numRuns: 60 },
    );
  });

  it('is found for many points too, and no change of two ways shortens it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 300 })), {
          minLength: 14,
          maxLength: 40,
        }),
        (points) => {
          const way = distances(points);
          const { order, length } = findRound(way);
          expect(order.length).toBe(points.length);
          expect(new Set(order).size).toBe(points.length);
          for (let i = 0; i < order.length - 1; i += 1)
            for (let j = i + 1; j < order.length; j += 1) {
              const turned = [
                ...order.slice(0, i + 1),
                ...order.slice(i + 1, j + 1).toReversed(),
                ...order.slice(j + 1),
              ];
              const other = turned.reduce((sum, a, k) => sum + way[a]![turned[(k + 1) % turned.length]!]!, 0);
              expect(other).toBeGreaterThanOrEqual(length - 1e-6);
            }
          // Nor does it to move up to three on elsewhere, each tour measured whole.
          for (let size = 1; size <= 3; size += 1)
            for (let i = 1; i + size <= order.length; i += 1) {
              const rest = [...order.slice(0, i), ...order.slice(i + size)];
              for (let k = 0; k < rest.length; k += 1) {
                const moved = [...rest.slice(0, k + 1), ...order.slice(i, i + size), ...rest.slice(k + 1)];
                const other = moved.reduce((sum, a, n) => sum + way[a]![moved[(n + 1) % moved.length]!]!, 0);
                expect(other).toBeGreaterThanOrEqual(length - 1e-6);
              }
            }
        },
      ),
      { numRuns: 15 },
    );
  });

  it('is nothing where there is nothing, and there and back for one', () => {
    expect(findRound([])).toEqual({ order: [], length: 0 });
    expect(
      findRound(
        distances([
          [0, 0],
          [3, 4],
        ]),
      ).length,
    ).toBe(10);
  });
});
