import { lazy, Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { createEndProject } from '../../../core/acts/index.ts';
import { computeProjectCost, type ProjectStanding } from '../../../core/projects/index.ts';
import { isOver, PROJECT_STATES, type ProjectId, type ProjectState } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getProjectFacts, getStandings } from '../../state/projects.ts';
import { capitalise } from '../../text/index.ts';
import { wordMinutes, wordMissing, wordProject, wordProjectState } from '../../text/projects.ts';
import { NoSuchProject, ToProjects } from './ToProjects.tsx';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Bag } from './Bag.tsx';
import { Needs } from './Needs.tsx';
import { Steps } from './Steps.tsx';
import { printCard } from './printCard.ts';
import { useSaveProject } from './useSaveProject.ts';
import { formatFixed, t } from '../../language/index.ts';
import { joinSentences } from '../../text/grammar.ts';

const FactsForm = lazy(async () => ({ default: (await import('./FactsForm.tsx')).FactsForm }));
const FinishForm = lazy(async () => ({ default: (await import('./FinishForm.tsx')).FinishForm }));
const Card = lazy(async () => ({ default: (await import('./Card.tsx')).Card }));
const TimerLine = lazy(async () => ({ default: (await import('./TimerLine.tsx')).TimerLine }));
const LayoutPanel = lazy(async () => ({ default: (await import('./LayoutPanel.tsx')).LayoutPanel }));

/** One project: what it takes at the left, how it lies on the cloth at the right, the steps below. */
export function ProjectPage() {
  const { projectId } = useParams();
  const household = useHousehold();
  const standing = getStandings(household).get((projectId ?? '') as ProjectId);
  if (!standing) return <NoSuchProject />;
  // Another project is another page: nothing that was typed goes along.
  return <OneProject key={standing.project.id} standing={standing} />;
}

function OneProject({ standing }: { standing: ProjectStanding }) {
  const household = useHousehold();
  const { units } = household.settings;
  const { project, missing, minutesLeft, gathered } = standing;
  const ticket = useApp((state) => state.ticket);
  const cost = computeProjectCost(getProjectFacts(household), standing);
  const [laidId, setLaidId] = useState<string | null>(null);
  const cloths = standing.needs.filter(({ need }) => need.kind === 'fabric');
  const laid = cloths.find(({ need }) => need.id === laidId) ?? cloths[0];
  return (
    <Page
      title={t('Projects')}
      tabs={<ToProjects />}
      aside={ticket?.type === 'lot' ? <TicketPane hint="" /> : undefined}
      foot={
        <>
          <Figure
            value={String(missing.length)}
            label={t('{missing, plural, one {thing missing} other {things missing}}', { missing: missing.length })}
            how={t('Needs that are neither promised from the stash nor said to be there.')}
          />
          <Figure
            value={wordMinutes(minutesLeft)}
            label={t('of steps left')}
            how={t('The minutes of all steps that are not done; where none are said, a usual figure for such a step.')}
          />
          {cost.spent + cost.promised > 0 && (
            <Figure
              value={formatFixed(cost.spent + cost.promised, 2)}
              label={t('is what it costs')}
              how={joinSentences([
                t('By what was paid: {spent} was cut or used for it, {promised} is promised to it.', {
                  spent: formatFixed(cost.spent, 2),
                  promised: formatFixed(cost.promised, 2),
                }),
                cost.unknown > 0 ? t('Of {unknown} promised nobody said the price.', { unknown: cost.unknown }) : '',
              ])}
            />
          )}
          <Figure
            value={String(gathered.length)}
            label={t('in its bag')}
            how={t('Things that were put into its bag.')}
          />
          {missing.length > 0 && (
            <p
              className="min-w-0 flex-1 truncate text-sm max-md:hidden"
              {...explained(t('What is neither promised nor said to be there.'))}
            >
              <span className="font-semibold text-madder">{t('Missing:')}</span> {wordMissing(missing, units)}
            </p>
          )}
        </>
      }
    >
      <div className="on-paper min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-6 md:px-5">
        <Suspense>
          <TimerLine />
        </Suspense>
        <Head standing={standing} />
        {!isOver(project) && <Bag standing={standing} />}
        <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-2">
          <Needs standing={standing} laidId={laid?.need.id ?? null} onLay={setLaidId} />
          {laid && (
            <Suspense fallback={<div />}>
              <LayoutPanel key={laid.need.id} project={project} standing={laid} />
            </Suspense>
          )}
        </div>
        <Steps project={project} next={standing.next} />
      </div>
    </Page>
  );
}

function Head({ standing }: { standing: ProjectStanding }) {
  const { project } = standing;
  const household = useHousehold();
  const save = useSaveProject(project);
  const [isEditing, setEditing] = useState(false);
  const [isFinishing, setFinishing] = useState(false);
  const pattern = project.patternItemId && household.items.get(project.patternItemId);
  const what = [pattern ? pattern.name : '', wordProject(project)].filter(Boolean).join(' · ');
  const letGo = () =>
    void act(
      (now) => createEndProject(now, project.id, 'givenUp', world.nowMs()),
      t('{project} is let go. Nothing is promised to it any more.', { project: project.name }),
    );
  const begin = () => {
    setEditing(false);
    setFinishing(true);
  };
  return (
    <section aria-label={t('The project')}>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 data-name className="font-display text-[24px] leading-tight font-semibold">
          {project.name}
        </h2>
        <select
          aria-label={t('How far it is')}
          className="h-11 rounded border border-stone/60 bg-field px-2 text-sm md:h-8"
          value={project.state}
          onChange={(event) => {
            const state = event.target.value as ProjectState;
            if (state === 'done') begin();
            else if (state === 'givenUp') letGo();
            else void save({ state });
          }}
        >
          {PROJECT_STATES.map((state) => (
            <option key={state} value={state}>
              {capitalise(wordProjectState(state))}
            </option>
          ))}
        </select>
        <Button look="quiet" onClick={() => setEditing(!isEditing)} aria-expanded={isEditing}>
          {t('Change what it is')}
        </Button>
        {!isOver(project) && (
          <span className="no-print ml-auto flex flex-wrap gap-x-4">
            <Button look="quiet" onClick={() => void printCard(project)}>
              {t('Print its card')}
            </Button>
            <Button look="quiet" aria-expanded={isFinishing} onClick={() => setFinishing(!isFinishing)}>
              {t('It is done')}
            </Button>
            <Button look="quiet" onClick={letGo}>
              {t('Give it up')}
            </Button>
          </span>
        )}
      </div>
      {what !== '' && (
        <p className="text-stone" {...explained(t('As you said.'))}>
          {what}
        </p>
      )}
      {project.stopped && (
        <p className="mt-1" data-name>
          <span className="font-semibold">{t('Where it stopped:')}</span> {project.stopped}
        </p>
      )}
      {project.notes !== '' && (
        <p data-name className="mt-1 max-w-prose whitespace-pre-line">
          {project.notes}
        </p>
      )}
      <Suspense>
        <Card project={project} />
        {isFinishing && !isOver(project) && <FinishForm standing={standing} onDone={() => setFinishing(false)} />}
      </Suspense>
      {isEditing && (
        <Suspense>
          <FactsForm project={project} onDone={() => setEditing(false)} />
        </Suspense>
      )}
    </section>
  );
}
