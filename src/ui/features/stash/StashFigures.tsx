import { useMemo } from 'react';
import { Bar, BarChart, Cell, XAxis, YAxis } from 'recharts';
import { COLOUR_FAMILIES } from '../../../core/colour/index.ts';
import { computeMonthFlows } from '../../../core/daybook/index.ts';
import { computeWorth, getAmount } from '../../../core/measure/index.ts';
import type { Kind } from '../../../core/records/index.ts';
import { formatClothLength } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { capitalise, wordKindPlural } from '../../text/index.ts';
import { FACETS_OF_KIND, type StashRow } from './rows.ts';
import { wordFacet, wordFacetValue } from './words.ts';
import { formatFixed, formatNumber, getLanguage, perLanguage, t, wordTerm } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';

const SHADES: Record<string, string> = {
  red: '#a63d32',
  orange: '#cf7a35',
  yellow: '#d8b13f',
  green: '#557153',
  teal: '#3a7a83',
  blue: '#2f5d7c',
  violet: '#6a5a95',
  pink: '#c98a8f',
  brown: '#6b5444',
  white: '#d9d5c8',
  grey: '#8a8f94',
  black: '#23272c',
};
const MONTHS = 12;
const IN = perLanguage(() =>
  t('What became longer or came in that month, as the daybook has it, added up; what was undone is left out.'),
);
const OUT = perLanguage(() =>
  t('What was cut, used up, given away or measured shorter that month, as the daybook has it, added up.'),
);
const monthName = perLanguage(
  () => new Intl.DateTimeFormat(getLanguage(), { month: 'short', year: '2-digit', timeZone: 'UTC' }),
);

interface Datum {
  readonly name: string;
  readonly value: number;
  readonly fill: string;
  readonly words: string;
}

/** The stash in figures: how much by what it is and by colour, what came and went; each chart is a table too. */
export function StashFigures({ rows, kind }: { rows: readonly StashRow[]; kind: Kind }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const { units } = household.settings;
  const isCloth = kind === 'fabric';
  const measure = ({ item, lot }: StashRow) => (isCloth ? (lot.lengthMm ?? 0) : getAmountOf(item, lot));
  const words = (value: number) => (isCloth ? formatClothLength(value, units) : formatNumber(Math.round(value)));
  const sum = (facet: 'what' | 'colour') => {
    const at = FACETS_OF_KIND[kind].indexOf(facet);
    const sums = new Map<string, number>();
    for (const row of rows)
      for (const value of row.facets[at]!.slice(0, 1)) sums.set(value, (sums.get(value) ?? 0) + measure(row));
    return sums;
  };
  const byWhat = [...sum('what')]
    .toSorted((a, b) => b[1] - a[1])
    .slice(0, 14)
    .map(([value, amount]): Datum => ({
      name: wordFacetValue('what', value),
      value: amount,
      fill: 'var(--color-woad)',
      words: words(amount),
    }));
  const colours = sum('colour');
  const byColour = COLOUR_FAMILIES.filter((family) => colours.has(family)).map((family): Datum => {
    const amount = colours.get(family) ?? 0;
    const name = capitalise(wordTerm(family));
    return { name, value: amount, fill: SHADES[family] ?? '#8a8f94', words: words(amount) };
  });
  const how = isCloth
    ? t('The lengths of all things that are shown, added up, each under its first word.')
    : t('What is counted in pieces, added up; lengths and areas count as one a thing.');
  const flows = useMemo(
    () => (isCloth ? computeMonthFlows(events, household, MONTHS, world.nowMs()) : []),
    [events, household, isCloth],
  );
  const isStill = flows.every((flow) => flow.inMm === 0 && flow.outMm === 0);
  const what = isCloth ? t('Length') : wordKindPlural(kind);
  return (
    <div
      role="region"
      aria-label={t('The stash in figures')}
      tabIndex={0}
      className="min-h-0 flex-1 overflow-y-auto px-4 pb-6 md:px-5"
    >
      <Worth rows={rows} />
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-2">
        <BarTable
          title={t('{what} by {facet}', { what, facet: midSentence(wordFacet('what', kind)) })}
          data={byWhat}
          how={how}
        />
        <BarTable
          title={t('{what} by colour', { what })}
          data={byColour}
          how={t('{how} Its first colour tells under which one it counts.', { how })}
        />
        {isCloth && (
          <section aria-label={t('In and out by month')} className="lg:col-span-2">
            <h2 className="font-display text-lg font-semibold">{t('In and out by month')}</h2>
            <p className="text-sm text-stone">
              {t('As the daybook tells it; what was there from the start is not counted.')}
            </p>
            {!isStill && (
              <div aria-hidden data-name className="mt-2 overflow-x-auto">
                <BarChart
                  width={760}
                  height={170}
                  data={flows}
                  margin={{ top: 6, right: 0, bottom: 0, left: 0 }}
                  accessibilityLayer={false}
                >
                  <XAxis
                    dataKey="month"
                    tickFormatter={(month: string) => monthName().format(new Date(`${month}-01`))}
                    tickLine={false}
                    tick={{ fontSize: 14, fill: 'var(--color-stone)' }}
                  />
                  <YAxis hide />
                  <Bar dataKey="inMm" fill="var(--color-moss)" isAnimationActive={false} />
                  <Bar dataKey="outMm" fill="var(--color-madder)" isAnimationActive={false} />
                </BarChart>
              </div>
            )}
            {!isStill && (
              <table className="tabular mt-1 w-full max-w-[760px] text-sm">
                <thead>
                  <tr className="text-left text-stone">
                    <th scope="col" className="py-1 font-semibold">
                      {t('Month')}
                    </th>
                    <th scope="col" className="text-right font-semibold">
                      <span aria-hidden className="mr-1.5 inline-block size-3 bg-moss" />
                      {t('In')}
                    </th>
                    <th scope="col" className="text-right font-semibold">
                      <span aria-hidden className="mr-1.5 inline-block size-3 bg-madder" />
                      {t('Out')}
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {flows
                    .filter((flow) => flow.inMm > 0 || flow.outMm > 0)
                    .map((flow) => (
                      <tr key={flow.month} className="dotted-row">
                        <th scope="row" className="py-1 text-left font-normal">
                          <time dateTime={flow.month}>{monthName().format(new Date(`${flow.month}-01`))}</time>
                        </th>
                        <td className="text-right" {...explained(IN())}>
                          {formatClothLength(flow.inMm, units)}
                        </td>
                        <td className="text-right" {...explained(OUT())}>
                          {formatClothLength(flow.outMm, units)}
                        </td>
                      </tr>
                    ))}
                </tbody>
              </table>
            )}
            {isStill && <p className="mt-1">{t('Nothing came or went in these twelve months.')}</p>}
          </section>
        )}
      </div>
    </div>
  );
}

