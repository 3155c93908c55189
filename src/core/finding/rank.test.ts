import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LotId } from '../records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFinder } from './index.ts';
import { rank, type Fits } from './rank.ts';

const WORDS = ['navy', 'linen', 'shirt', 'heather'] as const;
/** Lots by the words they fit: some, with a score of their own and one or two ways in which they were found. */
const someFits = fc
  .uniqueArray(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 9 }), fc.boolean()), {
    selector: ([lot]) => lot,
  })
  .chain((rows) => fc.constantFrom(...WORDS).map((word) => ({ rows, word })))
  .map(
    ({ rows, word }): Fits =>
      new Map(
        rows.map(([lot, score, isTwice]) => [
          `lot-${lot}` as LotId,
          { score, terms: isTwice ? [word, `${word}s`] : [word] },
        ]),
      ),
  );

/** The same by looking at every lot for every word. */
function rankSlowly(groups: readonly Fits[], least: number) {
  return Array.from({ length: 31 }, (_, n) => `lot-${n}` as LotId)
    .map((lotId) => {
      const fits = groups.flatMap((group) => group.get(lotId) ?? []);
      const ways = new Set(fits.flatMap(({ terms }) => terms));
      return { lotId, count: fits.length, score: ways.size * fits.reduce((sum, { score }) => sum + score, 0) };
    })
    .filter(({ count }) => count >= least)
    .toSorted((a, b) => b.count - a.count || b.score - a.score || a.lotId.localeCompare(b.lotId));
}

describe('lots by the words they fit', () => {
  it('is worth the sum of its words, times the ways in which they were found: (2 + 3) × 3', () => {
    const groups: Fits[] = [
      new Map([['a' as LotId, { score: 2, terms: ['navy'] }]]),
      new Map([['a' as LotId, { score: 3, terms: ['linen', 'flax'] }]]),
    ];
    expect(rank(groups, 2, 9)).toEqual([{ lotId: 'a', score: 15, count: 2 }]);
    expect(rank([...groups, new Map()], 3, 9)).toEqual([]);
  });

  it('are the same as by looking at every lot for every word', () => {
    fc.assert(
      fc.property(
        fc.array(someFits, { minLength: 1, maxLength: 5 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 31 }),
        (groups, isPartly, limit) => {
          const least = isPartly ? Math.ceil(groups.length / 2) : groups.length;
          const ranked = rank(groups, least, 31);
          expect(ranked).toEqual(ranked.toSorted((a, b) => b.count - a.count || b.score - a.score));
          // Lots that fit equally well come in any order.
          expect(
            ranked.toSorted((a, b) => b.count - a.count || b.score - a.score || a.lotId.localeCompare(b.lotId)),
          ).toEqual(rankSlowly(groups, least));
          expect(rank(groups, least, limit)).toEqual(ranked.slice(0, limit));
        },
      ),
    );
  });
});

describe('what is typed letter by letter', () => {
  const { household } = createSampleHousehold(1, 300);

  it('finds what is found when it is asked at once, also after the household changed', () => {
    const [typing, asked] = [createFinder(), createFinder()];
    typing.sync(household);
    asked.sync(household);
    const texts = ['blue linen for a shirt', 'dark red cotton jersey', 'thread grey grey silk'].flatMap((text) =>
      Array.from(text, (_, n) => text.slice(0, n + 1)),
    );
    const found = new Map(texts.map((text) => [text, typing.find(text)]));
    // One that was asked something else before each.
    for (const text of texts) {
      asked.find('zip');
      expect(asked.find(text), text).toEqual(found.get(text));
    }
    const [first] = typing.find('linen');
    const lot = household.lots.get(first!.lotId)!;
    const later = { ...household, lots: new Map(household.lots).set(lot.id, { ...lot, state: 'gone' as const }) };
    typing.sync(later);
    expect(typing.find('linen').map(({ lotId }) => lotId)).not.toContain(lot.id);
  });
});
