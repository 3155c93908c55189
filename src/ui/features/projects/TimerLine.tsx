import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { createSaveProject } from '../../../core/acts/index.ts';
import type { Project, Step } from '../../../core/records/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useTimer } from '../../state/timer.ts';
import { wordMinutes } from '../../text/projects.ts';
import { t } from '../../language/index.ts';

const MINUTE_MS = 60_000;
/** Longer than this nobody sat at one step: the timer was forgotten. */
const FORGOTTEN_MIN = 480;

/** What is being done now, with the minutes so far: noted, done, or forgotten. */
export function TimerLine() {
  const { projects } = useHousehold();
  const running = useTimer((state) => state.running);
  const [nowMs, setNowMs] = useState(() => world.nowMs());
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => setNowMs(world.nowMs()), MINUTE_MS / 4);
    return () => clearInterval(timer);
  }, [running]);
  const project = running && projects.get(running.projectId);
  const step = project?.steps.find(({ id }) => id === running!.stepId);
  if (!running || !project || !step) return null;
  const minutes = Math.max(0, (Math.max(nowMs, running.sinceMs) - running.sinceMs) / MINUTE_MS);
  const stop = () => useTimer.setState({ running: null });
  const note = async (isDone: boolean) => {
    if (await act((now) => saveMinutes(now.projects.get(project.id) ?? project, step, minutes, isDone, now))) stop();
  };
  return (
    <section
      aria-label={t('Being done now')}
      className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-woad bg-linen px-3 py-2"
    >
      <span className="min-w-0">
        <Link data-name className={linkClass} to={`/projects/${project.id}`}>
          {project.name}
        </Link>
        <span data-name>: {step.name}</span>
      </span>
      <span className="tabular" {...explained(t('The time since it was begun.'))}>
        {t('{minutes} so far', { minutes: wordMinutes(minutes) })}
      </span>
      {minutes > FORGOTTEN_MIN && <span className="text-sm text-stone">{t('Was it forgotten?')}</span>}
      <span className="ml-auto flex flex-wrap gap-x-4">
        <Button onClick={() => void note(true)}>{t('The step is done')}</Button>
        <Button look="quiet" onClick={() => void note(false)}>
          {t('Stop, and note the minutes')}
        </Button>
        <Button look="quiet" onClick={stop}>
          {t('Do not note it')}
        </Button>
      </span>
    </section>
  );
}

/** Less than half a minute is not worth a note. */
function saveMinutes(
  project: Project,
  { id }: Step,
  minutes: number,
  isDone: boolean,
  household: Parameters<typeof createSaveProject>[0],
) {
  const nowMs = world.nowMs();
  const steps = project.steps.map((step): Step => {
    if (step.id !== id) return step;
    const spent = Math.round((step.spentMinutes ?? 0) + minutes);
    return { ...step, ...(spent > 0 && { spentMinutes: spent }), ...(isDone && { doneAtMs: nowMs }) };
  });
  // What one works at is going on.
  const state = ['idea', 'planned', 'gathered'].includes(project.state) ? 'sewing' : project.state;
  return createSaveProject(household, { ...project, steps, state }, nowMs);
}
