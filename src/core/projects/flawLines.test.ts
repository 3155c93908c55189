import { describe, expect, it } from 'vitest';
import { formatFlaw, parseFlawLine } from './index.ts';

describe('a flaw', () => {
  it('is written with its size and where it is', () => {
    const stain = { xMm: 300, yMm: 1200, widthMm: 40, heightMm: 60, note: 'stain' };
    expect(parseFlawLine('stain 4 × 6 at 30, 120', 'metric')).toEqual({ ok: true, value: stain });
    expect(parseFlawLine('stain 4 x 6 cm 30 120', 'metric')).toEqual({ ok: true, value: stain });
    expect(formatFlaw(stain, 'metric')).toBe('stain 4 × 6 at 30, 120');
    expect(parseFlawLine('2 × 1,5 at 0, 10', 'imperial')).toEqual({
      ok: true,
      value: { xMm: 0, yMm: 254, widthMm: 50.8, heightMm: expect.closeTo(38.1) as number },
    });
    for (const bad of ['', 'a stain', '4 × 6', '0 × 6 at 3, 4'])
      expect(parseFlawLine(bad, 'metric')).toEqual({ ok: false, fault: 'no-flaw' });
  });
});
