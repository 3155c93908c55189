import { lazy, Suspense, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { createSaveProject } from '../../../core/acts/index.ts';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import { isOver, type Project, type ProjectId, type ProjectState } from '../../../core/records/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { useSize } from '../../components/useSize.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getStandings } from '../../state/projects.ts';
import { capitalise } from '../../text/index.ts';
import { wordMinutes, wordMissing, wordProject, wordProjectState } from '../../text/projects.ts';
import { AddLine } from './AddLine.tsx';
import { ClothsOf, computeWallScale } from './ClothsOf.tsx';
import { perLanguage, t } from '../../language/index.ts';

const Sittings = lazy(async () => ({ default: (await import('./Sittings.tsx')).Sittings }));
const Lists = lazy(async () => ({ default: (await import('./Lists.tsx')).Lists }));
const TimerLine = lazy(async () => ({ default: (await import('./TimerLine.tsx')).TimerLine }));

const MINUTES = [15, 45, 90] as const;

const SECTIONS = perLanguage((): readonly (readonly [title: string, states: readonly ProjectState[]])[] => [
  [t('Going on'), ['sewing', 'cut', 'gathered', 'waiting']],
  [t('Planned'), ['planned']],
  [t('Ideas'), ['idea']],
]);

/** What is due comes first, then what was done on last. */
function byTurn(a: ProjectStanding, b: ProjectStanding): number {
  const [due, other] = [a.project.due ?? '9999', b.project.due ?? '9999'];
  return due === other ? b.project.sinceMs - a.project.sinceMs : due < other ? -1 : 1;
}

