import { getFetchSeconds, type Plan, type Score } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import type { Mended } from '../../../workers/protocol.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { getGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { previewPlan } from '../../../core/suppose/index.ts';
import { joinFew } from '../../text/lists.ts';
import { listBinsCarried } from './binMoves.ts';
import { useFitRun } from './fitRun.ts';
import { listFreed } from './freed.ts';
import { formatFixed, t } from '../../language/index.ts';
import { wordChange } from '../../text/change.ts';

/** A bound that leaves more open than this tells nothing. */
const TELLING_PERCENT = 50;

/** How near the plan is to the best there could be, as far as that is proven. */
export function Proof({ bound }: { bound: NonNullable<ReturnType<typeof useFitRun.getState>['bound']> }) {
  const { mostPercent, isLast } = bound;
  const stop = useFitRun((state) => state.stop);
  const how = t(
    'A lower bound: room in each place is given a price, then each group is asked by itself what it costs at least. It holds for all seconds of the score, prices included, for plans that leave no more without a home, raise no more cautions and fill places no fuller than the search would. What it leaves open need not exist.',
  );
  return (
    <p className="mt-2 text-sm text-stone" {...explained(how)}>
      {mostPercent >= TELLING_PERCENT
        ? isLast
          ? t('How much better a plan could be was not proven.')
          : t('Working out how much better any plan could be…')
        : isLast
          ? t('At most {percent} % better is possible.', { percent: Math.ceil(mostPercent) })
          : t('At most {percent} % better is possible; still being narrowed down.', {
              percent: Math.ceil(mostPercent),
            })}{' '}
      {!isLast && (
        <Button look="quiet" onClick={stop}>
          {t('Leave it at that')}
        </Button>
      )}
    </p>
  );
}

/** What was stale, and that the rest stayed as it was planned. */
export function MendedLine({ mended: { homeless, ousted, burst, refused, others } }: { mended: Mended }) {
  const parts = [
    homeless > 0 ? t('{homeless, plural, one {# thing} other {# things}} had no home', { homeless }) : '',
    ousted > 0 ? t('{ousted, plural, one {# thing lost its} other {# things lost their}} place', { ousted }) : '',
    refused > 0 ? t('{refused, plural, one {# thing was} other {# things were}} not to stay there', { refused }) : '',
    burst > 0 ? t('{burst, plural, one {# thing} other {# things}} no longer went in', { burst }) : '',
  ].filter((part) => part !== '');
  const how = t(
    'The plan was carried out in thought and every place packed; what cannot stay, or has no home, was placed anew, and all else stayed as it was planned.',
  );
  return (
    <p className="mt-2" {...explained(how)}>
      {parts.length > 0 ? t('{parts}; placed anew.', { parts: parts.join(', ') }) : t('Nothing had to be placed anew.')}{' '}
      {others > 0
        ? t('There was no room otherwise, so {others, plural, one {# other moves} other {# others move}} too.', {
            others,
          })
        : t('All else stays as planned.')}
    </p>
  );
}

/** What was asked, and what heeding it costs. */
export function AskedLine({ asked: { words, before }, plan }: { asked: { words: string; before: Score }; plan: Plan }) {
  const more = getFetchSeconds(plan.score) - getFetchSeconds(before);
  const all = plan.score.seconds - before.seconds;
  const how = t(
    'The plan before and the mended one, both scored with the figures of House: the fetching time, and all that counts.',
  );
  return (
    <p className="mt-2 border-l-4 border-woad bg-linen p-3" {...explained(how)}>
      {words} {Math.abs(more) < 3 ? t('It takes no more time.') : `${wordChange(more)}.`}{' '}
      {all > 60 && (
        <span className="text-stone">
          {t('With the room it takes and what shares a place, {minutes} more.', { minutes: formatMinutes(all) })}
        </span>
      )}
    </p>
  );
}

/** More names than these are not read. */
const MOST_NAMED = 8;

/** Containers in use today that the plan leaves empty. */
export function Freed({ plan }: { plan: Plan }) {
  const household = useHousehold();
  const { used, freed } = listFreed(household, getTree(household), plan);
  if (freed.length === 0) return null;
  const named = freed.slice(0, MOST_NAMED).map((place) => place.name);
  const names = freed.length > MOST_NAMED ? [...named, t('{count} more', { count: freed.length - MOST_NAMED })] : named;
  return (
    <p
      className="mt-2 text-sm"
      {...explained(t('Bins, boxes and other containers with something in them now, in which this plan puts nothing.'))}
    >
      {t('{freed} of {used, plural, one {# container} other {# containers}} in use become free: {names}.', {
        freed: freed.length,
        used,
        names: names.join(', '),
      })}
    </p>
  );
}

/** Containers that the plan has elsewhere than they stand, and what each is carried for. */
export function Carried({ plan }: { plan: Plan }) {
  const household = useHousehold();
  const bins = plan.bins ?? [];
  if (bins.length === 0) return null;
  const planned = getTree(previewPlan(household, plan));
  const groups = getGroups(household);
  const nameAll = (ids: readonly string[]) =>
    joinFew(groups.flatMap((group) => (ids.includes(group.id) ? [wordGroup(group, household)] : [])));
  const carried = listBinsCarried(getTree(household), planned, groups, plan);
  return (
    <div
      className="mt-2 text-sm"
      {...explained(t('Where bins and boxes stand is part of the plan; what is in them is carried with them.'))}
    >
      <p>{t('{bins, plural, one {# bin} other {# bins}} to carry:', { bins: bins.length })}</p>
      <ul>
        {carried.slice(0, MOST_NAMED).map(({ placeId, slotId, holds, makesRoomFor }) => (
          <li key={placeId}>
            {planned.places.get(placeId)?.name ?? t('one')}
            {slotId ? t(' to {placeName}', { placeName: formatPlaceName(planned, slotId) }) : t(' out of the way')}
            <span className="text-stone">
              {holds.length > 0
                ? t(', for {things}', { things: nameAll(holds) })
                : makesRoomFor.length > 0
                  ? t(', to make room for {things}', { things: nameAll(makesRoomFor) })
                  : t(', for nothing is to be in it')}
            </span>
          </li>
        ))}
        {bins.length > MOST_NAMED && <li>{t('and {count} more', { count: bins.length - MOST_NAMED })}</li>}
      </ul>
    </div>
  );
}

/** How far the search for things to get has come. */
export function Getting() {
  const getting = useFitRun((state) => state.getting);
  return (
    <div className="mt-3" role="status">
      <p className="font-display text-[28px] leading-tight font-semibold">
        {getting ? t('{n, plural, one {# thing} other {# things}}', { n: getting.unplaced }) : '…'}
      </p>
      <p className="text-stone">{t('without a home with the best set so far')}</p>
      {getting && (
        <p className="tabular mt-2">
          {t('It costs {cost}. {trials, plural, one {# set} other {# sets}} tried.', {
            cost: formatFixed(getting.cost, 2),
            trials: getting.trials,
          })}
        </p>
      )}
    </div>
  );
}
