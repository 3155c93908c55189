import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createPattern, createSpool } from '../../../tests/household.ts';
import type { Item } from '../records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createTwinFinder } from './twins.ts';

const linen = (id: string, name: string, colour: string, change: Partial<NonNullable<Item['fabric']>> = {}): Item => {
  const cloth = createCloth(id, { name, colours: [colour] });
  return { ...cloth, fabric: { ...cloth.fabric!, fibre: 'linen', cloth: 'linen', ...change } };
};
const owned = [
  linen('oat', 'Oat linen twill', '#cdbd98'),
  linen('red', 'Rowan linen twill', '#b8342f'),
  linen('wide', 'Oat linen sheeting', '#cdbd98', { widthMm: 2700 }),
  createPattern('p', 214),
  createSpool('t', { name: 'Oat general thread', colours: ['#cdbd98'] }),
];
const finder = createTwinFinder(createHousehold([], owned, []));
const find = (item: Item) => finder.find(item).map((twin) => twin.itemId);

describe('do I have it already?', () => {
  it('knows a cloth again by near colour, near name, fibre and width', () => {
    const twins = finder.find(linen('new', 'Linen twill oat', '#cbbb97'));
    expect(twins[0]!.itemId).toBe('oat');
    expect(twins[0]!.alike.map((one) => one.code)).toEqual(['name', 'colour', 'fibre', 'width', 'grammage']);
    expect(twins.map((twin) => twin.itemId)).not.toContain('red');
  });

  it('goes by a pattern’s number, whatever it is called', () => {
    expect(find(createPattern('new', 214, { name: 'Something else' }))).toEqual(['p']);
    expect(find(createPattern('new', 215, { name: 'zzz', colours: ['#000000'] }))).toEqual([]);
    const other = createPattern('new', 214, { name: 'Something else', colours: ['#00ff00'] });
    expect(find({ ...other, pattern: { ...other.pattern!, publisher: 'Lock Press' } })).toEqual([]);
  });

  it('passes over only what cannot be so alike: asked for the closest, it finds what it finds among all', () => {
    const { household } = createSampleHousehold(3, 240);
    const all = createTwinFinder(household);
    let found = 0;
    for (const item of household.items.values()) {
      // Where anything will do, nothing is passed over.
      const slow = all.find(item, Infinity, 0);
      const close = all.find(item, Infinity, 0.9);
      expect(close).toEqual(slow.filter(({ likeness }) => likeness >= 0.9));
      expect(all.find(item, Infinity)).toEqual(slow.filter(({ likeness }) => likeness >= 0.66));
      found += close.length;
    }
    expect(found).toBeGreaterThan(20);
  });

  it('keeps kinds apart, and a thing is not its own twin', () => {
    expect(find(owned[0]!)).not.toContain('oat');
    expect(find(createSpool('new', { name: 'Oat linen twill', colours: ['#ff0000'] }))).toEqual([]);
  });

  it('finds a copy of anything in the sample, and does not cry wolf over most', () => {
    const { household } = createSampleHousehold();
    const sample = createTwinFinder(household);
    const items = [...household.items.values()];
    for (const item of items)
      expect(sample.find({ ...item, id: 'copy' as Item['id'] }, 1)[0]!.likeness).toBeCloseTo(1, 9);
    const alone = items.filter((item) => sample.find(item).length === 0);
    expect(alone.length).toBeGreaterThan(items.length / 2);
  });
});
