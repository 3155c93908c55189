import { format } from 'date-fns';
import type { LabelFace, LabelShape, Stock } from '../../core/formats/label/index.ts';
import type { Drift, LabelPart, PlaceContent } from '../../core/labels/index.ts';
import type { Group } from '../../core/grouping/index.ts';
import { findProjectOfBag } from '../../core/promises/index.ts';
import type { Household, Item, Lot, SayingAbout } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatSizes, type UnitSystem } from '../../core/units/index.ts';
import { wordGroup, wordInside, wordOutside } from './groups.ts';
import { formatAmount } from './things.ts';
import { wordThing } from './what.ts';
import { getAmount, getAmountUnit } from '../../core/measure/index.ts';
import { perLanguage, t, wordTerm } from '../language/index.ts';
import { joinAnd } from './grammar.ts';

/** Words of the labels; not in the index, only their screen needs them. */

/** More than so many kinds of things in a place are counted, not named. */
const NAMED = 5;

/** A word alone, such as a fibre, is told to be cloth: beside the shelf nobody knows what it was a group of. */
function wordWhole(group: Group, household: Household): string {
  const words = wordGroup(group, household);
  return group.kind === 'fabric' && !words.includes(' ') ? t('{words} cloth', { words }) : words;
}

/** Of so few things their own names say most. */
const FEW = 3;

/** What a group is called tells nothing of what is in it: odd things of a kind, or what its school has no word for. */
const isVague = ({ kind, labels: [first] }: Group): boolean => kind === 'other' || first?.value === '';

/** What of some groups is in a place, by their own names, where these are few and the groups’ names say nothing. */
function wordFew(parts: readonly LabelPart[], items: readonly Item[]): string | null {
  if (!parts.every(({ group }) => isVague(group))) return null;
  const inside = new Set(parts.flatMap(({ group }) => group.lots.map(({ itemId }) => itemId)));
  const names = [...new Set(items.filter(({ id }) => inside.has(id)).map(({ name }) => name))];
  return names.length <= FEW ? names.join(', ') : null;
}

/** One line for all groups under the same outermost school: `Buttons`, `Remnants: linen, wool`, `Patterns 100–219`. */
function wordParts(parts: readonly LabelPart[], household: Household): string {
  const [first] = parts;
  if (!first) return '';
  const numbers = parts.flatMap((part) => part.numbers ?? []);
  const { labels } = first.group;
  if (labels[0]?.code === 'numberRun' && numbers.length === parts.length)
    return t('Patterns {from}–{to}', {
      from: Math.min(...numbers.map((one) => one.from)),
      to: Math.max(...numbers.map((one) => one.to)),
    });
  if (parts.length === 1) return wordWhole(first.group, household);
  const insides = parts.map((part) => wordInside(part.group, household)).filter(Boolean);
  const outside = wordOutside(first.group, household);
  return insides.length === 0 ? outside : `${outside}: ${insides.join(', ')}`;
}

/** What is in a place, one line for each kind of things, the most first. */
export function wordPlaceContent({ parts, items }: PlaceContent, household: Household): string[] {
  const heads = new Map<string, { parts: LabelPart[]; lots: number }>();
  for (const part of parts) {
    const { kind, labels } = part.group;
    // Runs of numbers that lie side by side are one run.
    const key = labels[0]?.code === 'numberRun' && part.numbers ? `${kind} numbers` : `${kind} ${labels[0]?.value}`;
    const head = heads.get(key) ?? { parts: [], lots: 0 };
    head.parts.push(part);
    head.lots += part.lots;
    heads.set(key, head);
  }
  const lines = [...heads.values()]
    .toSorted((a, b) => b.lots - a.lots)
    .map((head) => wordFew(head.parts, items) ?? wordParts(head.parts, household));
  if (lines.length <= NAMED) return lines;
  return [...lines.slice(0, NAMED - 1), t('and {named} more kinds of things', { named: lines.length - NAMED + 1 })];
}

/** The label of a place: in large one's own words, or what there is most of. */
export function wordPlaceFace(
  content: PlaceContent,
  own: string | null,
  code: string,
  shape: LabelShape,
  household: Household,
  nowMs: number,
): LabelFace {
  const lines = wordPlaceContent(content, household);
  const [title = t('Empty'), ...more] = own ? [own, ...lines] : lines;
  const foot = `${content.path} · ${format(nowMs, t('d MMM yyyy'))}`;
  return { shape, title, lines: more, swatches: content.swatches, code, foot };
}

