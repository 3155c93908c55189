import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { getTurns } from './shape.ts';
import { computeShare, packPlace, type Spot } from './index.ts';

function pkg(form: Package['form'], alongMm: number, acrossMm: number, heightMm: number, pieces = 1): Package {
  return { form, alongMm, acrossMm, heightMm, pieces, massG: 100 * pieces, isSoft: form === 'loose' };
}
const SHELF: Space = {
  mode: 'line',
  widthMm: 330,
  depthMm: 374,
  heightMm: 330,
  rowsRun: 'x',
  peg: null,
  pinPitchMm: 0,
};
const DRAWER: Space = { ...SHELF, widthMm: 440, depthMm: 500, heightMm: 220, rowsRun: 'y' };
const BIN: Space = { ...SHELF, mode: 'volume', widthMm: 300, depthMm: 350, heightMm: 300, rowsRun: 'y' };
const PEGS: Space = {
  ...SHELF,
  mode: 'area',
  widthMm: 1016,
  heightMm: 762,
  depthMm: 12,
  peg: { pitchMm: 25.4, wireMm: 4, projectionMm: 80, hookLoadG: 1500 },
};
const PINS: Space = { ...SHELF, mode: 'pins', widthMm: 480, heightMm: 240, depthMm: 75, pinPitchMm: 48 };

/** The checks every packing must pass, made anew: inside, apart. */
function expectSound(spots: readonly Spot[], space: Space): void {
  for (const [i, a] of spots.entries()) {
    expect(Math.min(a.xMm, a.yMm, a.zMm)).toBeGreaterThanOrEqual(-1e-6);
    expect(a.xMm + a.widthMm).toBeLessThanOrEqual(space.widthMm + 1e-6);
    expect(a.zMm + a.heightMm).toBeLessThanOrEqual(space.heightMm + 1e-6);
    if (space.mode !== 'area') expect(a.yMm + a.depthMm).toBeLessThanOrEqual(space.depthMm + 1e-6);
    for (const b of spots.slice(i + 1)) {
      const apart =
        a.xMm + a.widthMm <= b.xMm + 1e-6 ||
        b.xMm + b.widthMm <= a.xMm + 1e-6 ||
        a.yMm + a.depthMm <= b.yMm + 1e-6 ||
        b.yMm + b.depthMm <= a.yMm + 1e-6 ||
        a.zMm + a.heightMm <= b.zMm + 1e-6 ||
        b.zMm + b.heightMm <= a.zMm + 1e-6;
      expect(apart).toBe(true);
    }
  }
}

describe('a shelf', () => {
  it('takes spines side by side in order until the last millimetre', () => {
    const full = packPlace(
      [pkg('board', 100, 200, 260), pkg('board', 130, 200, 260), pkg('board', 100, 200, 260)],
      SHELF,
    );
    expect(full.status === 'packed' && full.spots.map((spot) => spot.xMm)).toEqual([0, 100, 230]);
    expect(packPlace([pkg('board', 100, 200, 260), pkg('board', 231, 200, 260)], SHELF).status).toBe('impossible');
  });

  it('piles folded cloth, and opens no second row behind the first', () => {
    const three = packPlace(
      [pkg('stack', 300, 280, 120), pkg('stack', 300, 280, 150), pkg('stack', 300, 280, 60)],
      SHELF,
    );
    expect(three.status === 'packed' && three.spots.map((spot) => spot.zMm)).toEqual([0, 120, 270]);
    expect(packPlace([pkg('stack', 300, 100, 200), pkg('stack', 300, 100, 200)], SHELF).status).not.toBe('packed');
  });

  it('lays nothing on a pile smaller than itself', () => {
    const shelf = { ...SHELF, widthMm: 700 };
    const small = pkg('stack', 60, 60, 40);
    // In this order the small one would be below: a pile of its own it is.
    const apart = packPlace([small, pkg('stack', 300, 280, 40)], shelf);
    expect(apart.status === 'packed' && apart.spots.map((spot) => [spot.xMm, spot.zMm])).toEqual([
      [0, 0],
      [60, 0],
    ]);
    const above = packPlace([pkg('stack', 300, 280, 40), small], shelf);
    expect(above.status === 'packed' && above.spots[1]!.zMm).toBe(40);
  });

  it('says which side does not go in', () => {
    expect(computeShare(pkg('board', 40, 200, 340), SHELF)).toMatchObject({
      fault: { code: 'too-high', needed: 340, available: 330 },
    });
    expect(computeShare(pkg('board', 40, 380, 260), SHELF)).toMatchObject({ fault: { code: 'too-deep' } });
    expect(computeShare(pkg('peg', 40, 10, 100), SHELF)).toMatchObject({ fault: { code: 'form' } });
  });
});

