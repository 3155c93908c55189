import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { finish, mapInSlices } from '../../core/slices/index.ts';
import { speak } from '../language/choose.ts';
import { formatFixed } from '../language/index.ts';
import { deriveSlowly } from './slowly.ts';

const { household } = createSampleHousehold(1, 40);

describe('what takes a while to work out', () => {
  it('is worked out once, whether it is had at once or as a part of other work', () => {
    let times = 0;
    const counted = deriveSlowly(function* (of: typeof household) {
      times += 1;
      return (yield* mapInSlices(of.lots.values(), (lot) => lot.id, 8)).length;
    });
    expect(finish(counted.inSlices(household))).toBe(40);
    expect(counted.get(household)).toBe(40);
    expect(finish(counted.inSlices(household))).toBe(40);
    expect(times).toBe(1);
    // Another state of the household has its own.
    expect(counted.get({ ...household, lots: new Map() })).toBe(0);
    expect(times).toBe(2);
  });

  it('is kept as it was said first where two work on it, so that what is drawn with it is the same', () => {
    const listed = deriveSlowly(function* (of: typeof household) {
      return yield* mapInSlices(of.items.keys(), (id) => id, 4);
    });
    const begun = listed.inSlices(household);
    begun.next();
    const first = listed.get(household);
    expect(finish(begun)).toBe(first);
    expect(listed.get(household)).toBe(first);
  });

  it('is worked out anew in another language, for it may hold words', async () => {
    const worded = deriveSlowly(function* (of: typeof household) {
      yield;
      return formatFixed(of.lots.size / 16, 2);
    });
    expect(worded.get(household)).toBe('2.50');
    await speak('de');
    expect(worded.get(household)).toBe('2,50');
    await speak('en');
    expect(worded.get(household)).toBe('2.50');
  });

  it('fails as the work fails, and is tried again', () => {
    let isBroken = true;
    const fragile = deriveSlowly(function* (of: typeof household) {
      yield;
      if (isBroken) throw new Error('not now');
      return of.items.size;
    });
    expect(() => fragile.get(household)).toThrow('not now');
    isBroken = false;
    expect(fragile.get(household)).toBe(household.items.size);
  });
});
