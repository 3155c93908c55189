import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/index.ts';
import { listChanged } from './changed.ts';

/** The slow twin: every id of either looked up in both. */
function compareAll(before: ReadonlyMap<string, unknown>, after: ReadonlyMap<string, unknown>): string[] {
  return [...new Set([...before.keys(), ...after.keys()])].filter((id) => before.get(id) !== after.get(id));
}

describe('what differs between two states of a table', () => {
  it('is what looking up every id finds, whatever came, went, changed or changed its turn', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = createRandom(seed);
      const before = new Map(Array.from({ length: Math.floor(random() * 12) }, (_, i) => [`r${i}`, { i }]));
      const after = new Map(before);
      for (let n = Math.floor(random() * 5); n > 0; n -= 1) {
        const id = `r${Math.floor(random() * 14)}`;
        const roll = random();
        if (roll < 0.3) after.delete(id);
        else {
          const record = after.get(id);
          if (roll < 0.5) after.delete(id);
          after.set(id, roll < 0.7 && record ? record : { i: n });
        }
      }
      expect(listChanged(before, after).toSorted()).toEqual(compareAll(before, after).toSorted());
    }
    const same = new Map([['a', 1]]);
    expect(listChanged(same, same)).toEqual([]);
  });
});
