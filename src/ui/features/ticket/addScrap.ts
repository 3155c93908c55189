import { createLooseLot, type Item, type ItemId, type Lot, type LotId } from '../../../core/records/index.ts';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { createSaveItem, toScrapItem, HANDFUL_MM2 } from '../../../core/acts/index.ts';
import { nameScraps } from '../../text/scraps.ts';

/** Makes a scrap of a cloth, wrapped with it, a handful to begin with; its form is opened next. */
export async function addScrap(item: Item, lot: Lot): Promise<{ id: ItemId; lotId: LotId } | null> {
  const ids = { itemId: world.createId() as ItemId, lotId: world.createId() as LotId };
  const scrap = toScrapItem(item, { name: nameScraps(item), ...ids }, { cut: 'odd' });
  const made: Lot = {
    ...createLooseLot(ids.lotId, scrap, 1, undefined, world.nowMs()),
    areaMm2: HANDFUL_MM2,
    state: 'with',
    withLotId: lot.id,
  };
  return (await act((now) => createSaveItem(now, scrap, [made]))) ? { id: ids.itemId, lotId: ids.lotId } : null;
}
