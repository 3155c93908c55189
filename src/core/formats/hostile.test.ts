import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { passWhole } from '../daybook/index.ts';
import { salvage } from '../mending/index.ts';
import { createRandom, pick, type Random } from '../random/index.ts';
import type { EventId } from '../records/index.ts';
import { openBundle, parseBundle, toBundle } from './index.ts';

type Raw = Record<string, unknown>;

const good = toBundle(createSampleHousehold(1, 30));
const text = strFromU8(unzipSync(good)['household.json']!);
const close = (contents: string) => zipSync({ 'household.json': strToU8(contents) });
const STAMP = { id: 'mended' as EventId, atMs: 1 };
const VALUES: readonly unknown[] = [
  null,
  undefined,
  -1,
  1e300,
  '',
  'x'.repeat(5000),
  [],
  {},
  [[[]]],
  true,
  '__proto__',
  { constructor: 1 },
  8.7e15,
  -8.7e15,
];

/** A value somewhere inside is another, goes, or stands there twice. */
function mutate(random: Random, root: Raw): void {
  let at: unknown = root;
  for (let depth = 0; depth < 9; depth += 1) {
    const keys = Object.keys(at as Raw);
    if (keys.length === 0) return;
    const key = pick(random, keys);
    const value = (at as Raw)[key];
    if (typeof value !== 'object' || value === null || random() < 0.12) {
      const what = random();
      if (what < 0.2) delete (at as Raw)[key];
      else if (what < 0.3 && Array.isArray(at)) at.push(value);
      else if (what < 0.4) (at as Raw)['more'] = value;
      else (at as Raw)[key] = pick(random, VALUES);
      return;
    }
    at = value;
  }
}

function createMutant(seed: number): Uint8Array {
  const random = createRandom(seed);
  const kind = seed % 4;
  if (kind === 0) {
    const bytes = good.slice();
    for (let n = 0; n < 1 + (seed % 5); n += 1) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    return bytes;
  }
  if (kind === 1 && seed % 8 === 1) return good.slice(0, Math.floor(random() * good.length));
  const raw = JSON.parse(text) as Raw;
  for (let n = 0; n < 1 + (seed % 3); n += 1) mutate(random, raw);
  return close(JSON.stringify(raw));
}

describe('files that are damaged or meant to harm', () => {
  it('are refused or keep every rule, and what can be read of them does too', () => {
    let [refused, saved] = [0, 0];
    for (let seed = 1; seed <= 240; seed += 1) {
      const bytes = createMutant(seed);
      const read = parseBundle(bytes);
      if (read.ok) {
        expect(passWhole(read.value).ok).toBe(true);
        continue;
      }
      refused += 1;
      const opened = openBundle(bytes);
      const rest = opened.ok ? salvage(opened.value.raw, STAMP) : null;
      if (!rest) continue;
      saved += 1;
      expect(passWhole(rest.chronicle).ok).toBe(true);
      expect(parseBundle(toBundle(rest.chronicle)).ok).toBe(true);
    }
    expect(refused).toBeGreaterThan(150);
    expect(saved).toBeGreaterThan(50);
  });

  it.each<[string, string]>([
    ['a line of the daybook that was altered', text.replace(/"atMs": \d+/, '"atMs": 9e15')],
    ['lists that are nested a hundred thousand deep', `${'['.repeat(100_000)}${']'.repeat(100_000)}`],
    ['a field called __proto__', text.replace('"notes"', '"__proto__": {"x": 1}, "notes"')],
    ['an id called constructor', text.replaceAll('"i1"', '"constructor"')],
    ['a hundred thousand zeros for lines', text.replace('"events": [', `"events": [${'0,'.repeat(100_000)}`)],
  ])('refuse %s, soon', (_, contents) => {
    const read = parseBundle(close(contents));
    expect(read.ok).toBe(false);
    expect(read.ok ? 0 : read.fault.length).toBeLessThan(1000);
  });
});
