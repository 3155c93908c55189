import { useMemo } from 'react';
import type { DaybookEvent, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { putBack } from '../../state/putBack.ts';
import { getTree } from '../../state/derived.ts';
import { wordSince } from '../../text/bench.ts';
import { Listed, LISTED, Rest } from './Listed.tsx';
import type { OnBench } from './benchFacts.ts';
import { t } from '../../language/index.ts';

/** What is not in the room: missed, or lent. */
interface AwayProps {
  readonly things: readonly OnBench[];
  readonly nowMs: number;
}

export function MissingList({ things, nowMs }: AwayProps) {
  return (
    <Listed title={t('Missing')}>
      <ul>
        {things.slice(0, LISTED).map((thing) => (
          <MissingLine key={thing.lot.id} thing={thing} nowMs={nowMs} />
        ))}
      </ul>
      <Rest count={things.length - LISTED} />
    </Listed>
  );
}

export function LentList({ things, nowMs }: AwayProps) {
  return (
    <Listed title={t('Lent')}>
      <ul>
        {things.slice(0, LISTED).map((thing) => (
          <LentLine key={thing.lot.id} thing={thing} nowMs={nowMs} />
        ))}
      </ul>
      <Rest count={things.length - LISTED} />
    </Listed>
  );
}

/** Where a lot was before it was missed, as the daybook has it. */
function findLastSeen(events: readonly DaybookEvent[], id: LotId): PlaceId | null {
  for (const { changes } of events.toReversed())
    for (const { table, id: changed, before } of changes)
      if (table === 'lots' && changed === id && typeof before?.['placeId'] === 'string')
        return before['placeId'] as PlaceId;
  return null;
}

function MissingLine({ thing: { lot, item }, nowMs }: { thing: OnBench; nowMs: number }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const tree = getTree(household);
  const seen = useMemo(() => findLastSeen(events, lot.id), [events, lot.id]);
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 py-1">
      <Swatch item={item} className="size-5 shrink-0" />
      <span className="min-w-0 flex-1" {...explained(t('Its last place in the daybook.'))}>
        {item.name}{' '}
        <span className="text-sm text-stone">
          {seen && tree.places.has(seen)
            ? t('last seen in {place}, missing {since}', {
                place: formatPlaceName(tree, seen),
                since: wordSince(lot.sinceMs, nowMs),
              })
            : t('missing {since}', { since: wordSince(lot.sinceMs, nowMs) })}
        </span>
      </span>
      <Button look="quiet" disabled={lot.homeId === undefined} onClick={() => void putBack(lot.id)}>
        {t('Found; it is home')}
      </Button>
    </li>
  );
}

function LentLine({ thing: { lot, item }, nowMs }: { thing: OnBench; nowMs: number }) {
  const comeBack = async () => {
    const { createReturn } = await import('../../../core/acts/index.ts');
    await act((now) => createReturn(now, lot.id, world.nowMs()));
  };
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 py-1">
      <Swatch item={item} className="size-5 shrink-0" />
      <span className="min-w-0 flex-1" {...explained(t('When it was lent, as the daybook has it.'))}>
        {item.name}{' '}
        <span className="text-sm text-stone">
          {lot.lentTo ? t('to {lentTo}, ', { lentTo: lot.lentTo }) : ''}
          {wordSince(lot.sinceMs, nowMs)}
        </span>
      </span>
      <Button look="quiet" onClick={() => void comeBack()}>
        {t('It came back')}
      </Button>
    </li>
  );
}
