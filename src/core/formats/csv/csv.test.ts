import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createSpool, CUTTING } from '../../../../tests/household.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { dropAbsent, KINDS, type Household, type Item, type Kind } from '../../records/index.ts';
import { decodeText, MAX_ROWS, parseTable, readTable, recogniseColumns, toCsv, type Mapping } from './index.ts';
import { writeTable } from './text.ts';

const EMPTY = createHousehold([], [], []);
let count = 0;
const settle = (kind: Kind, units: 'metric' | 'imperial' = 'metric') => ({
  kind,
  units,
  nowMs: 5,
  stationOf: () => CUTTING,
  createId: () => `n${(count += 1)}`,
});
function table(text: string) {
  const parsed = parseTable(text);
  if (!parsed.ok) throw new Error(parsed.fault.code);
  return parsed.value;
}
function read(text: string, kind: Kind = 'fabric', household: Household = EMPTY, mapping?: Mapping) {
  const rows = table(text);
  const known = recogniseColumns(rows, kind);
  return readTable(rows, household, { ...settle(kind), ...known, ...(mapping && { mapping }) });
}

describe('a table as people keep it', () => {
  it('says what cloth it is by its name or its material, as the quick line does', () => {
    const { things, faults } = read(
      'name,material,amount,weight class\nDark blue denim,,2 m,95 gsm\nRust cord,corduroy,1.5,\nParty,satin,3m,\nSummer,viscose challis,2,\nPetticoat,net,4m,\nOat,linen,2.5,',
    );
    expect(faults).toEqual([]);
    expect(
      things.map(({ item, lots }) => [item.name, item.fabric!.fibre, item.fabric!.cloth, lots[0]!.lengthMm]),
    ).toEqual([
      ['Dark blue denim', 'cotton', 'denim10', 2000],
      ['Rust cord', 'cotton', 'corduroy', 1500],
      ['Party', 'polyester', 'satin', 3000],
      ['Summer', 'viscose', 'poplin', 2000],
      ['Petticoat', 'polyester', 'chiffon', 4000],
      ['Oat', 'linen', 'linen', 2500],
    ]);
    expect(things[0]!.item.fabric!.grammageGsm).toBe(95);
  });

  it('counts what is counted and measures what is measured, whatever its column is called', () => {
    const { things, faults } = read(
      'name,amount\nHorn buttons,3 pcs\nNavy zips,12\nElastic white,5 m\nSnaps,2 packets',
      'notion',
    );
    expect(faults).toEqual([]);
    expect(things.map(({ item, lots }) => [item.box!.type, lots[0]!.count, lots[0]!.lengthMm])).toEqual([
      ['buttons', 3, undefined],
      ['zips', 12, undefined],
      ['elastic', 1, 5000],
      ['snaps', 2, undefined],
    ]);
    expect(read('name,count\nShears,3 pcs', 'tool').things[0]!.lots[0]!.count).toBe(3);
    // A cloth of three pieces is of no length.
    expect(read('name,amount\nLinen,3 pcs').faults).toMatchObject([{ code: 'missing' }]);
  });
});

describe('text of a file', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode('Näh;3')],
    ['UTF-8 with a mark', new TextEncoder().encode('\ufeffNäh;3')],
    ['one byte a sign', new Uint8Array([0x4e, 0xe4, 0x68, 0x3b, 0x33])],
    ['two bytes with a mark', new Uint8Array([0xff, 0xfe, 0x4e, 0, 0xe4, 0, 0x68, 0, 0x3b, 0, 0x33, 0])],
    ['two bytes, the other way round', new Uint8Array([0xfe, 0xff, 0, 0x4e, 0, 0xe4, 0, 0x68, 0, 0x3b, 0, 0x33])],
    ['two bytes without a mark', new Uint8Array([0x4e, 0, 0xe4, 0, 0x68, 0, 0x3b, 0, 0x33, 0])],
  ])('reads %s', (_, bytes) => {
    const text = decodeText(bytes);
    expect(text.ok && text.value.replace('\ufeff', '')).toBe('Näh;3');
  });

  it('refuses a picture, and what is far too large', () => {
    expect(decodeText(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]))).toMatchObject({
      fault: { code: 'not-text' },
    });
    expect(decodeText(new Uint8Array(64_000_001))).toMatchObject({ fault: { code: 'too-large' } });
  });
});

