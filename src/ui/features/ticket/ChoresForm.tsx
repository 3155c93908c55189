import { useState } from 'react';
import { createSaveChores } from '../../../core/acts/index.ts';
import type { Chore, Household, Item, Lot } from '../../../core/records/index.ts';
import { formatChoreLine, parseChoreLine } from '../../../core/upkeep/index.ts';
import { AreaField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { FormFrame } from './FormFrame.tsx';
import { getLineLanguage, t } from '../../language/index.ts';

const MOST = 20;

interface ChoresFormProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
  readonly onDone: () => void;
}

/** What is to be done about a thing again and again, a line each; what was known keeps its count. */
export function ChoresForm({ item, lot, onDone }: ChoresFormProps) {
  const [text, setText] = useState(
    (lot.chores ?? []).map((one) => formatChoreLine(one, getLineLanguage()?.chore)).join('\n'),
  );
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const read = lines.map((line) => ({ line, said: parseChoreLine(line, getLineLanguage()?.chore) }));
  const bad = read.find(({ said }) => !said.ok);
  const fault = bad
    ? t('“{line}” does not read: write oil every 8 h, or service every 12 months.', { line: bad.line.trim() })
    : lines.length > MOST
      ? t('At most {most}.', { most: MOST })
      : undefined;
  const keep = () => {
    if (fault) return undefined;
    const nowMs = world.nowMs();
    const chores = read.flatMap(({ said }): Chore[] => {
      if (!said.ok) return [];
      const known = lot.chores?.find((one) => one.work === said.value.work && one.name === said.value.name);
      return [
        {
          id: known?.id ?? world.createId(),
          doneAtMs: known?.doneAtMs ?? nowMs,
          hours: known?.hours ?? 0,
          ...said.value,
        },
      ];
    });
    return act(
      (now) => createSaveChores(now, lot.id, chores),
      t('{name}: it comes round under The year.', { name: item.name }),
    ).then((isDone) => {
      if (isDone) onDone();
    });
  };
  return (
    <FormFrame title={t('What comes round')} save={t('Keep')} onDone={onDone} onSave={keep}>
      <AreaField
        label={t('What is to be done, a line each')}
        rows={4}
        maxLength={2000}
        autoFocus
        value={text}
        fault={fault}
        hint={t(
          'Such as oil every 8 h, clean out the lint every week, service every 12 months. Hours are counted by the sewing steps that you finish. The maker’s booklet knows best.',
        )}
        onChange={({ target }) => setText(target.value)}
      />
    </FormFrame>
  );
}
