import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DaybookEvent, EventId, Household } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { listNews, listWholeNews, Told } from './news.ts';

const { household } = createSampleHousehold(1, 60);

describe('news of a household', () => {
  it('bring one who knows some state to any other, in slices', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(20)), fc.array(fc.nat(20)), fc.integer({ min: 1, max: 9 }), (was, is, size) => {
        const lots = [...household.lots.values()];
        const pick = (ids: number[], change: object) =>
          ({
            ...household,
            lots: new Map(ids.map((n) => [lots[n]!.id, n % 3 === 0 ? { ...lots[n]!, ...change } : lots[n]!])),
          }) as Household;
        const [before, after] = [pick(was, {}), pick(is, { count: 7 })];
        const told = new Told();
        for (const news of listNews(null, before, size)) told.hear(news);
        const slices = listNews(before, after, size);
        for (const news of slices) {
          expect(news.records.length).toBeLessThanOrEqual(size);
          told.hear(news);
        }
        const sorted = (of: Household) => [...of.lots.values()].toSorted((a, b) => (a.id < b.id ? -1 : 1));
        expect(sorted(told.household)).toEqual(sorted(after));
        expect(told.household.items).toEqual(after.items);
      }),
      { numRuns: 50 },
    );
    expect(listNews(household, household, 10)).toEqual([{ settings: null, records: [] }]);
  });

  it('tells a whole daybook in slices, however much one line of it changes', () => {
    const { household: sample, events } = createSampleHousehold(1, 320);
    const [first] = events;
    const line = (n: number, changes: number): DaybookEvent => ({
      ...first!,
      id: `e${n}` as EventId,
      seq: n,
      changes: first!.changes.slice(0, changes),
    });
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 12 }),
        fc.integer({ min: 1, max: 200 }),
        (counts, size) => {
          const lines = counts.map((count, n) => line(n, count));
          const told = new Told();
          for (const news of listWholeNews({ household: sample, events: lines }, size)) {
            const changes = [...(news.changes ?? []), ...(news.events ?? []).flatMap((event) => event.changes)];
            expect(news.records.length + changes.length).toBeLessThanOrEqual(size);
            told.hear(news);
          }
          expect(told.events).toEqual(lines);
          expect(told.household).toEqual(sample);
        },
      ),
      { numRuns: 30 },
    );
  });
});