/** Where the other parts of a heap belong: `more in Tall cubes › A2 and Cupboard › Shelf 3`; empty where all of it is here. */
function wordOtherParts(lot: Lot, { lots }: Household, tree: PlaceTree): string {
  if (!lot.heap) return '';
  const places = [...lots.values()].flatMap((other) => {
    const at = other.homeId ?? other.placeId;
    const isPart = other.itemId === lot.itemId && other.id !== lot.id && other.state !== 'gone';
    return isPart && at !== undefined && at !== (lot.homeId ?? lot.placeId) ? [formatPlaceName(tree, at)] : [];
  });
  return places.length === 0 ? '' : t('more in {places}', { places: joinAnd([...new Set(places)]) });
}

/** The ticket or sticker of a lot. */
export function wordLotFace(
  item: Item,
  lot: Lot,
  code: string,
  shape: LabelShape,
  household: Household,
  tree: PlaceTree,
  nowMs: number,
): LabelFace {
  const { units } = household.settings;
  const width = item.fabric ? t('{sizes} wide', { sizes: formatSizes([item.fabric.widthMm], units) }) : '';
  const what = wordThing(item, units).split('; ');
  const washed = lot.isWashed === true ? [t('washed')] : lot.isWashed === false ? [t('not washed yet')] : [];
  const project = findProjectOfBag(household, lot.id);
  const parts = project
    ? [t('for {project}', { project: project.name }), ...project.needs.map((need) => wordTerm(need.part))]
    : [];
  const home = lot.homeId ? formatPlaceName(tree, lot.homeId) : '';
  const had = lot.heap
    ? t('a heap of about {count, plural, one {# piece} other {# pieces}} on {format}', {
        count: lot.count,
        format: format(nowMs, t('d MMM yyyy')),
      })
    : item.fabric && !item.scrap
      ? t('{amount} on {format}', {
          amount: formatAmount(getAmount(item, lot), getAmountUnit(item, lot), units),
          format: format(nowMs, t('d MMM yyyy')),
        })
      : '';
  return {
    shape,
    title: item.name,
    lines: [had, wordOtherParts(lot, household, tree), width, ...what, ...washed, ...parts].filter(Boolean),
    swatches: item.kind === 'fabric' || item.kind === 'thread' || item.kind === 'scrap' ? item.colours : [],
    code,
    foot: home,
  };
}

const ABOUT = perLanguage((): Record<SayingAbout, string> => ({
  group: t('what is in it'),
  path: t('its place'),
  name: t('its name'),
  fibre: t('its fibre'),
  width: t('its width'),
  tex: t('its thickness'),
  forWhat: t('what it is for'),
  parts: t('what is in it'),
  size: t('its size'),
}));

/** In what a label is no longer true. */
export function wordDrift(drift: Drift, household: Household, groups: readonly Group[]): string {
  const name = (id: string) => {
    const group = groups.find((one) => one.id === id);
    return group ? wordGroup(group, household) : null;
  };
  switch (drift.code) {
    case 'new-group':
      return t('{groupId} came, and it does not say so', { groupId: name(drift.groupId) ?? t('Something') });
    case 'gone-group':
      return t('nothing is left here of {groupId}', { groupId: name(drift.groupId) ?? t('one of its groups') });
    case 'number':
      return t('the numbers now run from {from} to {to}', { from: drift.from, to: drift.to });
    case 'colour':
      return t('a colour came that is like none of its swatches');
    case 'elsewhere':
      return t('it says {path}', { path: drift.path });
    case 'changed':
      return t('{about} changed', { about: ABOUT()[drift.about] });
  }
}

/** `A4, 24 of 70 × 37 mm`. */
export function wordStock(stock: Stock, units: UnitSystem): string {
  const size = formatSizes([stock.labelWidthMm, stock.labelHeightMm], units);
  if (stock.kind === 'roll') return t('Roll, {size}', { size });
  const paper = stock.paperWidthMm === 210 ? 'A4' : t('Letter');
  const count = stock.columns * stock.rows;
  return stock.kind === 'plain'
    ? t('Plain {paper}, cut to {size}', { paper, size })
    : t('{paper}, {count} of {size}', { paper, count, size });
}

/** Why a label did not come out; `absent` where no printer answers. */
export type PrinterFault = 'off' | 'out' | 'jam' | 'absent';

const PRINTER = perLanguage((): Record<PrinterFault, string> => ({
  off: t('The printer is off. Switch it on, then go on.'),
  out: t('The roll ran out. Put a new one in, then go on.'),
  jam: t('A label got stuck and is lost. Clear the jam, then go on: it is printed once more.'),
  absent: t('No label printer answers. Save a PDF instead, or look whether it is plugged in.'),
}));

/** Why the printer stopped, and what is kept. */
export function wordPrinterFault(fault: PrinterFault, done: number, of: number): string {
  return t('{printer} {done} of {all, plural, one {# label} other {# labels}} came out.', {
    printer: PRINTER()[fault],
    done,
    all: of,
  });
}
