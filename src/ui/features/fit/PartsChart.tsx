import { Fragment } from 'react';
import type { Score, ScoreParts } from '../../../core/records/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { HowRow } from '../../components/HowRow.tsx';
import { perLanguage, t } from '../../language/index.ts';

const PARTS = perLanguage((): readonly { part: keyof ScoreParts; name: string; fill: string; how: string }[] => [
  {
    part: 'fetching',
    name: t('the way and the reach'),
    fill: 'var(--color-woad)',
    how: t(
      'Uses a month × the seconds to walk there and back from where it is used, to bend, stretch or climb, and to open door, drawer or lid.',
    ),
  },
  {
    part: 'searching',
    name: t('looking for it'),
    fill: '#8a6a24',
    how: t(
      'Uses a month × the seconds to pass half of its kin, the other groups of the place, and half of the pile above; what has no home is looked for everywhere.',
    ),
  },
  {
    part: 'splitting',
    name: t('looking in the wrong place first'),
    fill: '#7a4358',
    how: t(
      'For each group kept in more than one place: in half of the searches the wrong place, piece of furniture or room comes first.',
    ),
  },
]);

/** What the minutes are made of, today and with the plan; the same figures stand below as a table. */
export function PartsChart({ today, plan }: { today: Score; plan: Score | null }) {
  const bars = [{ name: t('today'), parts: today.parts }, ...(plan ? [{ name: t('plan'), parts: plan.parts }] : [])];
  const most = Math.max(1, ...bars.map(({ parts }) => PARTS().reduce((sum, { part }) => sum + parts[part], 0)));
  return (
    <section aria-label={t('What the minutes are made of')} className="mt-5">
      <h3 className="font-bold">{t('What the minutes are made of')}</h3>
      <div aria-hidden className="mt-1 mb-2 grid grid-cols-[auto_1fr] items-center gap-x-2 gap-y-1 text-sm text-stone">
        {bars.map(({ name, parts }) => (
          <Fragment key={name}>
            <span>{name}</span>
            <span className="flex h-6">
              {PARTS().map(({ part, fill }) => (
                <span key={part} style={{ width: `${(100 * parts[part]) / most}%`, background: fill }} />
              ))}
            </span>
          </Fragment>
        ))}
      </div>
      <table className="tabular w-full text-sm">
        <tbody>
          {PARTS().map(({ part, name, fill, how }) => (
            <HowRow
              key={part}
              name={
                <>
                  <span aria-hidden className="mr-1.5 inline-block size-3" style={{ background: fill }} />
                  {name}
                </>
              }
              how={how}
              today={formatMinutes(today.parts[part])}
              plan={plan && formatMinutes(plan.parts[part])}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}
