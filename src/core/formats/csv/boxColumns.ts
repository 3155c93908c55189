import type { Kind } from '../../records/index.ts';
import { parseCount } from '../../units/index.ts';
import { amount, exact, mass, number, orNone, readCount, side, tiny, toYesNo, words, yesNo } from './cells.ts';
import type { Column } from './column.ts';

const BOXY: readonly Kind[] = ['notion', 'tool', 'kit', 'other'];

/** What notions, tools, kits and other things say. */
export const BOX_COLUMNS: readonly Column[] = [
  {
    id: 'type',
    headers: ['type', 'kind of notion'],
    kinds: BOXY,
    read: words('type', 40, true),
    write: (item) => item.box?.type,
  },
  { id: 'size', isOwn: true, headers: ['size'], kinds: BOXY, read: words('size', 40), write: (item) => item.box?.size },
  {
    id: 'count',
    headers: ['count', 'quantity', 'qty', 'pieces', 'number of', 'copies', 'spools', 'packets'],
    kinds: ['pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'],
    read: readCount,
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
];
