import { startOfYear } from 'date-fns';
import { useMemo, useState } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { parseMoney } from '../../../core/units/index.ts';
import { computeSpent } from '../../../core/daybook/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Form } from '../../components/Form.tsx';
import { TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { formatFixed, t } from '../../language/index.ts';

/** What was spent this year, beside what one would spend, where that was said. */
export function Budget() {
  const { settings } = useHousehold();
  const events = useApp((state) => state.events);
  const [isAsked, setAsked] = useState(false);
  const spent = useMemo(() => computeSpent(events, startOfYear(world.nowMs()).getTime()), [events]);
  const { budgetPerYear } = settings;
  const left = budgetPerYear === undefined ? null : budgetPerYear - spent;
  return (
    <section aria-label={t('Money')} className="no-print mt-4 max-w-3xl">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span {...explained(t('The prices of what came in since the first of January, as the daybook has it.'))}>
          {t('{spent} spent this year', { spent: formatFixed(spent, 2) })}
          {budgetPerYear !== undefined && t(' of {budgetPerYear}', { budgetPerYear: formatFixed(budgetPerYear, 2) })}
        </span>
        {left !== null && (
          <span
            className={left < 0 ? 'font-semibold text-madder' : 'text-stone'}
            {...explained(t('What you would spend, less what was spent.'))}
          >
            {left < 0
              ? t('{left} over', { left: formatFixed(-left, 2) })
              : t('{left} left', { left: formatFixed(left, 2) })}
          </span>
        )}
        {!isAsked && (
          <Button look="quiet" onClick={() => setAsked(true)}>
            {budgetPerYear === undefined ? t('Set a budget') : t('Change the budget')}
          </Button>
        )}
      </p>
      {isAsked && <BudgetForm onDone={() => setAsked(false)} />}
    </section>
  );
}

function BudgetForm({ onDone }: { onDone: () => void }) {
  const { settings } = useHousehold();
  const [text, setText] = useState(settings.budgetPerYear === undefined ? '' : formatFixed(settings.budgetPerYear, 2));
  const sum = parseMoney(text);
  const fault = sum === null && text.trim() !== '' ? t('A sum of money, such as 400.') : undefined;
  return (
    <Form
      aria-label={t('Budget')}
      className="flex items-end gap-3"
      onSend={() => {
        if (fault) return undefined;
        return act((now) => {
          const { budgetPerYear: _, ...rest } = now.settings;
          return createSaveSettings(now, { ...rest, ...(sum !== null && { budgetPerYear: sum }) });
        }).then(onDone);
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="w-40">
        <TextField
          label={t('A year, empty: none')}
          inputMode="decimal"
          autoFocus
          value={text}
          fault={fault}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <Button type="submit" look="strong">
        {t('Keep it')}
      </Button>
      <Button onClick={onDone}>{t('Leave it')}</Button>
    </Form>
  );
}
