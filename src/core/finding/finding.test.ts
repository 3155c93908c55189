import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFinder } from './index.ts';

describe('where is it', () => {
  const { household } = createSampleHousehold();
  const finder = createFinder(household);
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
    expect(namesOf('green wool').length).toBeGreaterThanOrEqual(namesOf('green wool suiting').length);
  });

  it('finds a pattern by its number, and only that one', () => {
    const pattern = [...household.items.values()].find((item) => item.pattern)!;
    const found = namesOf(String(pattern.pattern!.number));
    expect(found).toEqual([pattern.name]);
  });

  it('answers nothing to nothing and to nonsense', () => {
    expect(finder.find('   ')).toEqual([]);
    expect(finder.find('qqqqqqzz')).toEqual([]);
  });
});
