import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { parseBundle, toBundle } from './index.ts';

const good = toBundle(createSampleHousehold(1, 30));
const text = strFromU8(unzipSync(good)['household.json']!);
const close = (contents: string) => zipSync({ 'household.json': strToU8(contents) });
describe('files that are meant to harm', () => {
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
