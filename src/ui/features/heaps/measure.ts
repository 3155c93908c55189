import type { HeapWay } from '../../../core/records/index.ts';
import { parseCount, parseLengthMm, parseMassG, type UnitSystem } from '../../../core/units/index.ts';
import { perLanguage, t } from '../../language/index.ts';

/** One of each measure, as it is typed. */
export const MEASURE_EXAMPLES = perLanguage(
  (): Readonly<Record<HeapWay, readonly [metric: string, imperial: string]>> => ({
    pieces: ['40', '40'],
    pile: [t('62 cm'), t('24 in')],
    row: [t('1.3 m'), t('50 in')],
    mass: [t('4 kg'), t('9 lb')],
    room: ['60', '60'],
  }),
);
/** A litre, mm³. */
const LITRE = 1e6;

/** What was typed of a heap, in its measure: pieces, mm, g or mm³. */
export function readMeasure(by: HeapWay, text: string, units: UnitSystem) {
  const isMetric = units === 'metric';
  if (by === 'pieces') return parseCount(text);
  if (by === 'mass') return parseMassG(text, isMetric ? 'kg' : 'oz');
  if (by !== 'room') return parseLengthMm(text, isMetric ? 'cm' : 'in');
  const litres = parseCount(text.replace(/\s*(l|litres?|liters?)\s*$/iu, ''));
  return litres.ok ? { ...litres, value: litres.value * LITRE } : litres;
}
