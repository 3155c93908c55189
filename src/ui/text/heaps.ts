import type { HeapWay } from '../../core/records/index.ts';
import { formatClothLength, formatMass, formatSize, formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { perLanguage, t } from '../language/index.ts';

/** How a heap is measured; not in the index, only heaps need it. */
export const HEAP_WAY_WORDS = perLanguage((): Readonly<Record<HeapWay, string>> => ({
  pieces: t('pieces'),
  pile: t('height of the pile'),
  row: t('length of the row'),
  mass: t('weight'),
  room: t('litres of bins it fills'),
}));

/** Longer than this a row is told in metres or yards. */
const LONG_ROW_MM = 10_000;

/** `40 pieces`, `a pile of 62 cm`. */
function wordHeapMeasure(by: HeapWay, value: number, units: UnitSystem): string {
  switch (by) {
    case 'pieces':
      return t('{value} pieces', { value: Math.round(value) });
    case 'pile':
      return t('a pile of {size}', { size: formatSize(value, units) });
    case 'row':
      return t('a row of {length}', {
        length: value > LONG_ROW_MM ? formatClothLength(value, units) : formatSize(value, units),
      });
    case 'mass':
      return formatMass(value, units);
    case 'room':
      return t('{volume} of bins', { volume: formatVolume(value, units) });
  }
}

/** All that is known of a heap, as it could be measured. */
export function wordHeapMeasures(measures: Readonly<Record<HeapWay, number | null>>, units: UnitSystem): string {
  return (Object.entries(measures) as [HeapWay, number | null][])
    .flatMap(([by, value]) => (value === null ? [] : [wordHeapMeasure(by, value, units)]))
    .join(', ');
}
