import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDeltaE, explainShift, findNearest, getMatch, toLabColour, type Lab } from './difference.ts';
import { parseColourWord } from './words.ts';

const lab = (l: number, a: number, b: number): Lab => ({ mode: 'lab65', l, a, b });
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => toLabColour(`#${n.toString(16).padStart(6, '0')}`)!);

describe('the difference of two colours', () => {
  // Published test data for the formula (Sharma, Wu, Dalal 2005, table 1: pairs 1, 7, 13, 17, 25).
  it.each([
    [lab(50, 2.6772, -79.7751), lab(50, 0, -82.7485), 2.0425],
    [lab(50, 0, 0), lab(50, -1, 2), 2.3669],
    [lab(50, -0.001, 2.49), lab(50, 0.0009, -2.49), 4.8045],
    [lab(50, 2.5, 0), lab(73, 25, -18), 27.1492],
    [lab(60.2574, -34.0099, 36.2677), lab(60.4626, -34.1751, 39.4387), 1.2644],
  ])('is as published', (a, b, deltaE) => expect(computeDeltaE(a, b)).toBeCloseTo(deltaE, 3));

  it('is the same both ways, and nothing only for the same colour', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(computeDeltaE(a, b)).toBeCloseTo(computeDeltaE(b, a), 9);
        expect(computeDeltaE(a, a)).toBe(0);
      }),
    );
  });

  it('is told in words', () => {
    expect(explainShift(lab(50, 0, 0), lab(40, 0, 0))).toEqual(['darker']);
    expect(explainShift(lab(50, 10, 10), lab(51, 2, 2))).toEqual(['greyer', 'greener']);
    expect(explainShift(lab(50, 0, 0), lab(50.5, 0, 0.5))).toEqual([]);
    expect([getMatch(1.9), getMatch(2), getMatch(5)]).toEqual(['near', 'seams', 'off']);
  });
});

describe('the nearest thread', () => {
  const cloth = lab(50, 20, 20);
  const of = (name: string, colour: Lab) => ({ of: name, lab: colour });

  it('comes first, and where none is near the darker or greyer one', () => {
    const near = findNearest(cloth, [of('far', lab(60, 20, 20)), of('near', lab(51, 20, 20))], 2);
    expect(near.map((one) => one.of)).toEqual(['near', 'far']);
    // Ten units lighter and ten darker look about as far off; the darker hides in the seam.
    const off = findNearest(cloth, [of('lighter', lab(60, 20, 20)), of('darker', lab(40, 20, 20))], 2);
    expect(off.map((one) => one.of)).toEqual(['darker', 'lighter']);
    expect(off[0]!.shifts).toEqual(['darker']);
  });
});

describe('colour words', () => {
  it('are the craft’s own, with shades of them', () => {
    expect(parseColourWord('oat')).toBe('#cdbd98');
    expect(parseColourWord('Navy')).toBe('#23304f');
    expect(parseColourWord('#a1b2c3')).toBe('#a1b2c3');
    expect(parseColourWord('salmon')).toBe('#fa8072');
    expect(parseColourWord('twill')).toBeNull();
    const [dark, plain, pale] = ['dark', undefined, 'pale'].map(
      (shade) => toLabColour(parseColourWord('green', shade)!)!.l,
    );
    expect(dark).toBeLessThan(plain!);
    expect(pale).toBeGreaterThan(plain!);
  });
});
