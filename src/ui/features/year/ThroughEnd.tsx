import { useMemo } from 'react';
import { createMove } from '../../../core/acts/index.ts';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { listWaiting, sumWon, withoutLeaving } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordHomeOffer } from '../../text/index.ts';
import { wordLitres } from '../../text/year.ts';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

interface ThroughEndProps {
  readonly ids: readonly LotId[];
  /** Put off until later. */
  readonly waiting: number;
  readonly onOn: () => void;
  readonly onEnd: () => void;
}

/** What a sitting brought: the room that was won, and the few moves that use it. */
export function ThroughEnd({ ids, waiting, onOn, onEnd }: ThroughEndProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const sinceMs = useChoices((state) => state.reviewSinceMs);
  const won = useMemo(() => sumWon(household, ids, sinceMs), [household, ids, sinceMs]);
  const freed = useMemo(() => new Set(won.places.map(({ placeId }) => placeId)), [won]);
  const after = useMemo(() => withoutLeaving(household), [household]);
  const wanting = useMemo(() => (freed.size > 0 ? listWaiting(after, tree) : []), [after, tree, freed]);
  return (
    <section aria-label={t('What this brought')}>
      <p className="font-display text-[28px] font-semibold">
        {waiting > 0 ? t('That was it for today.') : t('That was all of this sitting.')}
      </p>
      <p
        className="mt-2"
        {...explained(
          t('Of the things of this sitting: those that stay, and the room of those that are to go, as they are kept.'),
        )}
      >
        {t('{stays, plural, one {# thing stays} other {# things stay}}, {leaves} to go', {
          stays: won.stays,
          leaves: won.leaves,
        })}
        {won.leaves > 0 && t(': {litres} of room won', { litres: wordLitres(won.litres) })}.
        {waiting > 0 && t(' {waiting, plural, one {# thing} other {# things}} put off.', { waiting })}
      </p>
      {won.places.length > 0 && (
        <ul aria-label={t('Where room is won')} className="mt-2 max-w-xl">
          {won.places.slice(0, 5).map(({ placeId, litres }) => (
            <li
              key={placeId}
              className="dotted-row flex justify-between py-1"
              {...explained(t('What leaves it takes so much there.'))}
            >
              <span data-name>
                {tree.places.has(placeId) ? formatPlaceName(tree, placeId) : t('a place that is gone')}
              </span>
              <span>{wordLitres(litres)}</span>
            </li>
          ))}
        </ul>
      )}
      {wanting.length > 0 && (
        <>
          <h2 className="mt-5 font-display text-xl font-semibold">{t('What could use that room')}</h2>
          <ul aria-label={t('What could use that room')} className="max-w-xl">
            {wanting.map((id) => (
              <Offer key={id} after={after} lotId={id} freed={freed} />
            ))}
          </ul>
          <p className="mt-1 text-sm text-stone">
            <Linked
              says={t('As if what is to go were gone. Until then it stands in <year>what comes round</year>.')}
              to={{ year: '/year' }}
            />
          </p>
        </>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        {waiting > 0 && <Button onClick={onOn}>{t('Those that were put off')}</Button>}
        <Button look="strong" data-key="d" onClick={onEnd}>
          {t('End it')} <kbd className="pl-1 font-normal">D</kbd>
        </Button>
      </div>
    </section>
  );
}

/** One thing that would be better off where room was won. */
function Offer({ after, lotId, freed }: { after: Household; lotId: LotId; freed: ReadonlySet<PlaceId> }) {
  const tree = getTree(after);
  const { answer } = useAnswer(after, 'homes', lotId);
  const lot = after.lots.get(lotId);
  const item = lot && after.items.get(lot.itemId);
  const offer = answer?.find(({ placeId }) => freed.has(placeId) && placeId !== lot?.placeId);
  if (!lot || !item || !offer) return null;
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 py-1">
      <span
        className="min-w-0 flex-1"
        {...explained(t('Tried in the freed place beside what stays there, and priced like a plan.'))}
      >
        <strong data-name>{item.name}</strong> → {formatPlaceName(tree, offer.placeId)};{' '}
        {wordHomeOffer(offer, lot.homeId === undefined)}
      </span>
      <Button
        look="quiet"
        onClick={() => void act((now) => createMove(now, lotId, offer.placeId, offer.form, world.nowMs()))}
      >
        {t('It lies there now')}
      </Button>
    </li>
  );
}
