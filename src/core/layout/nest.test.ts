import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkLayout } from '../../check/layout.ts';
import { arbitraryOutlines } from '../../../tests/outlines.ts';
import { createRandom } from '../random/index.ts';
import { computeOutlineArea, createLayoutSearch, isPlainOutline, mirrorOutline, widenOutline } from './index.ts';
import type { Block, Point, Sheet } from './index.ts';
import { cutStrip, turnOutline } from './outline.ts';

const corners = (...all: [number, number][]): Point[] => all.map(([xMm, yMm]) => ({ xMm, yMm }));
/** A right-angled triangle, its right angle at the lower left. */
const TRIANGLE = corners([0, 0], [600, 800], [0, 800]);
const shape = (outline: readonly Point[], more: Partial<Block> = {}): Block => ({
  piece: 0,
  widthMm: Math.max(...outline.map(({ xMm }) => xMm)),
  heightMm: Math.max(...outline.map(({ yMm }) => yMm)),
  mayTurn: false,
  outline,
  ...more,
});

function lay(blocks: readonly Block[], sheets: Sheet | readonly Sheet[], tries = 40) {
  const search = createLayoutSearch(blocks, sheets, createRandom(2));
  search.advance(tries);
  expect(checkLayout(blocks, sheets, search.getBest())).toEqual([]);
  return search;
}

describe('shapes', () => {
  it('are turned by quarters and halves within their box', () => {
    expect(turnOutline(TRIANGLE, { widthMm: 600, heightMm: 800 }, { isTurned: true })).toEqual(
      corners([800, 0], [0, 600], [0, 0]),
    );
    expect(turnOutline(TRIANGLE, { widthMm: 600, heightMm: 800 }, { isTurned: false, isFlipped: true })).toEqual(
      corners([600, 800], [0, 0], [600, 0]),
    );
    expect(mirrorOutline(TRIANGLE, 600)).toEqual(corners([600, 800], [0, 800], [600, 0]));
  });

  it('have an area, and no edge that crosses another', () => {
    expect(computeOutlineArea(TRIANGLE)).toBe(240_000);
    expect(isPlainOutline(TRIANGLE)).toBe(true);
    expect(isPlainOutline(corners([0, 0], [10, 10], [10, 0], [0, 10]))).toBe(false);
    expect(isPlainOutline(corners([0, 0], [10, 10]))).toBe(false);
  });

  it('get a seam all round', () => {
    // A square of 100 becomes one of 120; the triangle of 3, 4 and 5 grows by its edges and its corners.
    expect(computeOutlineArea(widenOutline(corners([0, 0], [100, 0], [100, 100], [0, 100]), 10))).toBeCloseTo(14_400);
    // Area + seam × round (240 cm) + what the corners add: seam² × Σ tan of half of what each turns by, 2 is 6.
    expect(computeOutlineArea(widenOutline(TRIANGLE, 10))).toBeCloseTo(240_000 + 24_000 + 600);
  });

  it('are cut through strip by strip', () => {
    expect(cutStrip(TRIANGLE, 0, 300)).toEqual({ inner: [[400, 800]], outer: [0, 800] });
    // Two legs: from above, the strip meets cloth twice.
    const legs = corners([0, 0], [300, 0], [300, 100], [100, 100], [100, 300], [300, 300], [300, 400], [0, 400]);
    expect(cutStrip(legs, 150, 250)).toEqual({
      inner: [
        [0, 100],
        [300, 400],
      ],
      outer: [0, 400],
    });
    expect(cutStrip(legs, 300, 400).outer).toBeNull();
  });
});

