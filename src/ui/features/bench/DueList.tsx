import { addDays } from 'date-fns';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { toDay } from '../../../core/units/index.ts';
import { listDue } from '../../../core/upkeep/index.ts';
import { linkClass } from '../../components/Button.tsx';
import { useHousehold } from '../../state/app.ts';
import { DueWords } from '../year/DueWords.tsx';
import { Listed, Rest } from './Listed.tsx';
import { t } from '../../language/index.ts';

const SOON_DAYS = 30;
const SHOWN = 8;

/** What comes round within a month or has: the first of it; all of it is under The year. */
export function DueList({ nowMs }: { nowMs: number }) {
  const household = useHousehold();
  const due = useMemo(() => listDue(household, nowMs, toDay(addDays(nowMs, SOON_DAYS))), [household, nowMs]);
  const today = toDay(nowMs);
  if (due.length === 0) return null;
  return (
    <Listed
      title={t('Soon due')}
      action={
        <Link className={linkClass} to="/year">
          {t('What comes round')}
        </Link>
      }
    >
      <ul>
        {due.slice(0, SHOWN).map((one) => (
          <li key={one.key} className="dotted-row flex items-center gap-3 py-1">
            <DueWords due={one} today={today} />
          </li>
        ))}
      </ul>
      <Rest count={due.length - SHOWN} />
    </Listed>
  );
}
