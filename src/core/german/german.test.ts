import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completeWord, createWordBook, parseLine, TYPE_FIGURES } from '../catalog/index.ts';
import {
  CLOTH_WORDS,
  CUT_WORDS,
  FIBRE_WORDS,
  FORM_WORDS,
  GARMENT_WORDS,
  HOLDER_WORDS,
  KIND_WORDS,
  PRINT_WORDS,
  WEAVE_WORDS,
} from '../catalog/words.ts';
import { isShade, parseColourWord } from '../colour/index.ts';
import { readHeap } from '../heaps/index.ts';
import {
  formatFlaw,
  formatGoalLine,
  formatPieceLine,
  parseFlawLine,
  parseGoalLine,
  parseMakes,
  parseNeedLine,
  parsePieceLine,
  parseStepLine,
} from '../projects/index.ts';
import { formatChoreLine, parseChoreLine } from '../upkeep/index.ts';
import { formatSizeLine, parseSizeLine } from '../scraps/index.ts';
import type { LineLanguage, SpellTable } from '../spelling/index.ts';
import { GERMAN } from './index.ts';
import { TABLES } from './lines.ts';

const WORDS = TABLES.line.words!;
const readBy = (language: keyof LineLanguage, typed: string) =>
  GERMAN[language].read(typed)?.map(({ letters, word }) => `${letters} ${word}`);
/** What a word is listed for first. */
const firstOf = (typed: string, table: SpellTable) =>
  Object.entries(table).find(([, words]) => words.split(', ').includes(typed))?.[0];
const read = (typed: string) => readBy('line', typed);