describe('laying shapes on cloth', () => {
  it('lays two triangles into each other where the cloth is the same both ways', () => {
    // As boxes they take 80 cm side by side on 120; into each other they go on 60 cm beside nothing else.
    const pair = [shape(TRIANGLE, { mayFlip: true }), shape(TRIANGLE, { mayFlip: true })];
    expect(lay(pair, { widthMm: 620 }).getBest().lengthMm).toBeLessThan(820);
    const oneWay = [shape(TRIANGLE), shape(TRIANGLE)];
    expect(lay(oneWay, { widthMm: 620 }).getBest().lengthMm).toBeGreaterThan(1300);
  });

  it('begins every piece at a whole repeat where the print is to match', () => {
    // 40 cm of repeat: pieces of 50 cm begin at 0, 80 and 160 cm, side by side where there is room.
    const piece: Block = { piece: 0, widthMm: 700, heightMm: 500, mayTurn: false };
    const all = [piece, piece, piece, piece, piece];
    const { laid, lengthMm } = lay(all, { widthMm: 1400, repeatMm: 400 }).getBest();
    expect(laid.map(({ yMm }) => yMm).toSorted((a, b) => a - b)).toEqual([0, 0, 800, 800, 1600]);
    expect(lengthMm).toBe(2100);
    expect(lay(all, { widthMm: 1400 }).getBest().lengthMm).toBe(1500);
  });

  it('lays on an odd remnant, round its hole', () => {
    // A remnant whose lower right is cut away: a piece of 40 × 40 goes above the cut, or to its left.
    const sheet: Sheet = {
      widthMm: 1000,
      lengthMm: 1000,
      outline: corners([0, 0], [1000, 0], [1000, 400], [450, 1000], [0, 1000]),
      holes: [{ xMm: 0, yMm: 0, widthMm: 500, heightMm: 300 }],
    };
    const piece: Block = { piece: 0, widthMm: 400, heightMm: 400, mayTurn: false };
    const { laid, left } = lay([piece, piece, piece], sheet).getBest();
    expect([laid.length, left.length]).toEqual([2, 1]);
  });

  it('lays five hundred pieces, shapes among them, whole and at once', () => {
    const small = TRIANGLE.map(({ xMm, yMm }) => ({ xMm: xMm / 6, yMm: yMm / 6 }));
    const all = Array.from({ length: 500 }, (_, n): Block =>
      n % 5 === 0
        ? shape(small, { piece: n, mayFlip: true })
        : { piece: n, widthMm: 60 + (n % 7) * 20, heightMm: 80 + (n % 11) * 15, mayTurn: false },
    );
    const first = createLayoutSearch(all, { widthMm: 1400 }, createRandom(1));
    expect(first.countTries()).toBe(1);
    expect(first.getBest().left).toEqual([]);
    expect(checkLayout(all, { widthMm: 1400 }, first.getBest())).toEqual([]);
    expect(first.getBest().lengthMm).toBeLessThan(first.leastMm * 1.35);
  });

  it('fills the first of two lots, then the second', () => {
    const piece: Block = { piece: 0, widthMm: 700, heightMm: 900, mayTurn: false };
    const two: Sheet[] = [
      { widthMm: 1400, lengthMm: 1000 },
      { widthMm: 1400, lengthMm: 2000 },
    ];
    const { laid, left, lengthMm } = lay([piece, piece, piece], two).getBest();
    expect(left).toEqual([]);
    expect(laid.map(({ sheet }) => sheet).toSorted((a, b) => a - b)).toEqual([0, 0, 1]);
    expect(lengthMm).toBe(1800);
  });

  const outlines = arbitraryOutlines(0.3, [3, 9], [50, 350]);
  const blocks = fc.array(
    fc
      .tuple(outlines, fc.boolean(), fc.boolean())
      .map(([outline, mayTurn, mayFlip]) => shape(outline, { mayTurn, mayFlip })),
    { minLength: 1, maxLength: 8 },
  );

  it('keeps every rule, and is no shorter than the bound', () => {
    fc.assert(
      fc.property(blocks, fc.option(outlines), fc.boolean(), fc.boolean(), (all, remnant, hasHole, isMatched) => {
        const holes = hasHole ? [{ xMm: 100, yMm: 50, widthMm: 120, heightMm: 80 }] : [];
        const repeat = isMatched ? { repeatMm: 90 } : {};
        const sheet: Sheet = { widthMm: 720, holes, ...repeat, ...(remnant && { outline: remnant, lengthMm: 700 }) };
        const found = lay(all, sheet, 3);
        const { left, lengthMm } = found.getBest();
        if (left.length === 0) expect(lengthMm).toBeGreaterThanOrEqual(found.leastMm - 1e-6);
        if (!remnant) expect(left).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});
