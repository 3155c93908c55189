import { describe, expect, it } from 'vitest';
import { computeGroups, computeNeeds } from '../../core/grouping/index.ts';
import { createPlaceTree } from '../../core/storage/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { wordAmount, wordGroup, wordStanding, wordThing, wordUnplaced } from './index.ts';
import { explainNeeds } from './needs.ts';
import type { Standing } from '../../core/whereabouts/index.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const row = { kind: 'row', nth: 4, of: 9, from: 'left', row: 1, rows: 1 } as const;

describe('where in its place', () => {
  it.each<[Standing, string]>([
    [row, '4th of 9 from the left'],
    [{ ...row, nth: 1, of: 1 }, 'alone'],
    [{ ...row, nth: 22, of: 30, row: 2, rows: 3 }, 'row 2 of 3, 22nd of 30 from the left'],
    [{ ...row, nth: 11, of: 12, from: 'front', row: 1, rows: 2 }, 'lane 1 of 2, 11th of 12 from the front'],
    [{ kind: 'pile', nth: 3, of: 5, pile: 1, piles: 2 }, 'pile 1 of 2, 3rd of 5 from the top'],
    [{ kind: 'among', of: 12 }, 'among 12 things'],
  ])('%o is “%s”', (standing, words) => expect(wordStanding(standing)).toBe(words));
});

describe('why something has no home', () => {
  const chest = tree.leaves.find((place) => place.slot?.opening === 'lid')!;
  it.each([
    ['too-long', 610, 550, '61 cm long; the longest place that takes its kind is Eave chest › Drawer 1 with 55 cm.'],
    ['load', 12_000, 8000, 'It weighs 12.0 kg; Eave chest › Drawer 1 carries 8.00 kg.'],
    ['full', 0.4, 0.1, 'It would fit Eave chest › Drawer 1, but needs 40 % of it and 10 % is free.'],
    [
      'not-packed',
      0.2,
      0.4,
      'Eave chest › Drawer 1 has room for it in sum, but no way was found to lay it beside what is there.',
    ],
    ['laden', 900, 250, 'It weighs 900 g; Eave chest › Drawer 1 can carry only 250 g more.'],
    ['children', 0, 0, 'Every place that it fits is within reach of children.'],
  ])('%s says what is missing', (code, needed, available, words) =>
    expect(wordUnplaced({ code, needed, available, placeId: chest.id }, tree, 'metric')).toBe(words),
  );
});

describe('things', () => {
  it('are told in one line, whatever they are', () => {
    for (const lot of household.lots.values()) {
      const item = household.items.get(lot.itemId)!;
      expect(wordThing(item, 'metric')).not.toMatch(/undefined|NaN|^$/);
      expect(wordAmount(item, lot, 'imperial')).toMatch(/\d/);
    }
  });

  it('of a group need some room, in words', () => {
    for (const group of computeGroups(household)) {
      expect(wordGroup(group, household)).not.toMatch(/undefined|^$/);
      for (const need of explainNeeds(computeNeeds(group, household), 'metric')) {
        expect(need.words).toMatch(/^[\d.]+ /);
        expect(need.how).toMatch(/pieces?/);
      }
    }
  });
});
