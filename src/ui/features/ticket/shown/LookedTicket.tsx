import type { ReactNode } from 'react';
import { formatPlaceName } from '../../../../core/storage/index.ts';
import type { LotId, PlaceId } from '../../../../core/records/index.ts';
import { Row } from '../../../components/fields.tsx';
import { wordWhereShort } from '../../../text/where.ts';
import { useApp, useHousehold } from '../../../state/app.ts';
import type { Looked } from '../../../state/appState.ts';
import { getTree } from '../../../state/derived.ts';
import { getWhereabouts } from '../../../state/whereabouts.ts';
import { LotShown } from './LotShown.tsx';
import { PlaceShown } from './PlaceShown.tsx';
import { t } from '../../../language/index.ts';

interface LookedTicketProps {
  readonly looked: Looked;
  /** What can be said against it, where anything can. */
  readonly children?: ReactNode;
}

/** The ticket of something in a household that is only looked at: it says all, and offers nothing to do by itself. */
export function LookedTicket({ looked, children }: LookedTicketProps) {
  return looked.type === 'lot' ? (
    <LotLooked key={looked.id} id={looked.id}>
      {children}
    </LotLooked>
  ) : (
    <PlaceLooked id={looked.id}>{children}</PlaceLooked>
  );
}

function LotLooked({ id, children }: { id: LotId; children: ReactNode }) {
  const household = useHousehold();
  const today = useApp((state) => state.household?.lots.get(id)?.placeId ?? null);
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  if (!lot || !item || lot.state === 'gone') return <p className="text-stone">{t('It is not in this plan.')}</p>;
  return (
    <LotShown
      household={household}
      lot={lot}
      item={item}
      whereName={t('In the plan')}
      where={wordWhereShort(getWhereabouts(household, id))}
      label={<Row name={t('Today')}>{today === null ? t('out') : formatPlaceName(getTree(household), today)}</Row>}
    >
      {children}
    </LotShown>
  );
}

function PlaceLooked({ id, children }: { id: PlaceId; children: ReactNode }) {
  const household = useHousehold();
  const place = getTree(household).places.get(id);
  if (!place) return <p className="text-stone">{t('That place is not in this plan.')}</p>;
  return (
    <PlaceShown household={household} place={place}>
      {children}
    </PlaceShown>
  );
}
