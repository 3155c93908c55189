import { lazy, Suspense } from 'react';
import { useApp } from '../../state/app.ts';
import { t } from '../../language/index.ts';

const TicketBody = lazy(async () => ({ default: (await import('./TicketBody.tsx')).TicketBody }));

/** What hangs at the right. */
export function TicketPane({ hint }: { hint: string }) {
  const ticket = useApp((state) => state.ticket);
  if (!ticket) return <p className="text-stone">{hint}</p>;
  return (
    <Suspense fallback={<p className="text-stone">{t('Opening…')}</p>}>
      <TicketBody ticket={ticket} />
    </Suspense>
  );
}
