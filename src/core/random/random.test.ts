import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom, pick, shuffle } from './index.ts';

describe('the seeded stream', () => {
  it('is the same for the same seed, and another for another', () => {
    const draw = (seed: number) => Array.from({ length: 20 }, createRandom(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });

  it('stays in [0, 1) and fills it evenly', () => {
    const random = createRandom(1);
    const bins = Array.from({ length: 10 }, () => 0);
    for (let i = 0; i < 20_000; i += 1) {
      const x = random();
      expect(x >= 0 && x < 1).toBe(true);
      bins[Math.floor(x * 10)]! += 1;
    }
    // Two thousand expected in each; six standard deviations are about 255.
    for (const count of bins) expect(Math.abs(count - 2000)).toBeLessThan(255);
  });

  it('shuffles without losing anything, and leaves the given list alone', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.nat(), (list, seed) => {
        const before = [...list];
        const mixed = shuffle(createRandom(seed), list);
        expect(mixed.toSorted((a, b) => a - b)).toEqual(before.toSorted((a, b) => a - b));
        expect(list).toEqual(before);
      }),
    );
  });

  it('picks from all', () => {
    const random = createRandom(3);
    const seen = new Set(Array.from({ length: 200 }, () => pick(random, ['a', 'b', 'c'])));
    expect(seen).toEqual(new Set(['a', 'b', 'c']));
  });
});
