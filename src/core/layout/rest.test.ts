import { describe, expect, it } from 'vitest';
import { computeOutlineArea } from './outline.ts';
import { cutFlaws, cutOutline } from './rest.ts';

describe('what is left of a remnant after a cut across', () => {
  it('keeps its shape beyond the cut', () => {
    // 100 wide at the top, 50 at the bottom, 100 long; cut at 40 it is 80 wide there.
    const remnant = [
      { xMm: 0, yMm: 0 },
      { xMm: 100, yMm: 0 },
      { xMm: 50, yMm: 100 },
      { xMm: 0, yMm: 100 },
    ];
    const rest = cutOutline(remnant, 40);
    expect(rest).toEqual([
      { xMm: 80, yMm: 0 },
      { xMm: 50, yMm: 60 },
      { xMm: 0, yMm: 60 },
      { xMm: 0, yMm: 0 },
    ]);
    expect(computeOutlineArea(rest)).toBe(3900);
    expect(cutOutline(remnant, 200)).toEqual([]);
    expect(cutOutline(remnant, 0)).toEqual(remnant);
  });

  it('keeps the flaws beyond it, and what is left of one that is cut through', () => {
    const flaw = { xMm: 10, yMm: 300, widthMm: 20, heightMm: 50, note: 'a stain' };
    expect(cutFlaws([flaw], 200)).toEqual([{ ...flaw, yMm: 100 }]);
    expect(cutFlaws([flaw], 320)).toEqual([{ ...flaw, yMm: 0, heightMm: 30 }]);
    expect(cutFlaws([flaw], 350)).toEqual([]);
  });
});
