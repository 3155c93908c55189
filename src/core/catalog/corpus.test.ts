import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { GERMAN } from '../german/index.ts';
import type { Kind } from '../records/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { parseLine } from './index.ts';

/**
 * Lines as people write them, each with how it is read: `line → kind; field value; …`. `@fabric` is the page that the lines after it
 * are typed on, `@fabric imperial` in such a household, `@fabric metric german` where German is spoken. Looked through by eye; a line that is read better is changed here.
 */
const CORPUS = new URL('./corpus.txt', import.meta.url);

const round = (value: number) => String(Number(value.toFixed(1)));
const word = (value: unknown): string => {
  if (Array.isArray(value)) return value.map((one) => (one === undefined ? '-' : word(one))).join('/');
  return typeof value === 'number' ? round(value) : String(value);
};

/** What a line was read as, in one line. */
function tell(text: string, kind: Kind, units: UnitSystem, language = ''): string {
  const spelling = language === 'german' ? GERMAN.line : undefined;
  const { sketch, faults, doubts, reservedFor } = parseLine(text, { kind, units, spelling });
  const { kind: read, ...said } = sketch;
  const fields = Object.entries(said)
    .filter(([, value]) => value !== undefined)
    .toSorted(([a], [b]) => (a < b ? -1 : 1))
    .map(([field, value]) => `${field} ${word(value)}`);
  const more = [
    ...(reservedFor === null ? [] : [`for ${reservedFor}`]),
    ...(faults.length > 0 ? [`cannot read ${faults.map((fault) => fault.text).join(',')}`] : []),
    ...(doubts.length > 0 ? [`asks ${doubts.map(({ code }) => code).join(',')}`] : []),
  ];
  return `${read}; ${[...fields, ...more].join('; ')}`;
}

describe('lines as people write them', () => {
  const lines = readFileSync(CORPUS, 'utf8').trimEnd().split('\n');
  it('are four hundred', () =>
    expect(lines.filter((line) => !line.startsWith('@')).length).toBeGreaterThanOrEqual(400));

  it('are read as they are meant', () => {
    let page: [Kind, UnitSystem, string?] = ['fabric', 'metric'];
    const read = lines.map((line) => {
      if (line.startsWith('@')) {
        const [kind, units = 'metric', language] = line.slice(1).split(' ') as [Kind, UnitSystem?, string?];
        page = [kind, units, language];
        return line;
      }
      const text = line.split(' → ')[0]!;
      return `${text} → ${tell(text, ...page)}`;
    });
    expect(read).toEqual(lines);
  });
});
