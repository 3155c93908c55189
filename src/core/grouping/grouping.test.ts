import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createSpool,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import {
  createSorting,
  DEFAULT_BOUNDS,
  KINDS,
  SCHOOLS_OF_KIND,
  type Item,
  type Kind,
  type Lot,
  type Settings,
  type Sorting,
} from '../records/index.ts';
import { computeGroups, computeNeeds } from './index.ts';

/** Every kind by its usual school, but for those told. */
function sortBy(change: Partial<Record<Kind, Partial<Sorting>>>) {
  const sorting = createSorting();
  for (const kind of KINDS) Object.assign(sorting[kind], change[kind]);
  return sorting;
}

function group(
  things: readonly [Item, Partial<Lot>?][],
  change: Parameters<typeof sortBy>[0] = {},
  settings: Partial<Settings> = {},
) {
  const household = createHousehold(
    createUnit('cube', {}),
    things.map(([item]) => item),
    things.map(([item, change]) => createLot(item, null, change)),
    { sorting: sortBy(change), ...settings },
  );
  const groups = computeGroups(household);
  const nameOf = ({ labels, part, lots }: (typeof groups)[number]) =>
    `${labels.map(({ code, value }) => `${code} ${value}`).join(', ')}${part ? ` part ${part.index}` : ''}: ${lots.length}`;
  return { household, groups, names: groups.map(nameOf) };
}

const fibre = (name: string) => ({ fabric: { ...createCloth('x').fabric!, fibre: name } });

describe('the schools of cloth', () => {
  const linen = createCloth('linen', fibre('linen'));
  const wool = createCloth('wool', { ...fibre('wool'), colours: ['#b8342f'] });
  const more = createCloth('more', { ...fibre('wool'), colours: ['#2b2b2b'] });

  it('by fibre', () => expect(group([[linen], [wool], [more]]).names).toEqual(['fibre linen: 1', 'fibre wool: 2']));

  it('by colour round the wheel, neutrals last', () =>
    expect(group([[linen], [wool], [more]], { fabric: { levels: ['colour'] } }).names).toEqual([
      'colour red: 1',
      'colour blue: 1',
      'colour black: 1',
    ]));

  it('by length class, each boundary on its upper side', () => {
    const cut = (id: string, lengthMm: number): [Item, Partial<Lot>] => [createCloth(id), { lengthMm }];
    const { groups } = group([cut('a', 914), cut('b', 914.4), cut('c', 4571), cut('d', 4572), cut('e', 9000)], {
      fabric: { levels: ['lengthClass'], order: 'length' },
    });
    const ids = groups.map((one) => [one.labels[0]!.value, one.lots.map((lot) => lot.itemId).join('')]);
    // Inside a class the longest comes first.
    expect(ids).toEqual([
      ['0', 'a'],
      ['1', 'cb'],
      ['2', 'ed'],
    ]);
  });

  it('by boundaries of one’s own, however many', () => {
    const cut = (id: string, lengthMm: number): [Item, Partial<Lot>] => [createCloth(id), { lengthMm }];
    const bounds = { ...DEFAULT_BOUNDS, lengthMm: [2000] };
    const things = [cut('a', 1999), cut('b', 2000)];
    expect(group(things, { fabric: { levels: ['lengthClass'] } }, { bounds }).names).toEqual([
      'lengthClass 0: 1',
      'lengthClass 1: 1',
    ]);
  });

  it('inside each other, then in their order', () => {
    const short = { lengthMm: 500 };
    const { names, groups } = group(
      [[wool, short], [linen], [more], [createCloth('last', { ...fibre('wool'), colours: ['#b8342f'] })]],
      { fabric: { levels: ['lengthClass', 'fibre'], order: 'wheel' } },
    );
    expect(names).toEqual([
      'lengthClass 0, fibre wool: 1',
      'lengthClass 1, fibre linen: 1',
      'lengthClass 1, fibre wool: 2',
    ]);
    expect(groups[2]!.lots.map((lot) => lot.itemId)).toEqual(['last', 'more']);
  });

  it('by weight, by behaviour, plain apart from prints, by the first of the tags asked for', () => {
    const heavy = createCloth('heavy', { fabric: { ...createCloth('x').fabric!, grammageGsm: 250, print: 'check' } });
    const knit = createCloth('knit', {
      fabric: { ...createCloth('x').fabric!, stretchPercent: 30 },
      tags: ['winter', 'gift'],
    });
    const by = (level: 'weight' | 'behaviour' | 'print' | 'tag') =>
      group([[heavy], [knit]], { fabric: { levels: [level], tags: ['gift', 'winter'] } }).names;
    expect(by('weight')).toEqual(['weight 0: 1', 'weight 2: 1']);
    expect(by('behaviour')).toEqual(['behaviour floppy: 1', 'behaviour steady: 1']);
    expect(by('print')).toEqual(['print print: 1', 'print solid: 1']);
    // What has none of them comes last.
    expect(by('tag')).toEqual(['tag gift: 1', 'tag : 1']);
  });
});

