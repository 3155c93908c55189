import { describe, expect, it } from 'vitest';
import { wordLaid } from './layouts.ts';

const layout = (left: number) => ({ laid: [], left: Array.from({ length: left }, (_, n) => n), lengthMm: 2000 });
const laid = {
  takesMm: 2100,
  haveMm: 2500,
  lots: 1,
  isPlain: true,
  usableMm: 1480,
  endless: layout(0),
  exact: null,
  spare: null,
};

describe('what a layout says', () => {
  it('says how much is to spare or short, and what could be of another cloth', () => {
    expect(wordLaid(laid, 'metric')).toBe('It fits, 0.40 m to spare.');
    expect(wordLaid({ ...laid, haveMm: 1800, exact: layout(1), spare: 'facing' }, 'metric')).toBe(
      'Short of 0.30 m. Enough if the facing is of another cloth.',
    );
    expect(wordLaid({ ...laid, haveMm: 0, lots: 0 }, 'metric')).toBe('');
  });

  it('says that several lots do together, and what odd ones leave out', () => {
    expect(wordLaid({ ...laid, lots: 2, isPlain: false, exact: layout(0) }, 'metric')).toBe(
      'It fits on the 2 pieces together.',
    );
    expect(wordLaid({ ...laid, isPlain: false, exact: layout(2) }, 'metric')).toBe('2 pieces of it will not go on.');
    expect(wordLaid({ ...laid, endless: layout(1) }, 'metric')).toBe('1 piece too wide for it: 148 cm can be used.');
  });
});
