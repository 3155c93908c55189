import { expect, it } from 'vitest';
import { parseLine } from '../catalog/index.ts';
import { parseColourWord } from '../colour/words.ts';
import { parseLengthMm } from '../units/index.ts';
import { toTable } from './index.ts';

const NAMES = ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf'];

it('a table knows what was put into it, and nothing else', () => {
  const table = toTable({ a: 1 });
  expect(table['a']).toBe(1);
  for (const name of NAMES) {
    expect(table[name]).toBeUndefined();
    expect(name in table).toBe(false);
  }
});

it.each(NAMES)('“%s” is a word like others: a name, no colour, unit, cloth or holder', (name) => {
  expect(parseColourWord(name)).toBeNull();
  expect(parseColourWord('blue', name)).toBe(parseColourWord('blue', 'such'));
  expect(parseLengthMm(`3 ${name}`, 'm').ok).toBe(false);
  const { sketch } = parseLine(`poplin ${name} 3 ${name} 2m`, { kind: 'fabric', units: 'metric' });
  expect(sketch).toMatchObject({ cloth: 'poplin', kind: 'fabric' });
  expect(sketch.name?.toLowerCase()).toContain(name.toLowerCase());
});
