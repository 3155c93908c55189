import { useMemo } from 'react';
import { getMatch } from '../../../../core/colour/index.ts';
import type { Household, Item } from '../../../../core/records/index.ts';
import { Swatch } from '../../../drawing/Swatch.tsx';
import { useOpen } from '../../../state/app.ts';
import { getLotsByItem } from '../../../state/derived.ts';
import { findThreadsFor } from '../../../state/threads.ts';
import { wordMatch, wordShift } from '../../../text/index.ts';
import { formatFixed, t } from '../../../language/index.ts';

/** So many threads are offered for a cloth. */
const OFFERED = 3;

/** The nearest threads for a cloth among what is owned, with the difference in words. */
export function ThreadMatch({ household, item }: { household: Household; item: Item }) {
  const open = useOpen();
  const nearest = useMemo(() => findThreadsFor(household, item, OFFERED), [household, item]);
  if (nearest.length === 0) return null;
  return (
    <section aria-label={t('Thread for it')} className="mt-3">
      <h3 className="font-bold">{t('Thread for it')}</h3>
      <ul>
        {nearest.map(({ of: thread, deltaE, shifts }) => {
          const [lotId] = getLotsByItem(household).get(thread.id) ?? [];
          return (
            <li key={thread.id} className="dotted-row">
              <button
                type="button"
                className="flex min-h-11 w-full items-center gap-2 py-1 text-left hover:bg-linen md:min-h-9"
                onClick={() => lotId && open({ type: 'lot', id: lotId })}
              >
                <Swatch item={thread} className="size-5 shrink-0" />
                <span className="min-w-0">
                  <span data-name className="block break-words">
                    {thread.name}
                  </span>
                  <span
                    className="block text-sm text-stone"
                    title={t('ΔE {deltaE}', { deltaE: formatFixed(deltaE, 1) })}
                  >
                    {wordShift(deltaE, shifts)}; {wordMatch(getMatch(deltaE))}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
