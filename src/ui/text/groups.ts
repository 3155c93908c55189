import { COLOUR_FAMILIES } from '../../core/colour/index.ts';
import { NUMBER_RUN, type Group, type GroupLabel, type GroupPart } from '../../core/grouping/index.ts';
import type {
  Bounds,
  Holder,
  Household,
  ItemId,
  Kind,
  Measure,
  PatternFormat,
  School,
  ScrapCut,
} from '../../core/records/index.ts';
import { getRoomSpec } from '../../core/storage/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { capitalise, wordOrdinal } from './grammar.ts';
import { wordHolder, wordKind, wordKindPlural, wordPatternFormat, wordScrapCut } from './names.ts';
import { toTable } from '../../core/words/index.ts';

/** What a school has nothing to say of: `Cloth without a source`. */
const MISSING: Partial<Record<School, string>> = {
  fibre: 'a fibre',
  weave: 'a weave',
  weight: 'a weight',
  source: 'a source',
  tag: 'such a tag',
  numberRun: 'a number',
  garment: 'a garment',
  era: 'an era',
  use: 'a use',
  type: 'a type',
  parent: 'a known cloth',
  behaviour: 'a cloth',
};

const BEHAVIOUR = toTable<string>({
  sheds: 'what sheds',
  slips: 'what slips',
  floppy: 'floppy knits',
  heavy: 'heavy',
  steady: 'steady',
});

/** Names of the usual number of classes, from the smallest; of another number each is named by its boundaries. */
const CLASSES: Partial<Record<Measure, readonly string[]>> = {
  lengthMm: ['remnants', 'project lengths', 'garment lengths'],
  grammageGsm: ['light', 'middling', 'heavy'],
  tex: ['fine', 'usual', 'heavy'],
  usesPerMonth: ['nearly never', 'seldom', 'often', 'all the time'],
};

/** A value at a boundary of a measure, in the user's unit. */
export function formatBound(measure: Measure, value: number, units: UnitSystem): string {
  const round = Number(value.toPrecision(3)).toLocaleString('en');
  switch (measure) {
    case 'lengthMm':
      return formatClothLength(value, units);
    case 'envelopeMm':
      return formatSize(value, units);
    case 'grammageGsm':
      return units === 'metric' ? `${round} g/m²` : `${(value / 33.906).toFixed(1)} oz/yd²`;
    case 'tex':
      return `tex ${round}`;
    case 'usesPerMonth':
      return `${round} times a month`;
    case 'numbers':
      return String(Math.round(value));
  }
}

/** A class of a measure: its name, or from where to where it goes. */
export function wordClass(measure: Measure, index: number, bounds: Bounds, units: UnitSystem): string {
  const at = bounds[measure].toSorted((a, b) => a - b);
  const names = CLASSES[measure];
  if (names?.length === at.length + 1) return names[index] ?? '';
  const [from, to] = [at[index - 1], at[index]];
  const format = (value: number) => formatBound(measure, value, units);
  if (at.length === 0) return measure === 'numbers' ? 'by hundreds' : 'all';
  if (measure === 'numbers') return to === undefined ? `${from} and up` : `${from ?? 0}–${to - 1}`;
  if (from === undefined) return `under ${format(to!)}`;
  return to === undefined ? `${format(from)} and more` : `${format(from)} to ${format(to)}`;
}

/** `light blue`: a place on the colour wheel by its key. */
export function wordShade(key: number): string {
  const dark = key % 10;
  const family = COLOUR_FAMILIES[Math.floor(key / 10)] ?? '';
  if (family === 'white' || family === 'black' || family === 'grey') return family;
  return `${dark < 0.35 ? 'light' : dark < 0.55 ? 'middle' : 'dark'} ${family}`;
}

function wordPart({ by, index, of, from, to }: GroupPart, units: UnitSystem): string {
  switch (by) {
    case 'number':
      return `${from}–${to}`;
    case 'length':
      return `${formatClothLength(from, units)} to ${formatClothLength(to, units)}`;
    case 'wheel': {
      const [first, last] = [wordShade(from), wordShade(to)];
      return first === last ? `${first}, ${wordOrdinal(index + 1)} of ${of}` : `${first} to ${last}`;
    }
  }
}

