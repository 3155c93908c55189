import { useState } from 'react';
import type { ScrapGoal } from '../../../core/records/index.ts';
import { formatGoalLine, parseGoalLine } from '../../../core/projects/index.ts';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { AreaField, TextField } from '../../components/fields.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { getLineLanguage, t } from '../../language/index.ts';

const MOST_LINES = 40;

interface GoalFormProps {
  /** Null for a new one. */
  readonly goal: ScrapGoal | null;
  /** It was asked for: one types at once. */
  readonly isAsked: boolean;
  readonly onSave: (goal: ScrapGoal) => Promise<boolean>;
  readonly onDone: () => void;
}

/** A goal in words: its name, and what it takes, a line each. */
export function GoalForm({ goal, isAsked: isWanted, onSave, onDone }: GoalFormProps) {
  const { units } = useHousehold().settings;
  const [name, setName] = useState(goal?.name ?? '');
  const [text, setText] = useState(
    goal ? goal.lines.map((line) => formatGoalLine(line, units, getLineLanguage()?.size)).join('\n') : '',
  );
  const [isAsked, setAsked] = useState(false);
  const written = text.split('\n').filter((line) => line.trim() !== '');
  const read = written.map((line) => ({ line, said: parseGoalLine(line, units, getLineLanguage()?.size) }));
  const bad = read.find(({ said }) => !said.ok);
  const lines = read.flatMap(({ said }) => (said.ok ? [said.value] : []));
  const example = units === 'metric' ? t('120 blue squares 12.7') : t('120 blue squares 5');
  const fault = bad
    ? !bad.said.ok && bad.said.fault === 'too-many'
      ? t('A million of one size at most.')
      : t('“{line}” does not read: write {example}, or 20 strips {size}.', {
          line: bad.line.trim(),
          example,
          size: units === 'metric' ? t('6.35 by 100') : t('2.5 by 40'),
        })
    : lines.length === 0
      ? t('Write what it takes, such as {example}.', { example })
      : lines.length > MOST_LINES
        ? t('At most {most} lines.', { most: MOST_LINES })
        : undefined;
  const nameFault = name.trim() === '' ? t('Give it a name.') : undefined;
  const isOpen = isAsked || bad !== undefined;
  return (
    <Form
      opensBelow
      aria-label={t('A goal of squares and strips')}
      className="mt-3 max-w-xl border-l-4 border-woad bg-linen p-3"
      onSend={() => {
        setAsked(true);
        if (fault ?? nameFault) return undefined;
        return onSave({ id: goal?.id ?? world.createId(), name: name.trim(), lines }).then((isDone) => {
          if (!isDone) return;
          setName('');
          setText('');
          setAsked(false);
          onDone();
        });
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <TextField
        label={t('What for')}
        autoFocus={isWanted}
        maxLength={80}
        value={name}
        fault={isAsked ? nameFault : undefined}
        onChange={({ target }) => setName(target.value)}
      />
      <div className="mt-2">
        <AreaField
          label={t('What it takes, a line each')}
          rows={4}
          maxLength={4000}
          value={text}
          fault={isOpen ? fault : undefined}
          hint={t('Such as {example}: how many, the colour where it matters, and the side with its seams, in {unit}.', {
            example,
            unit: units === 'metric' ? 'cm' : t('inches'),
          })}
          onChange={({ target }) => setText(target.value)}
        />
      </div>
      <FormFoot save={t('Count toward it')} onDone={onDone} />
    </Form>
  );
}
