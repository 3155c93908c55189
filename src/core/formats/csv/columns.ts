import {
  CARE_FLAGS,
  DAY_PATTERN,
  HOLDERS,
  KINDS,
  KIT_STATES,
  PATTERN_FORMATS,
  PRINTS,
  SCRAP_CUTS,
  STOW_FORMS,
  type Item,
  type Kind,
  type Lot,
} from '../../records/index.ts';
import { getAmountUnit } from '../../measure/index.ts';
import { ok } from '../../result/index.ts';
import { parseArea, parseCount, parseGrammage, type UnitSystem } from '../../units/index.ts';
import {
  amount,
  exact,
  fault,
  list,
  long,
  mass,
  number,
  oneOf,
  orNone,
  readCloth,
  readColours,
  readEnvelope,
  readSpool,
  readTex,
  side,
  small,
  someOf,
  tiny,
  toYesNo,
  words,
  yesNo,
  type Read,
} from './cells.ts';

/** A column that the app knows: how it may be headed, how a cell is read, and how it is written. */
export interface Column {
  readonly id: string;
  /** The first is written; all are recognised, in lower case and without signs. */
  readonly headers: readonly string[];
  readonly kinds: readonly Kind[];
  /** Reads a cell that is not empty. `units`: what a number alone means. */
  readonly read: (text: string, units: UnitSystem) => Read;
  /** Null or undefined where the thing says nothing about it. */
  readonly write: (item: Item, lot: Lot) => string | number | boolean | null | undefined;
}

const ALL = KINDS;
const CLOTHY: readonly Kind[] = ['fabric', 'scrap'];
const BOXY: readonly Kind[] = ['notion', 'tool', 'kit', 'other'];

