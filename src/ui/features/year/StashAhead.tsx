import { useMemo, useState } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { formatClothLength, parseLengthMm } from '../../../core/units/index.ts';
import { drawStashCurve } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { TextField } from '../../components/fields.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordChance } from '../../text/year.ts';
import { BandChart } from './BandChart.tsx';
import { t } from '../../language/index.ts';

const MM = { metric: 1000, imperial: 914.4 } as const;

/** All the cloth there is: the year behind, the year to come with its doubt, and the goal. */
export function StashAhead({ nowMs }: { nowMs: number }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const { units, stashGoalMm } = household.settings;
  const curve = useMemo(() => drawStashCurve(household, events, nowMs), [household, events, nowMs]);
  const [text, setText] = useState<string | null>(null);
  if (curve.nowMm === 0) return null;
  const unit = units === 'metric' ? 'm' : 'yd';
  const to = (mm: number) => mm / MM[units];
  const parsed = text === null ? null : parseLengthMm(text, unit);
  const isEmpty = text !== null && text.trim() === '';
  const fault =
    isEmpty || (parsed?.ok && parsed.value > 0 && parsed.value <= 1e9)
      ? undefined
      : t('Such as {length}.', { length: formatClothLength(200 * MM[units], units) });
  const keep = () => {
    if (fault) return undefined;
    return act((now) => {
      const { stashGoalMm: _, ...rest } = now.settings;
      return createSaveSettings(now, { ...rest, ...(parsed?.ok && !isEmpty && { stashGoalMm: parsed.value }) });
    }).then((isDone) => isDone && setText(null));
  };
  const [now, least, most] = [curve.nowMm, curve.band.at(-1)![0], curve.band.at(-1)![2]].map((mm) =>
    formatClothLength(mm, units),
  ) as [string, string, string];
  return (
    <section aria-label={t('All the cloth')} className="mt-6 max-w-2xl">
      <h2 className="font-display text-xl font-semibold">{t('All the cloth')}</h2>
      <p
        {...explained(
          t('What there is now along the selvage, less and more by the cloth that came and went in your own months.'),
        )}
      >
        {least === most
          ? t('{now} now; in a year likely as much.', { now })
          : t('{now} now; in a year likely between {least} and {most}.', { now, least, most })}
        {curve.chanceOver !== null &&
          t(' {chance} that it is more than the {clothLength} that you would have.', {
            chance: wordChance(curve.chanceOver),
            clothLength: formatClothLength(stashGoalMm!, units),
          })}
      </p>
      <BandChart
        band={curve.band.map(([low, middle, high]) => [to(low), to(middle), to(high)] as const)}
        now={to(curve.nowMm)}
        past={curve.past.slice(0, -1).map(to)}
        most={stashGoalMm === undefined ? null : to(stashGoalMm)}
        unit={unit}
        label={t('All the cloth month by month')}
      />
      {text === null ? (
        <Button
          look="quiet"
          onClick={() => setText(stashGoalMm === undefined ? '' : formatClothLength(stashGoalMm, units))}
        >
          {stashGoalMm === undefined ? t('Set a goal') : t('Change the goal')}
        </Button>
      ) : (
        <Form
          aria-label={t('A goal for the stash')}
          className="mt-2 max-w-sm border-l-4 border-woad bg-linen p-3"
          onSend={keep}
          onKeyDown={(event) => event.key === 'Escape' && setText(null)}
        >
          <TextField
            label={t('So much cloth at most; nothing: no goal')}
            autoFocus
            value={text}
            fault={fault}
            onChange={({ target }) => setText(target.value)}
          />
          <FormFoot save={t('Keep it')} onDone={() => setText(null)} />
        </Form>
      )}
    </section>
  );
}
