import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROOM } from '../../../tests/household.ts';
import { fromWallSteps, toWallSteps, type WallStep } from './steps.ts';

const step = (id: string, lengthMm: number, turnDeg = 90): WallStep => ({ id, name: id, lengthMm, turnDeg });

describe('walls measured one after the other', () => {
  it('of an L: six of them, one corner to the left', () => {
    const walls = fromWallSteps({ xMm: 0, yMm: 0 }, [
      step('a', 4000),
      step('b', 1000),
      step('c', 2000, -90),
      step('d', 2000),
      step('e', 2000),
      step('f', 0),
    ]);
    expect(walls.map((wall) => [wall.from.xMm, wall.from.yMm])).toEqual([
      [0, 0],
      [4000, 0],
      [4000, 1000],
      [2000, 1000],
      [2000, 3000],
      [0, 3000],
    ]);
    // The last is as long as it must be.
    expect(toWallSteps(walls).map(({ lengthMm, turnDeg }) => [lengthMm, turnDeg])).toEqual([
      [4000, 90],
      [1000, 90],
      [2000, -90],
      [2000, 90],
      [2000, 90],
      [3000, 90],
    ]);
  });

  it('lead back to the same walls', () => {
    expect(fromWallSteps({ xMm: 0, yMm: 0 }, toWallSteps(ROOM.room!.walls))).toEqual(ROOM.room!.walls);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 100, max: 5000 }), fc.integer({ min: -170, max: 170 })), {
          minLength: 3,
          maxLength: 10,
        }),
        (measured) => {
          const walls = fromWallSteps(
            { xMm: 50, yMm: -20 },
            measured.map(([mm, deg], i) => step(`w${i}`, mm, deg)),
          );
          const again = fromWallSteps({ xMm: 50, yMm: -20 }, toWallSteps(walls));
          for (const [i, wall] of walls.entries()) {
            expect(again[i]!.from.xMm).toBeCloseTo(wall.from.xMm, 3);
            expect(again[i]!.from.yMm).toBeCloseTo(wall.from.yMm, 3);
          }
        },
      ),
    );
  });

  it('turn once round in all, where they do not cross', () => {
    const turned = toWallSteps(ROOM.room!.walls).reduce((sum, one) => sum + one.turnDeg, 0);
    expect(turned).toBe(360);
  });
});
