import { describe, expect, it } from 'vitest';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { filterRows, getPresence, getWhat, listRows, SORTS, sortRows } from './rows.ts';

const { household } = createSampleHousehold();
const rows = listRows(household, createPlaceTree(household.places), 'fabric');
const all = { what: '', colour: '', presence: 'all', found: null } as const;

describe('the rows of the stash', () => {
  it('are every lot of the kind that is not gone', () => {
    const lots = [...household.lots.values()].filter((lot) => household.items.get(lot.itemId)?.kind === 'fabric');
    expect(rows).toHaveLength(lots.length);
    expect(filterRows(rows, all)).toEqual(rows);
  });

  it('are narrowed by all filters at once', () => {
    const linen = filterRows(rows, { ...all, what: 'linen', presence: 'in' });
    expect(linen.length).toBeGreaterThan(0);
    for (const { item, lot } of linen) {
      expect(getWhat(item)).toBe('linen');
      expect(getPresence(lot)).toBe('in');
    }
    const [first] = linen;
    expect(filterRows(rows, { ...all, found: new Set([first!.lot.id]) })).toEqual([first]);
  });

  it('keep all rows in any order, and the same order each time', () => {
    for (const by of SORTS) {
      const sorted = sortRows(rows, by, false);
      expect(new Set(sorted)).toEqual(new Set(rows));
      expect(sortRows(rows.toReversed(), by, false)).toEqual(sorted);
    }
    const lengths = sortRows(rows, 'amount', true).map(({ lot }) => lot.lengthMm!);
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a));
    expect(sortRows(rows, 'place', false).at(-1)!.place).toBe('');
  });
});
