import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createPattern, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeOkDistance } from '../colour/index.ts';
import type { Household, Item, Label, Lot, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import {
  chooseSwatches,
  computePlaceContents,
  judgeLotLabel,
  judgePlaceLabel,
  judgeWords,
  listLotSayings,
  listPlaceSayings,
  type PlaceContent,
} from './index.ts';

const A1 = 'shelf-A1' as PlaceId;
const places = createUnit('shelf', {});
const contentOf = (household: Household, id = A1) =>
  computePlaceContents(household, createPlaceTree(household.places)).get(id)!;
const print = (content: PlaceContent): Label => ({
  code: '222222222',
  printedAtMs: 1,
  says: listPlaceSayings(content),
  swatches: [...content.swatches],
});
const withThings = (...things: [Item, Partial<Lot>?][]) =>
  createHousehold(
    places,
    things.map(([item]) => item),
    things.map(([item, change]) => createLot(item, A1, change)),
  );
const blue = createCloth('blue', { colours: ['#2f5d7c'] });
const navy = createCloth('navy', { colours: ['#2d5878'] });
const rust = createCloth('rust', { colours: ['#b5502f'] });

describe('what is in a place', () => {
  it('is told by its groups, the most first, with the numbers of patterns', () => {
    const content = contentOf(withThings([blue], [navy], [createPattern('smock', 119)], [createPattern('cape', 104)]));
    expect(content.path).toBe('shelf › A1');
    expect(content.parts.map(({ group, lots, numbers }) => [group.id, lots, numbers])).toEqual([
      ['fabric:fibre:cotton', 2, null],
      ['pattern:numberRun:100', 2, { from: 104, to: 119 }],
    ]);
  });

  it('counts what is out and comes back, not what merely belongs elsewhere', () => {
    const out = createLot(blue, A1, { state: 'out', placeId: undefined });
    const household = createHousehold(places, [blue], [out]);
    expect(contentOf(household).parts).toHaveLength(1);
    const lost = createHousehold(places, [blue], [{ ...out, homeId: undefined }]);
    expect(contentOf(lost).parts).toHaveLength(0);
  });
});

describe('swatches', () => {
  it('leave out what looks alike, and every colour looks like one of them', () => {
    expect(chooseSwatches(['#2f5d7c', '#2d5878', '#b5502f'])).toHaveLength(2);
    expect(chooseSwatches([])).toEqual([]);
    const { household } = createSampleHousehold();
    const all = [...household.items.values()].flatMap((item) => item.colours);
    const chosen = chooseSwatches(all);
    for (const hex of all)
      expect(Math.min(...chosen.map((one) => computeOkDistance(one, hex)!))).toBeLessThanOrEqual(0.12);
    // Black, white and a step between them, by hand: the middle is half as far as the ends.
    expect(computeOkDistance('#000000', '#ffffff')).toBeCloseTo(1, 6);
    expect(computeOkDistance('#000000', 'no colour')).toBeNull();
  });
});

describe('a label', () => {
  it('is true when it is printed, for every place of the sample', () => {
    const { household } = createSampleHousehold();
    for (const content of computePlaceContents(household, createPlaceTree(household.places)).values())
      expect(judgePlaceLabel(print(content), content)).toEqual([]);
  });

  it.each<[string, [Item, Partial<Lot>?][], string]>([
    ['another group came', [[blue], [createPattern('smock', 119)]], 'new-group pattern:numberRun:100'],
    ['nothing of a group is left', [], 'gone-group fabric:fibre:cotton'],
    ['a colour came that is like no swatch', [[blue], [rust]], 'colour #b5502f'],
  ])('is no longer true when %s', (_, things, said) => {
    const label = print(contentOf(withThings([blue], [navy])));
    const drift = judgePlaceLabel(label, contentOf(withThings(...things)));
    expect(drift.map((one) => Object.values(one).join(' '))).toEqual([said]);
  });

  it('stays true while only what it says already comes and goes', () => {
    const label = print(contentOf(withThings([blue])));
    expect(judgePlaceLabel(label, contentOf(withThings([navy])))).toEqual([]);
  });

  it('is no longer true when a number leaves its range, or the place its spot', () => {
    const label = print(contentOf(withThings([createPattern('smock', 104)], [createPattern('cape', 119)])));
    const inside = contentOf(withThings([createPattern('vest', 110)]));
    expect(judgePlaceLabel(label, inside)).toEqual([]);
    const outside = contentOf(withThings([createPattern('smock', 104)], [createPattern('coat', 131)]));
    expect(judgePlaceLabel(label, outside)).toEqual([{ code: 'number', from: 104, to: 131 }]);
    // Two runs of numbers that lie there are told as one, as the label would say it.
    const twoRuns = [createPattern('smock', 104), createPattern('cape', 119), createPattern('hat', 204)] as const;
    const both = print(contentOf(withThings([twoRuns[0]], [twoRuns[1]], [twoRuns[2]])));
    const more = contentOf(withThings([twoRuns[0]], [twoRuns[1]], [twoRuns[2]], [createPattern('bag', 214)]));
    expect(judgePlaceLabel(both, more)).toEqual([{ code: 'number', from: 104, to: 214 }]);
    expect(judgePlaceLabel(label, { ...inside, path: 'rack › A1' })).toEqual([
      { code: 'elsewhere', path: 'shelf › A1' },
    ]);
  });

  it('of a lot is no longer true when the thing is called or is otherwise', () => {
    const label: Label = { code: '222222222', printedAtMs: 1, says: listLotSayings(blue, null), swatches: [] };
    expect(judgeLotLabel(label, blue, null)).toEqual([]);
    const other = { ...blue, name: 'Lock blue', fabric: { ...blue.fabric!, widthMm: 1120 } };
    expect(judgeLotLabel(label, other, null)).toEqual([
      { code: 'changed', about: 'name' },
      { code: 'changed', about: 'width' },
    ]);
  });
});

describe("one's own words", () => {
  const there = ['Cotton', 'zips', 'Boat curtain blue'];
  it.each([
    ['Misc stuff', 'vague'],
    ['Bin 3', 'vague'],
    ['Odds & ends', 'vague'],
    ['Old sewing things', 'vague'],
    ['Elastic', 'unrelated'],
    ['Zip', null],
    ['Curtains for boats', null],
    ['cottons', null],
  ])('%s: %s', (words, judged) => expect(judgeWords(words, there)).toBe(judged));
});
