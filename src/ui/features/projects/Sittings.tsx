import { useMemo } from 'react';
import { Link } from 'react-router';
import { computeStepLeft, learnPace, listBatches, listSittings, type Sitting } from '../../../core/projects/index.ts';
import type { Household, Item, ProjectId } from '../../../core/records/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { findBag, getStandings } from '../../state/projects.ts';
import { useTimer } from '../../state/timer.ts';
import { wordMinutes, wordMissing, wordStepStation } from '../../text/projects.ts';
import { formatFixed, perLanguage, t } from '../../language/index.ts';

/** What can be done in so many minutes, with where it lies; and what is done better at once. */
export function Sittings({ minutes }: { minutes: number }) {
  const household = useHousehold();
  const standings = useMemo(() => [...getStandings(household).values()], [household]);
  const pace = useMemo(() => learnPace(household.projects.values()), [household.projects]);
  const threaded = useMemo(() => listThreaded(household), [household]);
  const sittings = listSittings(standings, minutes, pace, threaded);
  const batches = listBatches(standings, pace);
  return (
    <section
      aria-label={t('In {minutes} minutes', { minutes })}
      className="mt-3 border-l-4 border-woad bg-linen px-3 py-2"
    >
      {sittings.length === 0 && (
        <p>
          {t(
            'Nothing that is planned or going on has a step left that fits. Write steps down on a project’s page, and say that it is planned: ideas are not counted.',
          )}
        </p>
      )}
      <ul>
        {sittings.map((sitting) => (
          <SittingLine key={sitting.standing.project.id} sitting={sitting} />
        ))}
      </ul>
      {batches.map(({ station, steps, minutes: all }) => (
        <p key={station} className="mt-1 text-sm">
          <span className="font-semibold">
            {t('All at once {stepStation}:', { stepStation: wordStepStation(station) })}
          </span>{' '}
          <span data-name>
            {steps.map(({ project, step }) => `${project.name} (${step.name.toLowerCase()})`).join(', ')}
          </span>
          <span className="text-stone" {...explained(t('The minutes of these steps added up.'))}>
            {t(', about {minutes}', { minutes: wordMinutes(all) })}
          </span>
        </p>
      ))}
      {sittings.length > 0 && (
        <p className="mt-1 text-sm text-stone" {...explained(howPace(pace), t('Minutes of steps'))}>
          {t('Minutes are as you said, put right by what was timed: {stepLeft} for 30 at the machine.', {
            stepLeft: computeStepLeft({ id: 'x', name: 'x', station: 'sewing', minutes: 30 }, pace).toFixed(0),
          })}
        </p>
      )}
    </section>
  );
}

/** What the machines are threaded with. */
const listThreaded = ({ lots, items }: Household): Item[] =>
  [...lots.values()].flatMap((lot) => (lot.isThreaded && lot.state !== 'gone' ? (items.get(lot.itemId) ?? []) : []));

const THREADING = perLanguage(
  () => ({ on: t('the machine is threaded for it'), other: t('thread the machine anew') }) as const,
);

const howPace = (pace: ReturnType<typeof learnPace>) =>
  t(
    'Learnt from steps that were timed, station by station: {entries} of what was said. Four steps as said weigh against them.',
    {
      entries: Object.entries(pace)
        .map(([station, share]) => `${station} ${formatFixed(share, 2)}`)
        .join(', '),
    },
  );

function SittingLine({ sitting }: { sitting: Sitting }) {
  const household = useHousehold();
  const { units } = household.settings;
  const { standing, steps, minutes, isBegun, isReady, threading, needsIron } = sitting;
  const { project, missing, toGather } = standing;
  const [first] = steps;
  const bag = findBag(household, project);
  const where = bag ? (bag.at === 'out' ? t('its bag is out') : bag.at) : '';
  const why = isReady
    ? where
    : toGather.length > 0 && project.bagLotId !== undefined
      ? t('not gathered yet')
      : t('{missing} missing', { missing: wordMissing(missing, units) });
  const start = (id: ProjectId, stepId: string) =>
    useTimer.setState({ running: { projectId: id, stepId, sinceMs: world.nowMs() } });
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 py-1.5">
      <span className="min-w-0 flex-1">
        <Link data-name className={linkClass} to={`/projects/${project.id}`}>
          {project.name}
        </Link>
        <span data-name>
          : {steps.map((step) => step.name.charAt(0).toLowerCase() + step.name.slice(1)).join(t(', then '))}
        </span>
        <span data-name className={`block text-sm ${isReady ? 'text-stone' : 'font-semibold text-madder'}`}>
          {why}
        </span>
        <span className="block text-sm text-stone">
          {[threading ? THREADING()[threading] : '', needsIron ? t('the iron is needed') : '']
            .filter(Boolean)
            .join('; ')}
        </span>
      </span>
      <span className="tabular text-sm text-stone" {...explained(t('What these steps are likely to take.'))}>
        {isBegun ? t('goes on for longer') : t('about {minutes}', { minutes: wordMinutes(minutes) })}
      </span>
      <Button aria-label={t('Start {project}', { project: project.name })} onClick={() => start(project.id, first!.id)}>
        {t('Start')}
      </Button>
    </li>
  );
}
