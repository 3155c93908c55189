import { useRef } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, XAxis, YAxis } from 'recharts';
import { explained } from '../../components/explained.ts';
import { useGrown } from '../../components/useGrown.ts';
import { useSize } from '../../components/useSize.ts';
import { formatShort, t } from '../../language/index.ts';

const TICK = { fontSize: 14, fill: 'var(--color-stone)' };

interface BandChartProps {
  readonly band: readonly (readonly [low: number, middle: number, high: number])[];
  readonly now: number;
  /** What came before now, the oldest first, where that is drawn. */
  readonly past?: readonly number[];
  /** A line that is not to be crossed: what goes in, or what one would have. */
  readonly most: number | null;
  readonly unit: string;
  readonly label: string;
}

/** A year is not drawn wider than this. */
const MOST_PX = 620;

const round = (value: number) => Math.round(value * 10) / 10;

/** One after the other: the chart works all of its scales out again for each, and all at once would keep one waiting. */
const LAYERS = ['axes', 'doubt', 'was', 'middle'];

/** A year to come with its doubt: the middle as a line, four of five years within the band; and the same as a table. */
export function BandChart({ band, now, past = [], most, unit, label }: BandChartProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const layers = useGrown(LAYERS, 1).length;
  const data = [
    ...past.map((value, n) => ({ month: n - past.length, was: round(value) })),
    { month: 0, was: round(now), middle: round(now), doubt: [round(now), round(now)] },
    ...band.map(([low, middle, high], n) => ({
      month: n + 1,
      middle: round(middle),
      doubt: [round(low), round(high)],
    })),
  ];
  return (
    <figure className="mt-2">
      <div
        ref={frame}
        className="min-h-[170px] w-full"
        aria-hidden
        {...explained(
          t('The line is the middle of what may come; four of five years end within the band. Months from now.'),
        )}
      >
        {size && (
          <ComposedChart
            width={Math.min(MOST_PX, size.width)}
            height={170}
            data={data}
            margin={{ top: 8, right: 10, bottom: 0, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--color-grain)" vertical={false} />
            <XAxis
              type="number"
              dataKey="month"
              tick={TICK}
              tickLine={false}
              domain={['dataMin', 'dataMax']}
              ticks={past.length > 0 ? [-12, -6, 0, 6, 12] : [0, 3, 6, 9, 12]}
            />
            <YAxis
              type="number"
              width={44}
              tick={TICK}
              tickFormatter={(value: number) => formatShort(value)}
              tickLine={false}
              axisLine={false}
              domain={['auto', 'auto']}
            />
            {layers > 1 && (
              <Area
                dataKey="doubt"
                stroke="none"
                fill="var(--color-woad)"
                fillOpacity={0.18}
                isAnimationActive={false}
              />
            )}
            {layers > 2 && (
              <Line dataKey="was" stroke="var(--color-ink)" strokeWidth={2} dot={false} isAnimationActive={false} />
            )}
            {layers > 3 && (
              <Line
                dataKey="middle"
                stroke="var(--color-woad)"
                strokeWidth={2.5}
                strokeDasharray="6 4"
                dot={false}
                isAnimationActive={false}
              />
            )}
            {most !== null && (
              <ReferenceLine
                y={round(most)}
                stroke="var(--color-madder)"
                strokeDasharray="3 3"
                ifOverflow="extendDomain"
              />
            )}
          </ComposedChart>
        )}
      </div>
      <details>
        <summary className="min-h-9 cursor-pointer py-1 text-sm text-woad">{t('As a table')}</summary>
        <table className="tabular w-full text-sm" aria-label={label}>
          <thead>
            <tr className="text-left text-stone">
              <th className="font-normal">{t('Months')}</th>
              <th className="text-right font-normal">{t('a tenth below')}</th>
              <th className="text-right font-normal">{t('middle')}</th>
              <th className="text-right font-normal">{t('a tenth above')}</th>
            </tr>
          </thead>
          <tbody>
            {band.map(([low, middle, high], n) => (
              <tr key={n} {...explained(t('Of six hundred years drawn from your own months.'))}>
                <td>{n + 1}</td>
                <td className="text-right">{`${formatShort(round(low))} ${unit}`}</td>
                <td className="text-right">{`${formatShort(round(middle))} ${unit}`}</td>
                <td className="text-right">{`${formatShort(round(high))} ${unit}`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
