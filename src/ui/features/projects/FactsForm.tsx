import { useState } from 'react';
import { useNavigate } from 'react-router';
import { createRemoveProject } from '../../../core/acts/index.ts';
import { parseMakes } from '../../../core/projects/index.ts';
import type { ItemId, Project } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { AreaField, SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordMakes } from '../../text/projects.ts';
import { useSaveProject } from './useSaveProject.ts';
import { getLanguage, getLineLanguage, perLanguage, t } from '../../language/index.ts';

const BY_NAME = perLanguage(() => new Intl.Collator(getLanguage(), { numeric: true }));

/** An empty field is none. */
const orNone = <K extends string>(key: K, text: string) =>
  ({ [key]: text.trim() === '' ? undefined : text.trim() }) as Partial<Record<K, string>>;

/** What a project is: its name, for whom, from which pattern, which sizes, by when, and what one had in mind. */
export function FactsForm({ project, onDone }: { project: Project; onDone: () => void }) {
  const household = useHousehold();
  const navigate = useNavigate();
  const save = useSaveProject(project);
  const [typed, setTyped] = useState({
    name: project.name,
    forWhom: project.forWhom ?? '',
    pattern: project.patternItemId ?? '',
    view: project.view ?? '',
    makes: wordMakes(project.makes),
    due: project.due ?? '',
    stopped: project.stopped ?? '',
    notes: project.notes,
  });
  const patterns = [...household.items.values()]
    .filter((item) => item.kind === 'pattern')
    .toSorted((a, b) => BY_NAME().compare(a.name, b.name));
  const field = (name: keyof typeof typed) => ({
    value: typed[name],
    onChange: ({ target }: { target: { value: string } }) => setTyped({ ...typed, [name]: target.value }),
  });
  const isNameless = typed.name.trim() === '';
  const send = () => {
    if (isNameless) return undefined;
    return save({
      name: typed.name.trim(),
      ...orNone('forWhom', typed.forWhom),
      ...orNone('view', typed.view),
      ...orNone('due', typed.due),
      ...orNone('stopped', typed.stopped),
      patternItemId: typed.pattern === '' ? undefined : (typed.pattern as ItemId),
      makes: parseMakes(typed.makes, getLineLanguage()),
      notes: typed.notes,
    }).then(onDone);
  };
  return (
    <Form
      aria-label={t('What the project is')}
      className="mt-3 border-l-4 border-woad bg-linen p-3"
      onSend={send}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="grid gap-3 md:grid-cols-4">
        <TextField
          label={t('Name')}
          of="projects.name"
          autoFocus
          fault={isNameless ? t('It needs a name.') : undefined}
          {...field('name')}
        />
        <TextField label={t('For whom')} of="projects.forWhom" {...field('forWhom')} />
        <SelectField label={t('Pattern')} {...field('pattern')}>
          <option value="">{t('none')}</option>
          {patterns.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <TextField label={t('View')} of="projects.view" placeholder={t('B, long sleeves')} {...field('view')} />
        <TextField label={t('Sizes and how many')} placeholder={t('2 of 38, 2 of 42')} {...field('makes')} />
        <TextField label={t('Due')} type="date" {...field('due')} />
        <TextField label={t('Where it stopped, and what comes next')} of="projects.stopped" {...field('stopped')} />
      </div>
      <div className="mt-3">
        <AreaField label={t('What you have in mind')} of="projects.notes" rows={3} {...field('notes')} />
      </div>
      <FormFoot save={t('Keep it')} onDone={onDone}>
        <Button
          look="quiet"

          onClick={() =>
            void act(
              (now) => createRemoveProject(now, project.id, world.nowMs()),
              t('{project} is off the list. Undo brings it back.', { project: project.name }),
            ).then((isDone) => isDone && navigate('/projects'))
          }
        >
          {t('Take it off the list')}
        </Button>
      </FormFoot>
    </Form>
  );
}
