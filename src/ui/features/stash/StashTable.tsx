import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import type { Kind, LotId } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { useLong, VirtualTable } from '../../components/VirtualTable.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { listTableColumns } from './columns.ts';
import { FACETS, getPresence, groupRows, type Facet, type SortBy, type StashRow, type TableLine } from './rows.ts';
import { wordFacetValue } from './words.ts';
import { formatNumber, t } from '../../language/index.ts';

const BulkBar = lazy(async () => ({ default: (await import('./BulkBar.tsx')).BulkBar }));

const ROW_PX = 40;
const COLUMN_PX = 116;
/** A finger hits the whole of a tick's cell. */
const tickClass = 'flex h-10 w-full items-center';

interface StashTableProps {
  readonly rows: readonly StashRow[];
  readonly kind: Kind;
  readonly sortBy: SortBy;
}

/** The stash as a table; only the rows in view are in the page. Arrow keys walk it, ticked rows change together. */
export function StashTable({ rows, kind, sortBy }: StashTableProps) {
  const show = useApp((state) => state.show);
  const chosen = useApp((state) => (state.ticket?.type === 'lot' ? state.ticket.id : null));
  const { groupBy, columns: choice } = useChoices();
  const { able, shown: columns } = listTableColumns(kind, choice[kind]);
  const [ticked, setTicked] = useState<ReadonlySet<LotId>>(new Set());
  const lastTicked = useRef(-1);
  const lines = useMemo(
    () => groupRows(rows, kind, (FACETS as readonly string[]).includes(groupBy) ? (groupBy as Facet) : null),
    [rows, kind, groupBy],
  );
  const tickedRows = useMemo(
    () => (ticked.size === 0 ? [] : rows.filter(({ lot }) => ticked.has(lot.id))),
    [rows, ticked],
  );
  // Few beside those in sight: whoever scrolls far has all of them drawn anew in one frame.
  const long = useLong(lines.length, { rowPx: ROW_PX, overscan: 2 });

  const walk = (from: number, by: number) => {
    let at = Math.max(0, Math.min(lines.length - 1, from + by));
    while (lines[at]?.type === 'head' && at > 0 && at < lines.length - 1) at += Math.sign(by);
    const line = lines[at];
    if (line?.type !== 'row') return;
    show({ type: 'lot', id: line.row.lot.id });
    long.goTo(at, `button[data-line="${at}"]`);
  };
  const tick = (at: number, isOn: boolean, isRange: boolean) => {
    const from = isRange && lastTicked.current >= 0 ? Math.min(lastTicked.current, at) : at;
    const to = isRange && lastTicked.current >= 0 ? Math.max(lastTicked.current, at) : at;
    const next = new Set(ticked);
    for (const line of lines.slice(from, to + 1))
      if (line.type === 'row') {
        if (isOn) next.add(line.row.lot.id);
        else next.delete(line.row.lot.id);
      }
    lastTicked.current = at;
    setTicked(next);
  };
  const isAll = rows.length > 0 && tickedRows.length === rows.length;

  return (
    <>
      {tickedRows.length > 0 && (
        <Suspense fallback={null}>
          <BulkBar rows={tickedRows} onDone={() => setTicked(new Set())} />
        </Suspense>
      )}
      {/* Columns of a fixed width: a row that comes into view does not move the others. */}
      <VirtualTable
        long={long}
        rowCount={lines.length + 1}
        className="w-full table-fixed border-collapse"
        style={{ minWidth: 320 + columns.length * COLUMN_PX }}
        head={
          <TableHead
            able={able}
            columns={columns}
            kind={kind}
            sortBy={sortBy}
            isAll={isAll}
            onTickAll={() => setTicked(isAll ? new Set() : new Set(rows.map(({ lot }) => lot.id)))}
          />
        }
      >
        {(index) => {
          const line = lines[index]!;
          return line.type === 'head' ? (
            <GroupHead key={`head ${line.value}`} line={line} span={columns.length + 4} />
          ) : (
            <TableRow
              key={line.row.lot.id}
              row={line.row}
              index={index}
              columns={columns}
              isChosen={line.row.lot.id === chosen}
              isTicked={ticked.has(line.row.lot.id)}
              onTick={tick}
              onWalk={walk}
            />
          );
        }}
      </VirtualTable>
    </>
  );
}

type Column = ReturnType<typeof listTableColumns>['able'][number];

interface ColumnChoiceProps {
  readonly able: readonly Column[];
  readonly columns: readonly Column[];
  readonly kind: Kind;
}

/** Which columns are shown, for each kind as it was chosen. */
function ColumnChoice({ able, columns, kind }: ColumnChoiceProps) {
  const choice = useChoices((state) => state.columns);
  return (
    <details className="no-print relative inline-block font-normal">
      <summary className="min-h-9 cursor-pointer list-none py-2 text-woad underline underline-offset-4">
        {t('Columns')}
      </summary>
      <div className="absolute top-full right-0 z-2 grid max-h-[50vh] w-56 overflow-y-auto border border-thread bg-paper p-3 text-left text-base shadow-md">
        {able.map((column) => (
          <label key={column.id} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-woad"
              checked={columns.includes(column)}
              onChange={(event) => {
                const ids = columns.map((one) => one.id).filter((id) => id !== column.id);
                useChoices.setState({
                  columns: { ...choice, [kind]: event.target.checked ? [...ids, column.id] : ids },
                });
              }}
            />
            {column.head(kind)}
          </label>
        ))}
      </div>
    </details>
  );
}

interface TableHeadProps extends ColumnChoiceProps {
  readonly sortBy: SortBy;
  readonly isAll: boolean;
  readonly onTickAll: () => void;
}

