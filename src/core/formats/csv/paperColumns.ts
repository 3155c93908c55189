import { HOLDERS, PATTERN_FORMATS, type ClothNeed } from '../../records/index.ts';
import { fail, ok } from '../../result/index.ts';
import { parseCount, parseLengthMm } from '../../units/index.ts';
import {
  amount,
  exact,
  oneOf,
  readEnvelope,
  readSpool,
  readTex,
  tiny,
  toYesNo,
  words,
  yesNo,
  type Read,
} from './cells.ts';
import type { Column } from './column.ts';

const NEED = /^(.*?)(?:\s*\(([^()]*)\))?\s*:\s*(.+?)\s*[x×]\s*(.+)$/;

/** `38 (lining): 1.3 m × 1400 mm`; no size for every size, no part for the main cloth. */
function writeNeed({ size, part, lengthMm, widthMm }: ClothNeed): string {
  return `${size}${part ? ` (${part})` : ''}: ${exact(lengthMm, 1000, 'm')} × ${exact(widthMm, 1, 'mm')}`.trim();
}

function readNeeds(text: string): Read {
  const needs: ClothNeed[] = [];
  for (const entry of text.split(';').filter((one) => one.trim() !== '')) {
    const [, size = '', part = '', long = '', wide = ''] = NEED.exec(entry.trim()) ?? [];
    const [length, width] = [parseLengthMm(long, 'm'), parseLengthMm(wide, 'cm')];
    if (!length.ok) return fail(length.fault);
    if (!width.ok) return fail(width.fault);
    needs.push({ size: size.trim(), part: part.trim(), lengthMm: length.value, widthMm: width.value });
  }
  return ok({ needs });
}

/** What patterns and threads say. */
export const PATTERN_AND_THREAD_COLUMNS: readonly Column[] = [
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
    isOwn: true,
    headers: ['publisher', 'maker', 'designer'],
    kinds: ['pattern'],
    read: words('publisher', 60),
    write: (item) => item.pattern?.publisher,
  },
  {
    id: 'era',
    isOwn: true,
    headers: ['era', 'year', 'decade'],
    kinds: ['pattern'],
    read: words('era', 40),
    write: (item) => item.pattern?.era,
  },
  {
    id: 'sizes',
    isOwn: true,
    headers: ['sizes', 'size range'],
    kinds: ['pattern'],
    read: words('sizes', 60),
    write: (item) => item.pattern?.sizes,
  },
  {
    id: 'needs',
    isOwn: true,
    headers: ['cloth needs', 'fabric requirements'],
    kinds: ['pattern'],
    read: readNeeds,
    write: (item) => item.pattern?.needs?.map(writeNeed).join('; '),
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
];
