import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import { DEFAULT_BOUNDS, type LotId } from '../records/index.ts';
import type { Act } from './act.ts';
import { createPick, createSetBounds, createSort, createSplit } from './sortActs.ts';
import { applyChanges } from '../daybook/fold.ts';

const cloth = createCloth('c');
const household = createHousehold(createUnit('cube', {}), [cloth], [createLot(cloth)]);

function settle(act: Act, of = household) {
  if (!act.ok) throw new Error(act.fault.code);
  const next = applyChanges(of, act.value.changes);
  if (!next.ok) throw new Error('conflict');
  return next.value;
}

describe('acts of sorting', () => {
  it('sort one kind another way, and leave the others', () => {
    const { sorting } = settle(createSort(household, 'fabric', { levels: ['lengthClass', 'fibre'] })).settings;
    expect(sorting.fabric).toEqual({ levels: ['lengthClass', 'fibre'], order: 'wheel', tags: [] });
    expect(sorting.pattern).toBe(household.settings.sorting.pattern);
  });

  it('keep boundaries in order, those that fell together as one', () => {
    const { bounds } = settle(createSetBounds(household, 'lengthMm', [4000, 900, 4000])).settings;
    expect(bounds).toEqual({ ...DEFAULT_BOUNDS, lengthMm: [900, 4000] });
  });

  it.each([
    ['a boundary beyond what is kept', createSetBounds(household, 'tex', [30, 99_999])],
    ['one below nothing', createSetBounds(household, 'lengthMm', [-1])],
    [
      'more boundaries than are kept',
      createSetBounds(
        household,
        'lengthMm',
        Array.from({ length: 13 }, (_, i) => i + 1),
      ),
    ],
    ['no school at all', createSort(household, 'fabric', { levels: [] })],
    ['the same school twice', createSort(household, 'fabric', { levels: ['fibre', 'fibre'] })],
    ['a tag without a letter', createSort(household, 'fabric', { tags: [''] })],
  ])('refuse %s, which no file could hold', (_, act) =>
    expect(act).toEqual({ ok: false, fault: { code: 'out-of-range' } }),
  );

  it('cut a group, move its cuts, and make it one again', () => {
    const cut = settle(createSplit(household, 'fabric:fibre:cotton', 'length', [2000, 1000]));
    expect(cut.settings.splits).toEqual([{ groupId: 'fabric:fibre:cotton', by: 'length', at: [1000, 2000] }]);
    const again = settle(createSplit(cut, 'fabric:fibre:cotton', 'length', []), cut);
    expect(again.settings.splits).toEqual([]);
  });

  it('put a lot elsewhere once, however often it is put, and leave it to the rule again', () => {
    const id = 'lot-c' as LotId;
    const first = settle(createPick(household, [id], 'fabric:fibre:wool'));
    const second = settle(createPick(first, [id], 'fabric:fibre:silk'), first);
    expect(second.settings.handPicks).toEqual([{ lotId: id, groupId: 'fabric:fibre:silk' }]);
    expect(settle(createPick(second, [id], null), second).settings.handPicks).toEqual([]);
  });
});
