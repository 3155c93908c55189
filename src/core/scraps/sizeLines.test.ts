import { describe, expect, it } from 'vitest';
import { formatSizeLine, parseSizeLine } from './index.ts';

describe('sizes that scraps are cut to', () => {
  it.each([
    ['square 12.7 worth 4', 'metric', { kind: 'square', sideMm: 127, leastMm: 127, worth: 4 }],
    ['strips 2,5 from 12 worth 5', 'imperial', { kind: 'strip', sideMm: 63.5, leastMm: 304.8, worth: 5 }],
    // Worth as many squares of 2½ inches as it has room of: two by two.
    ['squares 5', 'imperial', { kind: 'square', sideMm: 127, leastMm: 127, worth: 4 }],
    ['strip 6.35', 'metric', { kind: 'strip', sideMm: 63.5, leastMm: 317.5, worth: 5 }],
  ] as const)('are written as “%s”', (text, units, size) => {
    const read = parseSizeLine(text, units);
    expect(read).toMatchObject({
      ok: true,
      value: {
        kind: size.kind,
        sideMm: expect.closeTo(size.sideMm) as number,
        leastMm: expect.closeTo(size.leastMm) as number,
        worth: expect.closeTo(size.worth) as number,
      },
    });
    if (!read.ok) return;
    const again = parseSizeLine(formatSizeLine(read.value, units), units);
    expect(again).toMatchObject({
      ok: true,
      value: { id: read.value.id, sideMm: expect.closeTo(size.sideMm, 1) as number },
    });
  });

  it.each(['', 'circle 5', 'square', 'square 0', 'square 999', 'strip 10 from 5', 'square 5 worth 0'])(
    'are none as “%s”',
    (text) => expect(parseSizeLine(text, 'metric')).toEqual({ ok: false, fault: 'no-size' }),
  );
});
