import { describe, expect, it } from 'vitest';
import { formatMakes, parseMakes, parseNeedLine, parseStepLine } from './index.ts';

describe('sizes and how many of each', () => {
  it.each([
    ['38', [{ size: '38', count: 1 }]],
    [
      '2 x 38, 42',
      [
        { size: '38', count: 2 },
        { size: '42', count: 1 },
      ],
    ],
    [
      '38 ×2 and 42 ×2',
      [
        { size: '38', count: 2 },
        { size: '42', count: 2 },
      ],
    ],
    ['10 of 8', [{ size: '8', count: 10 }]],
    ['tall 44', [{ size: 'tall 44', count: 1 }]],
    ['3 pieces', [{ size: '', count: 3 }]],
    ['1 piece', [{ size: '', count: 1 }]],
    ['', []],
    [', ;', []],
  ])('reads “%s”', (text, makes) => {
    expect(parseMakes(text)).toEqual(makes);
    expect(parseMakes(formatMakes(makes))).toEqual(makes);
  });
});

describe('what it takes', () => {
  it.each([
    ['lining 1.4 m', { kind: 'fabric', part: 'lining', amount: 1400 }],
    ['main', { kind: 'fabric', part: 'main' }],
    ['80 cm of fusible', { kind: 'fabric', part: 'interfacing', amount: 800 }],
    ['zip 20 cm', { kind: 'notion', part: 'zip 20 cm' }],
    ['6 horn buttons', { kind: 'notion', part: 'horn buttons', amount: 6 }],
    ['grey thread', { kind: 'thread', part: 'grey thread' }],
  ])('reads “%s”', (text, need) => {
    expect(parseNeedLine(text, 'metric', 'n')).toEqual({ id: 'n', ...need });
  });

  it('is nothing without a word', () => {
    expect(parseNeedLine(' 12 ', 'metric', 'n')).toBeNull();
  });
});

describe('steps', () => {
  it.each([
    ['Set the sleeves in 45', { name: 'Set the sleeves in', station: 'sewing', minutes: 45 }],
    ['press 10 min', { name: 'press', station: 'pressing', minutes: 10 }],
    ['Cut out', { name: 'Cut out', station: 'cutting' }],
    ['Hem by hand', { name: 'Hem by hand', station: 'handwork' }],
  ])('reads “%s”', (text, step) => {
    expect(parseStepLine(text, 's')).toEqual({ id: 's', ...step });
  });
});
