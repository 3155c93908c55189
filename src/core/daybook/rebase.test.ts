import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import type { Household, Item } from '../records/index.ts';
import { applyChanges } from './fold.ts';
import { createChange, rebaseChanges } from './index.ts';

const cloth = createCloth('oat', { notes: 'old' });
const start = createHousehold(createUnit('cube', {}), [cloth], [createLot(cloth, 'cube-A1')]);
const withItem = (item: Item): Household => ({ ...start, items: new Map([[item.id, item]]) });
const edit = (to: Item) => [createChange('items', cloth.id, cloth, to)!];
const laid = (now: Household, to: Item) => {
  const { changes, conflicts } = rebaseChanges(now, edit(to));
  const next = applyChanges(now, changes);
  return { item: next.ok ? next.value.items.get(cloth.id) : null, conflicts };
};

describe('an edit laid upon what is now', () => {
  it('writes only what it changed, and keeps what changed elsewhere', () => {
    const now = { ...cloth, notes: 'washed', tags: ['summer'] };
    expect(laid(withItem(now), { ...cloth, name: 'oat twill' })).toEqual({
      item: { ...now, name: 'oat twill' },
      conflicts: [],
    });
  });

  it('goes into what has fields itself', () => {
    const now = { ...cloth, fabric: { ...cloth.fabric!, widthMm: 900 } };
    const to = { ...cloth, fabric: { ...cloth.fabric!, grammageGsm: 240 } };
    expect(laid(withItem(now), to)).toEqual({
      item: { ...now, fabric: { ...cloth.fabric!, widthMm: 900, grammageGsm: 240 } },
      conflicts: [],
    });
  });

  it('takes a field away, and brings one', () => {
    const tagged = { ...cloth, tags: ['old'] };
    const change = createChange('items', cloth.id, tagged, { ...cloth, source: 'a fair' })!;
    const now = { ...tagged, notes: 'new' };
    const next = applyChanges(withItem(now), rebaseChanges(withItem(now), [change]).changes);
    expect(next.ok && next.value.items.get(cloth.id)).toEqual({ ...cloth, notes: 'new', source: 'a fair' });
  });

  it('names what both changed, each in its own way; the same twice is no conflict', () => {
    const to = { ...cloth, name: 'mine', notes: 'same' };
    const now = { ...cloth, name: 'theirs', notes: 'same' };
    expect(laid(withItem(now), to)).toEqual({
      item: to,
      conflicts: [{ table: 'items', id: cloth.id, field: 'name' }],
    });
  });

  it('brings nothing back that is gone, such as cloth that is only supposed', () => {
    const none: Household = { ...start, items: new Map() };
    expect(rebaseChanges(none, edit({ ...cloth, name: 'mine' }))).toEqual({
      changes: [],
      conflicts: [{ table: 'items', id: cloth.id, field: '' }],
    });
  });
});
