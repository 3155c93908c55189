import type { FabricSpec, Item, ItemId, MeasureWay, StationId } from '../src/core/records/index.ts';

const LINEN: FabricSpec = {
  fibre: 'linen',
  cloth: 'linen',
  widthMm: 1400,
  grammageGsm: 185,
  layerMm: 0.4,
  stacking: 1.2,
  print: 'solid',
};
const ITEM: Item = {
  id: 'i' as ItemId,
  kind: 'fabric',
  name: 'Linen',
  colours: [],
  notes: '',
  usesPerMonth: 1,
  stationId: 's' as StationId,
  care: [],
  forms: ['board', 'stack', 'roll'],
  fabric: LINEN,
};
const BOX = {
  type: 'buttons',
  widthMm: 60,
  depthMm: 60,
  heightMm: 30,
  massG: 40,
  isSoft: false,
  hangHoleMm: undefined,
};

/** Readings with the amounts that paper and pencil make of them; the tests show the working. */
export function workedExamples(): [name: string, item: Item, way: MeasureWay, reading: number, right: number][] {
  const thread: Item = {
    ...ITEM,
    kind: 'thread',
    forms: ['spool'],
    thread: { fibre: 'polyester', use: 'general', tex: 27, diameterMm: 26, heightMm: 52, massG: 14 },
  };
  const notion: Item = { ...ITEM, kind: 'notion', forms: ['box'], box: BOX };
  const { fabric: _cloth, ...bare } = notion;
  return [
    // n = 24 / 4.8 = 5 wraps: 5 × (340 + π) + π × 2.4 × 25.
    ['board', ITEM, 'board', 25, 5 * (340 + Math.PI) + Math.PI * 2.4 * 25],
    ['folded', ITEM, 'folded', 12, 4.5 * 280],
    ['roll', ITEM, 'roll', 100, (Math.PI * (10_000 - 1600)) / (4 * 0.96)],
    ['weight', ITEM, 'weight', 880.6, 3400],
    ['spool', thread, 'weight', 14, (8 * 1e6) / 27],
    [
      'reel',
      { ...bare, box: { ...BOX, tape: { widthMm: 25, layerMm: 0.35, coreMm: 20 } } },
      'reel',
      60,
      (Math.PI * (3600 - 400)) / 1.4,
    ],
    ['count', { ...bare, box: { ...BOX, unitG: 1.5 } }, 'count', 186, 124],
    ['scraps', { ...ITEM, kind: 'scrap', forms: ['loose'], scrap: { cut: 'odd' } }, 'weight', 240, (240 / 185) * 1e6],
  ];
}