describe('a drawer of envelopes', () => {
  it('has rows from front to back, side by side', () => {
    // 440 / 155 = 2 rows of 500 mm; 8 mm each: 62 a row.
    const packed = packPlace(
      Array.from({ length: 124 }, () => pkg('envelope', 8, 155, 215)),
      DRAWER,
    );
    expect(packed.status).toBe('packed');
    if (packed.status === 'packed') expect(new Set(packed.spots.map((spot) => spot.xMm))).toEqual(new Set([0, 155]));
    expect(
      packPlace(
        Array.from({ length: 125 }, () => pkg('envelope', 8, 155, 215)),
        DRAWER,
      ).status,
    ).not.toBe('packed');
  });
});

describe('a bin', () => {
  it('turns a long thing, and refuses a longer one with the measure', () => {
    expect(packPlace([pkg('box', 40, 40, 345)], BIN).status).toBe('packed');
    expect(computeShare(pkg('box', 40, 40, 610), BIN)).toMatchObject({
      fault: { code: 'too-long', needed: 610, available: 350 },
    });
  });

  it('takes exactly what some allowed turn takes', () => {
    const side = fc.integer({ min: 1, max: 700 });
    fc.assert(
      fc.property(fc.constantFrom('box', 'stack', 'envelope'), side, side, side, (form, a, b, c) => {
        const one = pkg(form as Package['form'], a, b, c);
        const goes = getTurns(one).some(([w, d, h]) => w <= BIN.widthMm && d <= BIN.depthMm && h <= BIN.heightMm);
        expect(computeShare(one, BIN).ok).toBe(goes);
      }),
      { numRuns: 500 },
    );
  });

  it('fills soft goods to three quarters of what hard ones leave', () => {
    // 300 × 350 × 300 = 31.5 l; 200 × 200 × 200 = 8 l leaves 23.5 l, of which 17.625 l are usable.
    const side = Math.cbrt(17.6e6);
    expect(packPlace([pkg('box', 200, 200, 200), pkg('loose', side, side, side)], BIN).status).toBe('packed');
    const more = Math.cbrt(17.7e6);
    expect(packPlace([pkg('box', 200, 200, 200), pkg('loose', more, more, more)], BIN).status).toBe('impossible');
  });

  it('never calls impossible what was cut from the bin, and packs soundly what it packs', () => {
    const cuts = fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.double({ min: 0.25, max: 0.75, noNaN: true })), {
      maxLength: 9,
    });
    let packedCount = 0;
    fc.assert(
      fc.property(cuts, (list) => {
        const boxes: [number, number, number][] = [[300, 350, 300]];
        for (const [axis, share] of list) {
          const box = boxes.shift()!;
          const [one, other] = [[...box], [...box]] as [[number, number, number], [number, number, number]];
          one[axis as 0]! *= share;
          other[axis as 0]! *= 1 - share;
          boxes.push(one, other);
        }
        const packed = packPlace(
          boxes.map(([w, d, h]) => pkg('box', w, d, h)),
          BIN,
        );
        expect(packed.status).not.toBe('impossible');
        if (packed.status !== 'packed') return;
        packedCount += 1;
        expect(packed.spots).toHaveLength(boxes.length);
        expectSound(packed.spots, BIN);
      }),
      { numRuns: 80, seed: 11 },
    );
    expect(packedCount).toBeGreaterThan(10);
  });
});

