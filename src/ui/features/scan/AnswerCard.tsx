import { Link } from 'react-router';
import type { LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { getLotsByPlace } from '../../state/whereabouts.ts';
import { wordAmount } from '../../text/index.ts';
import { wordScanFault } from '../../text/scan.ts';
import type { Answer } from './useScanning.ts';
import { t } from '../../language/index.ts';

/** What the last code led to. */
export function AnswerCard({
  answer,
  onPress,
  onLeave,
}: {
  answer: Answer;
  onPress: (placeId: PlaceId, lotIds: readonly LotId[], isPressed: boolean) => Promise<void>;
  onLeave: () => void;
}) {
  const household = useHousehold();
  const tree = getTree(household);
  const nameOf = (id: LotId) =>
    household.items.get(household.lots.get(id)?.itemId ?? ('' as never))?.name ?? t('a thing');
  const listOf = (ids: readonly LotId[]) =>
    ids.length === 1 ? nameOf(ids[0]!) : t('{n, plural, one {# thing} other {# things}}', { n: ids.length });
  const fault = (words: string) => (
    <p role="alert" className="max-w-xl border-l-4 border-madder bg-linen px-3 py-2">
      {words}
    </p>
  );
  if (answer.kind === 'picture') return fault(answer.words);
  if (answer.kind === 'done')
    return (
      <p
        className="max-w-xl border-l-4 border-moss bg-linen px-3 py-2 text-lg"
        {...explained(t('What was put there just now.'))}
      >
        <strong>{listOf(answer.lotIds)}</strong>{' '}
        {t('{count, plural, one {is in} other {are in}}', { count: answer.lotIds.length })}{' '}
        <strong>{formatPlaceName(tree, answer.placeId)}</strong>.
      </p>
    );
  if (answer.kind === 'full')
    return (
      <div role="alert" className="max-w-xl border-l-4 border-weld bg-linen px-3 py-2">
        <p className="text-lg">
          {t('{things} {count, plural, one {does} other {do}} not go into {place} beside what lies there.', {
            things: listOf(answer.lotIds),
            count: answer.lotIds.length,
            place: formatPlaceName(tree, answer.placeId),
          })}
        </p>
        <div className="mt-2 flex flex-wrap gap-3">
          <Button onClick={() => void onPress(answer.placeId, answer.lotIds, true)}>{t('There all the same')}</Button>
          <Button onClick={onLeave}>{t('Keep it in the hand')}</Button>
        </div>
      </div>
    );
  const { scanned } = answer;
  switch (scanned.kind) {
    case 'fault':
      return fault(wordScanFault(scanned.fault));
    case 'twice':
      return fault(t('Read twice; the second time nothing was done.'));
    case 'gone':
      return fault(t('{name} is no longer in the stash, as the daybook has it.', { name: nameOf(scanned.lotId) }));
    case 'not-a-home':
      return fault(
        t('{place} takes nothing itself now: it stands idle, or bins stand in it. Scan one of them.', {
          place: tree.places.get(scanned.placeId)?.name ?? t('That place'),
        }),
      );
    case 'put':
    case 'project':
      return null;
    case 'take':
    case 'in-hand':
      return <ScannedThing id={scanned.lotId} isAgain={scanned.kind === 'in-hand'} />;
    case 'look':
      return <Look placeId={scanned.placeId} />;
  }
}

function ScannedThing({ id, isAgain }: { id: LotId; isAgain: boolean }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  if (!lot || !item) return null;
  return (
    <button
      type="button"
      className="flex w-full max-w-xl items-center gap-4 border border-ink bg-paper px-4 py-3 text-left hover:bg-linen"
      onClick={() => show({ type: 'lot', id })}
    >
      <Swatch item={item} className="size-16 shrink-0" />
      <span className="min-w-0">
        <span data-name className="block font-display text-[25px] leading-tight font-semibold">
          {item.name}
        </span>
        <span className="block text-stone" {...explained(t('As its ticket says.'))}>
          {wordAmount(item, lot, household.settings.units)};{' '}
          {lot.state === 'lent'
            ? t('lent to {lentTo}', { lentTo: lot.lentTo ?? t('somebody') })
            : isAgain
              ? t('it is in your hand already')
              : t('it is in your hand')}
        </span>
      </span>
    </button>
  );
}

function Look({ placeId }: { placeId: PlaceId }) {
  const household = useHousehold();
  const tree = getTree(household);
  const lots = getLotsByPlace(household).get(placeId) ?? [];
  const { units } = household.settings;
  return (
    <section aria-label={t('What is in it')} className="max-w-xl">
      <h2 className="font-display text-xl font-semibold">{formatPlaceName(tree, placeId)}</h2>
      <p className="text-stone" {...explained(t('The things that lie in it now, counted.'))}>
        {lots.length === 0
          ? t('Nothing is in it.')
          : t('{n, plural, one {# thing} other {# things}}', { n: lots.length })}{' '}
        <Link to={`/bench/count/${placeId}`} className="text-woad underline">
          {t('Count what is here')}
        </Link>
      </p>
      <ul>
        {lots.map((lot) => {
          const item = household.items.get(lot.itemId)!;
          return (
            <LotLine key={lot.id} id={lot.id} item={item} how={t('As its ticket says.')}>
              {wordAmount(item, lot, units)}
            </LotLine>
          );
        })}
      </ul>
    </section>
  );
}
