import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import type { GroupLabel, GroupPart } from '../../core/grouping/index.ts';
import { DEFAULT_BOUNDS, type Kind } from '../../core/records/index.ts';
import { wordClass, wordGroup, wordInside } from './groups.ts';

const household = createHousehold(
  createUnit('cube', {}),
  [createCloth('Oat linen')],
  [createLot(createCloth('Oat linen'))],
);

const name = (kind: Kind, labels: readonly (readonly [GroupLabel['code'], string])[], part: GroupPart | null = null) =>
  wordGroup({ kind, labels: labels.map(([code, value]) => ({ code, value })), part }, household);

describe('the name of a group', () => {
  it.each([
    ['fabric', [['fibre', 'linen']], 'Linen'],
    ['fabric', [['fibre', '']], 'Cloth without a fibre'],
    [
      'fabric',
      [
        ['lengthClass', '1'],
        ['fibre', 'linen'],
        ['colour', 'blue'],
      ],
      'Project lengths, linen, blue',
    ],
    [
      'fabric',
      [
        ['weight', '0'],
        ['print', 'solid'],
      ],
      'Light cloth, plain',
    ],
    [
      'fabric',
      [
        ['fibre', 'wool'],
        ['weight', '2'],
      ],
      'Wool, heavy cloth',
    ],
    ['fabric', [['tag', 'winter']], 'Winter cloth'],
    ['fabric', [['source', 'the swap']], 'Cloth from the swap'],
    ['fabric', [['behaviour', 'sheds']], 'What sheds'],
    ['pattern', [['numberRun', '100']], 'Patterns 100–199'],
    [
      'pattern',
      [
        ['format', 'large'],
        ['numberRun', '200'],
      ],
      'Large envelopes, 200–299',
    ],
    ['pattern', [['made', 'no']], 'Patterns not yet made'],
    ['thread', [['use', 'general']], 'General thread'],
    ['thread', [['holder', 'cone']], 'Thread on cones'],
    ['tool', [['station', 'st-cut']], 'Cutting tools'],
    ['tool', [['often', '3']], 'Tools used all the time'],
    ['scrap', [['parent', 'Oat linen']], 'Scraps of Oat linen'],
    ['other', [['type', 'book']], 'Book'],
  ] as const)('%s %o is “%s”', (kind, labels, words) => expect(name(kind, labels)).toBe(words));

  it('says what of it is in this part', () => {
    const part = (by: GroupPart['by'], from: number, to: number, index = 0): GroupPart => ({
      by,
      index,
      of: 3,
      from,
      to,
    });
    expect(name('pattern', [['numberRun', '100']], part('number', 101, 140))).toBe('Patterns 100–199, 101–140');
    expect(name('fabric', [['fibre', 'wool']], part('length', 900, 2400))).toBe('Wool, 0.90 m to 2.40 m');
    // Green from light to dark, then brown; a part of one shade says which it is.
    expect(name('fabric', [['fibre', 'wool']], part('wheel', 30.2, 80.8))).toBe('Wool, light green to dark brown');
    expect(name('fabric', [['fibre', 'wool']], part('wheel', 50.7, 50.8, 1))).toBe('Wool, dark blue, 2nd of 3');
    const group = {
      kind: 'fabric' as const,
      labels: [{ code: 'fibre' as const, value: 'wool' }],
      part: part('length', 1, 2),
    };
    expect(wordInside(group, household)).toBe('0.00 m to 0.00 m');
  });
});

describe('the name of a class', () => {
  it('is a word while there are as many as have names, else from where to where it goes', () => {
    expect([0, 1, 2].map((i) => wordClass('lengthMm', i, DEFAULT_BOUNDS, 'metric'))).toEqual([
      'remnants',
      'project lengths',
      'garment lengths',
    ]);
    const bounds = { ...DEFAULT_BOUNDS, lengthMm: [3000, 1000, 2000], numbers: [500, 900] };
    expect([0, 1, 3].map((i) => wordClass('lengthMm', i, bounds, 'metric'))).toEqual([
      'under 1.00 m',
      '1.00 m to 2.00 m',
      '3.00 m and more',
    ]);
    expect([0, 1, 2].map((i) => wordClass('numbers', i, bounds, 'metric'))).toEqual(['0–499', '500–899', '900 and up']);
    expect(wordClass('numbers', 0, DEFAULT_BOUNDS, 'metric')).toBe('by hundreds');
    expect(wordClass('grammageGsm', 1, { ...DEFAULT_BOUNDS, grammageGsm: [339.06] }, 'imperial')).toBe(
      '10.0 oz/yd² and more',
    );
  });
});