/** What is left of what is shown has cost, as far as its price is known. */
function Worth({ rows }: { rows: readonly StashRow[] }) {
  const household = useHousehold();
  const { worth, priced, all } = useMemo(() => {
    const items = new Map(rows.map(({ item }) => [item.id, item]));
    const byItem = getLotsByItem(household);
    const worths = [...items.values()].flatMap((item) => {
      const lots = (byItem.get(item.id) ?? []).flatMap((id) => household.lots.get(id) ?? []);
      return computeWorth(item, lots) ?? [];
    });
    return { worth: worths.reduce((sum, one) => sum + one, 0), priced: worths.length, all: items.size };
  }, [rows, household]);
  if (priced === 0) return null;
  return (
    <p className="mb-3" {...explained(t('What was paid for each thing, by how much of it is left; added up.'))}>
      {t('Worth')} <strong>{formatFixed(worth, 2)}</strong>{' '}
      {t('by what was paid, for {priced} of {all} things; nobody said what the others cost.', { priced, all })}
    </p>
  );
}

function getAmountOf(item: StashRow['item'], lot: StashRow['lot']): number {
  // Metres of thread and tape and square metres of scraps do not add up with pieces: those count lots.
  const amount = getAmount(item, lot);
  return lot.lengthMm !== undefined || (lot.areaMm2 ?? null) !== null ? lot.count : amount;
}

const BAR_PX = 28;

/** Bars with their names and figures; the figures are a table for those who do not look. */
function BarTable({ title, data, how }: { title: string; data: readonly Datum[]; how: string }) {
  return (
    <section aria-label={title}>
      <h2 className="font-display text-lg font-semibold">{title}</h2>
      <div className="mt-2 flex">
        <table className="tabular text-sm">
          <caption className="sr-only">{title}</caption>
          <tbody>
            {data.map(({ name, words }) => (
              <tr key={name} style={{ height: BAR_PX }}>
                <th scope="row" className="pr-3 text-left font-normal whitespace-nowrap">
                  {name}
                </th>
                <td className="pr-3 text-right font-semibold whitespace-nowrap" {...explained(how)}>
                  {words}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <div aria-hidden className="min-w-0 flex-1 overflow-hidden">
          <BarChart
            layout="vertical"
            width={250}
            height={Math.max(1, data.length) * BAR_PX}
            data={[...data]}
            margin={{ top: 0, right: 0, bottom: 0, left: 0 }}
            accessibilityLayer={false}
          >
            <XAxis type="number" hide domain={[0, 'dataMax']} />
            <YAxis type="category" dataKey="name" hide />
            <Bar dataKey="value" isAnimationActive={false} barSize={16}>
              {data.map((one) => (
                <Cell key={one.name} fill={one.fill} stroke="var(--color-ink)" strokeWidth={0.5} />
              ))}
            </Bar>
          </BarChart>
        </div>
      </div>
    </section>
  );
}
