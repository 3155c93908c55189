import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkScrapPlan } from '../../check/scraps.ts';
import { arbitraryOutlines } from '../../../tests/outlines.ts';
import type { Point } from '../layout/index.ts';
import { createFiller } from './fill.ts';
import {
  alignRegion,
  createScrapSearch,
  listCutLines,
  measureRegion,
  USUAL_SIZES,
  type Region,
  type ScrapSize,
} from './index.ts';

const square = (sideMm: number, worth: number): ScrapSize => ({
  id: `square-${sideMm}`,
  kind: 'square',
  sideMm,
  leastMm: sideMm,
  worth,
});
const strip = (sideMm: number, leastMm: number, worth: number): ScrapSize => ({
  id: `strip-${sideMm}`,
  kind: 'strip',
  sideMm,
  leastMm,
  worth,
});
const corners = (...all: [number, number][]): Point[] => all.map(([xMm, yMm]) => ({ xMm, yMm }));
const region = (outline: readonly Point[], holes: Region['holes'] = []): Region => ({ outlines: [outline], holes });

function plan(of: Region, sizes: readonly ScrapSize[]) {
  const search = createScrapSearch(of, sizes);
  expect(checkScrapPlan(of, search.getBest())).toEqual([]);
  while (search.advance());
  const best = search.getBest();
  expect(checkScrapPlan(of, best)).toEqual([]);
  expect(best.worth).toBeLessThanOrEqual(search.most.byShape + 1e-6);
  expect(search.most.byShape).toBeLessThanOrEqual(search.most.byArea + 1e-6);
  return best;
}

describe('cuts from edge to edge', () => {
  it('are one between two bands side by side', () => {
    const best = plan(region(corners([0, 0], [400, 0], [400, 310], [0, 310])), USUAL_SIZES);
    const lines = listCutLines(best);
    expect(lines.length).toBeGreaterThan(2);
    for (const [n, mm] of lines.slice(1).entries()) expect(mm - lines[n]!).toBeGreaterThan(50);
  });
});

describe('strips that lie one way', () => {
  it('run along the grain, which is upright', () => {
    const long = strip(63.5, 200, 1);
    const worth = (of: Region, isOneWay: boolean) => createScrapSearch(of, [long], isOneWay).getBest().worth;
    const lying = region(corners([0, 0], [300, 0], [300, 70], [0, 70]));
    const standing = region(corners([0, 0], [70, 0], [70, 300], [0, 300]));
    expect([worth(lying, false), worth(lying, true)]).toEqual([1.5, 0]);
    expect([worth(standing, false), worth(standing, true)]).toEqual([1.5, 1.5]);
  });
});

describe('filling a rectangle', () => {
  it('mixes sizes for the greatest worth', () => {
    // 30 × 20: one of 20 for 5 and two of 10 beside it for 2; or six of 10 for 6.
    expect(createFiller([square(200, 5), square(100, 1)])(300, 200).worth).toBe(7);
    expect(createFiller([square(200, 3), square(100, 1)])(300, 200).worth).toBe(6);
    expect(createFiller([square(200, 3)])(190, 400)).toEqual({ worth: 0, pieces: [] });
  });

  it('lets strips run as far as they go', () => {
    // Two strips of 10 along 70: each worth 70/50 of 2. None of 40.
    expect(createFiller([strip(100, 500, 2)])(700, 200).worth).toBeCloseTo(5.6);
    expect(createFiller([strip(100, 500, 2)])(400, 200).worth).toBe(0);
  });
});

describe('cutting a scrap', () => {
  it('gives what fits a plain remnant', () => {
    // 40 × 30 cm in squares of 10: four by three.
    const best = plan(region(corners([0, 0], [400, 0], [400, 300], [0, 300])), [square(100, 1)]);
    expect(best.pieces).toHaveLength(12);
    expect(best.bands.length).toBeGreaterThan(0);
  });

  it('finds the band that a slanting edge leaves, and goes round a hole', () => {
    // A triangle of 40 by 40: 3 + 2 + 1 squares of 10 under its slope.
    const triangle = region(corners([0, 0], [400, 400], [0, 400]));
    expect(plan(triangle, [square(100, 1)]).pieces).toHaveLength(6);
    const holed = region(corners([0, 0], [400, 0], [400, 300], [0, 300]), [
      { xMm: 110, yMm: 110, widthMm: 60, heightMm: 60 },
    ]);
    expect(plan(holed, [square(100, 1)]).pieces).toHaveLength(11);
  });

  it('cuts what is common to scraps that lie on each other', () => {
    const wide = corners([0, 0], [400, 0], [400, 200], [0, 200]);
    const long = corners([0, 0], [200, 0], [200, 400], [0, 400]);
    expect(plan({ outlines: [wide, long], holes: [] }, [square(100, 1)]).pieces).toHaveLength(4);
  });

  it('cuts on the grain, however the scrap lies', () => {
    // A square of 20 on its corner holds one of 14 by its edges; turned to the grain four of 10.
    const turned = region(corners([141.42, 0], [282.84, 141.42], [141.42, 282.84], [0, 141.42]));
    expect(plan(turned, [square(100, 1)]).pieces).toHaveLength(1);
    const aligned = alignRegion(turned, 45);
    expect(measureRegion(aligned).widthMm).toBeCloseTo(200, 1);
    expect(plan(aligned, [square(99.9, 1)]).pieces).toHaveLength(4);
  });

  it('says nothing of what is too small, or crosses itself', () => {
    expect(plan(region(corners([0, 0], [50, 0], [50, 50])), USUAL_SIZES)).toMatchObject({ worth: 0, pieces: [] });
  });

  const outlines = arbitraryOutlines(0.45, [4, 10], [100, 320]);

  it('keeps every rule, and no plan is worth more than the bound', () => {
    fc.assert(
      fc.property(outlines, fc.boolean(), (outline, hasHole) => {
        const holes = hasHole ? [{ xMm: 90, yMm: 70, widthMm: 40, heightMm: 30 }] : [];
        const search = createScrapSearch({ outlines: [outline], holes }, USUAL_SIZES);
        search.advance();
        search.advance();
        expect(checkScrapPlan({ outlines: [outline], holes }, search.getBest())).toEqual([]);
        expect(search.getBest().worth).toBeLessThanOrEqual(search.most.byShape + 1e-6);
      }),
      { numRuns: 40 },
    );
  });
});
