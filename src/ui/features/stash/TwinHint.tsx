import { Suspense, useDeferredValue, useMemo } from 'react';
import type { Item } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { wordWhereShort } from '../../text/where.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { twinFinder } from '../../state/twins.ts';
import { getWhereabouts } from '../../state/whereabouts.ts';
import { explained } from '../../components/explained.ts';
import { wordAmount, wordLikeness } from '../../text/index.ts';
import { wordHowMuch } from '../../text/measures.ts';
import { t } from '../../language/index.ts';

/** Do I have it already? What is there and much like a thing that is being added. */
export function TwinHint({ item }: { item: Item }) {
  return (
    <Suspense>
      <Twins item={item} />
    </Suspense>
  );
}

function Twins({ item }: { item: Item }) {
  const household = useHousehold();
  const { units } = household.settings;
  const show = useApp((state) => state.show);
  const wanted = useDeferredValue(item);
  const finder = twinFinder.use(household.items);
  const twins = useMemo(() => finder.find(wanted, 2), [wanted, finder]);
  return twins.map((twin) => {
    const other = household.items.get(twin.itemId);
    const [lotId] = getLotsByItem(household).get(twin.itemId) ?? [];
    const lot = lotId && household.lots.get(lotId);
    if (!other || !lot) return null;
    return (
      <p
        key={twin.itemId}
        className="mt-2 flex flex-wrap items-center gap-x-3 border-l-4 border-weld bg-linen px-3 py-1.5"
      >
        <Swatch item={other} className="size-7 shrink-0" />
        <span
          className="min-w-40 flex-1 text-sm"
          {...explained(wordHowMuch(other, lot, household.settings), other.name)}
        >
          {t('You have')} <strong>{other.name}</strong>{' '}
          {t('already, {amount}: {alike}.', {
            amount: wordAmount(other, lot, units),
            alike: twin.alike.map((one) => wordLikeness(one, units)).join(', '),
          })}{' '}
          <span className="text-stone">{wordWhereShort(getWhereabouts(household, lot.id))}</span>
        </span>
        <Button look="quiet" onClick={() => show({ type: 'lot', id: lot.id })}>
          {t('Look')}
        </Button>
      </p>
    );
  });
}
