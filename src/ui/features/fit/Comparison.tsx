import { getFetchSeconds, type Score } from '../../../core/records/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { HowRow } from '../../components/HowRow.tsx';
import { useHousehold } from '../../state/app.ts';
import type { Questions } from '../../../workers/protocol.ts';
import type { useFitRun } from './fitRun.ts';
import { formatNumber, t } from '../../language/index.ts';

interface SearchingProps {
  readonly progress: ReturnType<typeof useFitRun.getState>['progress'];
  readonly seconds: number;
  readonly today: Score | null;
}

/** How far the search is, and what its best so far would bring. */
export function Searching({ progress, seconds, today }: SearchingProps) {
  const share = progress ? Math.min(1, progress.elapsedMs / 1000 / seconds) : 0;
  return (
    <div className="mt-3" role="status">
      <progress
        aria-label={t('Search')}
        className="h-3 w-full appearance-none bg-thread [&::-moz-progress-bar]:bg-woad [&::-webkit-progress-bar]:bg-thread [&::-webkit-progress-value]:bg-woad"
        max={1}
        value={share}
      />
      <p className="mt-2 font-display text-[28px] leading-tight font-semibold">
        {progress ? formatMinutes(progress.fetchSeconds) : '…'}
      </p>
      <p className="text-stone">
        {today
          ? t('a month with the best so far; today {minutes}', { minutes: formatMinutes(getFetchSeconds(today)) })
          : t('a month with the best so far')}
      </p>
      {progress && (
        <p className="tabular mt-2">
          {t('{unplaced, plural, one {# thing} other {# things}} without a home. {steps} steps tried.', {
            unplaced: progress.unplaced,
            steps: formatNumber(progress.steps),
          })}
        </p>
      )}
    </div>
  );
}

interface ComparisonProps {
  readonly today: Score | null;
  readonly plan: Score | null;
  readonly unplaced: number;
  readonly homeless: number;
  /** What the checker found against the plan; one that was kept had none. */
  readonly findings: number;
  readonly strained: Questions['strained']['answer'] | null;
  /** Places that the plan fills beyond what is wanted. */
  readonly crowded: number | null;
}

/** The plan that is looked at beside today, line by line. */
export function Comparison({ today, plan, unplaced, homeless, findings, strained, crowded }: ComparisonProps) {
  const { fillTarget } = useHousehold().settings;
  const target = Math.round(fillTarget * 100);
  return (
    <table className="tabular mt-2 w-full">
      <thead className="text-sm text-stone">
        <tr>
          <th scope="col" className="text-left font-normal">
            <span className="sr-only">{t('What')}</span>
          </th>
          <th scope="col" className="text-right font-normal">
            {t('today')}
          </th>
          {plan && (
            <th scope="col" className="pl-3 text-right font-normal">
              {t('plan')}
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        <HowRow
          name={t('Fetching, a month')}
          how={t(
            'The way and the reach, looking for it, and looking in the wrong place first: the three parts below, added up. The seconds behind them are estimates that House lets you change.',
          )}
          today={today ? formatMinutes(getFetchSeconds(today)) : '…'}
          plan={plan && formatMinutes(getFetchSeconds(plan))}
        />
        <HowRow
          name={t('Strangers, names')}
          how={t(
            'A price, not time on the clock: every two groups that share a place, by how near they are to each other, every further place of a group, and things that are not where a name says.',
          )}
          today={today ? formatMinutes(today.parts.company) : '…'}
          plan={plan && formatMinutes(plan.parts.company)}
        />
        <HowRow
          name={t('Room taken')}
          how={t(
            'A price, not time on the clock: the worth of the room that things take, by how well it is reached, and places filled beyond their target, growing with the square.',
          )}
          today={today ? formatMinutes(today.parts.rent + today.parts.crowding) : '…'}
          plan={plan && formatMinutes(plan.parts.rent + plan.parts.crowding)}
        />
        <HowRow
          name={t('Loose things')}
          how={t(
            'A price, not time on the clock: small things loose on open shelves, floppy ones that nothing holds, and what lies on the bare floor.',
          )}
          today={today ? formatMinutes(today.parts.holding) : '…'}
          plan={plan && formatMinutes(plan.parts.holding)}
        />
        <HowRow
          name={t('Without a home')}
          how={t(
            'Things that take room and have no place of their own; in the plan, those that fit nowhere, each with its reason.',
          )}
          today={String(homeless)}
          plan={plan && String(unplaced)}
        />
        <HowRow
          name={t('Over full or too heavy')}
          how={t(
            'Places whose things do not lie in them when they are packed, and places, bins and pieces with more weight in them than they are said to carry. A plan has neither, or it is not shown.',
          )}
          today={strained ? String(new Set([...strained.full, ...strained.heavy.map((one) => one.placeId)]).size) : '…'}
          plan={plan && String(findings)}
        />
        <HowRow
          name={t('Fuller than {target}\u00a0%', { target })}
          how={t(
            'House says to leave {target} % of each place free. A plan goes beyond that where it costs more time to keep to it; each place over it is counted.',
            { target: 100 - target },
          )}
          today={strained ? String(strained.crowded.length) : '…'}
          plan={crowded === null ? null : String(crowded)}
        />
        <HowRow
          name={t('Cautions')}
          how={t(
            'One for each thing of more than 5 kg above the shoulder, and for each liquid that is high up or near heat; with children, for what is hard and weighs more than 2 kg where it can be pulled down; with pets, for thread, ribbon and elastic kept in the open.',
          )}
          today={String(today?.cautions ?? '…')}
          plan={plan && String(plan.cautions)}
        />
      </tbody>
    </table>
  );
}
