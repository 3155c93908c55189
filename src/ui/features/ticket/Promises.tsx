import { getAmountUnit } from '../../../core/measure/index.ts';
import { nameOfPromise } from '../../../core/promises/index.ts';
import { createRelease } from '../../../core/acts/index.ts';
import type { Household, Reservation } from '../../../core/records/index.ts';
import { Link } from 'react-router';
import { Button, linkClass } from '../../components/Button.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { formatAmount } from '../../text/index.ts';
import type { LotProps } from './LotAsked.tsx';
import { t } from '../../language/index.ts';

/** What of it is promised, to what, each with the way to take it back. */
export function Promises({ household, item, lot }: LotProps) {
  return (lot.reserved ?? []).map((one) => (
    <p key={one.id} className="mt-3 border-l-4 border-dashed border-walnut bg-linen px-3 py-1.5">
      {t('{amount} promised to', {
        amount: formatAmount(one.amount, getAmountUnit(item, lot), household.settings.units),
      })}{' '}
      <PromisedTo household={household} promise={one} />
      {one.note !== '' && <span className="block text-sm text-stone">{one.note}</span>}
      <Button
        look="quiet"
        className="block"
        onClick={() => void act((now) => createRelease(now, lot.id, one.id, world.nowMs()))}
      >
        {t('Release it')}
      </Button>
    </p>
  ));
}

/** What it is promised to; a project's page is a press away. */
function PromisedTo({ household, promise }: { household: Household; promise: Reservation }) {
  const name = nameOfPromise(household, promise);
  if (!promise.projectId) return <strong>{name}</strong>;
  return (
    <Link className={linkClass} to={`/projects/${promise.projectId}`}>
      {name}
    </Link>
  );
}