function TableHead({ able, columns, kind, sortBy, isAll, onTickAll }: TableHeadProps) {
  const isDescending = useChoices((state) => state.isDescending);
  return (
    <thead className="sticky top-0 z-1 bg-mist text-left text-sm">
      <tr>
        <th scope="col" className="w-11 md:w-8">
          <label className={tickClass}>
            <input
              type="checkbox"
              aria-label={t('Tick all')}
              className="size-4 accent-woad"
              checked={isAll}
              onChange={onTickAll}
            />
          </label>
        </th>
        <th scope="col" className="w-9">
          <span className="sr-only">{t('Swatch')}</span>
        </th>
        <Head name={t('Name')} sortBy="name" now={sortBy} isDescending={isDescending} isNumber={false} />
        {columns.map((column) => (
          <Head
            key={column.id}
            name={column.head(kind)}
            sortBy={column.sortBy ?? null}
            now={sortBy}
            isDescending={isDescending}
            isNumber={column.isNumber ?? false}
          />
        ))}
        <th scope="col" className="w-20 text-right">
          <ColumnChoice able={able} columns={columns} kind={kind} />
        </th>
      </tr>
    </thead>
  );
}

interface GroupHeadProps {
  readonly line: Extract<TableLine, { type: 'head' }>;
  readonly span: number;
}

function GroupHead({ line, span }: GroupHeadProps) {
  const groupBy = useChoices((state) => state.groupBy);
  return (
    <tr className="h-10">
      <th scope="rowgroup" colSpan={span} className="pt-2 text-left">
        <span className="font-display text-lg font-semibold">{wordFacetValue(groupBy as Facet, line.value)}</span>{' '}
        <span className="text-sm font-normal text-stone" {...explained(t('The things under this head.'))}>
          {formatNumber(line.count)}
        </span>
      </th>
    </tr>
  );
}

interface TableRowProps {
  readonly row: StashRow;
  readonly index: number;
  readonly columns: readonly Column[];
  readonly isChosen: boolean;
  readonly isTicked: boolean;
  readonly onTick: (at: number, isOn: boolean, isRange: boolean) => void;
  readonly onWalk: (from: number, by: number) => void;
}

function TableRow({ row, index, columns, isChosen, isTicked, onTick, onWalk }: TableRowProps) {
  const { settings } = useHousehold();
  const show = useApp((state) => state.show);
  const { lot, item } = row;
  const presence = getPresence(lot);
  return (
    <tr
      aria-rowindex={index + 2}
      className={`dotted-row h-10 cursor-pointer ${isChosen ? 'bg-linen font-semibold' : 'hover:bg-linen/60'}`}
      onClick={() => show({ type: 'lot', id: lot.id })}
    >
      <td onClick={(event) => event.stopPropagation()}>
        <label className={tickClass}>
          <input
            type="checkbox"
            aria-label={t('Tick {name}', { name: item.name })}
            className="size-4 accent-woad"
            checked={isTicked}
            onChange={(event) =>
              onTick(
                index,
                event.target.checked,
                (event.nativeEvent as unknown as { shiftKey?: boolean }).shiftKey ?? false,
              )
            }
          />
        </label>
      </td>
      <td>
        <Swatch item={item} className="size-7" />
      </td>
      <td className="truncate pr-4">
        <button
          type="button"
          data-line={index}
          data-name
          className="max-w-full truncate text-left"
          onKeyDown={(event) => {
            const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 }[event.key];
            if (!step) return;
            event.preventDefault();
            onWalk(index, step);
          }}
        >
          {item.name}
        </button>
      </td>
      {columns.map((column) => (
        <td
          key={column.id}
          title={column.id === 'place' ? row.place : undefined}
          {...(column.how && explained(column.how(row, settings)))}
          className={`truncate pr-4 ${column.isNumber ? 'tabular text-right' : ''}`}
        >
          {column.id === 'place' ? <PlaceCell row={row} presence={presence} /> : column.cell(row, settings)}
        </td>
      ))}
      <td />
    </tr>
  );
}

function PlaceCell({ row: { lot, place }, presence }: { row: StashRow; presence: ReturnType<typeof getPresence> }) {
  if (lot.state === 'digital') return t('a file');
  return (
    <>
      {presence === 'homeless' && (
        <span className="text-madder">
          {t('no home yet')}
          {lot.placeId && '; '}
        </span>
      )}
      {presence === 'out' && <span className="text-woad">{t('out;')} </span>}
      {lot.state === 'with' && t('wrapped; ')}
      {presence === 'homeless' && !lot.placeId ? '' : place}
      {presence === 'planned' && <span className="text-woad"> {t('(planned elsewhere)')}</span>}
    </>
  );
}

function Head({
  name,
  sortBy,
  now,
  isDescending,
  isNumber,
}: {
  name: string;
  sortBy: SortBy | null;
  now: SortBy;
  isDescending: boolean;
  isNumber: boolean;
}) {
  const isNow = sortBy === now;
  return (
    <th
      scope="col"
      className={`truncate py-1 pr-4 ${sortBy === 'name' || sortBy === 'place' ? '' : 'w-29'} ${isNumber ? 'text-right' : ''}`}
      aria-sort={isNow ? (isDescending ? 'descending' : 'ascending') : undefined}
    >
      {sortBy === null ? (
        <span className="font-semibold text-stone">{name}</span>
      ) : (
        <button
          type="button"
          className="min-h-9 font-semibold text-stone hover:text-ink"
          onClick={() => useChoices.setState({ sortBy, isDescending: isNow && !isDescending })}
        >
          {name}
          <span aria-hidden>{isNow ? (isDescending ? ' ↓' : ' ↑') : ''}</span>
        </button>
      )}
    </th>
  );
}
