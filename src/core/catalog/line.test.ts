import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Kind } from '../records/index.ts';
import { parseLine } from './line.ts';

const read = (text: string, kind: Kind = 'fabric', units: 'metric' | 'imperial' = 'metric') =>
  parseLine(text, { kind, units });
const sketch = (text: string, kind?: Kind, units?: 'metric' | 'imperial') => read(text, kind, units).sketch;

describe('the quick line', () => {
  it('reads a cloth', () => {
    const line = read('linen twill oat 3.4m x 140 185gsm board');
    expect(line.sketch).toEqual({
      kind: 'fabric',
      name: 'Linen twill oat',
      fibre: 'linen',
      cloth: 'linen',
      weave: 'twill',
      colours: ['#cdbd98'],
      lengthMm: 3400,
      widthMm: 1400,
      grammageGsm: 185,
      form: 'board',
    });
    expect(line.faults).toEqual([]);
    expect(line.parts.map((part) => [part.text, part.means])).toEqual([
      ['linen', 'fibre'],
      ['twill', 'weave'],
      ['oat', 'colour'],
      ['3.4m', 'length'],
      ['x 140', 'width'],
      ['185gsm', 'grammage'],
      ['board', 'form'],
    ]);
  });

  it.each<[string, Kind, object]>([
    [
      'cotton lawn dark green 2 1/2 yd x 54"',
      'fabric',
      { lengthMm: 2286, widthMm: 1371.6, cloth: 'chiffon', fibre: 'cotton' },
    ],
    [
      'wool coating 1,8 m 150 wide washed',
      'fabric',
      { lengthMm: 1800, widthMm: 1500, isWashed: true, cloth: 'coating' },
    ],
    ['jersey navy stripe 2m', 'fabric', { lengthMm: 2000, print: 'stripe', fibre: 'knit', colours: ['#23304f'] }],
    ['denim 12oz 3m', 'fabric', { grammageGsm: 12 * 33.906, lengthMm: 3000, cloth: 'denim10' }],
    [
      'topstitching thread polyester rust tex 80 2 spools',
      'thread',
      { use: 'topstitching', tex: 80, count: 2, fibre: 'polyester', holder: 'small' },
    ],
    ['serger thread white tkt 120 3 cones', 'thread', { use: 'serger', tex: 25, count: 3, holder: 'cone' }],
    ['thread dark green 40 wt', 'thread', { tex: 25 }],
    ['thread dark green 40wt 2 spools', 'thread', { tex: 25, count: 2 }],
    ['thread dark green 27 tex', 'thread', { tex: 27 }],
    ['thread teal wt 40 500m', 'thread', { tex: 25, lengthMm: 500_000 }],
    ['linen moss 2.5 m x 140 22.50', 'fabric', { lengthMm: 2500, widthMm: 1400, cost: 22.5 }],
    ['bobbin rust x4', 'thread', { holder: 'bobbin', count: 4 }],
    ['zip navy metal 20cm x3', 'notion', { type: 'zips', size: '20 cm', count: 3 }],
    ['buttons horn 20mm 24 pcs', 'notion', { type: 'buttons', size: '20 mm', units: 24 }],
    ['ribbon grosgrain navy 25mm 4.5m', 'notion', { type: 'ribbon', tapeWidthMm: 25, lengthMm: 4500 }],
    [
      'machine needles 90/14 5 pcs used 3h',
      'notion',
      { type: 'machine needles', size: '90/14', units: 5, usedHours: 3 },
    ],
    ['fabric glue expires 2027-05-01', 'notion', { type: 'glue', expiresOn: '2027-05-01' }],
    ['quilting ruler 15 x 60 cm', 'tool', { type: 'ruler', boxMm: [150, undefined, 600] }],
    ['rotary cutter 45mm', 'tool', { type: 'rotary cutter' }],
    [
      'overlocker 34 x 29 x 31 cm 7.6kg 90W',
      'other',
      { type: 'machine', boxMm: [340, 290, 310], massG: 7600, watts: 90 },
    ],
    ['pattern 2145 skirt sizes 34-44', 'pattern', { number: 2145, garment: 'skirt', sizes: '34-44' }],
    ['pattern 88 jacket printed 46 sheets made', 'pattern', { number: 88, format: 'sheets', sheets: 46, isMade: true }],
    ['pattern 12 hat pdf', 'pattern', { number: 12, format: 'digital' }],
    ['knit interfacing white 2 m x 90', 'fabric', { cloth: 'interfacing', lengthMm: 2000, widthMm: 900 }],
    ['wadding 3m x 150', 'fabric', { cloth: 'batting', lengthMm: 3000, widthMm: 1500 }],
    ['linen scraps 240g', 'scrap', { cut: 'odd', areaMm2: (240 / 185) * 1e6, cloth: 'linen' }],
    ['poplin squares 5in 30', 'scrap', { cut: 'square', cutMm: 127, count: 30 }],
    ['scrap blue cotton 40 x 30 cm', 'scrap', { cut: 'odd', areaMm2: 400 * 300 }],
    ['linen scrap 20in x 10in', 'scrap', { cut: 'odd', areaMm2: 508 * 254 }],
    ['cotton strips 2.5in x 14', 'scrap', { cut: 'strip', cutMm: 63.5, count: 14 }],
    ['kit for the rowing smock', 'kit', { name: 'Kit for the rowing smock' }],
  ])('reads “%s” as %s', (text, kind, want) => {
    const got = sketch(text);
    expect(got.kind).toBe(kind);
    expect(got).toMatchObject(want);
  });

  it('takes the kind of the page where the line says none', () => {
    expect(sketch('lockside 214', 'pattern')).toMatchObject({ kind: 'pattern', number: 214, name: 'Lockside' });
    expect(sketch('odd thing', 'tool')).toMatchObject({ kind: 'tool', name: 'Odd thing' });
    expect(sketch('rust', 'thread')).toMatchObject({ kind: 'thread', name: 'Rust' });
  });

  it('reads bare numbers in the units of the house', () => {
    expect(sketch('linen 3 x 54', 'fabric', 'imperial')).toMatchObject({ lengthMm: 3 * 914.4, widthMm: 54 * 25.4 });
  });

  it('keeps tags, cost, what it is promised to and care', () => {
    expect(sketch('linen 2m #summer #gift cost 24.50')).toMatchObject({ tags: ['summer', 'gift'], cost: 24.5 });
    expect(read('linen 2m for boat curtains')).toMatchObject({
      reservedFor: 'boat curtains',
      sketch: { name: 'Linen' },
    });
  });

  it.each([
    ['linen -2m', '-2m', 'negative'],
    ['linen 0m', '0m', 'zero'],
    ['linen 1e9 m', '1e9', 'not-a-number'],
    ['linen 20000000 m', '20000000 m', 'too-large'],
    ['linen 3 furlongs', '3 furlongs', 'unknown-unit'],
    ['linen 3qm', '3qm', 'unknown-unit'],
  ])('points at what it cannot read in “%s”', (text, part, code) => {
    expect(read(text).faults).toMatchObject([{ text: part, code }]);
  });

  it('never throws, loses no word, and its parts lie in the line in order', () => {
    const word = fc.oneof(
      fc.constantFrom(
        'linen',
        'x',
        '3.4m',
        '140',
        '185gsm',
        '#',
        '--',
        '½',
        'tex',
        'for',
        'cost',
        '"',
        'size',
        '0',
        '🧵',
      ),
      fc.string({ maxLength: 8 }),
    );
    fc.assert(
      fc.property(
        fc.array(word, { maxLength: 9 }),
        fc.constantFrom<Kind>('fabric', 'thread', 'other', 'scrap'),
        (words, kind) => {
          const text = words.join(' ');
          const line = read(text, kind);
          let at = 0;
          for (const part of line.parts) {
            expect(part.from).toBeGreaterThanOrEqual(at);
            expect(text.slice(part.from, part.to)).toBe(part.text);
            at = part.to;
          }
        },
      ),
    );
  });
});
