import { readFileSync } from 'node:fs';
import { setupI18n } from '@lingui/core';
import { compileMessageOrThrow } from '@lingui/message-utils/compileMessage';
import PO from 'pofile';
import { afterEach, describe, expect, it } from 'vitest';
import { parseLine, TYPE_FIGURES } from '../../core/catalog/index.ts';
import { FIBRE_WORDS, GARMENT_WORDS, THREAD_USES, WEAVE_WORDS } from '../../core/catalog/words.ts';
import { listTargets, recogniseColumns } from '../../core/formats/csv/index.ts';
import { GERMAN_HEADS } from '../../core/german/index.ts';
import { COLOUR_FAMILIES, getColourFamily } from '../../core/colour/index.ts';
import { CLOTHS } from '../../core/measure/index.ts';
import { KINDS, type Kind, type PlaceId, type UnitSpec } from '../../core/records/index.ts';
import { applyUnitSpec } from '../../core/storage/index.ts';
import { formatClothLength, formatMinutes, parseLengthMm } from '../../core/units/index.ts';
import type { Spelling } from '../../core/spelling/index.ts';
import { createEmptyHousehold, createSampleHousehold } from '../../sample/index.ts';
import { EXAMPLE } from '../features/stash/quick.ts';
import { findLanguage } from '../state/speaking.ts';
import { COLUMN_WORDS } from '../text/columns.ts';
import { wordShade } from '../text/groups.ts';
import { wordKindPlural } from '../text/names.ts';
import { wordDay, wordDayOfYear } from '../text/days.ts';
import { readDayOfYear } from '../text/readDay.ts';
import { wordOrdinal } from '../text/grammar.ts';
import { speak } from './choose.ts';
import {
  formatFixed,
  formatNumber,
  formatShort,
  getLineLanguage,
  listAlike,
  perLanguage,
  readTerm,
  t,
  wordTerm,
} from './index.ts';
import { readMessage } from './messages.ts';
import { TERMS } from './terms.ts';

const catalogue = PO.parse(readFileSync(new URL('de.po', import.meta.url), 'utf8'));
const messages = catalogue.items.map(({ msgid }) => msgid);

/** A value for each name of a message, a count for each that is counted. */
const fill = (message: string, count: number) =>
  Object.fromEntries(
    [...message.matchAll(/(?<!\b(?:one|other) )\{(\w+)(?:(, plural)|\})/g)].map(([, name = '', counted]) => [
      name,
      counted ? count : `<${name}>`,
    ]),
  );

afterEach(async () => speak('en'));

describe('English', () => {
  const lingui = setupI18n({ locale: 'en', messages: { en: {} } }).setMessagesCompiler(compileMessageOrThrow);

  it('lets a name that is written to the left stand by itself in its sentence, and leaves others as they are', () => {
    const took = (name: string) => t('Took out {name}, {n}', { name, n: 3 });
    expect(took('שמלה')).toBe('Took out \u2068שמלה\u2069, 3');
    expect(took('Łódź')).toBe('Took out Łódź, 3');
  });

  it('is put together as the library does, every message of the source', () => {
    expect(messages.length).toBeGreaterThan(4000);
    for (const message of messages)
      for (const count of [0, 1, 2, 1234, 1.5]) {
        const values = fill(message, count);
        expect(t(message, values), message).toBe(lingui.t(message, values));
      }
  });

  it('says nothing for what is not there, and leaves a message without values as it is', () => {
    expect(t('{name}, out', { name: null })).toBe(', out');
    expect(t('50 % of it')).toBe('50 % of it');
    expect(readMessage('{n, plural, one {# thing} other {# things}} left')).toEqual([
      ['n', 'plural', { one: ['#', ' thing'], other: ['#', ' things'] }],
      ' left',
    ]);
  });
});

