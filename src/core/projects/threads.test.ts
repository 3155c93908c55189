import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { CutPiece } from '../records/index.ts';
import { computeThreadNeed, estimateSeam, toSpools } from './threads.ts';

describe('thread for a project', () => {
  it('is the length of its seams by the stitch', () => {
    // 18 m of seam: 54 m by lockstitch, 324 m by four-thread overlock, 21.6 m by hand.
    expect(computeThreadNeed({ seamMm: 18_000 })).toBe(54_000);
    expect(computeThreadNeed({ seamMm: 18_000, stitch: 'overlock4' })).toBe(324_000);
    expect(computeThreadNeed({ seamMm: 18_000, stitch: 'hand' })).toBeCloseTo(21_600);
    expect(computeThreadNeed({})).toBeNull();
  });

  it('has as much seam as its pieces have edges, about', () => {
    const piece: CutPiece = { id: 'a', name: 'a', part: 'main', count: 2, widthMm: 300, heightMm: 700 };
    // Two of 2 × (30 + 70) cm are 4 m of edge; on the fold they are 60 cm wide: 5.2 m.
    expect(estimateSeam([piece])).toBeCloseTo(2400);
    expect(estimateSeam([{ ...piece, isOnFold: true }])).toBeCloseTo(3120);
    const triangle = [
      { xMm: 0, yMm: 0 },
      { xMm: 300, yMm: 400 },
      { xMm: 0, yMm: 400 },
    ];
    expect(estimateSeam([{ ...piece, count: 1, outline: triangle }])).toBeCloseTo(720);
  });

  it('is told in spools where they are not measured', () => {
    const { household } = createSampleHousehold(1, 60);
    const item = [...household.items.values()].find((one) => one.thread)!;
    const lot = [...household.lots.values()].find((one) => one.itemId === item.id)!;
    // 60 g gross on a cone of 30 g at tex 30 are 1000 m.
    const cone = { ...item, thread: { ...item.thread!, tex: 30, massG: 60, diameterMm: 70 } };
    const spools = { ...lot, count: 2, lengthMm: undefined, holder: undefined };
    expect(toSpools(cone, spools, 900_000)).toBe(1);
    expect(toSpools(cone, spools, 1_000_001)).toBe(2);
    expect(toSpools(cone, { ...spools, lengthMm: 5 }, 900_000)).toBe(900_000);
  });
});
