import type { Due } from '../../../core/upkeep/index.ts';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useOpen } from '../../state/app.ts';
import { nameDue, wordDue } from '../../text/year.ts';
import { t } from '../../language/index.ts';
import { wordDay } from '../../text/days.ts';

/** What is due, with its swatch: what is to be done about it and by when; its name hangs its ticket at the right. */
export function DueWords({ due, today }: { due: Due; today: string }) {
  const open = useOpen();
  const name = nameDue(due);
  const lotId = 'lot' in due ? due.lot.id : due.code === 'restock' ? due.lotId : null;
  const isPast = due.on !== null && due.on < today;
  return (
    <>
      {'item' in due && <Swatch item={due.item} className="size-6 shrink-0" />}
      <span className="min-w-0 flex-1" {...explained(t('By its day, its hours or its mark, as its ticket says.'))}>
        {lotId ? (
          <button
            type="button"
            data-name
            className="text-left font-semibold hover:underline"
            onClick={() => open({ type: 'lot', id: lotId })}
          >
            {name}
          </button>
        ) : (
          <strong data-name>{name}</strong>
        )}{' '}
        <span className="text-stone">
          {wordDue(due, today)}
          {due.on !== null && (
            <>
              ,{' '}
              <span className={`whitespace-nowrap ${isPast ? 'text-madder' : ''}`}>
                {isPast ? t('since {on}', { on: wordDay(due.on) }) : wordDay(due.on)}
              </span>
            </>
          )}
        </span>
      </span>
    </>
  );
}
