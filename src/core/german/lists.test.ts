import { describe, expect, it } from 'vitest';
import { parseTable, readTable, recogniseColumns, type ListLanguage } from '../formats/csv/index.ts';
import { COLUMNS } from '../formats/csv/columns.ts';
import type { Kind, StationId } from '../records/index.ts';
import { createEmptyHousehold } from '../../sample/index.ts';
import { GERMAN, GERMAN_HEADS } from './index.ts';

const language: ListLanguage = { heads: GERMAN_HEADS, lines: GERMAN };

function read(text: string, kind: Kind, known: ListLanguage | undefined = language) {
  const table = parseTable(text);
  if (!table.ok) throw new Error(table.fault.code);
  const recognised = recogniseColumns(table.value, kind, known);
  let n = 0;
  const found = readTable(table.value, createEmptyHousehold().household, {
    ...recognised,
    kind,
    units: 'metric',
    nowMs: 0,
    stationOf: () => 'cutting' as StationId,
    createId: () => `n${(n += 1)}`,
    ...(known && { language: known }),
  });
  return { ...recognised, ...found };
}

describe('a list that is written in German', () => {
  it('is read as the same list in English: headings, words, amounts; names stay as they are', () => {
    const german = read(
      [
        'Bezeichnung;Stoffart;Farbe;Länge;Breite;Gewaschen;Preis;Gekauft bei;Muster',
        'Weste Ruth;Leinenköper;dunkelblau;3,4 m;140 cm;ja;24,50;Markt am Kai;gestreift',
        'Futter;Baumwolle;rot;2 Meter;1,1 m;nein;9;;',
      ].join('\n'),
      'fabric',
    );
    const english = read(
      [
        'name;class;colour;length;width;washed;price;bought at;print',
        'Weste Ruth;linen twill;dark blue;3.4 m;140 cm;yes;24.50;Markt am Kai;stripe',
        'Futter;cotton;red;2 m;1.1 m;no;9;;',
      ].join('\n'),
      'fabric',
      undefined,
    );
    expect(english.faults).toEqual([]);
    expect(german).toEqual(english);
  });

  it('tells what a name says, where no column does', () => {
    const { things, faults } = read('Name;Anzahl\nSchwarze Reißverschlüsse 20 cm;12 Stück\nStoffschere;1', 'notion');
    expect(faults).toEqual([]);
    expect(things.map(({ item, lots }) => [item.name, item.box?.type, lots[0]!.count])).toEqual([
      ['Schwarze Reißverschlüsse 20 cm', 'zips', 12],
      ['Stoffschere', expect.any(String), 1],
    ]);
  });

  it('tells what does not read by what stands there', () => {
    const { faults } = read('Name;Länge;Farbe\nLeinen;drei;blaulich', 'fabric');
    expect(faults.map(({ text }) => text)).toEqual(['drei', 'blaulich']);
  });

  it('has a heading for every column, and each leads to its own', () => {
    expect(Object.keys(GERMAN_HEADS).toSorted()).toEqual(COLUMNS.map(({ id }) => id).toSorted());
    for (const { id, kinds } of COLUMNS)
      for (const head of GERMAN_HEADS[id]!.split(', ')) {
        const table = { rows: [[head]], delimiter: ';' };
        expect(recogniseColumns(table, kinds[0]!, language).mapping, head).toEqual([id]);
      }
  });
});