describe('the schools of other kinds', () => {
  it('keep patterns in one running sequence by hundreds', () => {
    const { groups, names } = group([
      [createPattern('late', 199)],
      [createPattern('early', 101)],
      [createPattern('next', 200)],
    ]);
    expect(names).toEqual(['numberRun 100: 2', 'numberRun 200: 1']);
    expect(groups[0]!.lots.map((lot) => lot.itemId)).toEqual(['early', 'late']);
  });

  it('sort patterns by garment too', () =>
    expect(group([[createPattern('a', 1)]], { pattern: { levels: ['garment'] } }).names).toEqual(['garment skirt: 1']));

  it('sort thread by use, tools by station or type', () => {
    expect(group([[createSpool('a')], [createThing('b')]]).names).toEqual(['use general: 1', 'station st-cut: 1']);
    expect(group([[createThing('b')]], { tool: { levels: ['type'] } }).names).toEqual(['type cutting: 1']);
  });
});

describe('exceptions by hand', () => {
  const wool = createCloth('wool', fibre('wool'));
  const linen = createCloth('linen', fibre('linen'));
  const pick = (groupId: string) =>
    group([[wool], [linen]], {}, { handPicks: [{ lotId: 'lot-wool' as never, groupId }] });

  it('go where they were put, and sleep while there is no such group', () => {
    expect(pick('fabric:fibre:linen').names).toEqual(['fibre linen: 2']);
    expect(pick('fabric:fibre:silk').names).toEqual(['fibre linen: 1', 'fibre wool: 1']);
  });

  it('may put a tool with cloth', () => {
    const picks = [{ lotId: 'lot-b' as never, groupId: 'fabric:fibre:wool' }];
    expect(group([[wool], [createThing('b')]], {}, { handPicks: picks }).names).toEqual(['fibre wool: 2']);
  });
});

describe('a group in parts', () => {
  const patterns = [101, 140, 160, 199].map((n): [Item] => [createPattern(`p${n}`, n)]);
  const splits = [{ groupId: 'pattern:numberRun:100', by: 'number' as const, at: [150, 160] }];

  it('is cut at its boundaries, each on its upper side; a part without a lot is none', () => {
    const { names, groups } = group(patterns, {}, { splits });
    expect(names).toEqual(['numberRun 100 part 0: 2', 'numberRun 100 part 2: 2']);
    expect(groups[1]!.part).toEqual({ by: 'number', index: 2, of: 3, from: 160, to: 199 });
  });

  it('keeps what was put into one of them', () => {
    const handPicks = [{ lotId: 'lot-p199' as never, groupId: 'pattern:numberRun:100/part:0' }];
    expect(group(patterns, {}, { splits, handPicks }).names).toEqual([
      'numberRun 100 part 0: 3',
      'numberRun 100 part 2: 1',
    ]);
  });
});

describe('groups', () => {
  it('leave out what is gone, and take in what is out', () => {
    expect(group([[createThing('a'), { state: 'gone' }]]).groups).toEqual([]);
    expect(group([[createThing('a'), { state: 'lent' }]]).groups).toHaveLength(1);
  });

  it('hold every lot of a household exactly once, by any school', () => {
    const { household } = createSampleHousehold(5, 120);
    for (const kind of KINDS)
      for (const school of SCHOOLS_OF_KIND[kind]) {
        const sorting = sortBy({ [kind]: { levels: [school] } });
        const groups = computeGroups({ ...household, settings: { ...household.settings, sorting } });
        const ids = groups.flatMap((one) => one.lots.map((lot) => lot.id));
        expect(new Set(ids).size).toBe(ids.length);
        expect(ids).toHaveLength(household.lots.size);
      }
  });
});

describe('what a group needs', () => {
  it('adds up piles and litres of cloth', () => {
    // 2 m × 1 m folded to 300 × 280: 4 × 8 layers of 1 mm = 32 mm; two of them 64 mm.
    const { household, groups } = group([[createCloth('a')], [createCloth('b')]]);
    const needs = computeNeeds(groups[0]!, household);
    expect(needs.pileMm).toBeCloseTo(64, 9);
    expect(needs.massG).toBeCloseTo(400, 9);
    expect(needs.lines).toEqual([]);
    // 300 × 280 × 64 mm of hard-packed stacks at 62 %.
    expect(needs.volumeMm3).toBeCloseTo((300 * 280 * 64) / 0.62, 3);
  });

  it('adds up a row of envelopes by thickness, copies included', () => {
    const { household, groups } = group([[createPattern('a', 1), { count: 3 }], [createPattern('b', 2)]]);
    expect(computeNeeds(groups[0]!, household)).toMatchObject({
      lines: [{ form: 'envelope', mm: 20, isMixed: false }],
      pieces: 4,
    });
  });

  it('has no figure for a way that some lot cannot be kept', () => {
    const hung = createThing('hung', { forms: ['peg', 'box'] });
    hung.box = { ...hung.box!, hangHoleMm: 8 };
    const both = group([[hung], [createThing('lying')]]);
    expect(computeNeeds(both.groups[0]!, both.household)).toMatchObject({
      pegMm2: null,
      // Two of 100 × 50 mm, their narrow sides to the front.
      lines: [{ form: 'box', mm: 100, isMixed: false }],
    });
    const alone = group([[hung]]);
    // Hung: 50 mm across, 100 mm down.
    expect(computeNeeds(alone.groups[0]!, alone.household).pegMm2).toBe(5000);
  });
});