describe('a table', () => {
  it.each([
    ['commas and quotes', 'a,"b, ""c""\nd",e', ',', ['a', 'b, "c"\nd', 'e']],
    ['semicolons', 'a;"b;c";1,5', ';', ['a', 'b;c', '1,5']],
    ['tabs, as pasted', 'a\tb\tc\r\n', '\t', ['a', 'b', 'c']],
  ])('is parted by %s', (_, text, delimiter, cells) => {
    expect(table(text)).toEqual({ rows: [cells], delimiter });
  });

  it('of two million rows is refused before it is read, an empty one too', () => {
    expect(parseTable('a,b\n'.repeat(2_000_000))).toEqual({
      ok: false,
      fault: { code: 'too-many-rows', limit: MAX_ROWS },
    });
    expect(parseTable(' \n\n')).toMatchObject({ fault: { code: 'empty' } });
  });
});

describe('columns', () => {
  it('are recognised by many headings, in any order', () => {
    const { hasHeader, mapping } = recogniseColumns(
      table('Yardage,Title,Fiber content,WOF,Price,Weather\n1,2,3,4,5,6'),
      'fabric',
    );
    expect(hasHeader).toBe(true);
    expect(mapping).toEqual(['length', 'name', null, 'width', 'cost', null]);
    expect(recogniseColumns(table('Color,Tex,Spools\nred,27,2'), 'thread').mapping).toEqual([
      'colours',
      'tex',
      'count',
    ]);
  });

  it('without headings begin with the name', () => {
    expect(recogniseColumns(table('Oat twill,3.4 m\nRust,2 m'), 'fabric')).toEqual({
      hasHeader: false,
      mapping: ['name', null],
    });
    const made = read('Oat twill;3,4\nRust;2 m', 'fabric', EMPTY, ['name', 'length']);
    expect(made.things.map((thing) => [thing.item.name, thing.lots[0]!.lengthMm])).toEqual([
      ['Oat twill', 3400],
      ['Rust', 2000],
    ]);
  });
});

describe('rows', () => {
  it('become things, filled up with what is usual', () => {
    const made = read(
      'name,length,width,class,colour,washed,price\nOat,3.4,140,linen,oat,yes,24.50\n"Blue, dark",2 1/2 yd,54",denim,dark blue,no,',
    );
    expect(made.faults).toEqual([]);
    expect(made.things[0]).toMatchObject({
      item: {
        name: 'Oat',
        colours: ['#cdbd98'],
        cost: 24.5,
        fabric: { cloth: 'linen', fibre: 'linen', widthMm: 1400 },
      },
      lots: [{ lengthMm: 3400, isWashed: true, state: 'out' }],
    });
    expect(made.things[1]).toMatchObject({ item: { fabric: { widthMm: 1371.6 } }, lots: [{ lengthMm: 2286 }] });
    expect(made).toMatchObject({ newItems: 2, changedItems: 0, newLots: 2 });
  });

  it('of several kinds can stand in one table', () => {
    const made = read(
      'kind,name,count,type,tex,number\nthread,Rust,2,,80,\nnotion,Zip,3,zips,,\npattern,Skirt,1,,,214',
    );
    expect(made.faults).toEqual([]);
    expect(made.things.map(({ item }) => item.kind)).toEqual(['thread', 'notion', 'pattern']);
  });

  it.each([
    ['length', 'abc', 'not-a-number'],
    ['length', '-2', 'negative'],
    ['length', '0', 'zero'],
    ['length', '3 furlongs', 'unknown-unit'],
    ['length', '1000000 m', 'too-large'],
    ['length', '=2+3', 'not-a-number'],
    ['width', '1e9', 'unknown-unit'],
    ['class', 'moonstuff', 'not-one-of'],
    ['colour', 'bluish-ish', 'no-colour'],
    ['washed', 'perhaps', 'not-one-of'],
    ['price', 'much', 'not-a-number'],
    ['name', 'x'.repeat(130), 'too-long'],
  ])('point at a bad %s “%.20s”', (header, text, code) => {
    const row: Record<string, string> = {
      name: 'Oat',
      length: '3',
      width: '140',
      class: 'linen',
      colour: 'oat',
      washed: 'yes',
      price: '1',
    };
    row[header] = text;
    const headers = Object.keys(row);
    const made = read(writeTable([headers, Object.values(row)]));
    expect(made.things).toEqual([]);
    expect(made.faults).toMatchObject([{ code, row: 1, column: headers.indexOf(header) }]);
  });

  it('without a name or a length say so, and one bad row keeps all out', () => {
    const made = read('name,length\nOat,3\n,2\nRust,');
    expect(made.things).toEqual([]);
    expect(made.faults.map(({ code, row, column }) => [code, row, column])).toEqual([
      ['missing', 2, 0],
      ['missing', 3, 1],
    ]);
  });

  it('that name a lot change it, and rows with one item id are its lots', () => {
    const cloth = createCloth('cloth');
    const here = createHousehold([], [cloth], [createLot(cloth)]);
    const made = read(
      'name,length,lot id,item id\nNew name,1.5 m,lot-cloth,cloth\n,0.5 m,,cloth\nOther,2 m,,far\nOther,3 m,,far',
      'fabric',
      here,
    );
    expect(made.faults).toEqual([]);
    expect(made).toMatchObject({ newItems: 1, changedItems: 1, newLots: 3 });
    expect(made.things[0]).toMatchObject({
      item: { id: 'cloth', name: 'New name' },
      lots: [{ id: 'lot-cloth', lengthMm: 1500 }, { lengthMm: 500 }],
    });
    expect(made.things[1]!.lots.map((lot) => lot.lengthMm)).toEqual([2000, 3000]);
  });

  it('stop when they are told to', () => {
    const rows = table(`name,length\n${'Oat,1\n'.repeat(3000)}`);
    const seen: number[] = [];
    const made = readTable(rows, EMPTY, {
      ...settle('fabric'),
      ...recogniseColumns(rows, 'fabric'),
      onProgress: (done) => seen.push(done) < 3,
    });
    expect([made.isStopped, seen]).toEqual([true, [0, 500, 1000]]);
  });
});

