import { describe, expect, it } from 'vitest';
import { createCloth, createLot, createPattern, createSpool, createThing } from '../../../tests/household.ts';
import { DEFAULT_SETTINGS, type Item } from '../../core/records/index.ts';
import {
  formatAmount,
  wordAmount,
  wordDoubt,
  wordLikeness,
  wordMatch,
  wordPackage,
  wordShift,
  wordThing,
} from './index.ts';
import { wordHowMuch, wordMeasures } from './measures.ts';
import { wordPictureFault, wordRowFault, wordTableFault } from './tables.ts';

const cloth = createCloth('cloth', { forms: ['board', 'stack', 'roll'] });
const scrap: Item = { ...cloth, kind: 'scrap', forms: ['stack', 'loose'], scrap: { cut: 'square', cutMm: 100 } };
const kit = createThing('kit', { kind: 'kit' });
const box = createThing('x').box!;
const ribbon = createThing('ribbon', {
  kind: 'notion',
  box: { ...box, type: 'ribbon', tape: { widthMm: 25, layerMm: 0.35, coreMm: 20 } },
});
const howOf = (item: Item, name: string, change = {}) =>
  wordMeasures(item, createLot(item, null, change), DEFAULT_SETTINGS).find((row) => row.name === name);

describe('every figure of a ticket', () => {
  it('says how it was made', () => {
    // Two metres a metre wide in panels of 30 × 28 cm: 4 × 8 layers of 1 mm.
    expect(howOf(cloth, 'Folded')).toEqual({
      name: 'Folded',
      words: '32 mm thick',
      how: '32 layers in panels of 30 × 28 cm; 1 mm a layer, 1 times that with its air.',
    });
    expect(howOf(cloth, 'Weight')!.how).toBe('2.00 m × 100 cm × 100 g/m².');
    expect(howOf(cloth, 'On a board', { lengthMm: 100 })).toMatchObject({ words: 'does not suit a board' });
    expect(howOf(scrap, 'Loose', { count: 50 })!.how).toBe('0.50 m² of cloth, 1 mm thick with its air.');
    expect(howOf(createSpool('t'), 'Weight', { count: 3 })!.how).toBe('3 pieces, 14 g each with its thread.');
    expect(howOf(createSpool('t'), 'Each', { holder: 'bobbin' })!.how).toBe('As a bobbin usually is.');
    expect(
      howOf(
        createPattern('p', 5, { pattern: { ...createPattern('p', 5).pattern!, format: 'sheets', sheets: 46 } }),
        'Thickness',
      )!.how,
    ).toBe('1 copy, each 46 sheets of 0.1 mm in a folder.');
    expect(howOf(ribbon, 'Takes', { lengthMm: 4500 })!.how).toContain('wound 0.35 mm a turn on a reel of 20 mm');
  });

  it('says how the amount is known', () => {
    expect(wordHowMuch(cloth, createLot(cloth), DEFAULT_SETTINGS)).toContain('As it was typed');
    const measured = createLot(cloth, null, { measuredBy: 'board', amountSigma: 120 });
    expect(wordHowMuch(cloth, measured, DEFAULT_SETTINGS)).toBe(
      'Measured by its board’s thickness, with the figures of its class; two times out of three the truth is within 0.12 m of it.',
    );
    expect(wordDoubt(cloth, measured, 'metric')).toBe(' ± 0.12 m');
  });
});

describe('amounts and things in words', () => {
  it.each<[Item, object, string]>([
    [cloth, {}, '2.00 m'],
    [scrap, { count: 30 }, '30 squares'],
    [{ ...scrap, scrap: { cut: 'odd', cutMm: undefined } }, { areaMm2: 1.3e6 }, '1.30 m²'],
    [createSpool('t'), { count: 4, holder: 'bobbin' }, '4 bobbins'],
    [createSpool('t'), { count: 2, lengthMm: 500_000 }, '500.00 m on 2 spools'],
    [kit, {}, '1 kit'],
    [ribbon, { lengthMm: 4500 }, '4.50 m'],
    [createThing('b', { kind: 'notion' }), { units: 124, count: 2 }, '124 pieces in 2'],
    [createPattern('p', 5), { state: 'digital' }, 'a file'],
  ])('are said as one counts them', (item, change, words) =>
    expect(wordAmount(item, createLot(item, null, change), 'metric')).toBe(words),
  );

  it('say what a thing is', () => {
    expect(wordThing(scrap, 'metric')).toBe('Squares, 10 cm; cotton, poplin, quilting cotton, 100 g/m²');
    expect(wordThing(ribbon, 'imperial')).toBe('Ribbon; 1 in wide');
    expect(formatAmount(1e6, 'area', 'imperial')).toBe('1.20 sq yd');
    const pkg = {
      form: 'box',
      alongMm: 90,
      acrossMm: 40,
      heightMm: 320,
      pieces: 3,
      massG: 660,
      isSoft: false,
    } as const;
    expect(wordPackage(pkg, 'metric')).toBe('3 of 4 × 9 × 32 cm, 660 g');
    expect(wordPackage({ ...pkg, isSoft: true }, 'metric')).toBe('3.5 l, 660 g');
  });

  it('say how colours and things are alike', () => {
    expect([
      wordShift(0.5, []),
      wordShift(1.5, ['darker']),
      wordShift(3, ['darker', 'greyer']),
      wordShift(20, ['redder']),
    ]).toEqual(['the same to the eye', 'a hair darker', 'a little darker and greyer', 'much redder']);
    expect(wordMatch('seams')).toBe('good for seams');
    expect(wordLikeness({ code: 'width', value: 1400 }, 'metric')).toBe('140 cm wide too');
    expect(wordLikeness({ code: 'colour', value: 0.2 }, 'metric')).toBe('the same colour');
  });
});

describe('what cannot be taken in', () => {
  it('is named with what would do', () => {
    const at = { row: 1, column: 0, text: 'moon' } as const;
    expect(wordRowFault({ ...at, code: 'not-one-of', oneOf: ['yes', 'no'] }, 'metric')).toBe(
      '“moon” is not known. Try yes, no.',
    );
    expect(wordRowFault({ ...at, code: 'not-a-day' }, 'metric')).toContain('2027-05-31');
    expect(wordRowFault({ ...at, code: 'unknown-unit', unit: 'moon' }, 'imperial')).toContain('2 1/2 yd');
    expect(wordTableFault({ code: 'too-many-rows', limit: 50_000 })).toContain('more than 50,000 rows');
    expect(wordPictureFault({ code: 'too-large', megapixels: 3000 })).toContain('3000 million pixels');
    expect(wordPictureFault({ code: 'unsupported' })).toContain('JPEG');
  });
});
