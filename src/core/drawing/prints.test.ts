import { describe, expect, it } from 'vitest';
import { createCloth } from '../../../tests/household.ts';
import { PRINTS } from '../records/index.ts';
import { getDrawnPrint, PRINT_TILES } from './index.ts';

const fabric = createCloth('cloth').fabric!;
const drawn = (colours: string[], rest: Partial<typeof fabric> = { print: 'dots' }) =>
  getDrawnPrint({ colours, fabric: { ...fabric, ...rest } });

describe('a print', () => {
  it('is drawn, whichever it is; a plain cloth has none', () => {
    for (const print of PRINTS) expect(drawn(['#2f5d7c'], { print })?.name).toBe(print === 'solid' ? undefined : print);
    expect(Object.keys(PRINT_TILES)).toHaveLength(PRINTS.length - 1);
    expect(getDrawnPrint({ colours: ['#2f5d7c'] })).toBeUndefined();
  });

  it('is seen of a plain cloth where its weave is', () => {
    expect(drawn(['#2f5d7c'], { print: 'solid', weave: 'herringbone' })?.name).toBe('herringbone');
    expect(drawn(['#2f5d7c'], { print: 'solid', weave: 'twill' })).toBeUndefined();
  });

  it('is light on a dark cloth, dark on a light one, and in the second colour where that is seen', () => {
    expect(drawn(['#23272c'])!.ink).toBe('#fffdf8');
    expect(drawn(['#f4ead6'])!.ink).toBe('#22303c');
    expect(drawn(['#f4ead6', '#a63d32'])!.ink).toBe('#a63d32');
    expect(drawn(['#f4ead6', '#f2e8d3'])!.ink).toBe('#22303c');
  });

  it('repeats in whole marks: every path begins with a move', () => {
    for (const { widthPx, heightPx, marks } of Object.values(PRINT_TILES)) {
      expect(Math.min(widthPx, heightPx)).toBeGreaterThan(4);
      for (const { d, share } of marks) {
        expect(d).toMatch(/^M-?\d/u);
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThanOrEqual(1);
      }
    }
  });
});
