import { CartesianGrid, Line, LineChart, ReferenceDot, XAxis, YAxis } from 'recharts';
import { getFetchSeconds, type Score } from '../../../core/records/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { useFitRun } from './fitRun.ts';
import { formatShort, t } from '../../language/index.ts';

const TICK = { fontSize: 14, fill: 'var(--color-stone)' };

/** Minutes a month against things to carry, from leaving all to the best; a point on it is a plan. */
export function Curve({ today }: { today: Score }) {
  const { curve, plan, choose } = useFitRun();
  if (!curve) return null;
  const minutes = (seconds: number) => Math.round(seconds / 60);
  const data = [
    { moves: 0, minutes: minutes(getFetchSeconds(today)) },
    ...curve.map((point) => ({ moves: point.moves, minutes: minutes(getFetchSeconds(point.plan.score)) })),
  ];
  const here = curve.find((point) => point.plan.id === plan?.id);
  return (
    <fieldset className="mt-4">
      <legend className="font-bold">{t('What few moves bring')}</legend>
      <div aria-hidden>
        <LineChart
          width={262}
          height={150}
          data={data}
          margin={{ top: 8, right: 10, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--color-grain)" vertical={false} />
          <XAxis type="number" dataKey="moves" tick={TICK} tickLine={false} domain={[0, 'dataMax']} />
          <YAxis
            type="number"
            width={36}
            tick={TICK}
            tickFormatter={(minutes: number) => formatShort(minutes, 1)}
            tickLine={false}
            axisLine={false}
            domain={[0, 'dataMax']}
          />
          <Line
            dataKey="minutes"
            stroke="var(--color-woad)"
            strokeWidth={2.5}
            dot={{ r: 4, fill: 'var(--color-paper)' }}
            isAnimationActive={false}
          />
          {here && (
            <ReferenceDot
              x={here.moves}
              y={minutes(getFetchSeconds(here.plan.score))}
              r={7}
              fill="var(--color-ink)"
              stroke="var(--color-paper)"
            />
          )}
        </LineChart>
      </div>
      <p className="text-sm text-stone">
        {t('Minutes a month against things to carry; per cent of what the best of them saves.')}
      </p>
      {curve.map((point) => (
        <label key={point.plan.id} className="dotted-row flex min-h-11 items-center gap-2 md:min-h-9">
          <input
            type="radio"
            name="curve"
            className="size-5 accent-ink md:size-4"
            checked={point === here}
            onChange={() => choose(point)}
          />
          <span
            className="tabular"
            {...explained(
              t(
                'Things that would be carried or refolded; the minutes a month that the plan would take; and what part that saves of the minutes that the best of these plans saves. With fewer moves only those are made that save most.',
              ),
            )}
          >
            {t('{moves, plural, one {# thing} other {# things}}: {minutes}, {gainShare} %', {
              moves: point.moves,
              minutes: formatMinutes(getFetchSeconds(point.plan.score)),
              gainShare: Math.round(point.gainShare * 100),
            })}
          </span>
        </label>
      ))}
    </fieldset>
  );
}
