import { computePackage, computePackages, type Reading } from '../../core/measure/index.ts';
import type { Item, Lot, MeasureWay, Settings } from '../../core/records/index.ts';
import {
  formatClothLength,
  formatMass,
  formatSize,
  formatSizes,
  formatVolume,
  type UnitSystem,
} from '../../core/units/index.ts';
import { capitalise, wordCount } from './grammar.ts';
import { wordCloth, wordPrint } from './names.ts';

/** What it is, in one line under its name. */
export function wordThing(item: Item, units: UnitSystem): string {
  const { fabric, pattern, thread, box } = item;
  if (fabric) {
    const print = fabric.print === 'solid' ? '' : `; ${wordPrint(fabric.print)}`;
    const cloth = wordCloth(fabric.cloth);
    const what = cloth.startsWith(fabric.fibre) ? cloth : `${fabric.fibre}, ${cloth}`;
    return `${capitalise(what)}, ${Math.round(fabric.grammageGsm)} g/m²${print}`;
  }
  if (pattern)
    return `Pattern ${pattern.number}, ${pattern.garment || 'no garment named'}; ${pattern.isMade ? 'made' : 'not yet made'}`;
  if (thread) return `${capitalise(thread.use)} thread, ${thread.fibre}, tex ${thread.tex}`;
  if (box) {
    const sides = [box.widthMm, box.depthMm, box.heightMm].toSorted((a, b) => b - a);
    return `${capitalise(box.type)}; ${formatSizes(sides, units)}`;
  }
  return '';
}

/** How much of it there is: a length of cloth, or pieces. */
export function wordAmount(item: Item, lot: Lot, units: UnitSystem): string {
  if (item.fabric) return formatClothLength(lot.lengthMm ?? 0, units);
  if (item.pattern) return wordCount(lot.count, 'copy', 'copies');
  return item.thread ? wordCount(lot.count, 'spool') : wordCount(lot.count, 'piece');
}

/** The doubt of a measured length, as `± 0.30 m`; empty where it was typed as known. */
export function wordDoubt(lot: Lot, units: UnitSystem): string {
  return lot.lengthSigmaMm ? ` ± ${formatClothLength(lot.lengthSigmaMm, units)}` : '';
}

const WAY: Record<MeasureWay, string> = {
  board: 'by its board’s thickness',
  folded: 'by its folded height',
  roll: 'by its roll’s width',
  weight: 'by its weight',
};
export const wordMeasureWay = (way: MeasureWay): string => WAY[way];

/** How a reading became a length: `5 wraps of 5 layers at 0.48 mm`. */
export function wordReading(reading: Reading, way: MeasureWay): string {
  const { layers, perLayer, turns } = reading;
  if (turns === null) return `At ${perLayer.toFixed(0)} g/m² over its width.`;
  const what = { board: 'wraps', folded: 'rows', roll: 'turns', weight: '' }[way];
  return `${turns.toFixed(1)} ${what} of ${wordCount(layers, 'layer')} at ${perLayer.toFixed(2)} mm.`;
}

/** Rows of a ticket that follow from the measures: what it would take in each way of keeping it. */
export function wordMeasures(item: Item, lot: Lot, settings: Settings): [string, string][] {
  const { units } = settings;
  const rows: [string, string][] = [];
  if (item.fabric) {
    // Both are told for any cloth, whichever way it is kept: it is how one compares them.
    const stack = computePackage(item, lot, 'stack', settings);
    const board = computePackage(item, lot, 'board', settings);
    if (stack) rows.push(['Folded', `${formatSize(stack.heightMm, units)} thick`]);
    rows.push(['On a board', board ? `${formatSize(board.alongMm, units)} thick` : 'does not suit a board']);
    if (item.forms.includes('roll')) {
      const roll = computePackage(item, lot, 'roll', settings);
      if (roll) rows.push(['Rolled', `Ø ${formatSize(roll.alongMm, units)}`]);
    }
    if (stack) rows.push(['Weight', formatMass(stack.massG, units)]);
    return rows;
  }
  const [pkg] = computePackages(item, lot, settings);
  if (!pkg) return rows;
  if (item.thread) rows.push(['Spool', `Ø ${formatSize(pkg.alongMm, units)} × ${formatSize(pkg.heightMm, units)}`]);
  else if (item.pattern) rows.push(['Thickness', formatSize(pkg.alongMm * pkg.pieces, units)]);
  else rows.push(['Takes', formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, units)]);
  rows.push(['Weight', formatMass(pkg.massG, units)]);
  return rows;
}
