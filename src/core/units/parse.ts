import { fail, ok, type Result } from '../result/index.ts';
import { toTable } from '../words/index.ts';

/** Why a typed amount was not understood. `text` is what was typed. */
export interface AmountFault {
  readonly code: 'empty' | 'not-a-number' | 'unknown-unit' | 'negative' | 'zero' | 'too-large' | 'not-whole';
  readonly text: string;
  readonly unit?: string;
}

export type UnitSystem = 'metric' | 'imperial';

const LENGTH_MM = toTable<number>({
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  '”': 25.4,
  '″': 25.4,
  ft: 304.8,
  foot: 304.8,
  feet: 304.8,
  "'": 304.8,
  '’': 304.8,
  '′': 304.8,
  yd: 914.4,
  yds: 914.4,
  yard: 914.4,
  yards: 914.4,
  metre: 1000,
  metres: 1000,
  meter: 1000,
  meters: 1000,
});

const MASS_G = toTable<number>({
  mg: 0.001,
  g: 1,
  kg: 1000,
  oz: 28.349523125,
  lb: 453.59237,
  lbs: 453.59237,
});

/** g/m² for one of each unit; 1 oz/yd² = 33.906 g/m² (international yard and avoirdupois ounce). */
const GRAMMAGE_GSM = toTable<number>({
  gsm: 1,
  'g/m²': 1,
  'g/m2': 1,
  oz: 33.906,
  'oz/yd²': 33.906,
  'oz/yd2': 33.906,
});

const FRACTIONS = toTable<string>({
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
});

/** Whole and fraction ("2 1/2", "2-1/2"), fraction alone, or decimal with point or comma; then a unit or none. */
const TERM =
  /^(?:(\d+)[\s-]+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-z]+(?:\/[a-z]+[²2])?|["'”″’′])?\s*/;

interface Table {
  readonly perUnit: Record<string, number>;
  readonly bareUnit: string;
  readonly max: number;
}

/**
 * Reads an amount as people write it: `2 1/2 in`, `1,25 m`, `3/8"`, `5' 6"`, `1 yd 4 in`, `2½ yd`.
 * Several terms add up; a number without a unit takes `bareUnit`.
 */
function parseAmount(text: string, table: Table): Result<number, AmountFault> {
  let rest = text.trim().toLowerCase();
  if (rest === '') return fail({ code: 'empty', text });
  for (const [sign, plain] of Object.entries(FRACTIONS)) rest = rest.replaceAll(sign, ` ${plain}`);
  rest = rest.trim();
  const isNegative = /^[-−–]/.test(rest);
  if (isNegative) rest = rest.slice(1).trim();
  let total = 0;
  let terms = 0;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match) return fail({ code: 'not-a-number', text });
    const [, whole, mixedAbove, mixedBelow, plainAbove, plainBelow, decimal, unit = ''] = match;
    const factor = table.perUnit[unit === '' ? table.bareUnit : unit];
    if (factor === undefined) return fail({ code: 'unknown-unit', text, unit });
    const below = Number(mixedBelow ?? plainBelow ?? 1);
    if (below === 0) return fail({ code: 'not-a-number', text });
    const value =
      decimal === undefined
        ? Number(whole ?? 0) + Number(mixedAbove ?? plainAbove) / below
        : Number(decimal.replace(',', '.'));
    total += value * factor;
    terms += 1;
    if (terms > 1 && unit === '') return fail({ code: 'not-a-number', text });
    rest = rest.slice(match[0].length);
  }
  if (isNegative && total > 0) return fail({ code: 'negative', text });
  if (!Number.isFinite(total) || total > table.max) return fail({ code: 'too-large', text });
  return ok(total);
}

/** Longest length taken: ten kilometres, in mm. A longer one is a slip of the finger. */
const MAX_LENGTH_MM = 1e7;

/** A length in mm, 0 or more. `bareUnit` is what a number alone means in this field. */
export function parseLengthMm(text: string, bareUnit: 'mm' | 'cm' | 'm' | 'in' | 'yd'): Result<number, AmountFault> {
  return parseAmount(text, { perUnit: LENGTH_MM, bareUnit, max: MAX_LENGTH_MM });
}

/** A mass in g, 0 or more. */
export function parseMassG(text: string, bareUnit: 'g' | 'kg' | 'oz'): Result<number, AmountFault> {
  return parseAmount(text, { perUnit: MASS_G, bareUnit, max: 1e6 });
}

/** Cloth weight in g/m², from g/m² or oz/yd². */
export function parseGrammage(text: string, bareUnit: 'gsm' | 'oz'): Result<number, AmountFault> {
  return parseAmount(text, { perUnit: GRAMMAGE_GSM, bareUnit, max: 5000 });
}

/** mm² for one of each unit of area. */
const AREA_MM2 = toTable<number>({
  'm²': 1e6,
  m2: 1e6,
  sqm: 1e6,
  'cm²': 100,
  cm2: 100,
  'sq yd': 836_127.36,
  'yd²': 836_127.36,
  'sq in': 645.16,
});

/** An area of cloth in mm²: `0.6 m²`, `0.7 sq yd`; a number alone is m², or square yards. */
export function parseArea(text: string, system: UnitSystem): Result<number, AmountFault> {
  const trimmed = text.trim().toLowerCase();
  if (trimmed === '') return fail({ code: 'empty', text });
  const [, number = '', unit = ''] = /^([-−–]?\s*[\d.,]+)\s*(.*)$/.exec(trimmed) ?? [];
  const value = Number(number.replace(',', '.').replace(/^[−–]/, '-').replaceAll(' ', ''));
  if (number === '' || Number.isNaN(value)) return fail({ code: 'not-a-number', text });
  const factor = AREA_MM2[unit === '' ? (system === 'metric' ? 'm²' : 'sq yd') : unit];
  if (factor === undefined) return fail({ code: 'unknown-unit', text, unit });
  if (value < 0) return fail({ code: 'negative', text });
  return value * factor > 1e12 ? fail({ code: 'too-large', text }) : ok(value * factor);
}

/** A whole number of pieces, 0 or more. */
export function parseCount(text: string): Result<number, AmountFault> {
  const trimmed = text.trim();
  if (trimmed === '') return fail({ code: 'empty', text });
  if (/^[-−–]\s*\d/.test(trimmed)) return fail({ code: 'negative', text });
  if (/^\d+[.,]\d+$/.test(trimmed)) return fail({ code: 'not-whole', text });
  if (!/^\d+$/.test(trimmed)) return fail({ code: 'not-a-number', text });
  const value = Number(trimmed);
  return value > 1e6 ? fail({ code: 'too-large', text }) : ok(value);
}

/** An amount in the unit of what it is of: mm, mm² or pieces; lengths without a unit are metres or yards. */
export function parseAmountIn(
  text: string,
  unit: 'length' | 'area' | 'count',
  units: UnitSystem,
): ReturnType<typeof parseCount> {
  if (unit === 'length') return parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
  return unit === 'area' ? parseArea(text, units) : parseCount(text);
}

/** A sum in the user's own money: `12.50`, `12,5`; null where it is none. */
export function parseMoney(text: string): number | null {
  const sum = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && sum >= 0 && sum <= 1e7 ? sum : null;
}
