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
import { wordHolders, wordKind, wordKindPlural, wordPatternFormat, wordScrapCut } from './names.ts';
import { toTable } from '../../core/words/index.ts';
import { formatFixed, formatNumber, perLanguage, t, wordTerm } from '../language/index.ts';
import { capitalise, midSentence, wordOrdinal } from './grammar.ts';

/** What a school has nothing to say of: `Cloth without a source`. */
const MISSING = perLanguage((): Partial<Record<School, string>> => ({
  fibre: t('a fibre'),
  weave: t('a weave'),
  weight: t('a weight'),
  source: t('a source'),
  tag: t('such a tag'),
  numberRun: t('a number'),
  garment: t('a garment'),
  era: t('an era'),
  use: t('a use'),
  type: t('a type'),
  parent: t('a known cloth'),
  behaviour: t('a cloth'),
}));

const BEHAVIOUR = perLanguage(() =>
  toTable<string>({
    sheds: t('what sheds'),
    slips: t('what slips'),
    floppy: t('floppy knits'),
    heavy: t('heavy'),
    steady: t('steady'),
  }),
);

/** Names of the usual number of classes, from the smallest; of another number each is named by its boundaries. */
const CLASSES = perLanguage((): Partial<Record<Measure, readonly string[]>> => ({
  lengthMm: [t('remnants'), t('project lengths'), t('garment lengths')],
  grammageGsm: [t('light'), t('middling'), t('heavy')],
  tex: [t('fine'), t('usual'), t('heavy')],
  usesPerMonth: [t('nearly never'), t('seldom'), t('often'), t('all the time')],
}));

/** A value at a boundary of a measure, in the user's unit. */
export function formatBound(measure: Measure, value: number, units: UnitSystem): string {
  const round = formatNumber(Number(value.toPrecision(3)));
  switch (measure) {
    case 'lengthMm':
      return formatClothLength(value, units);
    case 'envelopeMm':
      return formatSize(value, units);
    case 'grammageGsm':
      return units === 'metric' ? `${round} g/m²` : t('{value} oz/yd²', { value: formatFixed(value / 33.906, 1) });
    case 'tex':
      return t('tex {tex}', { tex: round });
    case 'usesPerMonth':
      return t('{times} times a month', { times: round });
    case 'numbers':
      return String(Math.round(value));
  }
}

/** A class of a measure: its name, or from where to where it goes. */
export function wordClass(measure: Measure, index: number, bounds: Bounds, units: UnitSystem): string {
  const at = bounds[measure].toSorted((a, b) => a - b);
  const names = CLASSES()[measure];
  if (names?.length === at.length + 1) return names[index] ?? '';
  const [from, to] = [at[index - 1], at[index]];
  const format = (value: number) => formatBound(measure, value, units);
  if (at.length === 0) return measure === 'numbers' ? t('by hundreds') : t('all');
  if (measure === 'numbers') return to === undefined ? t('{from} and up', { from }) : `${from ?? 0}–${to - 1}`;
  if (from === undefined) return t('under {format}', { format: format(to!) });
  return to === undefined
    ? t('{format} and more', { format: format(from) })
    : t('{from} to {to}', { from: format(from), to: format(to) });
}

/** `light blue`: a place on the colour wheel by its key. */
export function wordShade(key: number): string {
  const dark = key % 10;
  const family = COLOUR_FAMILIES[Math.floor(key / 10)] ?? '';
  const colour = wordTerm(family);
  if (family === 'white' || family === 'black' || family === 'grey') return colour;
  if (dark < 0.35) return t('light {colour}', { colour });
  return dark < 0.55 ? t('middle {colour}', { colour }) : t('dark {colour}', { colour });
}

