import { getColour, getColourFamily } from '../colour/index.ts';
import { getUses, type Household, type Item, type Lot, type School } from '../records/index.ts';

/** Patterns are kept in runs of a hundred numbers where the sewist set no others. */
export const NUMBER_RUN = 100;
/** Spools from this height on are cones. */
const CONE_FROM_MM = 90;
const KNITS: ReadonlySet<string> = new Set(['jersey', 'ponte', 'sweatshirting', 'fleece']);
/** Cloth that gives this much across hangs like a knit. */
const FLOPPY_FROM_PERCENT = 20;

/** The number of the class of a value, from 0; a value at a boundary belongs to the upper one. */
export function findClass(bounds: readonly number[], value: number): number {
  return bounds.filter((bound) => value >= bound).length;
}

/** How cloth behaves in a pile, the most troublesome first. */
function tellBehaviour({ fabric, care }: Item): string {
  if (care.includes('sheds')) return 'sheds';
  if (care.includes('slips')) return 'slips';
  if (!fabric) return '';
  const isFloppy = KNITS.has(fabric.cloth) || (fabric.stretchPercent ?? 0) >= FLOPPY_FROM_PERCENT;
  if (isFloppy) return 'floppy';
  return care.includes('heavy') ? 'heavy' : 'steady';
}

/** What a school says of a lot: a word, a code, or the number of its class; empty where it cannot tell. */
export function tell(school: School, tags: readonly string[], item: Item, lot: Lot, { settings }: Household): string {
  const { fabric, pattern, thread, box, scrap } = item;
  const { bounds } = settings;
  switch (school) {
    case 'fibre':
      return fabric?.fibre ?? thread?.fibre ?? '';
    case 'weave':
      return fabric?.weave ?? '';
    case 'weight':
      if (fabric) return String(findClass(bounds.grammageGsm, fabric.grammageGsm));
      return thread ? String(findClass(bounds.tex, thread.tex)) : '';
    case 'colour':
      return getColourFamily(getColour(item));
    case 'print':
      return fabric ? (fabric.print === 'solid' ? 'solid' : 'print') : '';
    case 'lengthClass':
      return String(findClass(bounds.lengthMm, lot.lengthMm ?? 0));
    case 'behaviour':
      return tellBehaviour(item);
    case 'source':
      return item.source ?? '';
    case 'tag':
      return tags.find((tag) => item.tags?.includes(tag)) ?? '';
    case 'numberRun':
      // Without a number it is in no run of them.
      if (!pattern || pattern.number === 0) return '';
      return String(
        bounds.numbers.length > 0
          ? findClass(bounds.numbers, pattern.number)
          : Math.floor(pattern.number / NUMBER_RUN) * NUMBER_RUN,
      );
    case 'garment':
      return pattern?.garment ?? '';
    case 'era':
      return pattern?.era ?? '';
    case 'made':
      return pattern ? (pattern.isMade ? 'yes' : 'no') : '';
    case 'format': {
      if (!pattern) return '';
      const format = pattern.format ?? 'envelope';
      const isLarge = findClass(bounds.envelopeMm, Math.max(pattern.widthMm, pattern.heightMm)) > 0;
      return format === 'envelope' && isLarge ? 'large' : format;
    }
    case 'use':
      return thread?.use ?? '';
    case 'holder':
      return lot.holder ?? (thread ? (thread.heightMm >= CONE_FROM_MM ? 'cone' : 'small') : '');
    case 'type':
      return box?.type ?? '';
    case 'station':
      return item.stationId;
    case 'often':
      return String(findClass(bounds.usesPerMonth, getUses(item)));
    case 'cut':
      return scrap?.cut ?? '';
    case 'parent':
      return scrap?.parentItemId ?? '';
  }
}
