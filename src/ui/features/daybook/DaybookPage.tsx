import { format } from 'date-fns';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { listTakenBack } from '../../../core/daybook/index.ts';
import type { AmountUnit, DaybookEvent, EventType, ItemId, LotId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { useLong, VirtualList } from '../../components/VirtualTable.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { undo } from '../../state/hands.ts';
import { explained } from '../../components/explained.ts';
import { wordEvent } from '../../text/index.ts';
import { perLanguage, t } from '../../language/index.ts';

const DaybookFigures = lazy(async () => ({ default: (await import('./DaybookFigures.tsx')).DaybookFigures }));

const AMOUNT_UNITS = perLanguage((): Record<AmountUnit, string> => ({ length: 'mm', area: 'mm2', count: 'pieces' }));

const TOPICS = perLanguage(
  () =>
    ({
      whereabouts: {
        name: t('out, back and moved'),
        types: ['tookOut', 'putBack', 'moved', 'carried', 'notFound', 'notFitting', 'lent', 'returned'],
      },
      amounts: {
        name: t('come, used and gone'),
        types: [
          'received',
          'imported',
          'heaped',
          'listed',
          'cut',
          'usedUp',
          'measured',
          'counted',
          'gaveAway',
          'sold',
          'threwOut',
          'removed',
        ],
      },
      promises: { name: t('promised and released'), types: ['reserved', 'released'] },
      care: { name: t('washed and wrapped'), types: ['washed', 'wrapped'] },
      plans: {
        name: t('plans, room and settings'),
        types: ['planned', 'adopted', 'roomChanged', 'settingsChanged', 'learnt', 'relabelled'],
      },
    }) satisfies Record<string, { name: string; types: EventType[] }>,
);
type Topic = keyof ReturnType<typeof TOPICS>;

/** Everything that was ever done, newest first. Each line can be taken back while nothing builds on it. */
export function DaybookPage() {
  const { units } = useHousehold().settings;
  const events = useApp((state) => state.events);
  const [text, setText] = useState('');
  const [topic, setTopic] = useState<Topic | 'all'>('all');
  const undone = useMemo(() => listTakenBack(events), [events]);
  const lines = useMemo(() => {
    const words = text.trim().toLowerCase();
    return events
      .filter(({ type }) => topic === 'all' || (TOPICS()[topic].types as EventType[]).includes(type))
      .map((event) => ({ event, words: wordEvent(event, units) }))
      .filter((line) => line.words.toLowerCase().includes(words))
      .toReversed();
  }, [events, text, topic, units]);
  const save = async () => {
    const { writeTable } = await import('../../../core/formats/csv/index.ts');
    const rows = lines.map(({ event, words }) => [
      new Date(event.atMs).toISOString(),
      event.type,
      words,
      String(event.amount ?? ''),
      event.amount === undefined ? '' : AMOUNT_UNITS()[event.amountUnit ?? 'length'],
      undone.has(event.id) ? 'yes' : '',
    ]);
    const heads = ['when', 'what', 'words', 'amount', 'unit', 'taken_back'];
    saveFile(writeTable([heads, ...rows]), 'daybook.csv', 'text/csv');
  };
  const rows = useMemo(() => listRows(lines), [lines]);
  const long = useLong(rows.length, { rowPx: 44, overscan: 10 });

  return (
    <Page
      title={t('Daybook')}
      asideLabel={t('The year in figures')}
      aside={
        <Suspense>
          <DaybookFigures />
        </Suspense>
      }
    >
      <div className="flex flex-wrap items-center gap-4 px-4 py-2 md:px-5">
        <input
          maxLength={200}
          type="search"
          aria-label={t('Narrow the daybook')}
          placeholder={t('narrow by words')}
          className="h-11 w-56 rounded border border-thread bg-paper px-2 md:h-8"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <select
          aria-label={t('What it was about')}
          className="h-11 rounded border border-thread bg-paper px-2 md:h-8"
          value={topic}
          onChange={(event) => setTopic(event.target.value as Topic | 'all')}
        >
          <option value="all">{t('everything')}</option>
          {(Object.keys(TOPICS()) as Topic[]).map((one) => (
            <option key={one} value={one}>
              {TOPICS()[one].name}
            </option>
          ))}
        </select>
        <Button look="quiet" disabled={lines.length === 0} onClick={() => void save()}>
          {t('Save as a table')}
        </Button>
        <span className="text-stone" {...explained(t('The lines of the daybook that are listed here.'))}>
          {t('{n, plural, one {# line} other {# lines}}', { n: lines.length })}
        </span>
      </div>
      <VirtualList
        long={long}
        className="max-w-3xl"
        head={
          lines.length === 0 && <p className="py-8 font-display text-xl">{t('No line of the daybook says that.')}</p>
        }
      >
        {(index) => {
          const row = rows[index]!;
          return row.line ? (
            <Line key={row.line.event.id} {...row.line} isUndone={undone.has(row.line.event.id)} />
          ) : (
            // Each line says its day itself to who hears it.
            <li aria-hidden key={row.day} className="flex h-11 items-end pb-1 font-display text-lg font-semibold">
              <time dateTime={row.day}>{format(row.atMs, t('EEEE, d MMMM yyyy'))}</time>
            </li>
          );
        }}
      </VirtualList>
    </Page>
  );
}

interface DaybookLine {
  readonly event: DaybookEvent;
  readonly words: string;
}

type Row = { readonly day: string; readonly atMs: number; readonly line?: DaybookLine };

/** The lines under their days. */
function listRows(lines: readonly DaybookLine[]): Row[] {
  let before = '';
  return lines.flatMap((line): Row[] => {
    const day = format(line.event.atMs, 'yyyy-MM-dd');
    const row = { day, atMs: line.event.atMs, line };
    const rows = day === before ? [row] : [{ day, atMs: line.event.atMs }, row];
    before = day;
    return rows;
  });
}

/** What was done, at what time, with the swatch of what it was done to; pressed, it is shown on its wall. */
function Line({ event, words, isUndone }: DaybookLine & { isUndone: boolean }) {
  const household = useHousehold();
  const lotId = event.changes.find(({ table, id }) => table === 'lots' && household.lots.has(id as LotId))?.id;
  const lot = lotId === undefined ? undefined : household.lots.get(lotId as LotId);
  const itemId = lot?.itemId ?? event.changes.find(({ table }) => table === 'items')?.id;
  const item = itemId === undefined ? undefined : household.items.get(itemId as ItemId);
  const isShown = lot !== undefined && lot.state !== 'gone';
  const look = `min-w-0 flex-1 line-clamp-2 leading-tight ${isUndone ? 'text-stone line-through' : ''}`;
  const how = explained(t('As it was written down when it was done.'), t('A line'));
  return (
    <li className="dotted-row flex h-11 items-center gap-3">
      <time dateTime={new Date(event.atMs).toISOString()} className="tabular w-11 shrink-0 text-sm text-stone">
        <span className="sr-only">{format(event.atMs, t('EEEE, d MMMM yyyy'))}</span>
        {format(event.atMs, 'HH:mm')}
      </time>
      {item ? <Swatch item={item} className="size-7 shrink-0" /> : <span className="size-7 shrink-0" />}
      {isShown ? (
        <Link to={`/find/${lot.id}`} className={`${look} hover:underline`} {...how}>
          {words}
        </Link>
      ) : (
        <span className={look} {...how}>
          {words}
        </span>
      )}
      {isUndone ? (
        <span className="text-sm text-stone">{t('taken back')}</span>
      ) : event.seq === 0 || event.type === 'undone' ? null : (
        <Button look="quiet" aria-label={t('Undo: {words}', { words })} onClick={() => void undo(event)}>
          {t('Undo')}
        </Button>
      )}
    </li>
  );
}
