import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeOutlineArea, mirrorOutline } from '../layout/index.ts';
import { getCutFigures, isOdd, toBlocks, toClothLength, toLotSheet, toSheet } from './index.ts';

const cotton = { fibre: 'cotton', cloth: 'poplin', widthMm: 1400, print: 'solid' } as const;
const figures = getCutFigures({}, { fabric: cotton, isWashed: false });

describe('a cloth for cutting', () => {
  it('is shrunk, straightened after the wash, and without its selvages', () => {
    // 4 % of 3 m and 2 % of 1.40 m go in the wash: 2.88 × 1.372 m; 5 cm an end and 1 cm a selvage: 2.78 × 1.352 m.
    expect(toSheet({ widthMm: 1400, lengthMm: 3000 }, figures)).toEqual({
      widthMm: expect.closeTo(1352, 6) as number,
      lengthMm: expect.closeTo(2780, 6) as number,
    });
    // A hole lies where it is then.
    const hole = { xMm: 500, yMm: 1000, widthMm: 50, heightMm: 100 };
    expect(toSheet({ widthMm: 1400, holes: [hole] }, figures).holes).toEqual([
      {
        xMm: expect.closeTo(480, 6) as number,
        yMm: expect.closeTo(910, 6) as number,
        widthMm: expect.closeTo(49, 6) as number,
        heightMm: expect.closeTo(96, 6) as number,
      },
    ]);
  });

  it('takes as much again as it gives', () => {
    expect(toClothLength(toSheet({ widthMm: 1400, lengthMm: 3000 }, figures).lengthMm!, figures)).toBeCloseTo(3000, 6);
    // The same as a need adds to what a table says: (2.00 + 0.10) m before 4 % shrink.
    expect(toClothLength(2000, figures)).toBeCloseTo(2187.5, 6);
  });

  it('is laid with pieces opened out, each with its seams, as often as it is cut', () => {
    const front = { id: 'f', name: 'front', part: 'main', count: 2, widthMm: 300, heightMm: 700, isOnFold: true };
    expect(toBlocks([front], { seamMm: 10, isOneWay: false })).toEqual(
      [0, 0].map((piece) => ({ piece, widthMm: 620, heightMm: 720, mayTurn: false })),
    );
  });

  it('lays open a shape of which half is drawn, and mirrors the second of a pair', () => {
    const outline = [
      { xMm: 0, yMm: 0 },
      { xMm: 100, yMm: 0 },
      { xMm: 200, yMm: 300 },
      { xMm: 0, yMm: 300 },
    ];
    const half = { id: 'f', name: 'front', part: 'main', count: 1, widthMm: 200, heightMm: 300, outline };
    const [open] = toBlocks([{ ...half, isOnFold: true }], { seamMm: 0, isOneWay: true });
    expect(open).toMatchObject({ widthMm: 400, heightMm: 300, mayFlip: false });
    expect(computeOutlineArea(open!.outline!)).toBe(2 * computeOutlineArea(outline));
    const [left, right] = toBlocks([{ ...half, count: 2 }], { seamMm: 0, isOneWay: false });
    expect(left).toMatchObject({ outline, mayFlip: true });
    expect(right!.outline).toEqual(mirrorOutline(outline, 200));
  });

  it('is the sheet of a lot with its own width, shape and flaws, as it lies after the wash', () => {
    const { household } = createSampleHousehold(1, 60);
    const lot = [...household.lots.values()].find((one) => household.items.get(one.itemId)?.fabric)!;
    const odd = { ...lot, widthMm: 800, flaws: [{ xMm: 100, yMm: 200, widthMm: 50, heightMm: 50 }] };
    expect(isOdd(lot)).toBe(false);
    expect(isOdd(odd)).toBe(true);
    const plain = getCutFigures(
      { shrinkPercent: 0, selvageMm: 0, straightenMm: 0 },
      { fabric: cotton, isWashed: true },
    );
    expect(toLotSheet({ fabric: household.items.get(lot.itemId)!.fabric! }, odd, 1500, plain)).toEqual({
      widthMm: 800,
      lengthMm: 1500,
      holes: [{ xMm: 100, yMm: 200, widthMm: 50, heightMm: 50 }],
    });
  });
});
