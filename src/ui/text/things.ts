import { convertThread, findHolder, getAmount, getAmountUnit } from '../../core/measure/index.ts';
import type { AmountUnit, Holder, Item, Lot, MeasureWay } from '../../core/records/index.ts';
import {
  formatArea,
  formatClothLength,
  formatSize,
  formatSizes,
  roundByDoubt,
  type UnitSystem,
} from '../../core/units/index.ts';
import { capitalise, wordCount } from './grammar.ts';
import { wordCloth, wordPatternFormat, wordPrint, wordScrapCut } from './names.ts';

/** What it is, in one line under its name. */
export function wordThing(item: Item, units: UnitSystem): string {
  const { fabric, pattern, thread, box, scrap } = item;
  if (fabric) {
    const print = fabric.print === 'solid' ? '' : `; ${wordPrint(fabric.print)}`;
    const cloth = wordCloth(fabric.cloth);
    const what = cloth.startsWith(fabric.fibre) ? cloth : `${fabric.fibre}, ${cloth}`;
    const weave = fabric.weave ? `, ${fabric.weave}` : '';
    const nap = fabric.hasNap ? '; with nap' : '';
    const stretch = fabric.stretchPercent ? `; stretches ${Math.round(fabric.stretchPercent)} %` : '';
    const words = `${capitalise(what)}${weave}, ${Math.round(fabric.grammageGsm)} g/m²${print}${nap}${stretch}`;
    if (!scrap) return words;
    const side = scrap.cutMm ? `, ${formatSize(scrap.cutMm, units)}` : '';
    return `${wordScrapCut(scrap.cut)}${side}; ${words.charAt(0).toLowerCase()}${words.slice(1)}`;
  }
  if (pattern) {
    const publisher = pattern.publisher ? `${pattern.publisher} ` : 'Pattern ';
    const sizes = pattern.sizes ? `, sizes ${pattern.sizes}` : '';
    const era = pattern.era ? `, ${pattern.era}` : '';
    const format = pattern.format && pattern.format !== 'envelope' ? `; ${wordPatternFormat(pattern.format)}` : '';
    return `${publisher}${pattern.number}, ${pattern.garment || 'no garment named'}${era}${sizes}; ${pattern.isMade ? 'made' : 'not yet made'}${format}`;
  }
  if (thread) {
    const ticket = Math.round(convertThread(thread.tex, 'tex', 'ticket'));
    const weight = Math.round(convertThread(thread.tex, 'tex', 'weight'));
    return `${capitalise(thread.use)} thread, ${thread.fibre}, tex ${thread.tex} (ticket ${ticket}, weight ${weight})`;
  }
  if (box) {
    const sides = [box.widthMm, box.depthMm, box.heightMm].toSorted((a, b) => b - a);
    const size = box.size ? ` ${box.size}` : '';
    const what = box.tape
      ? `${formatSize(box.tape.widthMm, units)} wide`
      : `${formatSizes(sides, units)}${box.watts ? `; ${box.watts} W` : ''}`;
    return `${capitalise(box.type)}${size}; ${what}`;
  }
  return '';
}

/** An amount in words: a length, an area, or a number of pieces. */
export function formatAmount(amount: number, unit: AmountUnit, units: UnitSystem): string {
  if (unit === 'length') return formatClothLength(amount, units);
  return unit === 'area' ? formatArea(amount, units) : Math.round(amount).toLocaleString('en');
}

const SCALES: Record<AmountUnit, Record<UnitSystem, readonly [perUnit: number, name: string, least: number]>> = {
  length: { metric: [1000, ' m', 0.01], imperial: [914.4, ' yd', 0.01] },
  area: { metric: [1e6, ' m²', 0.01], imperial: [836_127.36, ' sq yd', 0.01] },
  count: { metric: [1, '', 1], imperial: [1, '', 1] },
};

/** A measured amount and its doubt, with as many digits as the doubt allows: `580 m`, `50 m`. */
export function formatMeasured(
  amount: number,
  sigma: number,
  unit: AmountUnit,
  units: UnitSystem,
): { readonly amount: string; readonly doubt: string } {
  const [perUnit, name, least] = SCALES[unit][units];
  const { value, doubt } = roundByDoubt(amount / perUnit, sigma / perUnit, least);
  return { amount: `${value}${name}`, doubt: `${doubt}${name}` };
}

/** How much there is, as it is known: what was measured is told no more exactly than it was. */
function formatKnown(item: Item, lot: Lot, units: UnitSystem): string {
  const unit = getAmountUnit(item, lot);
  const amount = getAmount(item, lot);
  return lot.amountSigma === undefined
    ? formatAmount(amount, unit, units)
    : formatMeasured(amount, lot.amountSigma, unit, units).amount;
}

/** How much of it there is: a length, an area, or pieces by what they are. */
export function wordAmount(item: Item, lot: Lot, units: UnitSystem): string {
  const unit = getAmountUnit(item, lot);
  if (lot.heap && item.kind === 'fabric') return `about ${lot.count} lengths, ${formatKnown(item, lot, units)}`;
  if (item.thread) {
    const spools = wordCount(lot.count, ...HOLDER_WORDS[lot.holder ?? findHolder(item.thread.diameterMm).id]);
    return lot.lengthMm === undefined ? spools : `${formatKnown(item, lot, units)} on ${spools}`;
  }
  if (unit !== 'count') return formatKnown(item, lot, units);
  if (item.pattern) return lot.state === 'digital' ? 'a file' : wordCount(lot.count, 'copy', 'copies');
  if (item.scrap) return wordCount(lot.count, item.scrap.cut === 'strip' ? 'strip' : 'square');
  if (item.kind === 'kit') return wordCount(lot.count, 'kit');
  const pieces = wordCount(lot.units ?? lot.count, 'piece');
  return typeof lot.units === 'number' && lot.count > 1 ? `${pieces} in ${lot.count}` : pieces;
}

const HOLDER_WORDS: Record<Holder, [string, string]> = {
  small: ['spool', 'spools'],
  large: ['large spool', 'large spools'],
  cone: ['cone', 'cones'],
  bobbin: ['bobbin', 'bobbins'],
};

/** The doubt of a measured amount, as `± 0.30 m`; empty where it was typed as known. */
export function wordDoubt(item: Item, lot: Lot, units: UnitSystem): string {
  if (!lot.amountSigma) return '';
  return ` ± ${formatMeasured(getAmount(item, lot), lot.amountSigma, getAmountUnit(item, lot), units).doubt}`;
}

const WAY: Record<MeasureWay, string> = {
  board: 'by its board’s thickness',
  folded: 'by its folded height',
  roll: 'by its roll’s width',
  weight: 'by its weight',
  reel: 'by its reel’s width',
  count: 'by the weight of ten',
};
export const wordMeasureWay = (way: MeasureWay): string => WAY[way];