/** What stands for a label inside others: `linen`, `100–199`, `remnants`. */
function wordInner({ code, value }: GroupLabel, household: Household): string {
  const { bounds, units } = household.settings;
  if (value === '') return `without ${MISSING[code] ?? 'a word of it'}`;
  const byClass = (measure: Measure) => wordClass(measure, Number(value), bounds, units);
  switch (code) {
    case 'numberRun':
      return bounds.numbers.length > 0 ? byClass('numbers') : `${value}–${Number(value) + NUMBER_RUN - 1}`;
    case 'lengthClass':
      return byClass('lengthMm');
    case 'often':
      return `used ${byClass('usesPerMonth')}`;
    case 'station': {
      const rooms = [...household.places.values()].filter((place) => place.level === 'room');
      return rooms.flatMap((room) => getRoomSpec(room).stations).find((one) => one.id === value)?.name ?? value;
    }
    case 'cut':
      return wordScrapCut(value as ScrapCut).toLowerCase();
    case 'print':
      return value === 'solid' ? 'plain' : 'with a print';
    case 'behaviour':
      return BEHAVIOUR[value] ?? value;
    case 'made':
      return value === 'yes' ? 'made' : 'not yet made';
    case 'format':
      return value === 'large' ? 'large envelopes' : wordPatternFormat(value as PatternFormat);
    case 'holder':
      return `on ${wordHolder(value as Holder)}s`;
    case 'parent':
      return household.items.get(value as ItemId)?.name ?? value;
    default:
      return value;
  }
}

/** The outermost label, with what it is a group of. */
function wordHead(kind: Kind, label: GroupLabel, household: Household): string {
  const { code, value } = label;
  const inner = wordInner(label, household);
  const things =
    kind === 'fabric' ? 'cloth' : kind === 'thread' ? 'thread' : kind === 'other' ? 'other things' : `${kind}s`;
  if (value === '') return `${capitalise(things)} ${inner}`;
  switch (code) {
    case 'numberRun':
    case 'era':
      return `${capitalise(things)} ${inner}`;
    case 'source':
      return `${capitalise(things)} from ${inner}`;
    case 'often':
    case 'made':
    case 'holder':
      return `${capitalise(things)} ${inner}`;
    case 'parent':
      return `Scraps of ${inner}`;
    case 'print':
      return value === 'solid' ? `Plain ${things}` : `${capitalise(things)} ${inner}`;
    case 'garment':
    case 'use':
    case 'station':
      return `${capitalise(inner)} ${things}`;
    case 'colour':
    case 'tag':
      return `${capitalise(inner)} ${kind === 'other' ? things : kind === 'scrap' ? 'scraps' : wordKind(kind)}`;
    case 'weight':
      return `${capitalise(wordClass(kind === 'thread' ? 'tex' : 'grammageGsm', Number(value), household.settings.bounds, household.settings.units))} ${things}`;
    case 'fibre':
      return kind === 'thread' ? `${capitalise(inner)} thread` : capitalise(inner);
    case 'behaviour':
      return value === 'heavy' || value === 'steady' ? `${capitalise(inner)} ${things}` : capitalise(inner);
    default:
      return capitalise(inner);
  }
}

/** What tells a group apart from its neighbours under the same outermost label. */
export function wordInside(group: Pick<Group, 'kind' | 'labels' | 'part'>, household: Household): string {
  const inner = group.labels
    .slice(1)
    .map((label) =>
      label.code === 'weight' && label.value !== ''
        ? wordHead(group.kind, label, household).toLowerCase()
        : wordInner(label, household),
    );
  const part = group.part ? [wordPart(group.part, household.settings.units)] : [];
  return [...inner, ...part].join(', ');
}

/** What all groups under the same outermost label are called together. */
export function wordOutside({ kind, labels }: Pick<Group, 'kind' | 'labels'>, household: Household): string {
  const [first] = labels;
  return first ? wordHead(kind, first, household) : wordKindPlural(kind);
}

/** What a group is called on a screen or label, from the outermost school to its part: `Project lengths, linen`. */
export function wordGroup(group: Pick<Group, 'kind' | 'labels' | 'part'>, household: Household): string {
  const inside = wordInside(group, household);
  const outside = wordOutside(group, household);
  return inside === '' ? outside : `${outside}, ${inside}`;
}