describe('written out', () => {
  const { household } = createSampleHousehold();

  it.each(KINDS)('%s come back as they were', (kind) => {
    const text = toCsv(household, kind);
    const items = new Map([...household.items].filter(([, item]) => item.kind === kind));
    // Into the household they came from nothing changes …
    const again = read(text, kind, household);
    expect(again.faults).toEqual([]);
    expect(again).toMatchObject({ newItems: 0, newLots: 0, changedItems: items.size });
    for (const { item, lots } of again.things) {
      expect(item).toEqual(items.get(item.id));
      for (const lot of lots) expect(lot).toEqual(household.lots.get(lot.id));
    }
    // … and in an empty one they are the same things, lying out.
    const fresh = read(text, kind);
    expect(fresh.faults).toEqual([]);
    const bare = (item: Item) => dropAbsent({ ...item, id: '', stationId: '', belongsToId: undefined });
    expect(fresh.things.map(({ item }) => bare(item))).toEqual([...items.values()].map(bare));
    for (const { lots } of fresh.things)
      for (const lot of lots) expect([lot.state, lot.homeId]).toEqual(['out', undefined]);
  });

  it('say below what a thing is to be bought again, each in its own unit', () => {
    const cloth = createCloth('cloth', { restockBelow: 1500 });
    const spools = createSpool('spools', { restockBelow: 2 });
    const bits: Item = {
      ...createCloth('bits'),
      kind: 'scrap',
      forms: ['loose'],
      scrap: { cut: 'odd' },
      restockBelow: 250_000,
    };
    const here = createHousehold(
      [],
      [cloth, spools, bits],
      [createLot(cloth), createLot(spools), createLot(bits, null, { areaMm2: 5e5 })],
    );
    for (const item of [cloth, spools, bits])
      expect(read(toCsv(here, item.kind), item.kind).things[0]!.item.restockBelow).toBe(item.restockBelow);
  });

  it('hold no formula that a spreadsheet would run', () => {
    const evil = createCloth('cloth', { name: '=HYPERLINK("x")', notes: '@sum', tags: ['+1', '-2+3'] });
    const text = toCsv(createHousehold([], [evil], [createLot(evil)]), 'fabric');
    for (const row of table(text.replace('\ufeff', '')).rows)
      for (const cell of row) expect(cell).not.toMatch(/^[=+@]|^-\D/);
    const made = read(text);
    expect(made.things[0]!.item).toMatchObject({ name: '=HYPERLINK("x")', notes: '@sum', tags: ['+1', '-2+3'] });
  });

  it('any cells come back', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { minLength: 2, maxLength: 2 }), { minLength: 1 }), (rows) => {
        const full = rows.map((row) => ['k', ...row, 'k']);
        const back = table(writeTable(full).replace('\ufeff', '')).rows;
        expect(back.length).toBe(full.length);
      }),
    );
  });
});
