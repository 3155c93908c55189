import { describe, expect, it } from 'vitest';
import { Life } from '../../../../tests/life.ts';
import { createFinder } from '../../../core/finding/index.ts';
import { computeGroups, regroup } from '../../../core/grouping/index.ts';
import { KINDS, type Household } from '../../../core/records/index.ts';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { listRows, relistRows } from './rows.ts';

const NOW = 1_800_000_000_000;
const WORDS = ['cotton', 'blue', 'zip', 'out', 'lent', 'cubes', 'promised'];

/** What follows a household act by act is what is worked out of it anew: the slow twin of each. */
describe('what is kept from before an act', () => {
  it.each([1, 2, 3])('is what is worked out anew after it (seed %i)', (seed) => {
    const life = new Life(createSampleHousehold(seed, 60), seed);
    const finder = createFinder();
    let before: Household = life.household;
    let [keptGroups, keptRows] = [0, 0];
    for (let n = 0; n < 60; n += 1) {
      if (n % 20 === 19) life.join(3);
      else life.live();
      const after = life.household;
      const tree = createPlaceTree(after.places);
      const groups = regroup(computeGroups(before), before, after);
      if (groups) {
        expect(groups).toEqual(computeGroups(after));
        keptGroups += 1;
      }
      for (const kind of KINDS) {
        const old = listRows(before, createPlaceTree(before.places), kind, NOW);
        const rows = relistRows(old, before, after, tree, NOW);
        if (!rows) continue;
        expect(rows).toEqual(listRows(after, tree, kind, NOW));
        keptRows += 1;
      }
      // Let in only a little each time, it is behind by some acts now and then.
      let asked = 0;
      if (finder.sync(after, n % 3 === 0 ? () => (asked += 1) > 0 : undefined)) {
        const anew = createFinder();
        anew.sync(after);
        const idsOf = (one: typeof finder, text: string) =>
          one
            .find(text, Infinity)
            .map((hit) => hit.lotId)
            .toSorted();
        for (const text of WORDS) expect(idsOf(finder, text)).toEqual(idsOf(anew, text));
      }
      before = after;
    }
    expect(keptGroups).toBeGreaterThan(10);
    expect(keptRows).toBeGreaterThan(80);
  });
});