function wordPart({ by, index, of, from, to }: GroupPart, units: UnitSystem): string {
  switch (by) {
    case 'number':
      return `${from}–${to}`;
    case 'length':
      return t('{from} to {to}', {
        from: formatClothLength(from, units),
        to: formatClothLength(to, units),
      });
    case 'wheel': {
      const [first, last] = [wordShade(from), wordShade(to)];
      return first === last
        ? t('{first}, {nth} of {all}', { first, nth: wordOrdinal(index + 1), all: of })
        : t('{first} to {last}', { first, last });
    }
  }
}

/** What stands for a label inside others: `linen`, `100–199`, `remnants`. */
function wordInner({ code, value }: GroupLabel, household: Household): string {
  const { bounds, units } = household.settings;
  if (value === '') return t('without {missing}', { missing: MISSING()[code] ?? t('a word of it') });
  const byClass = (measure: Measure) => wordClass(measure, Number(value), bounds, units);
  switch (code) {
    case 'numberRun':
      return bounds.numbers.length > 0 ? byClass('numbers') : `${value}–${Number(value) + NUMBER_RUN - 1}`;
    case 'lengthClass':
      return byClass('lengthMm');
    case 'often':
      return t('used {byClass}', { byClass: byClass('usesPerMonth') });
    case 'station': {
      const rooms = [...household.places.values()].filter((place) => place.level === 'room');
      return rooms.flatMap((room) => getRoomSpec(room).stations).find((one) => one.id === value)?.name ?? value;
    }
    case 'cut':
      return midSentence(wordScrapCut(value as ScrapCut));
    case 'print':
      return value === 'solid' ? t('plain') : t('with a print');
    case 'behaviour':
      return BEHAVIOUR()[value] ?? value;
    case 'made':
      return value === 'yes' ? t('made') : t('not yet made');
    case 'format':
      return value === 'large' ? t('large envelopes') : wordPatternFormat(value as PatternFormat);
    case 'holder':
      return t('on {holders}', { holders: wordHolders(value as Holder) });
    case 'parent':
      return household.items.get(value as ItemId)?.name ?? value;
    case 'fibre':
    case 'weave':
    case 'garment':
    case 'use':
    case 'type':
    case 'colour':
      return wordTerm(value);
    default:
      return value;
  }
}

/** `Grey scraps`: other languages say first what it is. */
const of = (which: string, things: string): string => capitalise(t('{which} {things}', { which, things }));

/** The outermost label, with what it is a group of. */
function wordHead(kind: Kind, label: GroupLabel, household: Household): string {
  const { code, value } = label;
  const inner = wordInner(label, household);
  const things =
    kind === 'fabric'
      ? t('cloth')
      : kind === 'thread'
        ? t('thread')
        : kind === 'other'
          ? t('other things')
          : midSentence(wordKindPlural(kind));
  if (value === '') return `${capitalise(things)} ${inner}`;
  switch (code) {
    case 'numberRun':
    case 'era':
      return `${capitalise(things)} ${inner}`;
    case 'source':
      return t('{things} from {inner}', { things: capitalise(things), inner });
    case 'often':
    case 'made':
    case 'holder':
      return `${capitalise(things)} ${inner}`;
    case 'parent':
      return t('Scraps of {inner}', { inner });
    case 'print':
      return value === 'solid' ? t('Plain {things}', { things }) : `${capitalise(things)} ${inner}`;
    case 'garment':
    case 'use':
    case 'station':
      return of(inner, things);
    case 'colour':
    case 'tag':
      return of(inner, kind === 'other' ? things : kind === 'scrap' ? t('scraps') : wordKind(kind));
    case 'weight':
      return of(
        wordClass(
          kind === 'thread' ? 'tex' : 'grammageGsm',
          Number(value),
          household.settings.bounds,
          household.settings.units,
        ),
        things,
      );
    case 'fibre':
      return kind === 'thread' ? t('{use} thread', { use: capitalise(inner) }) : capitalise(inner);
    case 'behaviour':
      return value === 'heavy' || value === 'steady' ? of(inner, things) : capitalise(inner);
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
        ? midSentence(wordHead(group.kind, label, household))
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
