import { createOpened } from '../../../core/acts/index.ts';
import { findType } from '../../../core/catalog/index.ts';
import type { Item, Lot } from '../../../core/records/index.ts';
import { toDay } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { t } from '../../language/index.ts';

/** What ages once it is opened; what is tended again and again. */
export function YearActs({ item, lot, onChores }: { item: Item; lot: Lot; onChores: () => void }) {
  const keeps = item.box && findType(item.box.type, item.kind)?.keepsMonths;
  return (
    <>
      {(keeps !== undefined || item.scrap?.cut === 'square' || item.scrap?.cut === 'strip') &&
        lot.openedOn === undefined && (
          <Button look="quiet" onClick={() => void act((now) => createOpened(now, lot.id, toDay(world.nowMs())))}>
            {t('Opened today')}
          </Button>
        )}
      {(item.box || item.care.includes('heirloom')) && (
        <Button look="quiet" onClick={onChores}>
          {t('What comes round')}
        </Button>
      )}
    </>
  );
}
