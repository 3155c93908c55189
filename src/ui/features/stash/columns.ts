import { getUses, type Item, type Kind, type Lot, type Settings } from '../../../core/records/index.ts';
import { formatMass, formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { computePackage, getAmountUnit, getReserved } from '../../../core/measure/index.ts';
import { capitalise, formatAmount, wordAmount, wordForm } from '../../text/index.ts';
import { wordDay } from '../../text/days.ts';
import { wordHowMuch, wordMeasures } from '../../text/measures.ts';
import { FACETS_OF_KIND, getWhat, type SortBy, type StashRow } from './rows.ts';
import { wordFacet, wordFacetValue } from './words.ts';
import { formatFixed, formatShort, getLanguage, perLanguage, t } from '../../language/index.ts';

/** A column of the table: its heading, what it sorts by where it does, and what stands in it. */
export interface TableColumn {
  readonly id: string;
  readonly head: (kind: Kind) => string;
  readonly sortBy?: SortBy;
  readonly isNumber?: boolean;
  readonly kinds?: readonly Kind[];
  readonly cell: (row: StashRow, settings: Settings) => string;
  /** How the number in it was made; words need no saying. */
  readonly how?: (row: StashRow, settings: Settings) => string;
}

const writeDay = perLanguage(
  () => new Intl.DateTimeFormat(getLanguage(), { year: 'numeric', month: 'short', day: 'numeric', timeZone: 'UTC' }),
);
const CLOTHY: readonly Kind[] = ['fabric', 'scrap'];

function formatMassOf(item: Item, lot: Lot, settings: Settings): string {
  const pkg = computePackage(item, lot, lot.form, settings);
  return pkg ? formatMass(pkg.massG, settings.units) : '';
}

const orEmpty = (
  value: number | null | undefined,
  format: (value: number, units: UnitSystem) => string,
  units: UnitSystem,
) => (typeof value === 'number' ? format(value, units) : '');

/** Every column but the name, which is always there. */
const TABLE_COLUMNS: readonly TableColumn[] = [
  {
    id: 'amount',
    head: (kind) => (kind === 'pattern' ? t('Number') : t('How much')),
    sortBy: 'amount',
    isNumber: true,
    cell: ({ item, lot }, { units }) => (item.pattern ? String(item.pattern.number) : wordAmount(item, lot, units)),
    how: ({ item, lot }, settings) =>
      item.pattern ? t('The number it was given; the next one follows the highest.') : wordHowMuch(item, lot, settings),
  },
  {
    id: 'what',
    head: (kind) => wordFacet('what', kind),
    sortBy: 'what',
    cell: ({ item }) => wordFacetValue('what', getWhat(item)),
  },
  {
    id: 'uses',
    head: () => t('Uses a month'),
    sortBy: 'uses',
    isNumber: true,
    cell: ({ item }) => formatShort(getUses(item), 2),
    how: () => t('As its form says: what was typed there, or what is usual for its kind.'),
  },
  { id: 'place', head: () => t('Place'), sortBy: 'place', cell: ({ place }) => place },
  {
    id: 'width',
    head: () => t('Width'),
    isNumber: true,
    kinds: CLOTHY,
    cell: ({ item }, { units }) => orEmpty(item.fabric?.widthMm, formatSize, units),
    how: () => t('As its form says: what was typed there, or what is usual for its cloth.'),
  },
  {
    id: 'grammage',
    head: () => 'g/m²',
    isNumber: true,
    kinds: CLOTHY,
    cell: ({ item }) => (item.fabric ? String(Math.round(item.fabric.grammageGsm)) : ''),
    how: ({ item }) =>
      item.fabric?.isCalibrated
        ? t('Worked out from a piece of it that was measured.')
        : t('As its form says: what was typed there, or the figure of its class.'),
  },
  {
    id: 'mass',
    head: () => t('Weight'),
    isNumber: true,
    cell: ({ item, lot }, settings) => formatMassOf(item, lot, settings),
    how: ({ item, lot }, settings) =>
      wordMeasures(item, lot, settings).find(({ name }) => name === t('Weight'))?.how ?? t('As its form says.'),
  },
  { id: 'form', head: () => t('Kept'), cell: ({ lot }) => capitalise(wordForm(lot.form)) },
  {
    id: 'washed',
    head: () => t('Washed'),
    kinds: CLOTHY,
    cell: ({ lot }) => (lot.isWashed === true ? t('yes') : lot.isWashed === false ? t('not yet') : ''),
  },
  {
    id: 'free',
    head: () => t('Free'),
    isNumber: true,
    cell: ({ item, lot }, { units }) => {
      const reserved = getReserved(lot);
      if (reserved === 0) return '';
      const unit = getAmountUnit(item, lot);
      const amount = unit === 'length' ? (lot.lengthMm ?? 0) : unit === 'area' ? (lot.areaMm2 ?? 0) : lot.count;
      return formatAmount(Math.max(0, amount - reserved), unit, units);
    },
    how: ({ item, lot }, { units }) =>
      t('{amount} less what is promised, {promised}.', {
        amount: wordAmount(item, lot, units),
        promised: formatAmount(getReserved(lot), getAmountUnit(item, lot), units),
      }),
  },
  {
    id: 'promised',
    head: () => t('Promised to'),
    cell: ({ lot, item, facets }) =>
      (lot.reserved ?? []).length > 0 ? (facets[FACETS_OF_KIND[item.kind].indexOf('promised')] ?? []).join(', ') : '',
  },
  {
    id: 'maker',
    head: () => t('Publisher'),
    kinds: ['pattern'],
    cell: ({ item }) => item.pattern?.publisher ?? '',
  },
  { id: 'sizes', head: () => t('Sizes'), kinds: ['pattern'], cell: ({ item }) => item.pattern?.sizes ?? '' },
  {
    id: 'tex',
    head: () => t('Tex'),
    isNumber: true,
    kinds: ['thread'],
    cell: ({ item }) => (item.thread ? formatShort(item.thread.tex) : ''),
    how: () => t('Grams in a thousand metres: as typed, or worked out from its ticket or weight number.'),
  },
  {
    id: 'since',
    head: () => t('Last touched'),
    sortBy: 'since',
    cell: ({ lot }) => writeDay().format(lot.sinceMs),
    how: () => t('The day of the last thing the daybook has of it.'),
  },
  { id: 'tags', head: () => t('Tags'), cell: ({ item }) => (item.tags ?? []).join(', ') },
  { id: 'source', head: () => t('From'), cell: ({ item }) => item.source ?? '' },
  {
    id: 'cost',
    head: () => t('Cost'),
    isNumber: true,
    cell: ({ item }) => (item.cost === undefined ? '' : formatFixed(item.cost, 2)),
    how: () => t('As its form says.'),
  },
  {
    id: 'expires',
    head: () => t('Good until'),
    cell: ({ lot }) => (lot.expiresOn === undefined ? '' : wordDay(lot.expiresOn)),
    how: () => t('As its form says.'),
  },
];

const USUAL: readonly string[] = ['amount', 'what', 'uses', 'place'];

/** The columns of a kind that can be shown, and those that are, in their order. */
export function listTableColumns(kind: Kind, chosen: readonly string[] | undefined) {
  const able = TABLE_COLUMNS.filter((column) => column.kinds?.includes(kind) ?? true);
  const wanted = new Set(chosen ?? USUAL);
  return { able, shown: able.filter((column) => wanted.has(column.id)) };
}
