import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countByTrying } from '../../../tests/nestBrute.ts';
import type { ContainerSpec, Nook, SlotSpec } from '../records/index.ts';
import { checkContainers, countBefore, findNook, standTogether } from './index.ts';
import { nestBoxes, proposeSizes, type BoxSize } from './nest.ts';

const size = (widthMm: number, depthMm: number, heightMm: number): BoxSize => ({ widthMm, depthMm, heightMm });
const BOTH = { canTurn: true, canStack: true };
const CUBBY = size(330, 380, 330);

describe('boxes in a compartment', () => {
  it('are counted, turned and told with what is left over', () => {
    expect(nestBoxes(CUBBY, size(310, 360, 300), BOTH)).toEqual({
      count: 1,
      perLayer: 1,
      layers: 1,
      nooks: [{ xMm: 0, yMm: 0, zMm: 0, isTurned: false }],
      leftOver: size(20, 20, 30),
    });
    // 360 wide does not go in as it is; with its side to the front it does.
    expect(nestBoxes(CUBBY, size(360, 310, 300), BOTH)).toMatchObject({ count: 1, leftOver: size(20, 20, 30) });
    expect(nestBoxes(CUBBY, size(360, 310, 300), { canTurn: false, canStack: true })).toMatchObject({ count: 0 });
    // Two one behind the other, stacked twice with lids.
    const small = size(300, 185, 160);
    expect(nestBoxes(CUBBY, small, BOTH)).toMatchObject({
      count: 4,
      perLayer: 2,
      layers: 2,
      leftOver: size(30, 10, 10),
    });
    expect(nestBoxes(CUBBY, small, { canTurn: true, canStack: false })).toMatchObject({ count: 2, layers: 1 });
    expect(nestBoxes(CUBBY, size(100, 100, 331), BOTH)).toMatchObject({ count: 0, layers: 0 });
  });

  it('go in like the blades of a windmill where no straight cut serves', () => {
    // Four of 3 × 2 round a hole of 1 × 1 in 5 × 5.
    const { count, nooks } = nestBoxes(size(500, 500, 100), size(300, 200, 100), BOTH);
    expect(count).toBe(4);
    expect(nooks.filter((nook) => nook.isTurned)).toHaveLength(2);
  });

  const side = fc.integer({ min: 2, max: 11 });
  it('are as many as trying every spot finds, apart from each other and inside', () => {
    fc.assert(
      fc.property(
        side,
        side,
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.boolean(),
        (w, d, a, b, canTurn) => {
          fc.pre(a * b * 12 >= w * d);
          const box = size(a * 10, b * 10, 50);
          const { count, nooks } = nestBoxes(size(w * 10, d * 10, 50), box, { canTurn, canStack: false });
          expect(count).toBe(countByTrying(w, d, a, b, canTurn));
          const stood = nooks.map(({ xMm, yMm, isTurned }) => ({
            left: xMm,
            right: xMm + (isTurned ? box.depthMm : box.widthMm),
            front: yMm,
            back: yMm + (isTurned ? box.widthMm : box.depthMm),
          }));
          for (const [i, one] of stood.entries()) {
            expect(one.left >= 0 && one.front >= 0 && one.right <= w * 10 && one.back <= d * 10).toBe(true);
            for (const other of stood.slice(i + 1))
              expect(
                one.right <= other.left ||
                  other.right <= one.left ||
                  one.back <= other.front ||
                  other.back <= one.front,
              ).toBe(true);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('are never fewer in a larger compartment', () => {
    const mm = fc.integer({ min: 60, max: 900 });
    fc.assert(
      fc.property(mm, mm, mm, mm, mm, (w, d, a, b, more) => {
        // Where there are hundreds of small ones, one cut more or less may find a few fewer.
        fc.pre(Math.max(w + more, d) <= 4 * Math.min(a, b));
        const count = (width: number) => nestBoxes(size(width, d, 100), size(a, b, 100), BOTH).count;
        expect(count(w + more)).toBeGreaterThanOrEqual(count(w));
      }),
      { numRuns: 25 },
    );
  });

  it('are found at once and still lie apart where they are many and small', () => {
    for (const [w, d, a, b] of [
      [330, 380, 10, 180],
      [968, 584, 61, 37],
      [330, 380, 23, 29],
    ] as const) {
      const { nooks, count } = nestBoxes(size(w, d, 50), size(a, b, 50), { canTurn: true, canStack: false });
      const alike = (x: number, y: number) => Math.floor(w / x) * Math.floor(d / y);
      expect(count).toBeGreaterThanOrEqual(Math.max(alike(a, b), alike(b, a)));
      expect(count * a * b).toBeLessThanOrEqual(w * d);
      const taken = new Uint8Array(w * d);
      for (const { xMm, yMm, isTurned } of nooks)
        for (let y = yMm; y < yMm + (isTurned ? a : b); y += 1)
          for (let x = xMm; x < xMm + (isTurned ? b : a); x += 1) taken[y * w + x]! += 1;
      expect(taken.reduce((sum, cell) => sum + cell, 0)).toBe(count * a * b);
      expect(taken.some((cell) => cell > 1)).toBe(false);
    }
  });

  it('are only counted where they are thousands', () => {
    const crumbs = nestBoxes(size(1000, 1000, 1000), size(5, 5, 5), BOTH);
    expect(crumbs).toMatchObject({ count: 8_000_000, layers: 200, nooks: [], leftOver: size(0, 0, 0) });
  });

  it('can be bought in sizes that go in as often as is said', () => {
    const proposals = proposeSizes(CUBBY);
    expect(proposals[0]).toMatchObject({ count: 1, size: size(325, 375, 325) });
    for (const { count, size: box } of proposals)
      expect(nestBoxes(CUBBY, box, BOTH).count).toBeGreaterThanOrEqual(count);
    expect(proposeSizes(size(50, 300, 300))).toEqual([]);
  });
});

describe('bins where they were put', () => {
  const slot = { widthMm: 330, depthMm: 380, heightMm: 330 } as SlotSpec;
  const bin = (at?: Partial<Nook>, more: Partial<ContainerSpec> = {}): ContainerSpec => ({
    kind: 'bin',
    outerWidthMm: 300,
    outerDepthMm: 180,
    outerHeightMm: 160,
    wallMm: 3,
    mode: 'volume',
    tareG: 500,
    loadG: 5000,
    isSeeThrough: false,
    hasLid: true,
    ...more,
    ...(at && { at: { xMm: 0, yMm: 0, zMm: 0, isTurned: false, ...at } }),
  });
  const four = [bin({}), bin({ yMm: 180 }), bin({ zMm: 160 }), bin({ yMm: 180, zMm: 160 })];

  it('stand apart, inside and on lids', () => {
    expect(checkContainers(slot, four)).toBeNull();
    expect(checkContainers(slot, [...four, bin({ zMm: 320 })])).toMatchObject({ code: 'too-high', index: 4 });
    expect(checkContainers(slot, [bin({}), bin({ yMm: 150 })])).toMatchObject({ code: 'in-each-other', index: 0 });
    expect(checkContainers(slot, [bin({}, { hasLid: false }), bin({ zMm: 160 })])).toMatchObject({
      code: 'in-the-air',
      index: 1,
    });
    expect(checkContainers(slot, [bin({}), bin({ zMm: 100, yMm: 185 })])).toMatchObject({ code: 'in-the-air' });
    expect(checkContainers(slot, [bin({ isTurned: true }), bin({ isTurned: true, xMm: 150 })])).not.toBeNull();
    expect(
      checkContainers({ ...slot, widthMm: 360 }, [bin({ isTurned: true }), bin({ isTurned: true, xMm: 180 })]),
    ).toBeNull();
  });

  it('cost the bins that are taken away before them', () => {
    // Below at the front: one on it. Below behind: one before it and one on it. On top: none, and the one before.
    expect(four.map((_, i) => countBefore(four, i, false))).toEqual([1, 2, 0, 1]);
    // From either side each is the first of its row.
    expect(four.map((_, i) => countBefore(four, i, true))).toEqual([1, 1, 0, 0]);
    const beside = [bin(undefined, { outerWidthMm: 150 }), bin(undefined, { outerWidthMm: 150 })];
    expect(beside.map((_, i) => countBefore(beside, i, false))).toEqual([0, 0]);
  });

  it('take one more beside them, then behind, then on a lid, and turned where only that fits', () => {
    const small = bin(undefined, { outerWidthMm: 150 });
    expect(findNook(slot, [], small)).toEqual({ xMm: 0, yMm: 0, zMm: 0, isTurned: false });
    expect(findNook(slot, [small], small)).toMatchObject({ xMm: 150, yMm: 0, zMm: 0 });
    expect(findNook(slot, [small, small], small)).toMatchObject({ xMm: 0, yMm: 180, zMm: 0 });
    expect(findNook(slot, [bin({}), bin({ yMm: 180 })], bin())).toMatchObject({ xMm: 0, yMm: 0, zMm: 160 });
    expect(findNook(slot, four, bin())).toBeNull();
    // 300 wide does not go into 200, but its 180 do.
    expect(findNook({ ...slot, widthMm: 200 }, [], bin())).toMatchObject({ isTurned: true });
    // Nothing stands on what has no lid.
    expect(findNook(slot, [bin({}, { hasLid: false }), bin({ yMm: 180 }, { hasLid: false })], bin())).toBeNull();
  });

  it('are turned or moved so that all of them stand together, where they can', () => {
    const narrow = { ...slot, widthMm: 200 };
    expect(standTogether(narrow, [bin()])).toMatchObject([{ at: { isTurned: true } }]);
    const both = standTogether(slot, [bin({}), bin({})]);
    expect(both && checkContainers(slot, both)).toBeNull();
    // What stands well is left as it is.
    expect(standTogether(slot, four)).toEqual(four);
    expect(standTogether(slot, [...four, bin()])).toBeNull();
  });

  it('as nesting puts them, are always sound', () => {
    const mm = fc.integer({ min: 60, max: 400 });
    fc.assert(
      fc.property(mm, mm, mm, fc.boolean(), (outerWidthMm, outerDepthMm, outerHeightMm, hasLid) => {
        const kind = bin(undefined, { outerWidthMm, outerDepthMm, outerHeightMm, hasLid });
        const box = size(outerWidthMm, outerDepthMm, outerHeightMm);
        const { nooks } = nestBoxes(size(330, 380, 330), box, { canTurn: true, canStack: hasLid });
        expect(
          checkContainers(
            slot,
            nooks.map((at) => ({ ...kind, at })),
          ),
        ).toBeNull();
      }),
    );
  });
});