/** Every column, in the order they are written. Two ids at the end let an edited table find its things again. */
export const COLUMNS: readonly Column[] = [
  { id: 'kind', headers: ['kind', 'category'], kinds: ALL, read: oneOf('kind', KINDS), write: (item) => item.kind },
  {
    id: 'name',
    headers: ['name', 'title', 'description', 'item', 'what'],
    kinds: ALL,
    read: words('name', 120),
    write: (item) => item.name,
  },
  {
    id: 'colours',
    headers: ['colour', 'color', 'colours', 'colors', 'shade'],
    kinds: ALL,
    read: readColours,
    write: (item) => item.colours.join('; '),
  },
  {
    id: 'fibre',
    headers: ['fibre', 'fiber', 'material', 'content', 'composition'],
    kinds: ['fabric', 'scrap', 'thread'],
    read: words('fibre', 40, true),
    write: (item) => item.fabric?.fibre ?? item.thread?.fibre,
  },
  {
    id: 'cloth',
    headers: ['class', 'cloth', 'fabric type', 'class of cloth', 'type of fabric'],
    kinds: CLOTHY,
    read: readCloth,
    write: (item) => item.fabric?.cloth,
  },
  {
    id: 'weave',
    headers: ['weave'],
    kinds: CLOTHY,
    read: words('weave', 40, true),
    write: (item) => item.fabric?.weave,
  },
  {
    id: 'print',
    headers: ['print', 'pattern on it', 'design'],
    kinds: CLOTHY,
    read: oneOf('print', PRINTS),
    write: (item) => item.fabric?.print,
  },
  {
    id: 'length',
    headers: ['length', 'amount', 'yardage', 'metres', 'meters', 'yards', 'how much'],
    kinds: ['fabric', 'thread', 'notion'],
    read: amount('lengthMm', long),
    write: (_, lot) => exact(lot.lengthMm, 1000, 'm'),
  },
  {
    id: 'width',
    headers: ['width', 'wof', 'width of fabric', 'cloth width'],
    kinds: CLOTHY,
    read: amount('widthMm', small),
    write: (item) => exact(item.fabric?.widthMm, 10, 'cm'),
  },
  {
    id: 'grammage',
    headers: ['weight class', 'gsm', 'grammage', 'fabric weight', 'g m2'],
    kinds: CLOTHY,
    read: amount('grammageGsm', (text) => parseGrammage(text, 'gsm')),
    write: (item) => exact(item.fabric?.grammageGsm, 1, 'gsm'),
  },
  {
    id: 'layer',
    headers: ['layer', 'layer thickness'],
    kinds: CLOTHY,
    read: amount('layerMm', tiny),
    write: (item) => exact(item.fabric?.layerMm, 1, 'mm'),
  },
  { id: 'nap', headers: ['nap'], kinds: CLOTHY, read: yesNo('hasNap'), write: (item) => toYesNo(item.fabric?.hasNap) },
  {
    id: 'stretch',
    headers: ['stretch', 'stretch percent'],
    kinds: CLOTHY,
    read: number('stretchPercent', 400),
    write: (item) => item.fabric?.stretchPercent,
  },
  {
    id: 'cut',
    headers: ['cut', 'how cut'],
    kinds: ['scrap'],
    read: oneOf('cut', SCRAP_CUTS),
    write: (item) => item.scrap?.cut,
  },
  {
    id: 'cutSize',
    headers: ['cut size', 'side', 'strip width'],
    kinds: ['scrap'],
    read: amount('cutMm', small),
    write: (item) => exact(item.scrap?.cutMm, 10, 'cm'),
  },
  {
    id: 'area',
    headers: ['area'],
    kinds: ['scrap'],
    read: amount('areaMm2', parseArea),
    write: (_, lot) => exact(lot.areaMm2, 1e6, 'm²'),
  },
  {
    id: 'number',
    headers: ['number', 'pattern number', 'no', 'nr', 'pattern no'],
    kinds: ['pattern'],
    read: amount('number', parseCount),
    write: (item) => item.pattern?.number,
  },
  {
    id: 'garment',
    headers: ['garment', 'garment type'],
    kinds: ['pattern'],
    read: words('garment', 60, true),
    write: (item) => item.pattern?.garment,
  },
  {
    id: 'publisher',
    headers: ['publisher', 'maker', 'designer'],
    kinds: ['pattern'],
    read: words('publisher', 60),
    write: (item) => item.pattern?.publisher,
  },
  {
    id: 'era',
    headers: ['era', 'year', 'decade'],
    kinds: ['pattern'],
    read: words('era', 40),
    write: (item) => item.pattern?.era,
  },
  {
    id: 'sizes',
    headers: ['sizes', 'size range'],
    kinds: ['pattern'],
    read: words('sizes', 60),
    write: (item) => item.pattern?.sizes,
  },
  {
    id: 'format',
    headers: ['format'],
    kinds: ['pattern'],
    read: oneOf('format', PATTERN_FORMATS),
    write: (item) => item.pattern?.format ?? (item.pattern && 'envelope'),
  },
  {
    id: 'envelope',
    headers: ['envelope', 'envelope size'],
    kinds: ['pattern'],
    read: readEnvelope,
    write: ({ pattern }) => pattern && `${exact(pattern.widthMm, 10, '')} x ${exact(pattern.heightMm, 10, 'cm')}`,
  },
  {
    id: 'thickness',
    headers: ['thickness'],
    kinds: ['pattern'],
    read: amount('thicknessMm', tiny),
    write: (item) => exact(item.pattern?.thicknessMm, 1, 'mm'),
  },
  {
    id: 'sheets',
    headers: ['sheets', 'pages'],
    kinds: ['pattern'],
    read: amount('sheets', parseCount),
    write: (item) => item.pattern?.sheets,
  },
  {
    id: 'made',
    headers: ['made'],
    kinds: ['pattern'],
    read: yesNo('isMade'),
    write: (item) => toYesNo(item.pattern?.isMade),
  },
  {
    id: 'use',
    headers: ['for', 'use', 'used for', 'purpose'],
    kinds: ['thread'],
    read: words('use', 40, true),
    write: (item) => item.thread?.use,
  },
  {
    id: 'tex',
    headers: ['tex', 'ticket', 'thread weight'],
    kinds: ['thread'],
    read: readTex,
    write: (item) => item.thread?.tex,
  },
  {
    id: 'holder',
    headers: ['wound on', 'spool', 'spool type'],
    kinds: ['thread'],
    read: oneOf('holder', HOLDERS),
    write: (_, lot) => lot.holder,
  },
  {
    id: 'spoolWidth',
    headers: ['spool width', 'spool diameter'],
    kinds: ['thread'],
    read: (text, units) => readSpool(text, units, 0),
    write: (item) => exact(item.thread?.diameterMm, 1, 'mm'),
  },
  {
    id: 'spoolHeight',
    headers: ['spool height'],
    kinds: ['thread'],
    read: (text, units) => readSpool(text, units, 1),
    write: (item) => exact(item.thread?.heightMm, 1, 'mm'),
  },
  {
    id: 'type',
    headers: ['type', 'kind of notion'],
    kinds: BOXY,
    read: words('type', 40, true),
    write: (item) => item.box?.type,
  },
  { id: 'size', headers: ['size'], kinds: BOXY, read: words('size', 40), write: (item) => item.box?.size },
  {
    id: 'count',
    headers: ['count', 'quantity', 'qty', 'pieces', 'number of', 'copies', 'spools', 'packets'],
    kinds: ['pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'],
    read: amount('count', parseCount),
    write: (item, lot) => (item.kind === 'scrap' && item.scrap?.cut === 'odd' ? null : lot.count),
  },
  {
    id: 'units',
    headers: ['pieces in all', 'single pieces', 'units'],
    kinds: ['notion'],
    read: amount('units', parseCount),
    write: (_, lot) => lot.units,
  },
  {
    id: 'boxWidth',
    headers: ['outer width', 'width of box'],
    kinds: BOXY,
    read: side(0),
    write: (item) => exact(item.box?.widthMm, 10, 'cm'),
  },
  {
    id: 'boxDepth',
    headers: ['outer depth', 'depth'],
    kinds: BOXY,
    read: side(1),
    write: (item) => exact(item.box?.depthMm, 10, 'cm'),
  },
  {
    id: 'boxHeight',
    headers: ['outer height', 'height'],
    kinds: BOXY,
    read: side(2),
    write: (item) => exact(item.box?.heightMm, 10, 'cm'),
  },
  {
    id: 'mass',
    headers: ['weight', 'mass', 'weight of one'],
    kinds: [...BOXY, 'thread'],
    read: amount('massG', mass),
    write: (item) => exact(item.box?.massG ?? item.thread?.massG, 1, 'g'),
  },
  {
    id: 'unitMass',
    headers: ['weight of one piece'],
    kinds: ['notion'],
    read: amount('unitG', mass),
    write: (item) => exact(item.box?.unitG, 1, 'g'),
  },
  { id: 'soft', headers: ['soft'], kinds: BOXY, read: yesNo('isSoft'), write: (item) => toYesNo(item.box?.isSoft) },
  {
    id: 'hole',
    headers: ['hang hole', 'hole'],
    kinds: ['tool'],
    read: orNone('hangHoleMm', amount('hangHoleMm', tiny)),
    write: (item) => exact(item.box?.hangHoleMm, 1, 'mm') ?? 'none',
  },
  {
    id: 'watts',
    headers: ['watts'],
    kinds: ['tool', 'other'],
    read: orNone('watts', number('watts', 20_000)),
    write: (item) => item.box?.watts ?? 'none',
  },
  {
    id: 'tapeWidth',
    headers: ['tape width', 'ribbon width'],
    kinds: ['notion'],
    read: amount('tapeWidthMm', tiny),
    write: (item) => exact(item.box?.tape?.widthMm, 1, 'mm'),
  },
  {
    id: 'tapeThickness',
    headers: ['tape thickness'],
    kinds: ['notion'],
    read: amount('tapeMm', tiny),
    write: (item) => exact(item.box?.tape?.layerMm, 1, 'mm'),
  },
  {
    id: 'core',
    headers: ['bare reel'],
    kinds: ['notion'],
    read: amount('coreMm', tiny),
    write: (item) => exact(item.box?.tape?.coreMm, 1, 'mm'),
  },
  {
    id: 'forWhat',
    headers: ['kit for', 'project'],
    kinds: ['kit'],
    read: words('forWhat', 120),
    write: (item) => item.kit?.forWhat,
  },
  {
    id: 'kitState',
    headers: ['how far', 'state'],
    kinds: ['kit'],
    read: oneOf('kitState', KIT_STATES),
    write: (item) => item.kit?.state,
  },
  {
    id: 'parts',
    headers: ['parts', 'contents'],
    kinds: ['kit'],
    read: list('parts'),
    write: (item) => item.kit?.parts.join('; '),
  },
  {
    id: 'uses',
    headers: ['uses a month', 'uses'],
    kinds: ALL,
    read: number('usesPerMonth', 1000),
    write: (item) => item.usesPerMonth,
  },
  {
    id: 'care',
    headers: ['mind', 'care'],
    kinds: ALL,
    read: someOf('care', CARE_FLAGS),
    write: (item) => item.care.join('; ') || 'none',
  },
  {
    id: 'forms',
    headers: ['may be kept', 'forms'],
    kinds: ALL,
    read: someOf('forms', STOW_FORMS),
    write: (item) => item.forms.join('; '),
  },
  { id: 'form', headers: ['kept', 'form'], kinds: ALL, read: oneOf('form', STOW_FORMS), write: (_, lot) => lot.form },
  {
    id: 'washed',
    headers: ['washed', 'prewashed'],
    kinds: CLOTHY,
    read: yesNo('isWashed'),
    write: (_, lot) => toYesNo(lot.isWashed),
  },
  {
    id: 'expires',
    headers: ['good until', 'expires', 'expiry'],
    kinds: ['notion', 'other'],
    read: (text) => (DAY_PATTERN.test(text) ? ok({ expiresOn: text }) : fault('not-a-day', text)),
    write: (_, lot) => lot.expiresOn,
  },
  {
    id: 'usedHours',
    headers: ['hours sewn'],
    kinds: ['notion'],
    read: number('usedHours', 1000),
    write: (_, lot) => lot.usedHours,
  },
  {
    id: 'tags',
    headers: ['tags', 'labels', 'keywords'],
    kinds: ALL,
    read: list('tags'),
    write: (item) => item.tags?.join('; '),
  },
  {
    id: 'source',
    headers: ['from', 'source', 'shop', 'bought at'],
    kinds: ALL,
    read: words('source', 120),
    write: (item) => item.source,
  },
  { id: 'cost', headers: ['cost', 'price', 'paid'], kinds: ALL, read: number('cost', 1e7), write: (item) => item.cost },
  {
    id: 'notes',
    headers: ['notes', 'note', 'comment', 'remarks'],
    kinds: ALL,
    read: words('notes', 2000),
    write: (item) => item.notes,
  },
  {
    id: 'restockLength',
    headers: ['buy again below', 'restock'],
    kinds: ['fabric'],
    read: amount('restockBelow', long),
    write: (item) => exact(item.restockBelow, 1000, 'm'),
  },
  {
    id: 'restock',
    headers: ['buy again below', 'restock'],
    kinds: ['pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'],
    // Tapes and measured thread say a length, odd scraps an area, all else pieces.
    read: amount('restockBelow', (text, units) => {
      const pieces = parseCount(text);
      if (pieces.ok) return pieces;
      return /m²|m2|sq/i.test(text) ? parseArea(text, units) : long(text, units);
    }),
    write: (item, lot) => {
      const unit = getAmountUnit(item, lot);
      if (unit === 'count') return item.restockBelow;
      return unit === 'length' ? exact(item.restockBelow, 1000, 'm') : exact(item.restockBelow, 1e6, 'm²');
    },
  },
  { id: 'lot', headers: ['lot id'], kinds: ALL, read: () => ok({}), write: (_, lot) => lot.id },
  { id: 'item', headers: ['item id'], kinds: ALL, read: () => ok({}), write: (item) => item.id },
];

const simplify = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)|[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The column that a heading means in its own words, of one of these kinds; null for none. */
export function findColumn(header: string, kinds: readonly Kind[]): Column | null {
  const word = simplify(header);
  const found = COLUMNS.filter((column) => column.headers.some((one) => simplify(one) === word));
  // The same word heads different columns of different kinds; the first kind's own comes first.
  for (const kind of kinds) {
    const column = found.find((one) => one.kinds.includes(kind));
    if (column) return column;
  }
  return null;
}

/** A guess where nothing is headed so: a column of the kind whose heading begins with that word. */
export function guessColumn(header: string, kind: Kind): Column | null {
  const word = simplify(header);
  if (word.length < 4) return null;
  return (
    COLUMNS.find(
      (column) => column.kinds.includes(kind) && column.headers.some((one) => simplify(one).split(' ')[0] === word),
    ) ?? null
  );
}

/** The columns of a kind, in the order they are written. */
export function listColumns(kind: Kind): Column[] {
  return COLUMNS.filter((column) => column.kinds.includes(kind));
}
