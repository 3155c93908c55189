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

/** What can be done in so many minutes, with where it lies; and what is done better at once. */
export function Sittings({ minutes }: { minutes: number }) {
  const household = useHousehold();
  const standings = useMemo(() => [...getStandings(household).values()], [household]);
  const pace = useMemo(() => learnPace(household.projects.values()), [household.projects]);
  const threaded = useMemo(() => listThreaded(household), [household]);
  const sittings = listSittings(standings, minutes, pace, threaded);
  const batches = listBatches(standings, pace);
  return (
    <section aria-label={`In ${minutes} minutes`} className="mt-3 border-l-4 border-woad bg-linen px-3 py-2">
      {sittings.length === 0 && (
        <p>
          Nothing that is planned or going on has a step left that fits. Write steps down on a project’s page, and say
          that it is planned: ideas are not counted.
        </p>
      )}
      <ul>
        {sittings.map((sitting) => (
          <SittingLine key={sitting.standing.project.id} sitting={sitting} />
        ))}
      </ul>
      {batches.map(({ station, steps, minutes: all }) => (
        <p key={station} className="mt-1 text-sm">
          <span className="font-semibold">All at once {wordStepStation(station)}:</span>{' '}
          <span data-name>
            {steps.map(({ project, step }) => `${project.name} (${step.name.toLowerCase()})`).join(', ')}
          </span>
          <span className="text-stone" {...explained('The minutes of these steps added up.')}>
            , about {wordMinutes(all)}
          </span>
        </p>
      ))}
      {sittings.length > 0 && (
        <p className="mt-1 text-sm text-stone" {...explained(howPace(pace), 'Minutes of steps')}>
          Minutes are as you said, put right by what was timed:{' '}
          {computeStepLeft({ id: 'x', name: 'x', station: 'sewing', minutes: 30 }, pace).toFixed(0)} for 30 at the
          machine.
        </p>
      )}
    </section>
  );
}

/** What the machines are threaded with. */
const listThreaded = ({ lots, items }: Household): Item[] =>
  [...lots.values()].flatMap((lot) => (lot.isThreaded && lot.state !== 'gone' ? (items.get(lot.itemId) ?? []) : []));

const THREADING = { on: 'the machine is threaded for it', other: 'thread the machine anew' } as const;

const howPace = (pace: ReturnType<typeof learnPace>) =>
  `Learnt from steps that were timed, station by station: ${Object.entries(pace)
    .map(([station, share]) => `${station} ${share.toFixed(2)}`)
    .join(', ')} of what was said. Four steps as said weigh against them.`;

function SittingLine({ sitting }: { sitting: Sitting }) {
  const household = useHousehold();
  const { units } = household.settings;
  const { standing, steps, minutes, isBegun, isReady, threading, needsIron } = sitting;
  const { project, missing, toGather } = standing;
  const [first] = steps;
  const bag = findBag(household, project);
  const where = bag ? (bag.at === 'out' ? 'its bag is out' : bag.at) : '';
  const why = isReady
    ? where
    : toGather.length > 0 && project.bagLotId !== undefined
      ? 'not gathered yet'
      : `${wordMissing(missing, units)} missing`;
  const start = (id: ProjectId, stepId: string) =>
    useTimer.setState({ running: { projectId: id, stepId, sinceMs: world.nowMs() } });
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 py-1.5">
      <span className="min-w-0 flex-1">
        <Link data-name className={linkClass} to={`/projects/${project.id}`}>
          {project.name}
        </Link>
        <span data-name>
          : {steps.map((step) => step.name.charAt(0).toLowerCase() + step.name.slice(1)).join(', then ')}
        </span>
        <span data-name className={`block text-sm ${isReady ? 'text-stone' : 'font-semibold text-madder'}`}>
          {why}
        </span>
        <span className="block text-sm text-stone">
          {[threading ? THREADING[threading] : '', needsIron ? 'the iron is needed' : ''].filter(Boolean).join('; ')}
        </span>
      </span>
      <span className="tabular text-sm text-stone" {...explained('What these steps are likely to take.')}>
        {isBegun ? 'goes on for longer' : `about ${wordMinutes(minutes)}`}
      </span>
      <Button aria-label={`Start ${project.name}`} onClick={() => start(project.id, first!.id)}>
        Start
      </Button>
    </li>
  );
}
