import { createChange } from '../daybook/index.ts';
import { createLooseLot, type Change, type Household, type Item } from '../records/index.ts';
import type { Newcomer } from './scraps.ts';

/** What is too small for anything weighs so much in a litre, pressed lightly. An estimate. */
const G_PER_LITRE = 80;
const SIDE_MM = { widthMm: 300, depthMm: 250 };
const TAG = 'from scraps';

/** A bag of stuffing as large as so many grams of it are. */
const toBag = (massG: number) => ({
  type: 'stuffing',
  ...SIDE_MM,
  heightMm: Math.min(
    5000,
    Math.max(20, Math.ceil(((massG / G_PER_LITRE) * 1e6) / (SIDE_MM.widthMm * SIDE_MM.depthMm))),
  ),
  massG: Math.min(200_000, massG),
  isSoft: true,
});

/** What is too small to be cut goes into the bag of stuffing that there is, by its weight; else into a new one. */
export function addStuffing(
  household: Household,
  g: number,
  source: Item,
  newcomer: Newcomer,
  nowMs: number,
): Change[] {
  const known = [...household.lots.values()].find((lot) => {
    const item = household.items.get(lot.itemId);
    return lot.state !== 'gone' && item?.box?.type === 'stuffing' && item.tags?.includes(TAG);
  });
  const before = known && household.items.get(known.itemId);
  if (before?.box) {
    const after = { ...before, box: { ...before.box, ...toBag(before.box.massG + g) } };
    return [createChange('items', before.id, before, after)].filter((change) => change !== null);
  }
  const item: Item = {
    id: newcomer.itemId,
    kind: 'notion',
    name: newcomer.name,
    colours: [],
    notes: '',
    usesPerMonth: 0.2,
    stationId: source.stationId,
    care: [],
    forms: ['bag', 'loose'],
    tags: [TAG],
    box: toBag(g),
  };
  const lot = createLooseLot(newcomer.lotId, item, 1, undefined, nowMs);
  return [createChange('items', item.id, null, item), createChange('lots', lot.id, null, lot)].filter(
    (change) => change !== null,
  );
}
