import { lazy, Suspense } from 'react';
import type { Ticket } from '../../state/appState.ts';
import { t } from '../../language/index.ts';

const LotTicket = lazy(async () => ({ default: (await import('./LotTicket.tsx')).LotTicket }));
const PlaceTicket = lazy(async () => ({ default: (await import('./PlaceTicket.tsx')).PlaceTicket }));
const ItemForm = lazy(async () => ({ default: (await import('../stash/ItemForm.tsx')).ItemForm }));
const UnitForm = lazy(async () => ({ default: (await import('../room/UnitForm.tsx')).UnitForm }));
const PoolTicket = lazy(async () => ({ default: (await import('../room/PoolTicket.tsx')).PoolTicket }));
const SlotForm = lazy(async () => ({ default: (await import('../room/SlotForm.tsx')).SlotForm }));

/** The ticket of what is selected, or the form that changes it. */
export function TicketBody({ ticket }: { ticket: Ticket }) {
  return (
    <Suspense fallback={<p className="text-stone">{t('Opening…')}</p>}>
      {ticket.type === 'lot' && <LotTicket id={ticket.id} />}
      {ticket.type === 'place' && <PlaceTicket id={ticket.id} />}
      {ticket.type === 'newItem' && (
        <ItemForm
          key={`new ${ticket.like ?? ticket.draft?.lot.id ?? ''}`}
          base={null}
          kind={ticket.kind}
          like={ticket.like}
          draft={ticket.draft}
        />
      )}
      {ticket.type === 'editItem' && <ItemForm key={ticket.lotId} base={ticket.lotId} kind="fabric" />}
      {ticket.type === 'newUnit' && <UnitForm key="new" unitId={null} wallId={ticket.wallId} />}
      {ticket.type === 'editUnit' && <UnitForm key={ticket.id} unitId={ticket.id} wallId="" />}
      {ticket.type === 'pool' && <PoolTicket />}
      {ticket.type === 'editSlot' && <SlotForm key={ticket.id} slotId={ticket.id} />}
    </Suspense>
  );
}
