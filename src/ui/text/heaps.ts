import type { HeapWay } from '../../core/records/index.ts';
import { formatClothLength, formatMass, formatSize, formatVolume, type UnitSystem } from '../../core/units/index.ts';

/** How a heap is measured; not in the index, only heaps need it. */
export const HEAP_WAY_WORDS: Readonly<Record<HeapWay, string>> = {
  pieces: 'pieces',
  pile: 'height of the pile',
  row: 'length of the row',
  mass: 'weight',
  room: 'litres of bins it fills',
};

/** Longer than this a row is told in metres or yards. */
const LONG_ROW_MM = 10_000;

/** `40 pieces`, `a pile of 62 cm`. */
function wordHeapMeasure(by: HeapWay, value: number, units: UnitSystem): string {
  switch (by) {
    case 'pieces':
      return `${Math.round(value)} pieces`;
    case 'pile':
      return `a pile of ${formatSize(value, units)}`;
    case 'row':
      return `a row of ${value > LONG_ROW_MM ? formatClothLength(value, units) : formatSize(value, units)}`;
    case 'mass':
      return formatMass(value, units);
    case 'room':
      return `${formatVolume(value, units)} of bins`;
  }
}

/** All that is known of a heap, as it could be measured. */
export function wordHeapMeasures(measures: Readonly<Record<HeapWay, number | null>>, units: UnitSystem): string {
  return (Object.entries(measures) as [HeapWay, number | null][])
    .flatMap(([by, value]) => (value === null ? [] : [wordHeapMeasure(by, value, units)]))
    .join(', ');
}
