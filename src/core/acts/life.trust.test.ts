import { afterAll, describe, expect, it } from 'vitest';
import { createInstance } from '../../../tests/instances.ts';
import { Life } from '../../../tests/life.ts';
import { many, report } from '../../../tests/trust.ts';
import { ACTS, listActs } from '../../../tests/lifeActs.ts';
import { createChronicle, createSampleHousehold } from '../../sample/index.ts';
import { createKitchenHousehold } from '../../sample/kitchen.ts';
import { foldEvents } from '../daybook/fold.ts';
import { checkInvariants, getUndoable } from '../daybook/index.ts';
import { parseBundle, toBundle } from '../formats/index.ts';
import type { Chronicle } from '../records/index.ts';

/** Seeds at which something failed once. */
const FAILED: readonly number[] = [7, 63, 107, 372];
const SEEDS = [...FAILED, ...Array.from({ length: many(24, 1000) }, (_, i) => i + 1)];
const ACTS_PER_LIFE = 70;

function createStart(seed: number): Chronicle {
  switch (seed % 3) {
    case 0:
      return createSampleHousehold(seed, 40);
    case 1:
      return createKitchenHousehold();
    default:
      return createChronicle(createInstance(24, 8, 0.6, seed));
  }
}
const bytesOf = ({ household }: Chronicle) => toBundle({ household, events: [] });

describe('the laws of the daybook', () => {
  it('are tried with every act that there is', () => {
    expect(Object.keys(ACTS).toSorted()).toEqual(listActs().toSorted());
  });

  let undoFailures = 0;
  afterAll(() => {
    report('trust.lives', SEEDS.length);
    report('trust.undo_all_failures', undoFailures);
  });

  it.each(SEEDS)('hold over a life of all acts, undo, redo and joins (seed %i)', (seed) => {
    const start = createStart(seed);
    const life = new Life(start, seed);
    for (let n = 0; n < ACTS_PER_LIFE; n += 1) {
      if (n % 25 === 24) life.join(4);
      else life.live();
      expect(checkInvariants(life.household)).toEqual([]);
      if (n % 10 !== 0) continue;
      const chronicle = { household: life.household, events: life.events };
      expect(foldEvents(life.events)).toEqual({ ok: true, value: life.household });
      expect(parseBundle(toBundle(chronicle))).toEqual({ ok: true, value: chronicle });
    }
    // U until nothing is left gives the first state back, byte for byte.
    undoFailures += 1;
    for (let left = life.events.length; getUndoable(life.events); left -= 1) {
      expect(life.undo()).toBe(true);
      expect(left).toBeGreaterThan(0);
    }
    expect(Buffer.from(bytesOf(life)).equals(Buffer.from(bytesOf(start)))).toBe(true);
    expect(life.isFolded()).toBe(true);
    undoFailures -= 1;
  });

  it('are tried for real: every act is done in some life, and few are left to the gate to refuse', () => {
    const done = new Map<string, number>();
    const refused = new Map<string, number>();
    for (let seed = 1; seed <= 160; seed += 1) {
      const life = new Life(createStart(seed), seed * 31);
      for (let n = 0; n < 60; n += 1) life.act();
      for (const [name, count] of life.done) done.set(name, (done.get(name) ?? 0) + count);
      for (const { name } of life.refused) refused.set(name, (refused.get(name) ?? 0) + 1);
    }
    expect(Object.keys(ACTS).filter((name) => !done.has(name))).toEqual([]);
  });
});
