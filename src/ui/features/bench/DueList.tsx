import { addDays } from 'date-fns';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { toDay } from '../../../core/units/index.ts';
import { listDue } from '../../../core/upkeep/index.ts';
import { linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, useOpen } from '../../state/app.ts';
import { nameDue, wordDue } from '../../text/year.ts';
import { Listed, Rest } from './Listed.tsx';

const SOON_DAYS = 30;
const SHOWN = 8;

/** What comes round within a month or has: the first of it; all of it is under The year. */
export function DueList({ nowMs }: { nowMs: number }) {
  const household = useHousehold();
  const open = useOpen();
  const due = useMemo(() => listDue(household, nowMs, toDay(addDays(nowMs, SOON_DAYS))), [household, nowMs]);
  const today = toDay(nowMs);
  if (due.length === 0) return null;
  return (
    <Listed
      title="Soon due"
      action={
        <Link className={linkClass} to="/year">
          What comes round
        </Link>
      }
    >
      <ul>
        {due.slice(0, SHOWN).map((one) => {
          const lotId = 'lot' in one ? one.lot.id : one.code === 'restock' ? one.lotId : null;
          const day = one.on === null ? '' : one.on < today ? `, since ${one.on}` : `, ${one.on}`;
          return (
            <li key={one.key} className="dotted-row flex items-center gap-3 py-1">
              {'item' in one && <Swatch item={one.item} className="size-5 shrink-0" />}
              <span className="min-w-0 flex-1" {...explained('By its day, its hours or its mark, as its ticket says.')}>
                {lotId ? (
                  <button
                    type="button"
                    data-name
                    className="text-left hover:underline"
                    onClick={() => open({ type: 'lot', id: lotId })}
                  >
                    {nameDue(one)}
                  </button>
                ) : (
                  <span data-name>{nameDue(one)}</span>
                )}{' '}
                <span className="text-sm text-stone">
                  {wordDue(one, today)}
                  {day}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
      <Rest count={due.length - SHOWN} />
    </Listed>
  );
}
