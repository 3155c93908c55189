import { useRef, useState } from 'react';
import { createSaveProjects } from '../../../core/acts/index.ts';
import type { ProjectRow } from '../../../core/formats/projects/index.ts';
import { Button } from '../../components/Button.tsx';
import { FileInput } from '../../components/FileInput.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordProject } from '../../text/projects.ts';
import { perLanguage, t } from '../../language/index.ts';

const FAULTS = perLanguage((): Record<NonNullable<ProjectRow['fault']>, string> => ({
  'no-name': t('has no name'),
  state: t('has a state that there is not'),
  due: t('has a day that is not written as 2026-12-24'),
  record: t('says more than there is room for'),
}));
/** So many rows that do not read are told. */
const MOST_TOLD = 8;

/** All projects as a list, out and in, and the days they are due on as a calendar. */
export function Lists() {
  const household = useHousehold();
  const files = useRef<HTMLInputElement>(null);
  const [bad, setBad] = useState<readonly string[]>([]);
  const saveList = async () => {
    const { toProjectsCsv } = await import('../../../core/formats/projects/index.ts');
    saveFile(toProjectsCsv(household), 'projects.csv', 'text/csv');
  };
  const saveDays = async () => {
    const { toCalendar } = await import('../../../core/formats/projects/index.ts');
    const made = toCalendar(household.projects.values(), wordProject);
    if (made.ok) saveFile(made.value, 'projects.ics', 'text/calendar');
  };
  const readList = async (file: File) => {
    const [{ decodeText, parseTable }, { readProjects }] = await Promise.all([
      import('../../../core/formats/csv/index.ts'),
      import('../../../core/formats/projects/index.ts'),
    ]);
    const text = decodeText(new Uint8Array(await file.arrayBuffer()));
    const table = text.ok ? parseTable(text.value) : text;
    if (!table.ok) {
      setBad([t('{file} is no table that can be read.', { file: file.name })]);
      return;
    }
    const rows = readProjects(table.value, household, world.nowMs(), () => world.createId());
    const projects = rows.flatMap(({ project }) => project ?? []);
    setBad(
      rows.flatMap(({ row, fault }) => (fault ? [t('Row {row} {faults}.', { row, faults: FAULTS()[fault] })] : [])),
    );
    if (projects.length === 0) return;
    const words = t('{n, plural, one {# project} other {# projects}}', { n: projects.length });
    const { events } = useApp.getState();
    const isDone = await act(
      (now) => createSaveProjects(now, projects, words, world.nowMs()),
      t('{words} read from {file}.', { words, file: file.name }),
    );
    if (isDone && useApp.getState().events === events)
      useApp.getState().tell({ tone: 'done', text: t('All of them are as they were.'), canUndo: false });
  };
  const hasDue = [...household.projects.values()].some((project) => project.due);
  return (
    <section aria-label={t('Lists')} className="no-print mt-5">
      <div className="flex flex-wrap gap-x-4">
        <Button look="quiet" onClick={() => files.current?.click()}>
          {t('Bring in a list')}
        </Button>
        <FileInput
          ref={files}
          label={t('A list of projects')}
          accept=".csv,.tsv,.txt"
          onFiles={([file]) => void readList(file!)}
        />
        {household.projects.size > 0 && (
          <Button look="quiet" onClick={() => void saveList()}>
            {t('Save as CSV')}
          </Button>
        )}
        {hasDue && (
          <Button look="quiet" onClick={() => void saveDays()}>
            {t('Due dates for a calendar')}
          </Button>
        )}
      </div>
      {bad.length > 0 && (
        <ul role="alert" className="mt-1 text-sm text-madder" data-name>
          {bad.slice(0, MOST_TOLD).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
