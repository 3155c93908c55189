import { getColour } from '../../../core/colour/index.ts';
import { getSplitKey, type Group } from '../../../core/grouping/index.ts';
import {
  getUses,
  type Bounds,
  type Household,
  type Item,
  type Kind,
  type Lot,
  type Measure,
  type School,
  type SplitBy,
} from '../../../core/records/index.ts';
import { parseGrammage, parseLengthMm, type UnitSystem } from '../../../core/units/index.ts';
import { wordAmountFault, wordClass } from '../../text/index.ts';
import { formatBound, wordShade } from '../../text/groups.ts';
import type { Mark } from './BoundaryStrip.tsx';
import { perLanguage, t } from '../../language/index.ts';

/** A school whose classes meet at boundaries of one's own; null for one that tells things apart by words. */
export function getMeasure(school: School, kind: Kind): Measure | null {
  switch (school) {
    case 'lengthClass':
      return 'lengthMm';
    case 'weight':
      return kind === 'thread' ? 'tex' : 'grammageGsm';
    case 'numberRun':
      return 'numbers';
    case 'often':
      return 'usesPerMonth';
    case 'format':
      return 'envelopeMm';
    default:
      return null;
  }
}

function getValue(measure: Measure, item: Item, lot: Lot): number | null {
  const { fabric, thread, pattern } = item;
  switch (measure) {
    case 'lengthMm':
      return lot.lengthMm ?? null;
    case 'grammageGsm':
      return fabric?.grammageGsm ?? null;
    case 'tex':
      return thread?.tex ?? null;
    case 'usesPerMonth':
      return getUses(item);
    case 'numbers':
      return pattern?.number ?? null;
    case 'envelopeMm':
      return pattern ? Math.max(pattern.widthMm, pattern.heightMm) : null;
  }
}

export const MEASURE_LABEL = perLanguage((): Record<Measure, string> => ({
  lengthMm: t('length'),
  grammageGsm: t('weight'),
  tex: t('thread weight'),
  usesPerMonth: t('uses a month'),
  numbers: t('number'),
  envelopeMm: t('envelope size'),
}));

/** How the strip of a measure is drawn and read. */
export interface Scale {
  readonly power: number;
  readonly step: number;
  readonly format: (value: number) => string;
  readonly parse: ((text: string) => { value: number } | { fault: string }) | null;
}

function parseNumber(text: string): { value: number } | { fault: string } {
  const value = Number.parseFloat(text.replace(/[^\d.,-]/g, '').replace(',', '.'));
  return value > 0 ? { value } : { fault: t('A boundary is a number above 0.') };
}

export function getScale(measure: Measure, units: UnitSystem): Scale {
  const format = (value: number) => formatBound(measure, value, units);
  const parseLength = (bare: 'm' | 'cm' | 'yd' | 'in', example: string) => (text: string) => {
    const parsed = parseLengthMm(text, bare);
    return parsed.ok ? { value: parsed.value } : { fault: wordAmountFault(parsed.fault, example) };
  };
  switch (measure) {
    case 'lengthMm':
      return units === 'metric'
        ? { power: 0.5, step: 10, format, parse: parseLength('m', t('90 cm')) }
        : { power: 0.5, step: 914.4 / 8, format, parse: parseLength('yd', t('1 yd')) };
    case 'envelopeMm':
      return { power: 1, step: 5, format, parse: parseLength(units === 'metric' ? 'cm' : 'in', t('24 cm')) };
    case 'grammageGsm':
      return {
        power: 0.5,
        step: 5,
        format,
        parse: (text) => {
          const parsed = parseGrammage(text, units === 'metric' ? 'gsm' : 'oz');
          return parsed.ok ? { value: parsed.value } : { fault: wordAmountFault(parsed.fault, t('120 g/m²')) };
        },
      };
    case 'tex':
      return { power: 0.5, step: 1, format, parse: parseNumber };
    case 'usesPerMonth':
      return { power: 0.4, step: 0.1, format, parse: parseNumber };
    case 'numbers':
      return { power: 1, step: 1, format, parse: parseNumber };
  }
}

/** The lots of some groups on the strip of a measure. */
export function listMarks(household: Household, groups: readonly Group[], measure: Measure): Mark[] {
  return groups.flatMap((group) =>
    group.lots.flatMap((lot): Mark[] => {
      const item = household.items.get(lot.itemId)!;
      const value = getValue(measure, item, lot);
      return value === null ? [] : [{ value, colour: getColour(item) }];
    }),
  );
}

/** The name of a class while its boundaries move. */
export function nameClass(measure: Measure, index: number, at: readonly number[], household: Household): string {
  const bounds: Bounds = { ...household.settings.bounds, [measure]: [...at] };
  return wordClass(measure, index, bounds, household.settings.units);
}

/** What a group is cut by is drawn and read like this. */
export function getSplitScale(by: SplitBy, units: UnitSystem): Scale {
  if (by === 'length') return getScale('lengthMm', units);
  if (by === 'number') return getScale('numbers', units);
  return { power: 1, step: 0.1, format: wordShade, parse: null };
}

/** The lots of a group and its other parts on the strip of what it is cut by. */
export function listSplitMarks(household: Household, groups: readonly Group[], by: SplitBy): Mark[] {
  return groups.flatMap(({ lots }) =>
    lots.map((lot) => {
      const item = household.items.get(lot.itemId)!;
      return { value: getSplitKey(by, item, lot), colour: getColour(item) };
    }),
  );
}