describe('a pegboard', () => {
  it('hangs tools on holes, apart, and knows what no hook takes', () => {
    const tools = [
      pkg('peg', 105, 18, 260),
      pkg('peg', 150, 4, 610),
      pkg('peg', 320, 4, 320),
      pkg('peg', 40, 14, 120, 3),
    ];
    const packed = packPlace(tools, PEGS);
    expect(packed.status).toBe('packed');
    if (packed.status !== 'packed') return;
    expectSound(packed.spots, PEGS);
    for (const spot of packed.spots) {
      const hole = (spot.xMm + spot.widthMm / 2) / 25.4 - 0.5;
      expect(hole).toBeCloseTo(Math.round(hole), 6);
    }
    expect(computeShare(pkg('peg', 60, 10, 800), PEGS)).toMatchObject({ fault: { code: 'too-long' } });
    expect(computeShare(pkg('peg', 60, 90, 200), PEGS)).toMatchObject({ fault: { code: 'too-deep' } });
    expect(computeShare({ ...pkg('peg', 60, 10, 200), massG: 1600 }, PEGS)).toMatchObject({
      fault: { code: 'hook-load' },
    });
  });
});

describe('spool pins', () => {
  it('are counted: fifty spools on ten by five pins, not one more', () => {
    expect(packPlace([pkg('spool', 28, 28, 55, 30), pkg('spool', 30, 30, 58, 20)], PINS).status).toBe('packed');
    expect(packPlace([pkg('spool', 28, 28, 55, 51)], PINS).status).toBe('impossible');
    expect(computeShare(pkg('spool', 60, 60, 70), PINS)).toMatchObject({ fault: { code: 'too-wide', available: 46 } });
  });
});

describe('a rail', () => {
  const RAIL: Space = { ...SHELF, mode: 'rail', widthMm: 900, depthMm: 500, heightMm: 1500 };

  it('takes hangers side by side, each down from the rail', () => {
    const hung = packPlace([pkg('hanger', 30, 420, 1200), pkg('hanger', 50, 420, 600)], RAIL);
    if (hung.status !== 'packed') throw new Error(hung.status);
    expect(hung.spots.map((spot) => [spot.xMm, spot.zMm])).toEqual([
      [0, 300],
      [30, 900],
    ]);
    expectSound(hung.spots, RAIL);
  });

  it('takes nothing else, nothing that drags on the floor, and no more than it is long', () => {
    expect(computeShare(pkg('board', 30, 200, 260), RAIL)).toMatchObject({ ok: false, fault: { code: 'form' } });
    expect(computeShare(pkg('hanger', 30, 420, 1501), RAIL)).toMatchObject({
      ok: false,
      fault: { code: 'too-high', needed: 1501, available: 1500 },
    });
    expect(computeShare(pkg('hanger', 30, 420, 900), SHELF)).toMatchObject({ ok: false, fault: { code: 'form' } });
    expect(computeShare(pkg('hanger', 90, 420, 900), RAIL)).toEqual({ ok: true, share: 0.1 });
    const full = Array.from({ length: 31 }, () => pkg('hanger', 30, 420, 900));
    expect(packPlace(full.slice(1), RAIL).status).toBe('packed');
    expect(packPlace(full, RAIL).status).toBe('impossible');
  });
});

describe('things that lie flat', () => {
  it('lie on each other, the larger below, and never stand', () => {
    const mats = packPlace([pkg('flat', 300, 200, 3, 2), pkg('flat', 280, 180, 2)], SHELF);
    expect(mats.status === 'packed' && mats.spots.map((spot) => spot.zMm)).toEqual([0, 3, 6]);
    expect(computeShare(pkg('flat', 300, 400, 3), SHELF)).toMatchObject({ ok: false, fault: { code: 'too-deep' } });
    // A bin narrower than the mat would take it only on its edge.
    expect(computeShare(pkg('flat', 320, 250, 3), BIN).ok).toBe(true);
    expect(computeShare(pkg('flat', 320, 310, 3), BIN)).toMatchObject({ ok: false });
  });
});
