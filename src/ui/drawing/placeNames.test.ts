import { describe, expect, it } from 'vitest';
import { placeNames } from './placeNames.ts';

describe('names on a drawing', () => {
  it('stay where they belong as long as none is there', () => {
    expect(
      placeNames([
        { x: 0, y: 0, width: 60 },
        { x: 70, y: 5, width: 60 },
        { x: 0, y: 20, width: 60 },
      ]),
    ).toEqual([0, 0, 0]);
  });

  it('go below, then above, then further, one line each', () => {
    const same = { x: 0, y: 0, width: 60 };
    expect(placeNames([same, same, same, same])).toEqual([0, 17, -17, 34]);
  });
});
