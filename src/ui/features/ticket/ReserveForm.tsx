import { useState } from 'react';
import { createPromise, createReserve } from '../../../core/acts/index.ts';
import { getAmount, getAmountUnit, getReserved } from '../../../core/measure/index.ts';
import { isOver, type Household, type Item, type Lot, type ProjectId } from '../../../core/records/index.ts';
import { parseAmountIn } from '../../../core/units/index.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { formatAmount, wordAmountFault } from '../../text/index.ts';
import { FormFrame } from './FormFrame.tsx';
import { t, wordTerm } from '../../language/index.ts';

interface ReserveFormProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
  readonly onDone: () => void;
}

/** Needs of projects that are not over, of the kind of this thing. */
function listNeeds({ projects }: Household, item: Item) {
  const kind = item.kind === 'scrap' ? 'fabric' : item.kind;
  return [...projects.values()]
    .filter((project) => !isOver(project))
    .flatMap((project) =>
      project.needs
        .filter((need) => need.kind === kind)
        .map((need) => ({ key: `${project.id} ${need.id}`, projectId: project.id, need, name: project.name })),
    );
}

/** Promises some of a lot: to what a project takes, or to something in words. */
export function ReserveForm({ household, item, lot, onDone }: ReserveFormProps) {
  const { units } = household.settings;
  const unit = getAmountUnit(item, lot);
  const free = Math.max(0, getAmount(item, lot) - getReserved(lot));
  const needs = listNeeds(household, item);
  const [to, setTo] = useState('');
  const [forWhat, setForWhat] = useState('');
  const [text, setText] = useState('');
  const [note, setNote] = useState('');
  const [isTried, setTried] = useState(false);
  // Nothing typed means all that is free.
  const parsed = text.trim() === '' ? { ok: true as const, value: free } : parseAmountIn(text, unit, units);
  const fault = !parsed.ok
    ? wordAmountFault(parsed.fault, formatAmount(free, unit, units))
    : parsed.value > free + 0.5
      ? t('Only {amount} is free.', { amount: formatAmount(free, unit, units) })
      : parsed.value <= 0
        ? t('Nothing of it is free.')
        : undefined;
  const chosen = needs.find(({ key }) => key === to);
  const send = () => {
    setTried(true);
    if (!parsed.ok || fault !== undefined || (!chosen && forWhat.trim() === '')) return undefined;
    const { value: amount } = parsed;
    const id = world.createId();
    const made = chosen
      ? act((now) => createPromise(now, toWish(now, chosen, lot, amount), id, world.nowMs()))
      : act((now) =>
          createReserve(now, lot.id, { id, forWhat: forWhat.trim(), note: note.trim(), amount }, world.nowMs()),
        );
    return made.then((isDone) => isDone && onDone());
  };
  return (
    <FormFrame title={t('Promise it to something')} save={t('Promise')} onDone={onDone} onSave={send}>
      {needs.length > 0 && (
        <SelectField label={t('To a project')} value={to} onChange={(event) => setTo(event.target.value)}>
          <option value="">{t('something else, in words')}</option>
          {needs.map(({ key, name, need }) => (
            <option key={key} value={key}>
              {`${name}: ${wordTerm(need.part)}`}
            </option>
          ))}
        </SelectField>
      )}
      {!chosen && (
        <TextField
          label={t('For what')}
          of="lots.reserved.forWhat"
          autoFocus
          value={forWhat}
          fault={isTried && forWhat.trim() === '' ? t('Such as the boat curtains.') : undefined}
          onChange={(event) => setForWhat(event.target.value)}
        />
      )}
      <TextField
        label={t('How much')}
        value={text}
        fault={isTried || text !== '' ? fault : undefined}
        hint={t('Empty: all that is free, {amount}', { amount: formatAmount(free, unit, units) })}
        onChange={(event) => setText(event.target.value)}
      />
      {!chosen && (
        <TextField
          label={t('Note')}
          of="lots.reserved.note"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      )}
    </FormFrame>
  );
}

/** What is promised of this lot to the need already stays, and this comes to it. */
function toWish(
  now: Household,
  { projectId, need }: { projectId: ProjectId; need: { id: string } },
  { id: lotId }: Lot,
  amount: number,
) {
  const known = (now.lots.get(lotId)?.reserved ?? []).find(
    (one) => one.projectId === projectId && one.needId === need.id,
  );
  return { projectId, needId: need.id, lotId, amount: amount + (known?.amount ?? 0) };
}
