import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { finish, mapInSlices, sortInSlices } from './index.ts';

describe('work in slices', () => {
  it('sorts as the language does, alike ones in the order they came in', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(40), fc.nat()), { maxLength: 1500 }), (list) => {
        const compare = (a: readonly [number, number], b: readonly [number, number]) => a[0] - b[0];
        expect(finish(sortInSlices(list, compare))).toEqual(list.toSorted(compare));
      }),
      { numRuns: 40 },
    );
  });

  it('pauses often enough: no more than 256 are gone through between two pauses', () => {
    const [list, counts]: [number[], number[]] = [Array.from({ length: 2000 }, (_, n) => (n * 7919) % 2003), []];
    let count = 0;
    const work = mapInSlices(list, (n) => {
      count += 1;
      return n + 1;
    });
    let step = work.next();
    for (; !step.done; step = work.next()) {
      counts.push(count);
      count = 0;
    }
    expect(step.value).toEqual(list.map((n) => n + 1));
    expect(Math.max(...counts, count)).toBeLessThanOrEqual(256);
  });
});
