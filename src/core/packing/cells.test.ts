import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/index.ts';
import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { computeCells, computeShare, packPlace } from './index.ts';

function thing(form: Package['form'], sides: [number, number, number], pieces = 1): Package {
  const [alongMm, acrossMm, heightMm] = sides;
  return { form, alongMm, acrossMm, heightMm, pieces, massG: 50 * pieces, isSoft: form === 'loose' };
}
/** Three by two cells of 98 by 99, 100 high. */
const BOX: Space = {
  mode: 'volume',
  widthMm: 300,
  depthMm: 200,
  heightMm: 100,
  rowsRun: 'y',
  peg: null,
  pinPitchMm: 0,
  dividers: { columns: 3, rows: 2, thickMm: 2 },
};

describe('a bin with dividers', () => {
  it('has equal cells between its walls', () => {
    const { size, spots } = computeCells(BOX, BOX.dividers!);
    // (300 - 2 × 2) / 3 and (200 - 2) / 2.
    expect(size.widthMm).toBeCloseTo(296 / 3, 9);
    expect(size.depthMm).toBe(99);
    expect(spots).toHaveLength(6);
    expect(spots[4]!.xMm).toBeCloseTo(296 / 3 + 2, 9);
    expect(spots[4]!.yMm).toBe(101);
  });

  it('gives every lot cells of its own, as many as it needs', () => {
    // Of 40 mm cubes 2 × 2 × 2 go in a cell: nine take two.
    const cubes = thing('box', [40, 40, 40], 9);
    expect(computeShare(cubes, BOX)).toEqual({ ok: true, share: 2 / 6 });
    const packed = packPlace([thing('box', [90, 90, 90]), cubes, thing('loose', [80, 80, 80])], BOX);
    if (packed.status !== 'packed') throw new Error(packed.status);
    expect(packed.spots.filter((spot) => spot.index === 1)).toHaveLength(9);
    expect(packed.spots.filter((spot) => spot.index === 1 && spot.xMm < 190)).toHaveLength(8);
    // The ninth alone in the third cell.
    expect(packed.spots.find((spot) => spot.index === 1 && spot.piece === 8)?.xMm).toBeCloseTo(2 * (296 / 3 + 2), 9);
  });

  it('does not take what is longer than a cell, though the bin is long enough', () => {
    expect(computeShare(thing('box', [150, 20, 20]), BOX)).toMatchObject({
      ok: false,
      fault: { code: 'too-long', needed: 150, available: 100 },
    });
    expect(computeShare(thing('box', [150, 20, 20]), { ...BOX, dividers: undefined }).ok).toBe(true);
    expect(
      packPlace(
        Array.from({ length: 7 }, () => thing('box', [20, 20, 20])),
        BOX,
      ).status,
    ).toBe('not-found');
  });

  it('never lets two lots share a cell or anything go through a wall', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const random = createRandom(seed);
        const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
        const dividers = { columns: whole(1, 5), rows: whole(1, 4), thickMm: whole(0, 3) };
        const space = { ...BOX, dividers };
        const things = Array.from({ length: whole(1, 6) }, () =>
          thing(random() < 0.3 ? 'loose' : 'box', [whole(5, 60), whole(5, 60), whole(5, 60)], whole(1, 12)),
        );
        const packed = packPlace(things, space);
        if (packed.status !== 'packed') return;
        const width = (300 - (dividers.columns - 1) * dividers.thickMm) / dividers.columns + dividers.thickMm;
        const depth = (200 - (dividers.rows - 1) * dividers.thickMm) / dividers.rows + dividers.thickMm;
        const owner = new Map<string, number>();
        for (const spot of packed.spots) {
          const [column, row] = [Math.floor(spot.xMm / width + 1e-6), Math.floor(spot.yMm / depth + 1e-6)];
          expect(spot.xMm + spot.widthMm).toBeLessThanOrEqual((column + 1) * width - dividers.thickMm + 1e-6);
          expect(spot.yMm + spot.depthMm).toBeLessThanOrEqual((row + 1) * depth - dividers.thickMm + 1e-6);
          expect(spot.zMm + spot.heightMm).toBeLessThanOrEqual(100 + 1e-6);
          const key = `${column} ${row}`;
          expect(owner.get(key) ?? spot.index).toBe(spot.index);
          owner.set(key, spot.index);
        }
        for (const [index, one] of things.entries())
          if (!one.isSoft) expect(packed.spots.filter((spot) => spot.index === index)).toHaveLength(one.pieces);
      }),
      { numRuns: 200 },
    );
  });
});
