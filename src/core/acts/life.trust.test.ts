import { readFileSync } from 'node:fs';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { createInstance } from '../../../tests/instances.ts';
import { Life } from '../../../tests/life.ts';
import { many, report } from '../../../tests/trust.ts';
import { ACTS, listActs } from '../../../tests/lifeActs.ts';
import { createChronicle, createSampleHousehold } from '../../sample/index.ts';
import { createKitchenHousehold } from '../../sample/kitchen.ts';
import { foldEvents } from '../daybook/fold.ts';
import { checkInvariants, getUndoable } from '../daybook/index.ts';
import { parseBundle, toBundle } from '../formats/index.ts';
import { ENGLISH, setNaming, type Naming } from '../naming/index.ts';
import type { Chronicle, Household } from '../records/index.ts';

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

const listWords = (text: string): string[] => text.match(/\b[a-z]{2,40}\b/giu) ?? [];

/** A naming of a language that nobody speaks: each text is a sign, with the values that were given to it. */
function makeStrange(naming: unknown): unknown {
  if (typeof naming === 'string') return '☉';
  if (typeof naming === 'function') return (...values: (string | number | undefined)[]) => `☉ ${values.join(' ☉ ')}`;
  return Object.fromEntries(Object.entries(naming as object).map(([name, one]) => [name, makeStrange(one)]));
}

describe('the laws of the daybook', () => {
  it('are tried with every act that there is', () => {
    expect(Object.keys(ACTS).toSorted()).toEqual(listActs().toSorted());
  });

  let undoFailures = 0;
  afterEach(() => setNaming(ENGLISH));
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

  it('are told in the language that is spoken: of a strange one no English word is left but of names', () => {
    const given = new Set(
      ['life', 'lifeActs', 'lifeProjects', 'drawn'].flatMap((file) =>
        // What the lives themselves say, in quotes.
        (readFileSync(`tests/${file}.ts`, 'utf8').match(/'[^'\n]*'/gu) ?? []).flatMap(listWords),
      ),
    );
    setNaming(makeStrange(ENGLISH) as Naming);
    const left = new Set<string>();
    for (let seed = 1; seed <= 100; seed += 1) {
      const life = new Life(createStart(seed), seed * 17);
      const { events } = life;
      const names = new Set<string>();
      const know = ({ settings, places, items, projects, plans }: Household) => {
        for (const { name } of [settings, places, items, projects, plans].flatMap((one) =>
          one instanceof Map ? [...one.values()] : [one],
        ))
          for (const word of listWords(name ?? '')) names.add(word);
      };
      know(life.household);
      for (let n = 0; n < 60; n += 1) {
        const from = events.length;
        life.live();
        know(life.household);
        for (const { subject, forWhat = '', changes } of events.slice(from)) {
          const notes = changes.flatMap(({ after }) => (after && 'notes' in after ? [String(after.notes)] : []));
          for (const word of [subject, forWhat, ...notes].flatMap(listWords))
            if (!names.has(word) && !given.has(word)) left.add(word);
        }
      }
    }
    expect([...left]).toEqual([]);
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
