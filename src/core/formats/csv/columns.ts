import { CARE_FLAGS, KINDS, STOW_FORMS, type Kind } from '../../records/index.ts';
import { getAmountUnit } from '../../measure/index.ts';
import { ok } from '../../result/index.ts';
import { parseArea, parseCount, parseDay } from '../../units/index.ts';
import {
  amount,
  exact,
  fault,
  list,
  long,
  number,
  oneOf,
  readColours,
  someOf,
  toYesNo,
  words,
  yesNo,
} from './cells.ts';
import { BOX_COLUMNS } from './boxColumns.ts';
import { CLOTH_COLUMNS } from './clothColumns.ts';
import type { Column, ListLanguage } from './column.ts';
import { PATTERN_AND_THREAD_COLUMNS } from './paperColumns.ts';

const ALL = KINDS;

/** An amount of a thing in its own unit: cloth and tapes by length, odd scraps by area, all else by pieces. */
function amountColumns(id: string, key: 'restockBelow' | 'costFor', headers: readonly string[]): Column[] {
  return [
    {
      id: `${id}Length`,
      headers,
      kinds: ['fabric'],
      read: amount(key, long),
      write: (item) => exact(item[key], 1000, 'm'),
    },
    {
      id,
      headers,
      kinds: ['pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'],
      read: amount(key, (text, units) => {
        const pieces = parseCount(text);
        if (pieces.ok) return pieces;
        return /m²|m2|sq/i.test(text) ? parseArea(text, units) : long(text, units);
      }),
      write: (item, lot) => {
        const unit = getAmountUnit(item, lot);
        if (unit === 'count') return item[key];
        return unit === 'length' ? exact(item[key], 1000, 'm') : exact(item[key], 1e6, 'm²');
      },
    },
  ];
}

/** Every column, in the order they are written. Two ids at the end let an edited table find its things again. */
export const COLUMNS: readonly Column[] = [
  { id: 'kind', headers: ['kind', 'category'], kinds: ALL, read: oneOf('kind', KINDS), write: (item) => item.kind },
  {
    id: 'name',
    isOwn: true,
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
  ...CLOTH_COLUMNS,
  ...PATTERN_AND_THREAD_COLUMNS,
  ...BOX_COLUMNS,
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
    kinds: ['fabric', 'scrap'],
    read: yesNo('isWashed'),
    write: (_, lot) => toYesNo(lot.isWashed),
  },
  {
    id: 'expires',
    headers: ['good until', 'expires', 'expiry'],
    kinds: ['notion', 'other'],
    read: (text) => {
      const day = parseDay(text);
      return day === null ? fault('not-a-day', text) : ok({ expiresOn: day });
    },
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
    isOwn: true,
    headers: ['tags', 'labels', 'keywords'],
    kinds: ALL,
    read: list('tags'),
    write: (item) => item.tags?.join('; '),
  },
  {
    id: 'source',
    isOwn: true,
    headers: ['from', 'source', 'shop', 'bought at'],
    kinds: ALL,
    read: words('source', 120),
    write: (item) => item.source,
  },
  { id: 'cost', headers: ['cost', 'price', 'paid'], kinds: ALL, read: number('cost', 1e7), write: (item) => item.cost },
  {
    id: 'notes',
    isOwn: true,
    headers: ['notes', 'note', 'comment', 'remarks'],
    kinds: ALL,
    read: words('notes', 2000),
    write: (item) => item.notes,
  },
  ...amountColumns('restock', 'restockBelow', ['buy again below', 'restock']),
  ...amountColumns('costFor', 'costFor', ['cost is for']),
  // What it counts depends on what it is of: the row reads it.
  {
    id: 'amount',
    headers: ['amount', 'how much', 'how many'],
    kinds: ALL,
    read: () => ok({}),
    write: () => null,
    isOnlyRead: true,
  },
  { id: 'lot', isOwn: true, headers: ['lot id'], kinds: ALL, read: () => ok({}), write: (_, lot) => lot.id },
  { id: 'item', isOwn: true, headers: ['item id'], kinds: ALL, read: () => ok({}), write: (item) => item.id },
];

const simplify = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)|[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** How a column may be headed, in English and in another language. */
const listHeads = ({ id, headers }: Column, language?: ListLanguage): string[] =>
  [...headers, ...(language?.heads[id]?.split(', ') ?? [])].map(simplify);

/** The column that a heading means in its own words, of one of these kinds; null for none. */
export function findColumn(header: string, kinds: readonly Kind[], language?: ListLanguage): Column | null {
  const word = simplify(header);
  const found = COLUMNS.filter((column) => listHeads(column, language).includes(word));
  // The same word heads different columns of different kinds; the first kind's own comes first.
  for (const kind of kinds) {
    const column = found.find((one) => one.kinds.includes(kind));
    if (column) return column;
  }
  return null;
}

/** A guess where nothing is headed so: a column of the kind whose heading begins with that word. */
export function guessColumn(header: string, kind: Kind, language?: ListLanguage): Column | null {
  const word = simplify(header);
  if (word.length < 4) return null;
  return (
    COLUMNS.find(
      (column) => column.kinds.includes(kind) && listHeads(column, language).some((one) => one.split(' ')[0] === word),
    ) ?? null
  );
}

/** The columns of a kind, in the order they are written. */
export function listColumns(kind: Kind): Column[] {
  return COLUMNS.filter((column) => column.kinds.includes(kind) && !column.isOnlyRead);
}
