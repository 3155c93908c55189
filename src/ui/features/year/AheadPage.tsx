import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { createGrow } from '../../../core/acts/index.ts';
import type { PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import {
  listGroupYearsInSlices,
  type GroupYear,
  type Help,
  type Outlook,
  type PlaceOutlook,
} from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { deriveSlowly } from '../../state/slowly.ts';
import { getToday, type Today } from '../../state/today.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordGroup } from '../../text/index.ts';
import { wordChance, wordHelp, wordLitres } from '../../text/year.ts';
import { BandChart } from './BandChart.tsx';
import { StashAhead } from './StashAhead.tsx';
import { YearTabs } from './YearTabs.tsx';
import { perLanguage, t } from '../../language/index.ts';

const HOW = perLanguage(() =>
  t(
    'The litres that came and went in your own months are drawn again and again, six hundred times: this many of those years end over full. Where the daybook is young, what is usual for the kind stands in.',
  ),
);
const yearsOf = deriveSlowly(({ household, events, nowMs }: Today) => listGroupYearsInSlices(household, events, nowMs));

/** So many rows at first. */
const FIRST_ROWS = 12;

/** What is to come: which places will be over full, how likely, and what helps. */
export function AheadPage() {
  const household = useHousehold();
  // With the household that is shown, not before it.
  const events = useDeferredValue(useApp((state) => state.events));
  const { placeId } = useParams();
  const navigate = useNavigate();
  const [nowMs] = useState(() => world.nowMs());
  const [isGroups, setGroups] = useState(false);
  const [isAll, setAll] = useState(false);
  const years = yearsOf.use(getToday(household, events, nowMs));
  const chosen = !isGroups && placeId ? (placeId as PlaceId) : null;
  const about = useMemo(() => ({ years, placeId: chosen }), [years, chosen]);
  const { answer, again } = useAnswer(household, 'ahead', about);
  const rows: readonly Outlook[] = answer ? (isGroups ? answer.forecast.groups : answer.forecast.places) : [];
  const shown = isAll ? rows : rows.slice(0, FIRST_ROWS);
  const place = answer?.forecast.places.find(({ id }) => id === chosen) ?? null;
  const nameOf = useNames();
  return (
    <Page
      title={t('The year')}
      tabs={<YearTabs />}
      aside={
        place ? (
          <PlaceAhead outlook={place} help={answer?.help ?? []} years={years} name={nameOf(place.id)} />
        ) : undefined
      }
      asideLabel={t('What is to come')}
    >
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5">
        <div className="flex flex-wrap items-center gap-x-5">
          <h2 className="font-display text-xl font-semibold">{t('Over full, how likely')}</h2>
          <Button look="quiet" aria-pressed={isGroups} onClick={() => setGroups(!isGroups)}>
            {isGroups ? t('By place') : t('By group')}
          </Button>
          {answer && (
            <span
              className="text-sm text-stone"
              {...explained(t('Months of the daybook, without its first weeks, in which a stash is written down.'))}
            >
              {answer.forecast.months === 0
                ? t('The daybook is too young to tell; after a few months it does.')
                : t('From {months, plural, one {# month} other {# months}} of your daybook', {
                    months: answer.forecast.months,
                  })}
            </span>
          )}
        </div>
        <Unanswered again={again} />
        {!answer && !again && (
          <p role="status" className="mt-3 text-stone">
            {t('Looking ahead…')}
          </p>
        )}
        {answer && rows.length === 0 && (
          <p className="mt-3">{t('Nothing has a place yet, so nothing can be over full.')}</p>
        )}
        {rows.length > 0 && (
          <table className="mt-2 w-full max-w-4xl">
            <thead>
              <tr className="text-left text-sm text-stone">
                <th className="font-normal">{isGroups ? t('Group') : t('Place')}</th>
                <th className="text-right font-normal">{t('Full now')}</th>
                <th data-name className="pl-2 text-right font-normal">
                  {t('in 3 months')}
                </th>
                <th data-name className="pl-2 text-right font-normal">
                  {t('in 6')}
                </th>
                <th data-name className="pl-2 text-right font-normal">
                  {t('in 12')}
                </th>
              </tr>
            </thead>
            <tbody className="tabular">
              {shown.map((row) => (
                <tr key={row.id} className={`dotted-row ${row.id === chosen ? 'bg-linen font-bold' : ''}`}>
                  <td className="py-1 pr-3">
                    {isGroups ? (
                      <span data-name>{nameOf(row.id)}</span>
                    ) : (
                      <button
                        type="button"
                        data-name
                        className="min-h-9 text-left hover:underline"
                        onClick={() => void navigate(row.id === chosen ? '/year/ahead' : `/year/ahead/${row.id}`)}
                      >
                        {nameOf(row.id)}
                      </button>
                    )}
                  </td>
                  <td
                    className="pl-2 text-right whitespace-nowrap"
                    {...explained(t('Litres as they are kept there, of those that go in the same way.'))}
                  >
                    {Math.round((100 * row.litres) / row.roomLitres)} %
                  </td>
                  {row.chances.map((chance, n) => (
                    <td
                      key={n}
                      className={`pl-2 text-right whitespace-nowrap ${chance >= 0.5 ? 'font-semibold text-madder' : ''}`}
                      {...explained(HOW())}
                    >
                      {wordChance(chance)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {rows.length > FIRST_ROWS && (
          <Button look="quiet" onClick={() => setAll(!isAll)}>
            {isAll ? t('The first of them') : t('All of them')}
          </Button>
        )}
        <StashAhead nowMs={nowMs} />
      </div>
    </Page>
  );
}

/** What places and groups are called. */
function useNames(): (id: string) => string {
  const household = useHousehold();
  const tree = getTree(household);
  const all = useGroups(household);
  return useMemo(() => {
    const groups = new Map(all.map((group) => [group.id, wordGroup(group, household)]));
    return (id) => groups.get(id) ?? (tree.places.has(id as PlaceId) ? formatPlaceName(tree, id as PlaceId) : id);
  }, [all, household, tree]);
}

interface PlaceAheadProps {
  readonly outlook: PlaceOutlook;
  readonly help: readonly Help[];
  readonly years: readonly GroupYear[];
  readonly name: string;
}

/** One place: its year to come, what grows in it, and what helps. */
function PlaceAhead({ outlook, help, years, name }: PlaceAheadProps) {
  const nameOf = useNames();
  const navigate = useNavigate();
  const { litres, roomLitres, burstsIn, band, groups, chances } = outlook;
  const press = (one: Help) => {
    if (one.code === 'oneInOneOut')
      return void act(
        (now) => createGrow(now, one.groupId, 0),
        t('One in, one out for {group}: plans and this page reckon with it.', { group: nameOf(one.groupId) }),
      );
    if (one.code === 'letGo') {
      const lots = years.find(({ id }) => id === one.groupId)?.lotIds ?? [];
      useChoices.setState({ reviewIds: [...lots], reviewSinceMs: world.nowMs() });
      return void navigate('/year/through');
    }
    return void navigate(one.code === 'bin' ? '/room' : '/fit');
  };
  return (
    <section aria-label={name}>
      <h2 className="font-display text-xl font-semibold" data-name>
        {name}
      </h2>
      <p {...explained(HOW())}>
        {t('{litres} of {room}.', { litres: wordLitres(litres), room: wordLitres(roomLitres) })}{' '}
        {burstsIn === null
          ? chances[2] > 0.01
            ? t('It will likely do for the year; {chance} that it does not.', { chance: wordChance(chances[2]) })
            : t('It will do for the year.')
          : t('Likely over full in {months, plural, one {# month} other {# months}}.', { months: burstsIn })}
      </p>
      <BandChart
        band={band}
        now={litres}
        most={roomLitres}
        unit="l"
        label={t('{name}, litres month by month', { name })}
      />
      <h3 className="mt-3 font-bold">{t('What is in it')}</h3>
      <ul>
        {groups.slice(0, 5).map((group) => (
          <li key={group.groupId} className="dotted-row flex justify-between gap-3 py-1">
            <span data-name>{nameOf(group.groupId)}</span>
            <span
              className="tabular text-right"
              {...explained(t('Its part here, and by how much that grew in your own year.'))}
            >
              {wordLitres(group.litres)}
              {Math.abs(group.perYear) >= 0.1 &&
                t(', {change} a year', {
                  change: `${group.perYear > 0 ? '+' : '−'}${wordLitres(Math.abs(group.perYear))}`,
                })}
            </span>
          </li>
        ))}
      </ul>
      {help.length > 0 && (
        <>
          <h3 className="mt-3 font-bold">{t('What helps')}</h3>
          <ul aria-label={t('What helps')} className="space-y-1.5">
            {help.map((one) => (
              <li key={`${one.code} ${'toId' in one ? one.toId : ''}`}>
                <button
                  type="button"
                  className="w-full border border-thread bg-paper px-3 py-2 text-left hover:bg-linen"
                  onClick={() => press(one)}
                >
                  <span className="block font-semibold" data-name>
                    {wordHelp(
                      one,
                      'groupId' in one ? nameOf(one.groupId) : '',
                      'toId' in one ? nameOf(one.toId) : 'binId' in one ? nameOf(one.binId) : '',
                    )}
                  </span>
                  <span
                    className="block text-sm text-stone"
                    {...explained(t('The same years drawn again, with that done first.'))}
                  >
                    {t('then {chance} in a year', { chance: wordChance(one.chance) })}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
