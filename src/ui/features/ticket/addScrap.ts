import { createLooseLot, type Item, type ItemId, type Lot, type LotId } from '../../../core/records/index.ts';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { createSaveItem } from '../../../core/acts/index.ts';

/** Makes a scrap of a cloth, wrapped with it, a handful to begin with; its form is opened next. */
export async function addScrap(item: Item, lot: Lot): Promise<{ id: ItemId; lotId: LotId } | null> {
  const scrapId = world.createId() as ItemId;
  const lotId = world.createId() as LotId;
  const scrap: Item = {
    ...item,
    id: scrapId,
    kind: 'scrap',
    name: `${item.name}, scraps`.slice(0, 120),
    forms: ['loose'],
    scrap: { cut: 'odd', cutMm: undefined, parentItemId: item.id },
  };
  delete scrap.restockBelow;
  delete scrap.cost;
  delete scrap.costFor;
  const made: Lot = {
    ...createLooseLot(lotId, scrap, 1, undefined, world.nowMs()),
    areaMm2: 100_000,
    state: 'with',
    withLotId: lot.id,
  };
  return (await act((now) => createSaveItem(now, scrap, [made]))) ? { id: scrapId, lotId } : null;
}