describe('lines typed in German', () => {
  it.each(Object.keys(TABLES) as (keyof LineLanguage)[])(
    '%s: every word that is listed means what it is listed for',
    (language) => {
      const table = { ...TABLES[language].words, ...TABLES[language].signs };
      for (const [word, typed] of Object.entries(table))
        for (const one of typed.split(', ').filter((bare) => !bare.endsWith('-')))
          // Some are both one and many, as “Streifen”.
          expect(readBy(language, one), one).toEqual([`${one.length} ${firstOf(one, table) ?? word}`]);
    },
  );

  it('have a word for everything that a line may say of a thing', () => {
    const known = Object.keys(WORDS);
    const missing = (wanted: Iterable<unknown>, means: (word: string) => unknown) => {
      const have = new Set(known.map(means));
      return [...new Set(wanted)].filter((one) => !have.has(one));
    };
    for (const table of [KIND_WORDS, CUT_WORDS, HOLDER_WORDS, PRINT_WORDS, FORM_WORDS])
      expect(missing(Object.values(table), (word) => table[word as keyof typeof table])).toEqual([]);
    expect(
      missing(
        Object.values(CLOTH_WORDS).map(([cloth]) => cloth),
        (word) => CLOTH_WORDS[word]?.[0],
      ),
    ).toEqual([]);
    for (const words of [FIBRE_WORDS, WEAVE_WORDS, GARMENT_WORDS]) expect(missing(words, String)).toEqual([]);
    const typeOf = (word: string) => TYPE_FIGURES.find((one) => one.words.includes(word))?.type;
    expect(
      missing(
        TYPE_FIGURES.map((one) => one.type),
        typeOf,
      ),
    ).toEqual([]);
    // Nothing is listed for a word that no line knows.
    const words = new Set(
      [KIND_WORDS, CUT_WORDS, HOLDER_WORDS, PRINT_WORDS, FORM_WORDS, CLOTH_WORDS].flatMap((one) => Object.keys(one)),
    );
    const uses = ['general', 'topstitching', 'overlocking', 'embroidery', 'quilting', 'basting', 'hand', 'buttonhole'];
    const others = new Set([...FIBRE_WORDS, ...WEAVE_WORDS, ...GARMENT_WORDS, ...uses, 'invisible']);
    const isRead = (word: string) =>
      words.has(word) || others.has(word) || typeOf(word) || parseColourWord(word) || isShade(word);
    expect(known.filter((word) => !isRead(word))).toEqual([]);
  });

  it('are read with endings, in longer words, and by the last part where the first is not known', () => {
    expect(read('weissen')).toEqual(['7 white']);
    expect(read('dunkelblaues')).toEqual(['6 dark', '6 blue']);
    expect(read('Baumwoll-Jersey')).toEqual(
      ['8 cotton', '7 jersey'].map((one) => one.replace('8', '9').replace('7', '6')),
    );
    expect(read('Knopflochgarne')).toEqual(['9 buttonhole', '5 thread']);
    expect(read('Sommerkleid')).toEqual(['6 Sommer', '5 dress']);
    expect(read('Nr.')).toEqual(['3 number']);
    for (const none of ['Ruth', 'linen', 'Kleiderschrankes', 'x', '']) expect(read(none), none).toBeUndefined();
  });

  it('take each letter of a word once, whatever is typed', () => {
    const some = fc.constantFrom(...Object.values(WORDS).flatMap((typed) => typed.toLowerCase().split(/-?, |-$/u)));
    fc.assert(
      fc.property(fc.array(fc.oneof(some, fc.string({ maxLength: 6 })), { maxLength: 4 }), (parts) => {
        const typed = parts.join('');
        const spelled = GERMAN.line.read(typed);
        if (spelled) expect(spelled.reduce((sum, one) => sum + one.letters, 0)).toBe(typed.length);
        const line = `${typed} 3,4 m`;
        const { parts: said } = parseLine(line, { kind: 'fabric', units: 'metric', spelling: GERMAN.line });
        for (const one of said) expect(line.slice(one.from, one.to)).toBe(one.text);
      }),
    );
  });

  it('tell heaps by their measure', () => {
    const heap = (typed: string) => {
      const told = readHeap(typed, 'metric', GERMAN.heap);
      return told && [told.by, told.value, told.pieces, told.rest];
    };
    expect(heap('Baumwolle Stapel 62 cm hoch')).toEqual(['pile', 620, null, 'Baumwolle']);
    expect(heap('Wolle 3 Kisten von 30 Litern')).toEqual(['room', 90e6, null, 'Wolle']);
    expect(heap('Schnittmuster, eine Reihe von 1,3 m')).toEqual(['row', 1300, null, 'Schnittmuster']);
    expect(heap('Haufen von 40 Knöpfen')).toEqual(['pieces', 40, null, 'Knöpfen']);
    expect(heap('Wolle von Ruth, Stapel 30 cm')).toEqual(['pile', 300, null, 'Wolle von Ruth']);
    expect(heap('Schnitte, eine Reihe von 1,3 m')).toEqual(['row', 1300, null, 'Schnitte']);
    expect(heap('2 Beutel Wolle aus Wien, Stapel 30 cm')).toEqual(['pile', 300, null, '2 Beutel Wolle aus Wien']);
    expect(heap('Baumwolle 2 m')).toBeNull();
  });

  it('tell what a project makes and needs, and where its steps are done', () => {
    const need = (typed: string) => {
      const { kind, part, amount } = parseNeedLine(typed, 'metric', 'n', GERMAN)!;
      return [kind, part, amount];
    };
    expect(need('Futter 1,4 m')).toEqual(['fabric', 'lining', 1400]);
    expect(need('Oberstoff')).toEqual(['fabric', 'main', undefined]);
    expect(need('6 Knöpfe')).toEqual(['notion', 'Knöpfe', 6]);
    expect(need('Nähgarn rot')).toEqual(['thread', 'Nähgarn rot', undefined]);
    expect(parseMakes('2 von 38 und 42, 3 Stück', GERMAN)).toEqual([
      { size: '38', count: 2 },
      { size: '42', count: 1 },
      { size: '', count: 3 },
    ]);
    const step = (typed: string) => {
      const { name, station, minutes } = parseStepLine(typed, 's', GERMAN)!;
      return [name, station, minutes];
    };
    expect(step('Ärmel einsetzen 45')).toEqual(['Ärmel einsetzen', 'sewing', 45]);
    expect(step('Zuschneiden')).toEqual(['Zuschneiden', 'cutting', undefined]);
    expect(step('Nähte versäubern 20 min')).toEqual(['Nähte versäubern', 'overlocking', 20]);
    expect(step('Saum bügeln')[1]).toBe('pressing');
  });

  it('tell pieces, flaws, goals and sizes, and are written so that they read again', () => {
    const piece = parsePieceLine('2 Taschen 15 x 15,5 im Bruch drehbar', 'metric', 'p', GERMAN.piece);
    expect(piece).toMatchObject({
      value: { name: 'Taschen', count: 2, widthMm: 150, heightMm: 155, isOnFold: true, mayTurn: true },
    });
    const outlined = {
      ...(piece.ok && piece.value),
      outline: [0, 150, 75].map((xMm) => ({ xMm, yMm: xMm === 75 ? 100 : 0 })),
    };
    const written = formatPieceLine(outlined as never, 'metric', GERMAN.piece);
    expect(written).toContain('im Bruch drehbar Ecken 0 0,');
    expect(parsePieceLine(written, 'metric', 'p', GERMAN.piece)).toEqual({ ok: true, value: outlined });

    // What is only a name stays as it was typed.
    expect(parsePieceLine('Tasche im Rücken 20 x 20 im Bruch', 'metric', 'p', GERMAN.piece)).toMatchObject({
      value: { name: 'Tasche im Rücken', isOnFold: true },
    });
    expect(parseFlawLine('Loch bei der Kante 4 x 6 bei 30, 120', 'metric', GERMAN.flaw)).toMatchObject({
      value: { note: 'Loch bei der Kante' },
    });
    const flaw = parseFlawLine('Fleck am Rand 4 × 6 bei 30, 120', 'metric', GERMAN.flaw);
    expect(flaw).toMatchObject({ value: { note: 'Fleck am Rand', xMm: 300, yMm: 1200 } });
    expect(flaw.ok && formatFlaw(flaw.value, 'metric', GERMAN.flaw)).toBe('Fleck am Rand 4 × 6 bei 30, 120');

    for (const line of ['120 blaue Quadrate 12.7', '1 Quadrat 10', '20 rosa Streifen 6.35 mal 100']) {
      const goal = parseGoalLine(line, 'metric', GERMAN.size);
      expect(goal.ok && formatGoalLine(goal.value, 'metric', GERMAN.size)).toBe(line);
    }
    for (const line of ['Quadrat 12.7 wert 4', 'Streifen 6.35 ab 30 wert 5']) {
      const size = parseSizeLine(line, 'metric', GERMAN.size);
      expect(size.ok && formatSizeLine(size.value, 'metric', GERMAN.size)).toBe(line);
    }
  });

  it('tell what comes round, and are written so', () => {
    const written = (typed: string) => {
      const chore = parseChoreLine(typed, GERMAN.chore);
      return chore.ok && [chore.value.work, formatChoreLine(chore.value, GERMAN.chore)];
    };
    expect(written('Ölen alle 8 Stunden')).toEqual(['oil', 'ölen alle 8 h']);
    expect(written('Fusseln entfernen jede Woche')).toEqual(['lint', 'Fusseln entfernen alle 7 Tage']);
    expect(written('Wartung jedes Jahr oder 100 h')).toEqual(['service', 'Wartung jedes Jahr oder 100 h']);
    expect(written('Klinge wechseln alle 2 Jahre')).toEqual(['blade', 'Klinge wechseln alle 2 Jahre']);
    expect(written('Riemen reinigen oder ölen alle 30 Tage')).toEqual([
      'other',
      'Riemen reinigen oder ölen alle 30 Tage',
    ]);
    expect(written('Riemen ansehen alle 30 Tage')).toEqual(['other', 'Riemen ansehen alle 30 Tage']);
  });

  it('are ended by Tab with German words, and with the shops after “von”', () => {
    const items = [{ name: 'Leinen', source: 'Stoffmarkt' }] as unknown as Parameters<typeof createWordBook>[0];
    const book = createWordBook(items, GERMAN.line);
    expect(completeWord('Lein', book)).toBeNull();
    expect(completeWord('Baumwollp', book)).toBeNull();
    expect(completeWord('2 m Popel', book)).toBe('ine');
    expect(completeWord('Leinen von Sto', book)).toBe('ffmarkt');
    expect(completeWord('Leinen from Sto', book)).toBe('ffmarkt');
  });
});
