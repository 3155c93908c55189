import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COLOUR_FAMILIES, computeWheelKey, getColourFamily } from './index.ts';

describe('the colour wheel', () => {
  it.each([
    ['#b8342f', 'red'],
    ['#dfae37', 'yellow'],
    ['#4d6a45', 'green'],
    ['#3a7a83', 'teal'],
    ['#2f4f78', 'blue'],
    ['#8d7aa6', 'violet'],
    ['#d77fa1', 'pink'],
    ['#5e4636', 'brown'],
    ['#ffffff', 'white'],
    ['#f3efe6', 'white'],
    ['#808488', 'grey'],
    ['#111111', 'black'],
  ])('calls %s %s', (hex, family) => expect(getColourFamily(hex)).toBe(family));

  it('has a family and a key for every colour', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(hex, (colour) => {
        const family = getColourFamily(colour);
        expect(COLOUR_FAMILIES).toContain(family);
        const key = computeWheelKey(colour);
        const nth = COLOUR_FAMILIES.indexOf(family);
        expect(key).toBeGreaterThanOrEqual(nth * 10 - 0.01);
        expect(key).toBeLessThan(nth * 10 + 10);
      }),
    );
  });

  it('goes round in order, neutrals last, light before dark', () => {
    const keys = ['#b8342f', '#4d6a45', '#2f4f78', '#ffffff', '#111111'].map(computeWheelKey);
    expect(keys).toEqual(keys.toSorted((a, b) => a - b));
    expect(computeWheelKey('#9fc08e')).toBeLessThan(computeWheelKey('#2f5a26'));
  });

  it('calls what it cannot read grey', () => expect(getColourFamily('no colour')).toBe('grey'));
});
