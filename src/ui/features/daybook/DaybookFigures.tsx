import { useMemo, useState } from 'react';
import { explained } from '../../components/explained.ts';
import { useApp, world } from '../../state/app.ts';
import { computeMonthActs, type MonthActs } from '../../../core/daybook/index.ts';
import { getLanguage, perLanguage, t } from '../../language/index.ts';

const MONTHS = 12;
const monthName = perLanguage(
  () => new Intl.DateTimeFormat(getLanguage(), { month: 'short', year: '2-digit', timeZone: 'UTC' }),
);
const PARTS = perLanguage(
  () =>
    [
      { key: 'came', name: t('came in'), fill: 'var(--color-moss)' },
      { key: 'used', name: t('used'), fill: 'var(--color-woad)' },
      { key: 'left', name: t('left for good'), fill: 'var(--color-madder)' },
    ] as const,
);
const HOW = perLanguage(() =>
  t(
    'Lines of the daybook in that month: things that came in; things used up, given away, sold, thrown out or removed; times that something was taken out or cut. What was taken back is left out.',
  ),
);

/** A year of the daybook: what came, what was used and what left, month by month, as bars and as a table. */
export function DaybookFigures() {
  const events = useApp((state) => state.events);
  const [nowMs] = useState(() => world.nowMs());
  const months = useMemo(
    () =>
      computeMonthActs(events, MONTHS, nowMs).map((one) => ({
        ...one,
        name: monthName().format(Date.parse(`${one.month}-01`)),
      })),
    [events, nowMs],
  );
  if (months.every((one) => one.came + one.used + one.left === 0))
    return (
      <section aria-label={t('The year in figures')} className="text-stone">
        {t('Nothing came, was used or left in these twelve months; what was there from the start is not counted.')}
      </section>
    );
  return (
    <section aria-label={t('The year in figures')} className="overflow-x-auto" {...explained(HOW())}>
      <h2 className="mb-2 font-display text-lg font-semibold">{t('The year in figures')}</h2>
      <Bars months={months} />
      <details>
        <summary className="min-h-9 cursor-pointer py-1 text-woad">{t('As a table')}</summary>
        <table className="tabular">
          <thead>
            <tr>
              <th className="pr-6 text-left">{t('Month')}</th>
              {PARTS().map(({ key, name }) => (
                <th key={key} className="pr-6 text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {months.map((month) => (
              <tr key={month.month}>
                <td className="pr-6">{month.name}</td>
                {PARTS().map(({ key }) => (
                  <td key={key} className="pr-6 text-right">
                    {month[key]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
}

type Named = MonthActs & { readonly name: string };

/** Three bars a month, the highest as high as they may be; the table says the same. */
function Bars({ months }: { months: readonly Named[] }) {
  const most = Math.max(...months.flatMap((month) => PARTS().map(({ key }) => month[key])));
  return (
    <div aria-hidden data-name className="w-65 text-sm text-stone">
      <ul className="flex flex-wrap gap-x-4">
        {PARTS().map(({ key, name, fill }) => (
          <li key={key}>
            <span className="mr-1.5 inline-block size-3" style={{ background: fill }} />
            {name}
          </li>
        ))}
      </ul>
      <div className="flex gap-x-2">
        <div className="flex flex-col justify-between text-right">
          <span>{most}</span>
          <span>0</span>
        </div>
        <div className="flex h-40 flex-1 items-end gap-x-1 border-b border-l border-thread pl-1">
          {months.map((month) => (
            <span key={month.month} className="flex h-full flex-1 items-end">
              {PARTS().map(({ key, fill }) => (
                <span
                  key={key}
                  className="flex-1"
                  style={{ background: fill, height: `${(100 * month[key]) / most}%` }}
                />
              ))}
            </span>
          ))}
        </div>
      </div>
      <div className="flex justify-between pl-8">
        <span>{months[0]?.name}</span>
        <span>{months.at(-1)?.name}</span>
      </div>
    </div>
  );
}
