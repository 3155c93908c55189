import { useState } from 'react';
import { getStepMinutes, parseStepLine } from '../../../core/projects/index.ts';
import type { Project, Step } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { world } from '../../state/app.ts';
import { useTimer } from '../../state/timer.ts';
import { wordMinutes, wordStepStation } from '../../text/projects.ts';
import { AddLine } from './AddLine.tsx';
import { useSaveProject } from './useSaveProject.ts';
import { getLineLanguage, t } from '../../language/index.ts';

/** The steps of the work in their order; the first that is not done comes next. */
export function Steps({ project, next }: { project: Project; next: Step | null }) {
  const save = useSaveProject(project);
  const [text, setText] = useState('');
  const typed = parseStepLine(text, 'new', getLineLanguage());
  const running = useTimer((state) => state.running);
  const start = (stepId: string) =>
    useTimer.setState({ running: { projectId: project.id, stepId, sinceMs: world.nowMs() } });
  const add = () => {
    if (!typed) return undefined;
    return save({ steps: [...project.steps, { ...typed, id: world.createId() }] }).then(
      (isDone) => isDone && setText(''),
    );
  };
  const change = (id: string, part: Partial<Step>) =>
    save({ steps: project.steps.map((step) => (step.id === id ? { ...step, ...part } : step)) });
  const move = (at: number, by: number) => {
    const steps = [...project.steps];
    steps.splice(at + by, 0, ...steps.splice(at, 1));
    return save({ steps });
  };
  return (
    <section aria-label={t('Steps')} className="mt-5">
      <h3 className="font-display text-lg font-semibold">{t('Steps')}</h3>
      <ol>
        {project.steps.map((step, at) => (
          <li key={step.id} className="dotted-row flex min-h-11 flex-wrap items-center gap-x-3 md:min-h-9">
            <label className="flex min-w-0 flex-1 basis-full items-center gap-2 md:basis-0">
              <input
                type="checkbox"
                className="size-4 shrink-0 accent-woad"
                checked={step.doneAtMs !== undefined}
                onChange={({ target }) =>
                  void change(step.id, { doneAtMs: target.checked ? world.nowMs() : undefined })
                }
              />
              <span
                data-name
                className={`min-w-0 truncate ${step.doneAtMs !== undefined ? 'text-stone line-through' : step === next ? 'font-semibold' : ''}`}
              >
                {step.name}
              </span>
            </label>
            <span className="text-sm text-stone max-md:flex-1">{wordStepStation(step.station)}</span>
            <span
              className="tabular w-24 text-right text-sm"
              {...explained(
                step.spentMinutes === undefined
                  ? t('As you said, or a usual figure for such a step.')
                  : t('What was noted while it was done.'),
              )}
            >
              {step.spentMinutes === undefined
                ? t('about {minutes}', { minutes: wordMinutes(getStepMinutes(step)) })
                : t('took {minutes}', { minutes: wordMinutes(step.spentMinutes) })}
            </span>
            {step === next && running?.stepId !== step.id && (
              <Button look="quiet" onClick={() => start(step.id)}>
                {t('Start it')}
              </Button>
            )}
            <span className="flex gap-2">
              <Button
                look="quiet"
                disabled={at === 0}
                aria-label={t('{step}: earlier', { step: step.name })}
                onClick={() => void move(at, -1)}
              >
                ↑
              </Button>
              <Button
                look="quiet"
                disabled={at === project.steps.length - 1}
                aria-label={t('{step}: later', { step: step.name })}
                onClick={() => void move(at, 1)}
              >
                ↓
              </Button>
              <Button
                look="quiet"
                aria-label={t('{step}: take it out', { step: step.name })}
                onClick={() => void save({ steps: project.steps.filter((one) => one.id !== step.id) })}
              >
                ×
              </Button>
            </span>
          </li>
        ))}
      </ol>
      <AddLine
        className="mt-2 md:max-w-xl"
        label={t('One step more')}
        placeholder={t('Set the sleeves in 45')}
        add={t('Add step')}
        value={text}
        onChange={setText}
        isGood={typed !== null}
        onAdd={add}
      />
    </section>
  );
}
