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
import { DEFAULT_SETTINGS, type Item, type Lot, type School, type Settings } from '../records/index.ts';
import { computeGroups, computeNeeds, SCHOOLS_OF_KIND } from './index.ts';

function group(things: readonly [Item, Partial<Lot>?][], schools: Partial<Settings['schools']> = {}) {
  const household = createHousehold(
    createUnit('cube', {}),
    things.map(([item]) => item),
    things.map(([item, change]) => createLot(item, null, change)),
    { schools: { ...DEFAULT_SETTINGS.schools, ...schools } },
  );
  const groups = computeGroups(household);
  return { household, groups, names: groups.map((one) => `${one.label.code} ${one.label.value}: ${one.lots.length}`) };
}

const fibre = (name: string) => ({ fabric: { ...createCloth('x').fabric!, fibre: name } });

describe('the schools of cloth', () => {
  const linen = createCloth('linen', fibre('linen'));
  const wool = createCloth('wool', { ...fibre('wool'), colours: ['#b8342f'] });
  const more = createCloth('more', { ...fibre('wool'), colours: ['#2b2b2b'] });

  it('by fibre', () => expect(group([[linen], [wool], [more]]).names).toEqual(['fibre linen: 1', 'fibre wool: 2']));

  it('by colour, neutrals apart', () =>
    expect(group([[linen], [wool], [more]], { fabric: 'colour' }).names).toEqual([
      'colour black: 1',
      'colour blue: 1',
      'colour red: 1',
    ]));

  it('by length class, each boundary on its upper side', () => {
    const cut = (id: string, lengthMm: number): [Item, Partial<Lot>] => [createCloth(id), { lengthMm }];
    const { groups } = group([cut('a', 914), cut('b', 914.4), cut('c', 4571), cut('d', 4572), cut('e', 9000)], {
      fabric: 'lengthClass',
    });
    const ids = Object.fromEntries(groups.map((one) => [one.label.value, one.lots.map((lot) => lot.itemId)]));
    // Inside a class the longest comes first.
    expect(ids).toEqual({ remnant: ['a'], project: ['c', 'b'], garment: ['e', 'd'] });
  });
});

describe('the schools of other kinds', () => {
  it('keep patterns in one running sequence by hundreds', () => {
    const { groups, names } = group([
      [createPattern('late', 199)],
      [createPattern('early', 101)],
      [createPattern('next', 200)],
    ]);
    expect(names).toEqual(['numbers 100: 2', 'numbers 200: 1']);
    expect(groups[0]!.lots.map((lot) => lot.itemId)).toEqual(['early', 'late']);
  });

  it('sort patterns by garment too', () =>
    expect(group([[createPattern('a', 1)]], { pattern: 'type' }).names).toEqual(['garment skirt: 1']));

  it('sort thread by use, tools by station or type', () => {
    expect(group([[createSpool('a')], [createThing('b')]]).names).toEqual(['use general: 1', 'station st-cut: 1']);
    expect(group([[createThing('b')]], { tool: 'type' }).names).toEqual(['type cutting: 1']);
  });
});

describe('groups', () => {
  it('leave out what is gone, and take in what is out', () => {
    expect(group([[createThing('a'), { state: 'gone' }]]).groups).toEqual([]);
    expect(group([[createThing('a'), { state: 'lent' }]]).groups).toHaveLength(1);
  });

  it('hold every lot of a household exactly once, by any school', () => {
    const { household } = createSampleHousehold(5, 120);
    for (const kind of ['fabric', 'pattern', 'thread', 'notion', 'tool'] as const)
      for (const school of SCHOOLS_OF_KIND[kind]) {
        const schools = { ...household.settings.schools, [kind]: school satisfies School };
        const groups = computeGroups({ ...household, settings: { ...household.settings, schools } });
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
    expect(needs.lineMm).toBeNull();
    // 300 × 280 × 64 mm of hard-packed stacks at 62 %.
    expect(needs.volumeMm3).toBeCloseTo((300 * 280 * 64) / 0.62, 3);
  });

  it('adds up a row of envelopes by thickness, copies included', () => {
    const { household, groups } = group([[createPattern('a', 1), { count: 3 }], [createPattern('b', 2)]]);
    expect(computeNeeds(groups[0]!, household)).toMatchObject({ lineMm: 20, lineForm: 'envelope', pieces: 4 });
  });

  it('has no figure for a way that some lot cannot be kept', () => {
    const hung = createThing('hung', { forms: ['peg', 'box'] });
    hung.box = { ...hung.box!, hangHoleMm: 8 };
    const both = group([[hung], [createThing('lying')]]);
    expect(computeNeeds(both.groups[0]!, both.household)).toMatchObject({ pegMm2: null, lineMm: 200 });
    const alone = group([[hung]]);
    // Hung: 50 mm across, 100 mm down.
    expect(computeNeeds(alone.groups[0]!, alone.household).pegMm2).toBe(5000);
  });
});
