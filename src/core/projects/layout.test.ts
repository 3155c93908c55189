import { describe, expect, it } from 'vitest';
import { getCutFigures, toBlocks, toClothLength, toSheet } from './index.ts';

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
    expect(toBlocks([front], { seamMm: 10 })).toEqual(
      [0, 0].map((piece) => ({ piece, widthMm: 620, heightMm: 720, mayTurn: false })),
    );
  });
});
