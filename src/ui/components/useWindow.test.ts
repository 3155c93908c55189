import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findLineAt } from './useWindow.ts';

describe('the line at a height', () => {
  it('is the one that looking through all of them finds', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1 }),
        fc.integer({ min: -50, max: 9000 }),
        (heights, at) => {
          const starts = [0];
          for (const height of heights) starts.push(starts.at(-1)! + height);
          const slow = heights.findIndex((_, i) => starts[i + 1]! > at);
          expect(findLineAt(starts, at)).toBe(slow === -1 ? heights.length : slow);
        },
      ),
    );
  });

  it('is the first of an empty list', () => expect(findLineAt([0], 5)).toBe(0));
});
