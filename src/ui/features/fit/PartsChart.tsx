import { Bar, BarChart, XAxis, YAxis } from 'recharts';
import type { Score, ScoreParts } from '../../../core/records/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';

const PARTS: readonly { part: keyof ScoreParts; name: string; fill: string }[] = [
  { part: 'fetching', name: 'the way and the reach', fill: '#2f5d7c' },
  { part: 'searching', name: 'looking for it', fill: '#8a6a24' },
  { part: 'splitting', name: 'looking in the wrong place first', fill: '#7a4358' },
];

/** What the minutes are made of, today and with the plan; the same figures stand below as a table. */
export function PartsChart({ today, plan }: { today: Score; plan: Score | null }) {
  const bars = [{ name: 'today', ...today.parts }, ...(plan ? [{ name: 'plan', ...plan.parts }] : [])];
  return (
    <section aria-label="What the minutes are made of" className="mt-5">
      <h3 className="font-bold">What the minutes are made of</h3>
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
            tick={{ fontSize: 14, fill: '#566570' }}
          />
          {PARTS.map(({ part, fill }) => (
            <Bar key={part} dataKey={part} stackId="minutes" fill={fill} isAnimationActive={false} />
          ))}
        </BarChart>
      </div>
      <table className="tabular w-full text-sm">
        <tbody>
          {PARTS.map(({ part, name, fill }) => (
            <tr key={part} className="dotted-row">
              <th scope="row" className="py-1 text-left font-normal">
                <span aria-hidden className="mr-1.5 inline-block size-3" style={{ background: fill }} />
                {name}
              </th>
              <td className="text-right whitespace-nowrap">{formatMinutes(today.parts[part])}</td>
              {plan && (
                <td className="pl-3 text-right font-semibold whitespace-nowrap">{formatMinutes(plan.parts[part])}</td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