describe('German', () => {
  it('has its words, counts, dates, numbers and units', async () => {
    await speak('de');
    expect(t('Put away')).toBe('Wegräumen');
    expect(t('{n, plural, one {# thing} other {# things}}', { n: 1 })).toBe('1 Ding');
    expect(t('{n, plural, one {# thing} other {# things}}', { n: 1234 })).toBe('1.234 Dinge');
    expect(t('{watts} W', { watts: 2.5 })).toBe('2,5 W');
    expect(wordOrdinal(3)).toBe('3.');
    expect([wordDay('2027-05-31'), wordDayOfYear('04-15'), wordDay('soon')]).toEqual(['31.05.2027', '15.04.', 'soon']);
    for (const typed of ['15.04.', '15.4', ' 15. 4. ', '04-15']) expect(readDayOfYear(typed), typed).toBe('04-15');
    expect(['31.04.', '4/15', '', '15'].map(readDayOfYear)).toEqual([null, null, null, null]);
    expect(wordKindPlural('thread')).toBe('Garne');
    expect([formatNumber(1234.5), formatFixed(2, 2), formatShort(0.25, 1)]).toEqual(['1.234,5', '2,00', '0,3']);
    expect([formatClothLength(3250, 'metric'), formatMinutes(90), formatMinutes(3600 * 1234)]).toEqual([
      '3,25 m',
      '1,5 min',
      '1.234 h',
    ]);
  });

  it('has the words of the craft, as they are said, typed and looked for', async () => {
    await speak('de');
    expect(['cotton', 'green', 'zips', 'heirloom'].map(wordTerm)).toEqual([
      'Baumwolle',
      'grün',
      'Reißverschlüsse',
      'heirloom',
    ]);
    expect(['baumwolle', 'GRÜN', 'reissverschlüsse', 'heirloom'].map(readTerm)).toEqual([
      'cotton',
      'green',
      'zips',
      'heirloom',
    ]);
    // One of many, but nothing that is only begun.
    expect(['Schere', 'Reißverschluss', 'Knopf', 'Band', 'Reiß', 'Man'].map(readTerm)).toEqual([
      'scissors',
      'zips',
      'buttons',
      'ribbon',
      'Reiß',
      'Man',
    ]);
    // With an ending, begun, or after how light it is.
    expect(listAlike('grünes')).toEqual(['green']);
    expect(listAlike('dunkelblaue')).toEqual(['blue']);
    expect(listAlike('Knopf')).toContain('buttons');
    expect(listAlike('xyz')).toEqual([]);
    expect(wordShade(0)).toBe('hellrot');
  });

  it('has a word for every term that the records may have', async () => {
    await speak('de');
    const known = [
      ...COLOUR_FAMILIES,
      ...FIBRE_WORDS,
      ...WEAVE_WORDS,
      ...GARMENT_WORDS,
      ...THREAD_USES,
      ...TYPE_FIGURES.map(({ type }) => type),
      ...CLOTHS.map(({ fibre }) => fibre),
      ...[...createSampleHousehold().household.items.values()].flatMap((item) => [
        item.fabric?.fibre ?? [],
        item.pattern?.garment ?? [],
        item.thread?.use ?? [],
        item.box?.type ?? [],
      ]),
    ].flat();
    expect(known.filter((term) => !(term in TERMS()))).toEqual([]);
  });

  it('says every word as a line may be typed: it is read as what it stands for', async () => {
    await speak('de');
    const { line } = getLineLanguage()!;
    const read = (text: string, kind: Kind, spelling?: Spelling) => {
      const { name: _, colours = [], ...rest } = parseLine(text, { kind, units: 'metric', spelling }).sketch;
      return { ...rest, colours: colours.map(getColourFamily) };
    };
    const words = {
      fabric: [...COLOUR_FAMILIES, ...FIBRE_WORDS, ...WEAVE_WORDS],
      pattern: GARMENT_WORDS,
      // Two are other words for the same, and are the first of them when read.
      thread: THREAD_USES.filter((use) => use !== 'serger' && use !== 'tacking'),
      notion: TYPE_FIGURES.map(({ type }) => type),
    };
    for (const [kind, terms] of Object.entries(words) as [keyof typeof words, Iterable<string>][])
      for (const term of terms) expect(read(wordTerm(term), kind, line), term).toEqual(read(term, kind));
  });

  it('calls every column of a list as a list may head it', async () => {
    await speak('de');
    const lists = { heads: GERMAN_HEADS, lines: getLineLanguage()! };
    expect(Object.keys(COLUMN_WORDS()).toSorted()).toEqual(
      [...new Set(KINDS.flatMap(listTargets)).add('amount')].toSorted(),
    );
    for (const kind of KINDS)
      for (const id of listTargets(kind)) {
        const table = { rows: [[COLUMN_WORDS()[id]!]], delimiter: ';' };
        expect(recogniseColumns(table, kind, lists).mapping, `${kind} ${id}`).toEqual([id]);
      }
  });

  it('finds by what is typed on lines, and drops the words of a question', async () => {
    await speak('de');
    expect(listAlike('Popeline')).toContain('poplin');
    expect(listAlike('Baumwolljersey')).toContain('jersey');
    expect(listAlike('wo')).toContain('where');
  });

  it('shows examples of lines that are read as the English ones are', async () => {
    const kinds = KINDS.map((kind) => ({ kind, english: EXAMPLE()[kind] }));
    await speak('de');
    for (const { kind, english } of kinds)
      for (const [n, units] of (['metric', 'imperial'] as const).entries()) {
        const german = EXAMPLE()[kind][n]!;
        const said = (text: string) => {
          const { sketch, faults } = parseLine(text, { kind: 'fabric', units, spelling: getLineLanguage()?.line });
          const { name: _, ...rest } = sketch;
          return { rest, faults };
        };
        expect(german).not.toBe(english[n]);
        expect(said(german), german).toEqual(said(english[n]!));
      }
  });

  it('gives its own names to what is new, and still knows what was called so in English', async () => {
    const room = () => [...createEmptyHousehold().household.places.values()][0]!;
    const shelves = (rows: number): UnitSpec => ({
      kind: 'bookcase',
      wallId: 'north',
      xMm: 0,
      yMm: 0,
      widthMm: 800,
      heightMm: 1800,
      depthMm: 300,
      boardMm: 18,
      columns: 1,
      rows,
      isAnchored: true,
    });
    const english = applyUnitSpec('u' as PlaceId, null, shelves(2), [], () => 'e');
    expect(english.ok && english.kept.map(({ name }) => name)).toEqual(['Shelf 2', 'Shelf 1']);
    await speak('de');
    expect([createEmptyHousehold().household.settings.name, room().name]).toEqual(['Mein Nähzimmer', 'Nähzimmer']);
    expect(room().room!.walls.map(({ name }) => name)).toEqual(['Nordwand', 'Ostwand', 'Südwand', 'Westwand']);
    let n = 0;
    const grown = applyUnitSpec(
      'u' as PlaceId,
      shelves(2),
      shelves(3),
      english.ok ? english.kept : [],
      () => `n${(n += 1)}`,
    );
    // Named by nobody, they are counted anew, in the language that is spoken.
    expect(grown.ok && grown.kept.map(({ name }) => name)).toEqual(['Fach 3', 'Fach 2', 'Fach 1']);
    await speak('en');
    expect(room().name).toBe('Sewing room');
  });

  it('writes lengths that are read back the same', async () => {
    await speak('de');
    for (const mm of [5, 940, 3250, 12_345]) {
      const written = formatClothLength(mm, 'metric');
      const read = parseLengthMm(written, 'm');
      expect(read.ok && Math.abs(read.value - mm) <= 5, written).toBe(true);
    }
  });

  it('is gone again with the choice: words, tables and units', async () => {
    const table = perLanguage(() => [t('Cloth')]);
    await speak('de');
    expect(table()).toEqual(['Stoff']);
    await speak('en');
    expect(table()).toEqual(['Cloth']);
    expect(table()).toBe(table());
    expect(formatClothLength(3250, 'metric')).toBe('3.25 m');
    expect(wordOrdinal(22)).toBe('22nd');
    expect([wordTerm('cotton'), readTerm('Baumwolle'), listAlike('grün')]).toEqual(['cotton', 'Baumwolle', []]);
    expect([wordDay('2027-05-31'), wordDayOfYear('04-15')]).toEqual(['2027-05-31', '04-15']);
    expect(['04-15', '4-15', '02-29', '15-04', '02-30'].map(readDayOfYear)).toEqual([
      '04-15',
      '04-15',
      '02-29',
      null,
      null,
    ]);
  });
});

it('the device’s first language that there is, is spoken', () => {
  expect(findLanguage(['de-AT', 'en'])).toBe('de');
  expect(findLanguage(['fr-FR', 'en-GB', 'de'])).toBe('en');
  expect(findLanguage(['fr'])).toBe('en');
});