/** What is going on: each project as its cloths to scale, with what is missing and what comes next. */
export function ProjectsPage() {
  const household = useHousehold();
  const standings = [...getStandings(household).values()].toSorted(byTurn);
  const going = standings.filter(({ project }) => !isOver(project));
  const over = standings.filter(({ project }) => isOver(project));
  const left = going.reduce((sum, one) => sum + one.minutesLeft, 0);
  const [params] = useSearchParams();
  const minutes = MINUTES.find((one) => String(one) === params.get('minutes')) ?? 0;
  const contested = going.filter((one) => one.contested.length > 0).length;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const columns = size && size.width > 1000 ? 3 : size && size.width > 640 ? 2 : 1;
  const scale = computeWallScale(going, ((size?.width ?? 360) - 40 - 24 * (columns - 1)) / columns);
  return (
    <Page
      title={t('Projects')}
      tabs={
        <span className="flex gap-5">
          <Link className={linkClass} to="/projects/shop">
            {t('Shop card')}
          </Link>
          <Link className={linkClass} to="/projects/goals">
            {t('Squares and strips')}
          </Link>
          <Link className={linkClass} to="/projects/sums">
            {t('Sums')}
          </Link>
        </span>
      }
      foot={
        <>
          <Figure
            value={String(going.length)}
            label={t('not done yet')}
            how={t('Ideas are counted, what was let go is not.')}
          />
          <Figure
            value={String(going.filter((one) => one.missing.length > 0).length)}
            label={t('with something missing')}
            how={t('Of which some need is neither promised from the stash nor said to be there.')}
          />
          <Figure
            value={String(contested)}
            label={t('want what another holds')}
            how={t('Short of a cloth of which another project holds some.')}
          />
          <Figure
            value={wordMinutes(left)}
            label={t('of steps left')}
            how={t('The minutes of all steps that are not done; where none are said, a usual figure for such a step.')}
          />
        </>
      }
    >
      <div ref={frame} className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5">
        <Suspense>
          <TimerLine />
        </Suspense>
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
          <NewProject />
          <MinutesChoice minutes={minutes} />
        </div>
        <Suspense>{minutes > 0 && <Sittings minutes={minutes} />}</Suspense>
        {standings.length === 0 && (
          <p className="mt-6 max-w-prose text-stone">
            {t(
              'Nothing is planned yet. Name what you would like to make: a project keeps together what it takes, says whether there is enough, and remembers where you stopped.',
            )}
          </p>
        )}
        {SECTIONS().map(([title, states]) => {
          const some = going.filter(({ project }) => states.includes(project.state));
          return (
            some.length > 0 && (
              <section key={title} aria-label={title} className="mt-4">
                <h2 className="font-display text-lg font-semibold">{title}</h2>
                <ul
                  className="mt-1 grid gap-x-6 gap-y-1"
                  style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
                >
                  {some.map((standing) => (
                    <Tile key={standing.project.id} standing={standing} scale={scale} />
                  ))}
                </ul>
              </section>
            )
          );
        })}
        <Suspense>
          <Lists />
        </Suspense>
        {over.length > 0 && (
          <details className="mt-5">
            <summary className="min-h-9 cursor-pointer text-stone">{t('Done and let go')}</summary>
            <ul>
              {over.map(({ project }) => (
                <li key={project.id} className="dotted-row">
                  <Link className="flex min-h-9 items-center gap-3 hover:bg-linen" to={`/projects/${project.id}`}>
                    <span data-name>{project.name}</span>
                    <span className="text-sm text-stone">{wordProjectState(project.state)}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </Page>
  );
}

function Tile({ standing, scale }: { standing: ProjectStanding; scale: number }) {
  const { units } = useHousehold().settings;
  const { project, missing, contested, minutesLeft, next } = standing;
  const what = wordProject(project);
  return (
    <li className="stitched-t min-w-0">
      <Link to={`/projects/${project.id}`} className="block py-2 hover:bg-linen">
        <span className="flex items-baseline gap-2">
          <span data-name className="break-words font-display text-[17px] font-semibold">
            {project.name}
          </span>
          <span className="shrink-0 text-sm text-stone">{wordProjectState(project.state)}</span>
        </span>
        {what !== '' && (
          <span className="block break-words text-sm text-stone" {...explained(t('As you said.'))}>
            {what}
          </span>
        )}
        <span className="my-1.5 block">
          <ClothsOf standing={standing} scale={scale} />
        </span>
        <span
          className="block truncate text-sm"
          {...explained(t('The first step that is not done, and about how long all that are not take.'))}
        >
          {next ? (
            <>
              <span className="font-semibold">{next.name}</span>
              <span className="text-stone">{t(', {minutes} left in all', { minutes: wordMinutes(minutesLeft) })}</span>
            </>
          ) : (
            <span className="text-stone">{project.steps.length > 0 ? t('All steps are done') : t('No steps yet')}</span>
          )}
        </span>
        {missing.length > 0 && (
          <span
            className="block truncate text-sm"
            {...explained(t('What is neither promised to it nor said to be there.'))}
          >
            <span className="font-semibold text-madder">
              {contested.length > 0 ? t('Wanted twice') : t('Missing')}:
            </span>{' '}
            {wordMissing(contested.length > 0 ? contested : missing, units)}
          </span>
        )}
      </Link>
    </li>
  );
}

/** How long one has: the same press again puts the list away. */
function MinutesChoice({ minutes }: { minutes: number }) {
  const [, setParams] = useSearchParams();
  return (
    <div role="group" aria-label={t('How long you have')} className="flex items-center gap-2">
      <span className="text-stone">{t('I have')}</span>
      {MINUTES.map((one) => (
        <Button
          key={one}
          aria-pressed={one === minutes}
          className={one === minutes ? 'bg-linen outline-2 outline-woad' : ''}
          onClick={() => setParams(one === minutes ? {} : { minutes: String(one) })}
        >
          <span {...explained(t('A time to sit down for.'))}>{t('{minutes} min', { minutes: one })}</span>
        </Button>
      ))}
    </div>
  );
}

/** A project begins with its name. */
function NewProject() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const begin = async () => {
    const told = name.trim();
    if (told === '') return;
    const id = world.createId() as ProjectId;
    const project: Project = {
      id,
      name: capitalise(told),
      state: 'idea',
      makes: [],
      notes: '',
      needs: [{ id: world.createId(), kind: 'fabric', part: 'main' }],
      steps: [],
      sinceMs: world.nowMs(),
    };
    if (await act((now) => createSaveProject(now, project, world.nowMs()))) await navigate(`/projects/${id}`);
  };
  return (
    <>
      <AddLine
        id="new-project"
        className="flex-1 basis-full md:basis-0"
        label={t('What would you like to make?')}
        placeholder={t('What would you like to make?')}
        add={t('Begin it')}
        value={name}
        onChange={setName}
        isGood={name.trim() !== ''}
        onAdd={begin}
      />
      <button
        type="button"
        data-key="n"
        className="hidden"
        tabIndex={-1}
        aria-hidden
        onClick={() => document.querySelector<HTMLInputElement>('#new-project')?.focus()}
      />
    </>
  );
}
