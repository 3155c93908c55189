import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatClothLength,
  formatMinutes,
  formatSize,
  parseArea,
  parseCount,
  parseDay,
  parseGrammage,
  parseLengthMm,
  type UnitSystem,
  formatWay,
  roundByDoubt,
  toDay,
} from './index.ts';

describe('days as tables write them', () => {
  it.each([
    ['2027-05-31', '2027-05-31'],
    ['31.5.2027', '2027-05-31'],
    ['31. 05. 2027', '2027-05-31'],
    ['29.02.2028', '2028-02-29'],
    ['29.02.2027', null],
    // The fifth of June, or the sixth of May.
    ['5/6/2027', null],
    ['31.5.27', null],
    ['next year', null],
    ['', null],
  ])('%s', (text, day) => {
    expect(parseDay(text)).toBe(day);
  });
});

it('an instant is of the day that the sewist’s calendar shows', () => {
  expect(toDay(new Date(2027, 0, 5, 23, 59, 59))).toBe('2027-01-05');
  expect(toDay(new Date(2027, 11, 31).getTime())).toBe('2027-12-31');
});

describe('areas as people type them', () => {
  it.each([
    ['0.6 m²', 600_000],
    ['0,6', 600_000],
    ['500 cm2', 50_000],
    ['1 sq yd', 836_127.36],
  ])('reads %s', (text, mm2) => expect(parseArea(text, 'metric')).toEqual({ ok: true, value: expect.closeTo(mm2, 6) }));

  it.each([
    ['', 'empty'],
    ['some', 'not-a-number'],
    ['3 acres', 'unknown-unit'],
    ['-1 m²', 'negative'],
    ['9e9 m²', 'unknown-unit'],
    ['99999999 m²', 'too-large'],
  ])('refuses “%s” as %s', (text, code) => expect(parseArea(text, 'metric')).toMatchObject({ fault: { code } }));

  it('takes a bare number in the units of the house', () => {
    expect(parseArea('2', 'imperial')).toEqual({ ok: true, value: 2 * 836_127.36 });
  });
});

describe('lengths as people type them', () => {
  // Worked by hand: 1 in = 25.4 mm, 1 yd = 914.4 mm exactly.
  it.each([
    ['2 1/2 in', 63.5],
    ['2-1/2 in', 63.5],
    ['1.25 yd', 1143],
    ['140 cm', 1400],
    ['3/8"', 9.525],
    ['3.4m', 3400],
    ['1,5 m', 1500],
    [`5' 6"`, 1676.4],
    ['1 yd 4 in', 1016],
    ['2½ yd', 2286],
    ['.5 m', 500],
    ['21/2 in', 266.7],
    ['112', 1120],
  ])('reads %s', (text, mm) => {
    const read = parseLengthMm(text, 'cm');
    expect(read).toEqual({ ok: true, value: expect.closeTo(mm, 6) });
  });

  it.each([
    ['', 'empty'],
    ['abc', 'not-a-number'],
    ['-3 m', 'negative'],
    ['3 parsec', 'unknown-unit'],
    ['1e9 m', 'unknown-unit'],
    ['999999999 m', 'too-large'],
    ['1/0 in', 'not-a-number'],
    ['3 m 4', 'not-a-number'],
  ])('refuses "%s" as %s', (text, code) => {
    const read = parseLengthMm(text, 'm');
    expect(read.ok ? 'accepted' : read.fault.code).toBe(code);
  });

  it('reads back what it writes, to the digit it shows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50_000 }),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        (mm, system) => {
          const back = (text: string) => {
            const read = parseLengthMm(text, 'm');
            return read.ok ? Math.abs(read.value - mm) : Number.NaN;
          };
          // Half of the last digit shown: 5 mm or 0.005 yd; 0.5 mm or a sixteenth of an inch.
          expect(back(formatClothLength(mm, system))).toBeLessThanOrEqual(5);
          expect(back(formatSize(mm, system))).toBeLessThanOrEqual(25.4 / 16 + 1e-9);
        },
      ),
    );
  });
});

describe('a measured amount', () => {
  it.each([
    [583.33, 50.86, 0.01, '580', '50'],
    [4.254, 0.34, 0.01, '4.3', '0.3'],
    [3.4, 0.12, 0.01, '3.40', '0.12'],
    [1.903, 0.0986, 0.01, '1.90', '0.10'],
    [2.5, 0.0004, 0.01, '2.50', '0.01'],
    [199.6, 3.4, 1, '200', '3'],
    [8123, 1460, 1, '8100', '1500'],
  ])('of %f in doubt by %f, no finer than %f, is %s ± %s', (value, sigma, least, told, doubt) => {
    expect(roundByDoubt(value, sigma, least)).toEqual({ value: told, doubt });
  });

  it('of a way on foot is told as feet go', () => {
    expect([3140, 12_340, 0].map((mm) => formatWay(mm, 'metric'))).toEqual(['3.1 m', '12 m', '0 m']);
    expect(formatWay(12_340, 'imperial')).toBe('40 ft');
  });
});

describe('other amounts', () => {
  it('reads cloth weight in ounces a square yard', () => {
    expect(parseGrammage('10 oz', 'gsm')).toEqual({ ok: true, value: expect.closeTo(339.06, 6) });
    expect(parseGrammage('185gsm', 'gsm')).toEqual({ ok: true, value: 185 });
  });

  it('counts whole pieces only', () => {
    expect(parseCount('12')).toEqual({ ok: true, value: 12 });
    expect(parseCount('1.5')).toMatchObject({ ok: false, fault: { code: 'not-whole' } });
    expect(parseCount('-2')).toMatchObject({ ok: false, fault: { code: 'negative' } });
  });

  it('words minutes with a digit only where it matters', () => {
    expect([formatMinutes(2280), formatMinutes(330), formatMinutes(0)]).toEqual(['38 min', '5.5 min', '0 min']);
    expect([formatMinutes(35_940), formatMinutes(129_360), formatMinutes(-36_000)]).toEqual([
      '599 min',
      '36 h',
      '-10 h',
    ]);
  });
});
