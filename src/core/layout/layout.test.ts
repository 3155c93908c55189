import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkLayout } from '../../check/layout.ts';
import { HAND_LAID, HAND_WIDTHS_CM, toHandBlocks } from '../../../tests/garments.ts';
import { createRandom } from '../random/index.ts';
import { computeLeastLength, createLayoutSearch, findSpare, type Block, type Sheet } from './index.ts';
import { layInOrder, RULES } from './strip.ts';

const block = (widthMm: number, heightMm: number, mayTurn = false): Block => ({ piece: 0, widthMm, heightMm, mayTurn });

function search(blocks: readonly Block[], sheet: Sheet, tries = 200) {
  const found = createLayoutSearch(blocks, sheet, createRandom(1));
  found.advance(tries);
  expect(checkLayout(blocks, sheet, found.getBest())).toEqual([]);
  return found;
}

describe('laying pieces on cloth', () => {
  it('puts side by side what goes side by side', () => {
    // Two of 70 cm on 140; a third of 60 below them: 90 cm + 50 cm.
    const found = search([block(700, 900), block(700, 900), block(600, 500)], { widthMm: 1400 });
    expect(found.getBest().lengthMm).toBe(1400);
    // By area it would be (2 × 0.63 + 0.3) / 1.4 = 1.114 m.
    expect(found.leastMm).toBeCloseTo(1114.29, 2);
  });

  it('turns only what may be turned', () => {
    const [wide, narrow] = [block(1500, 300), block(1500, 300, true)];
    expect(search([wide], { widthMm: 1400 }).getBest()).toMatchObject({ laid: [], left: [0] });
    expect(search([narrow], { widthMm: 1400 }).getBest()).toMatchObject({ lengthMm: 1500, left: [] });
  });

  it('goes round holes, and leaves what does not go on', () => {
    const hole = { xMm: 400, yMm: 0, widthMm: 200, heightMm: 1000 };
    // 40 cm beside the hole on either side of it; the third goes below.
    const found = search([block(400, 900), block(400, 900), block(400, 900)], { widthMm: 1000, holes: [hole] });
    expect(found.getBest().lengthMm).toBe(1800);
    const short = search([block(400, 900), block(400, 900), block(400, 900)], {
      widthMm: 1000,
      lengthMm: 1500,
      holes: [hole],
    });
    expect(short.getBest().left).toHaveLength(1);
  });

  it.each(HAND_LAID)('lays a $name no longer than a hand does', (garment) => {
    for (const [n, widthCm] of HAND_WIDTHS_CM.entries()) {
      const found = search(toHandBlocks(garment), { widthMm: widthCm * 10 }, 800);
      expect(found.getBest().left).toEqual([]);
      expect(found.getBest().lengthMm).toBeLessThanOrEqual(garment.lengths[n]! * 10);
    }
  });

  it('names the smallest piece without which all the others go on', () => {
    // 1 m of 1.40 m: two fronts side by side fill it, and neither the facing nor the collar has room.
    const fronts = [0, 0].map(() => block(700, 950));
    const facing = { ...block(300, 300), piece: 1 };
    const sheet = { widthMm: 1400, lengthMm: 1000 };
    expect(findSpare([...fronts, facing], [sheet], createRandom(1))).toBe(1);
    expect(findSpare([...fronts, facing, { ...block(200, 400), piece: 2 }], [sheet], createRandom(1))).toBeNull();
  });

  it('knows that two wide ones never lie side by side', () => {
    expect(computeLeastLength([block(800, 500), block(900, 700), block(100, 100)], { widthMm: 1400 })).toBe(1200);
    // Turned they are narrow: then the area tells, (0.40 + 0.54) m² on 1.40 m.
    const may = [block(800, 500, true), block(900, 600, true)];
    expect(computeLeastLength(may, { widthMm: 1400 })).toBeCloseTo(671.43, 2);
  });

  const blocks = fc.array(
    fc.record({
      piece: fc.constant(0),
      widthMm: fc.integer({ min: 20, max: 900 }),
      heightMm: fc.integer({ min: 20, max: 1200 }),
      mayTurn: fc.boolean(),
    }),
    { maxLength: 14 },
  );
  const holes = fc.array(
    fc.record({
      xMm: fc.integer({ min: 0, max: 1000 }),
      yMm: fc.integer({ min: 0, max: 2000 }),
      widthMm: fc.integer({ min: 1, max: 400 }),
      heightMm: fc.integer({ min: 1, max: 400 }),
    }),
    { maxLength: 4 },
  );

  it('keeps every rule, is no shorter than the bound, and no longer after more tries', () => {
    fc.assert(
      fc.property(blocks, holes, fc.option(fc.integer({ min: 100, max: 4000 })), (all, some, length) => {
        const sheet = { widthMm: 800, holes: some, ...(length !== null && { lengthMm: length }) };
        const found = createLayoutSearch(all, sheet, createRandom(7));
        const first = found.getBest();
        found.advance(60);
        const best = found.getBest();
        expect(checkLayout(all, sheet, first)).toEqual([]);
        expect(checkLayout(all, sheet, best)).toEqual([]);
        if (best.left.length === 0 && all.length > 0) {
          expect(best.lengthMm).toBeGreaterThanOrEqual(found.leastMm - 1e-6);
          if (first.left.length === 0) expect(best.lengthMm).toBeLessThanOrEqual(first.lengthMm);
        }
      }),
      { numRuns: 120 },
    );
  });

  it('finds what trying every order finds', () => {
    const permute = (rest: readonly number[]): number[][] =>
      rest.length === 0
        ? [[]]
        : rest.flatMap((one) => permute(rest.filter((other) => other !== one)).map((more) => [one, ...more]));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 100, max: 700 }), fc.integer({ min: 100, max: 900 })), {
          minLength: 1,
          maxLength: 5,
        }),
        (sizes) => {
          const all = sizes.map(([w, h]) => block(w, h));
          const sheet = { widthMm: 1000 };
          const orders = permute(all.map((_, n) => n));
          const slow = Math.min(
            ...orders.flatMap((order) => RULES.map((rule) => layInOrder(all, order, sheet, rule).lengthMm)),
          );
          const found = createLayoutSearch(all, sheet, createRandom(3));
          found.advance(1500);
          expect(found.getBest().lengthMm).toBe(slow);
        },
      ),
      { numRuns: 25 },
    );
  });
});
