import { Bar, BarChart, XAxis, YAxis } from 'recharts';
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
  const bars = [{ name: t('today'), ...today.parts }, ...(plan ? [{ name: t('plan'), ...plan.parts }] : [])];
  return (
    <section aria-label={t('What the minutes are made of')} className="mt-5">
      <h3 className="font-bold">{t('What the minutes are made of')}</h3>
      <div aria-hidden>
        <BarChart
          layout="vertical"
          width={262}
          height={plan ? 74 : 44}
          data={bars}
          margin={{ top: 4, right: 0, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" hide domain={[0, 'dataMax']} />
          <YAxis
            type="category"
            dataKey="name"
            width={44}
            axisLine={false}
            tickLine={false}
            tick={{ fontSize: 14, fill: 'var(--color-stone)' }}
          />
          {PARTS().map(({ part, fill }) => (
            <Bar key={part} dataKey={part} stackId="minutes" fill={fill} isAnimationActive={false} />
          ))}
        </BarChart>
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
