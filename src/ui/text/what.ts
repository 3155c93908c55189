import { convertThread } from '../../core/measure/index.ts';
import type { Item, MeasureWay } from '../../core/records/index.ts';
import { formatSize, formatSizes, type UnitSystem } from '../../core/units/index.ts';
import { perLanguage, t, wordTerm } from '../language/index.ts';
import { capitalise, midSentence } from './grammar.ts';
import { wordCloth, wordPatternFormat, wordPrint, wordScrapCut } from './names.ts';

/** What it is, in one line under its name. */
export function wordThing(item: Item, units: UnitSystem): string {
  const { fabric, pattern, thread, box, scrap } = item;
  if (fabric) {
    const print = fabric.print === 'solid' ? '' : `; ${wordPrint(fabric.print)}`;
    const cloth = wordCloth(fabric.cloth);
    const fibre = wordTerm(fabric.fibre);
    const what = cloth.startsWith(fibre) ? cloth : `${fibre}, ${cloth}`;
    const weave = fabric.weave ? `, ${wordTerm(fabric.weave)}` : '';
    const nap = fabric.hasNap ? t('; with nap') : '';
    const stretch = fabric.stretchPercent
      ? t('; stretches {stretchPercent} %', { stretchPercent: Math.round(fabric.stretchPercent) })
      : '';
    const words = `${capitalise(what)}${weave}, ${Math.round(fabric.grammageGsm)} g/m²${print}${nap}${stretch}`;
    if (!scrap) return words;
    const side = scrap.cutMm ? `, ${formatSize(scrap.cutMm, units)}` : '';
    return `${wordScrapCut(scrap.cut)}${side}; ${midSentence(words.charAt(0))}${words.slice(1)}`;
  }
  if (pattern) {
    const publisher = pattern.publisher ? `${pattern.publisher} ` : t('Pattern ');
    const sizes = pattern.sizes ? t(', sizes {sizes}', { sizes: pattern.sizes }) : '';
    const era = pattern.era ? `, ${pattern.era}` : '';
    const format = pattern.format && pattern.format !== 'envelope' ? `; ${wordPatternFormat(pattern.format)}` : '';
    return `${publisher}${pattern.number}, ${wordTerm(pattern.garment) || t('no garment named')}${era}${sizes}; ${pattern.isMade ? t('made') : t('not yet made')}${format}`;
  }
  if (thread) {
    const ticket = Math.round(convertThread(thread.tex, 'tex', 'ticket'));
    const weight = Math.round(convertThread(thread.tex, 'tex', 'weight'));
    return t('{use} thread, {fibre}, tex {tex} (ticket {ticket}, weight {weight})', {
      use: capitalise(wordTerm(thread.use)),
      fibre: wordTerm(thread.fibre),
      tex: thread.tex,
      ticket,
      weight,
    });
  }
  if (box) {
    const sides = [box.widthMm, box.depthMm, box.heightMm].toSorted((a, b) => b - a);
    const size = box.size ? ` ${box.size}` : '';
    const what = box.tape
      ? t('{size} wide', { size: formatSize(box.tape.widthMm, units) })
      : `${formatSizes(sides, units)}${box.watts ? t('; {watts} W', { watts: box.watts }) : ''}`;
    return `${capitalise(wordTerm(box.type))}${size}; ${what}`;
  }
  return '';
}

const WAY = perLanguage((): Record<MeasureWay, string> => ({
  board: t('by its board’s thickness'),
  folded: t('by its folded height'),
  roll: t('by its roll’s width'),
  weight: t('by its weight'),
  reel: t('by its reel’s width'),
  count: t('by the weight of ten'),
}));
export const wordMeasureWay = (way: MeasureWay): string => WAY()[way];
