import { PRINTS, SCRAP_CUTS, type Kind } from '../../records/index.ts';
import { parseArea, parseGrammage } from '../../units/index.ts';
import {
  amount,
  exact,
  long,
  number,
  oneOf,
  readCloth,
  readFibre,
  small,
  tiny,
  toYesNo,
  words,
  yesNo,
} from './cells.ts';
import type { Column } from './column.ts';

const CLOTHY: readonly Kind[] = ['fabric', 'scrap'];

/** What only cloth and scraps say; fibre and length others too. */
export const CLOTH_COLUMNS: readonly Column[] = [
  {
    id: 'fibre',
    headers: ['fibre', 'fiber', 'material', 'content', 'composition'],
    kinds: ['fabric', 'scrap', 'thread'],
    read: readFibre,
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
    headers: ['length', 'yardage', 'metres', 'meters', 'yards'],
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
];
