import { describe, expect, it } from 'vitest';
import { computeDeltaE, toLabColour } from './difference.ts';
import { findInPhoto, type Pixels } from './photo.ts';

const SIDE = 96;
type Rgb = readonly [number, number, number];
const OAT: Rgb = [205, 189, 152];
const NAVY: Rgb = [35, 48, 79];

/** A picture by a rule, with a weave's noise and light falling from one corner. */
function paint(at: (x: number, y: number) => Rgb, light = 0.1): Pixels {
  const data = new Uint8ClampedArray(SIDE * SIDE * 4);
  let seed = 1;
  for (let y = 0; y < SIDE; y += 1)
    for (let x = 0; x < SIDE; x += 1) {
      seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
      const factor = 1 + light * (0.5 - (x + y) / (2 * SIDE)) + (seed / 2_147_483_648 - 0.5) * 0.05;
      at(x, y).forEach((byte, i) => (data[4 * (y * SIDE + x) + i] = byte * factor));
      data[4 * (y * SIDE + x) + 3] = 255;
    }
  return { data, widthPx: SIDE, heightPx: SIDE };
}
const near = (hex: string, [r, g, b]: Rgb) =>
  computeDeltaE(toLabColour(hex)!, toLabColour(`#${[r, g, b].map((c) => c.toString(16).padStart(2, '0')).join('')}`)!);

describe('a photo of cloth', () => {
  it('of one colour is that colour, in any light', () => {
    for (const light of [0, 0.15, 0.3]) {
      const { colours, print } = findInPhoto(paint(() => NAVY, light));
      expect(print).toBe('solid');
      expect(near(colours[0]!.hex, NAVY)).toBeLessThan(3);
    }
  });

  it('of two colours tells both and their shares', () => {
    const { colours } = findInPhoto(paint((_, y) => (y % 16 < 4 ? NAVY : OAT)));
    expect(colours).toHaveLength(2);
    expect(near(colours[0]!.hex, OAT)).toBeLessThan(3);
    expect(near(colours[1]!.hex, NAVY)).toBeLessThan(4);
    expect(colours[0]!.share).toBeCloseTo(0.75, 1);
  });

  it.each<[string, (x: number, y: number) => boolean]>([
    ['stripe', (_, y) => y % 16 < 6],
    ['stripe', (x) => x % 20 < 8],
    ['check', (x, y) => x % 24 < 8 || y % 24 < 8],
    ['check', (x, y) => x % 24 < 2 || y % 24 < 2],
    ['check', (x, y) => x % 24 < 12 !== y % 24 < 12],
    ['dots', (x, y) => ((x % 24) - 12) ** 2 + ((y % 24) - 12) ** 2 < 30],
  ])('guesses a %s', (print, motif) => {
    expect(findInPhoto(paint((x, y) => (motif(x, y) ? OAT : NAVY))).print).toBe(print);
  });

  it('guesses a print that hardly differs from its ground', () => {
    const cream: Rgb = [240, 234, 220];
    const faint = paint((x, y) => (((x % 24) - 12) ** 2 + ((y % 24) - 12) ** 2 < 30 ? cream : OAT));
    expect(findInPhoto(faint).print).toBe('dots');
  });

  it('finds the same in the same picture', () => {
    const picture = paint((x, y) => (x % 9 < y % 7 ? NAVY : OAT));
    expect(findInPhoto(picture)).toEqual(findInPhoto(picture));
  });

  it('lays what is see-through on white', () => {
    const data = new Uint8ClampedArray(4 * 100);
    expect(findInPhoto({ data, widthPx: 10, heightPx: 10 }).colours[0]!.hex).toBe('#ffffff');
  });
});
