import { lazy, Suspense } from 'react';
import { useApp, useIsWhole } from '../../state/app.ts';
import { t } from '../../language/index.ts';

const TicketBody = lazy(async () => ({ default: (await import('./TicketBody.tsx')).TicketBody }));

/** What hangs at the right. */
export function TicketPane({ hint }: { hint: string }) {
  const ticket = useApp((state) => state.ticket);
  const isWhole = useIsWhole();
  if (!ticket) return <p className="text-stone">{hint}</p>;
  const opening = <p className="text-stone">{t('Opening…')}</p>;
  return isWhole ? (
    <Suspense fallback={opening}>
      <TicketBody ticket={ticket} />
    </Suspense>
  ) : (
    opening
  );
}
