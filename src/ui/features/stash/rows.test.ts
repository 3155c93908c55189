import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../../tests/household.ts';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import {
  FACETS_OF_KIND,
  getPresence,
  getWhat,
  groupRows,
  isForgotten,
  listRows,
  narrowRows,
  SORTS,
  sortRows,
  type Narrowing,
} from './rows.ts';

const NOW = Date.UTC(2026, 9, 1);
const DAY = 86_400_000;
const { household } = createSampleHousehold();
const rows = listRows(household, createPlaceTree(household.places), 'fabric', NOW);
const narrow = (narrowing: Narrowing, found: Parameters<typeof narrowRows>[3] = null) =>
  narrowRows(rows, 'fabric', narrowing, found);

describe('the rows of the stash', () => {
  it('are every lot of the kind that is not gone', () => {
    const lots = [...household.lots.values()].filter((lot) => household.items.get(lot.itemId)?.kind === 'fabric');
    expect(rows).toHaveLength(lots.length);
    expect(narrow({}).rows).toEqual(rows);
  });

  it('are narrowed by all that is asked for at once', () => {
    const linen = narrow({ what: 'linen', presence: 'in' }).rows;
    expect(linen.length).toBeGreaterThan(0);
    for (const { item, lot } of linen) {
      expect(getWhat(item)).toBe('linen');
      expect(getPresence(lot)).toBe('in');
    }
    const [first] = linen;
    expect(narrow({}, new Set([first!.lot.id])).rows).toEqual([first]);
  });

  it('are counted so that choosing a value leaves as many as it said', () => {
    for (const asked of [{}, { what: 'cotton' }, { what: 'knit', colour: 'green' }] as Narrowing[]) {
      const { counts } = narrow(asked);
      for (const facet of FACETS_OF_KIND.fabric)
        for (const [value, count] of counts[facet]!)
          expect([facet, value, narrow({ ...asked, [facet]: value }).rows.length]).toEqual([facet, value, count]);
    }
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

  it('stand under headings, each once and in its order', () => {
    const sorted = sortRows(rows, 'amount', false);
    const lines = groupRows(sorted, 'fabric', 'colour');
    const shown = lines.flatMap((line) => (line.type === 'row' ? [line.row] : []));
    expect(new Set(shown)).toEqual(new Set(rows));
    expect(lines.filter((line) => line.type === 'head').reduce((sum, line) => sum + line.count, 0)).toBe(rows.length);
    let last = -1;
    for (const line of lines) {
      if (line.type === 'head') last = -1;
      else {
        expect(sorted.indexOf(line.row)).toBeGreaterThan(last);
        last = sorted.indexOf(line.row);
      }
    }
    expect(groupRows(sorted, 'fabric', null)).toHaveLength(rows.length);
  });
});

describe('what is forgotten', () => {
  const cloth = createCloth('cloth');
  const old = { ...createLot(cloth, 'cube-A1'), sinceMs: NOW - 400 * DAY };
  it('lay untouched for a year, promised to nothing, or has no home for a month', () => {
    expect(isForgotten(cloth, old, NOW)).toBe(true);
    expect(isForgotten(cloth, { ...old, sinceMs: NOW - 300 * DAY }, NOW)).toBe(false);
    const reserved = [{ id: 'r', forWhat: 'smock', note: '', amount: 1000 }];
    expect(isForgotten(cloth, { ...old, reserved }, NOW)).toBe(false);
    expect(isForgotten(cloth, createLot(cloth), NOW)).toBe(true);
    expect(isForgotten(cloth, { ...createLot(cloth), sinceMs: NOW - 29 * DAY }, NOW)).toBe(false);
    expect(isForgotten({ ...cloth, fabric: undefined }, old, NOW)).toBe(false);
  });

  it('shows among what to look at, beside what is low or past', () => {
    const low = { ...cloth, restockBelow: 3000 };
    const here = createHousehold(createUnit('cube', {}), [low], [{ ...old, expiresOn: '2026-09-30' }]);
    const [row] = listRows(here, createPlaceTree(here.places), 'fabric', NOW);
    const at = FACETS_OF_KIND.fabric.indexOf('attention');
    expect(row!.facets[at]).toEqual(['forgotten', 'past', 'low', 'noPhoto']);
  });
});
