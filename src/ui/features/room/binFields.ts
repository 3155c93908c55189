import type { ContainerSpec, Place } from '../../../core/records/index.ts';
import { USUAL_BIN } from '../../../core/storage/index.ts';
import {
  formatMass,
  formatSize,
  parseCount,
  parseLengthMm,
  parseMassG,
  type UnitSystem,
} from '../../../core/units/index.ts';
import { wordAmountFault } from '../../text/index.ts';
import { t } from '../../language/index.ts';

/** What stands in the form of a bin: text as it was typed. */
export interface BinFields {
  placeId: string;
  kind: ContainerSpec['kind'];
  name: string;
  width: string;
  depth: string;
  height: string;
  load: string;
  /** Cells that dividers make, across and deep; 1 where there are none. */
  across: string;
  deep: string;
  hasLid: boolean;
  isSeeThrough: boolean;
  at: ContainerSpec['at'];
}

const DIVIDER_MM = 2;
const MOST_CELLS = 20;

/** A bin's fields, of one that is there or of a kind. */
export function toBinFields(placeId: string, name: string, box: ContainerSpec, units: UnitSystem): BinFields {
  const size = (mm: number) => formatSize(mm, units);
  return {
    placeId,
    kind: box.kind,
    name,
    width: size(box.outerWidthMm),
    depth: size(box.outerDepthMm),
    height: size(box.outerHeightMm),
    load: formatMass(box.loadG, units),
    across: String(box.dividers?.columns ?? 1),
    deep: String(box.dividers?.rows ?? 1),
    hasLid: box.hasLid,
    isSeeThrough: box.isSeeThrough,
    at: box.at,
  };
}

/** Fields for a bin that fills an opening of that size, with a finger's room. */
export function createBinFields(
  placeId: string,
  [widthMm, depthMm, heightMm]: readonly [number, number, number],
  units: UnitSystem,
): BinFields {
  const outer = {
    outerWidthMm: Math.max(50, widthMm - 12),
    outerDepthMm: Math.max(50, depthMm - 12),
    outerHeightMm: Math.max(50, heightMm - 20),
  };
  return toBinFields(placeId, '', { ...USUAL_BIN, ...outer }, units);
}

export type BinFaults = Partial<Record<keyof BinFields, string>>;

/**
 * Reads one bin. A field that still says what it said for `base` keeps its exact measure, which its rounded text
 * would lose; what the form does not ask stays as it is.
 */
export function readBinFields(
  fields: BinFields,
  base: Place | undefined,
  units: UnitSystem,
): { container: ContainerSpec; faults: BinFaults } {
  const faults: BinFaults = {};
  const isMetric = units === 'metric';
  const box = base?.container;
  const before = box ? toBinFields('', '', box, units) : null;
  const size = (name: 'width' | 'depth' | 'height', field: 'outerWidthMm' | 'outerDepthMm' | 'outerHeightMm') => {
    if (box && before?.[name] === fields[name]) return box[field];
    const example = isMetric ? t('31 cm') : t('12 in');
    const parsed = parseLengthMm(fields[name], isMetric ? 'cm' : 'in');
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, example);
    else if (parsed.value === 0) faults[name] = wordAmountFault({ code: 'zero', text: fields[name] }, example);
    return parsed.ok ? parsed.value : 0;
  };
  const mass = () => {
    if (box && before?.load === fields.load) return box.loadG;
    const parsed = parseMassG(fields.load, isMetric ? 'kg' : 'oz');
    if (!parsed.ok) faults.load = wordAmountFault(parsed.fault, isMetric ? t('9 kg') : t('20 lb'));
    return parsed.ok ? parsed.value : 0;
  };
  const cells = (name: 'across' | 'deep') => {
    const parsed = parseCount(fields[name]);
    if (!parsed.ok) faults[name] = wordAmountFault(parsed.fault, '3');
    else if (parsed.value < 1 || parsed.value > MOST_CELLS) faults[name] = t('From 1 to {most}.', { most: MOST_CELLS });
    return parsed.ok ? parsed.value : 1;
  };
  if (fields.name.trim() === '') faults.name = t('Give it a name, such as Lining bin.');
  const [columns, rows] = [cells('across'), cells('deep')];
  const container: ContainerSpec = {
    ...(box ?? USUAL_BIN),
    kind: fields.kind,
    outerWidthMm: size('width', 'outerWidthMm'),
    outerDepthMm: size('depth', 'outerDepthMm'),
    outerHeightMm: size('height', 'outerHeightMm'),
    loadG: mass(),
    hasLid: fields.hasLid,
    isSeeThrough: fields.isSeeThrough,
  };
  delete container.at;
  delete container.dividers;
  if (fields.at) container.at = fields.at;
  if (columns * rows > 1) {
    container.dividers = { columns, rows, thickMm: box?.dividers?.thickMm ?? DIVIDER_MM };
    // What has cells is filled by them.
    container.mode = 'volume';
  }
  return { container, faults };
}
