import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { getColourFamily, getShade } from '../colour/index.ts';
import type { Lot, LotId } from '../records/index.ts';
import { createFinder } from './index.ts';

describe('where is it', () => {
  const { household } = createSampleHousehold();
  const finder = createFinder();
  finder.sync(household);
  const namesOf = (text: string) =>
    finder.find(text).map(({ lotId }) => household.items.get(household.lots.get(lotId)!.itemId)!.name);

  it('finds by a part of the name and forgives a slip', () => {
    expect(namesOf('dressm')[0]).toBe('Dressmaking shears');
    expect(namesOf('dresmaking')[0]).toBe('Dressmaking shears');
    expect(namesOf('shaers')).toContain('Dressmaking shears');
  });

  it('finds by what people call it', () => {
    expect(namesOf('zipper')).toEqual(expect.arrayContaining(['Zips, long', 'Zips, short']));
    expect(namesOf('serger thread').length).toBeGreaterThan(0);
    // Who says more than a thing knows of itself finds what most of it fits.
    expect(namesOf('green wool with horn toggles').length).toBeGreaterThan(0);
  });

  it('finds by what a word of another language means, beside what is called so', () => {
    const words: Readonly<Record<string, readonly string[]>> = {
      grüne: ['green'],
      wolle: ['wool'],
      knöpfe: ['buttons'],
    };
    const other = createFinder((term) => words[term] ?? []);
    other.sync(household);
    const idsOf = (found: readonly { readonly lotId: LotId }[]) => found.map(({ lotId }) => lotId).toSorted();
    for (const [said, meant] of [
      ['grüne Wolle', 'green wool'],
      ['Knöpfe', 'buttons'],
    ] as const)
      expect(idsOf(other.find(said, 99))).toEqual(idsOf(finder.find(meant, 99)));
    expect(finder.find('grüne Wolle')).toEqual([]);
  });

  it('finds by what one would say of it, shade and all', () => {
    const found = finder.find('Where is the dark green wool?', 99).map(({ lotId }) => {
      const item = household.items.get(household.lots.get(lotId)!.itemId)!;
      return [item.fabric?.fibre, getColourFamily(item.colours[0]!), getShade(item.colours[0]!)];
    });
    expect(found.length).toBeGreaterThan(0);
    for (const one of found) expect(one).toEqual(['wool', 'green', 'dark']);
    expect(getShade('#1f3d2b')).toBe('dark');
    expect(getShade('#d9ead3')).toBe('light');
    expect(getShade('#4d8a5b')).toBeNull();
    expect(getShade('nothing')).toBeNull();
  });

  it('finds a pattern by its number, and only that one', () => {
    const pattern = [...household.items.values()].find((item) => item.pattern)!;
    const found = namesOf(String(pattern.pattern!.number));
    expect(found).toEqual([pattern.name]);
  });

  it('takes in only what differs, and lets go of what is gone', () => {
    const lot = [...household.lots.values()].find((one) => household.items.get(one.itemId)!.name === 'Mallet')!;
    const item = household.items.get(lot.itemId)!;
    const renamed = { ...household, items: new Map(household.items).set(item.id, { ...item, name: 'Gavel' }) };
    const moving = createFinder();
    expect(moving.sync(household)).toBe(true);
    expect(moving.find('mallet').map((hit) => hit.lotId)).toContain(lot.id);
    let asked = 0;
    moving.sync(renamed, () => (asked += 1) > 0);
    // One lot is less than it looks at between two glances at the clock.
    expect(asked).toBe(0);
    expect(moving.find('gavel').map((hit) => hit.lotId)).toEqual([lot.id]);
    expect(moving.find('mallet').map((hit) => hit.lotId)).not.toContain(lot.id);
    const gone = { ...renamed, lots: new Map(household.lots).set(lot.id, { ...lot, state: 'gone' as const }) };
    moving.sync(gone);
    expect(moving.find('gavel')).toEqual([]);
  });

  it('can be stopped on the way, and goes on where it was', () => {
    const slow = createFinder();
    let rounds = 0;
    while (!slow.sync(household, () => true)) rounds += 1;
    expect(rounds).toBe(Math.floor(household.lots.size / 64));
    expect(slow.find('dressmaking')).toHaveLength(finder.find('dressmaking').length);
  });

  it('looks at each lot once, however often it is stopped', () => {
    let looks = 0;
    class Counted extends Map<LotId, Lot> {
      override get(id: LotId): Lot | undefined {
        looks += 1;
        return super.get(id);
      }
    }
    const counted = { ...household, lots: new Counted(household.lots) };
    const slow = createFinder();
    while (!slow.sync(counted, () => true));
    expect(looks).toBe(household.lots.size);
  });

  it('answers nothing to nothing and to nonsense', () => {
    expect(finder.find('   ')).toEqual([]);
    expect(finder.find('qqqqqqzz')).toEqual([]);
  });
});
