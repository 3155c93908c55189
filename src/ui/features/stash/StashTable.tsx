import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import type { Kind } from '../../../core/records/index.ts';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { capitalise, wordAmount } from '../../text/index.ts';
import { getPresence, getWhat, type SortBy, type StashRow } from './rows.ts';

const ROW_PX = 40;

interface StashTableProps {
  readonly rows: readonly StashRow[];
  readonly kind: Kind;
  readonly sortBy: SortBy;
  readonly whatName: string;
}

/** The stash as a table; only the rows in view are in the page. Arrow keys walk it. */
export function StashTable({ rows, kind, sortBy, whatName }: StashTableProps) {
  const { units } = useHousehold().settings;
  const show = useApp((state) => state.show);
  const chosen = useApp((state) => (state.ticket?.type === 'lot' ? state.ticket.id : null));
  const isDescending = useChoices((state) => state.isDescending);
  const frame = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const shown = virtualizer.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = virtualizer.getTotalSize() - (shown.at(-1)?.end ?? 0);

  const columns: readonly [SortBy, string, string][] = [
    ['name', 'Name', ''],
    ['amount', kind === 'pattern' ? 'Number' : 'How much', 'text-right'],
    ['what', whatName, 'hidden md:table-cell'],
    ['uses', 'Uses a month', 'hidden text-right lg:table-cell'],
    ['place', 'Place', ''],
  ];
  const walk = (index: number) => {
    const row = rows[index];
    if (!row) return;
    virtualizer.scrollToIndex(index);
    show({ type: 'lot', id: row.lot.id });
    requestAnimationFrame(() =>
      frame.current?.querySelector<HTMLButtonElement>(`button[data-index="${index}"]`)?.focus(),
    );
  };

  return (
    <div ref={frame} className="h-[60vh] min-h-0 flex-1 overflow-y-auto px-4 md:h-auto md:px-5">
      <PrintDefs />
      <table className="w-full table-fixed border-collapse" aria-rowcount={rows.length + 1}>
        <thead className="sticky top-0 z-1 bg-mist text-left text-sm">
          <tr>
            <th scope="col" className="w-9">
              <span className="sr-only">Swatch</span>
            </th>
            {columns.map(([by, name, className]) => (
              <th
                key={by}
                scope="col"
                className={`py-1 pr-4 ${className} ${by === 'amount' ? 'w-28' : by === 'what' ? 'w-32' : by === 'uses' ? 'w-28' : ''}`}
                aria-sort={sortBy === by ? (isDescending ? 'descending' : 'ascending') : undefined}
              >
                <button
                  type="button"
                  className="min-h-9 font-semibold text-stone hover:text-ink"
                  onClick={() => useChoices.setState({ sortBy: by, isDescending: sortBy === by && !isDescending })}
                >
                  {name}
                  <span aria-hidden>{sortBy === by ? (isDescending ? ' ↓' : ' ↑') : ''}</span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {above > 0 && (
            <tr aria-hidden>
              <td style={{ height: above }} />
            </tr>
          )}
          {shown.map(({ index }) => {
            const { lot, item, place } = rows[index]!;
            const presence = getPresence(lot);
            return (
              <tr
                key={lot.id}
                aria-rowindex={index + 2}
                className={`dotted-row h-10 cursor-pointer ${lot.id === chosen ? 'bg-linen font-semibold' : 'hover:bg-linen/60'}`}
                onClick={() => show({ type: 'lot', id: lot.id })}
              >
                <td>
                  <Swatch item={item} className="size-7" />
                </td>
                <td className="truncate pr-4">
                  <button
                    type="button"
                    data-index={index}
                    className="max-w-full truncate text-left"
                    onKeyDown={(event) => {
                      const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 }[event.key];
                      if (!step) return;
                      event.preventDefault();
                      walk(Math.max(0, Math.min(rows.length - 1, index + step)));
                    }}
                  >
                    {item.name}
                  </button>
                </td>
                <td className="tabular pr-4 text-right whitespace-nowrap">
                  {item.pattern ? item.pattern.number : wordAmount(item, lot, units)}
                </td>
                <td className="hidden truncate pr-4 md:table-cell">{capitalise(getWhat(item))}</td>
                <td className="tabular hidden pr-4 text-right lg:table-cell">{Number(item.usesPerMonth.toFixed(2))}</td>
                <td className="truncate pr-1">
                  {presence === 'homeless' && <span className="text-madder">no home yet{lot.placeId ? '; ' : ''}</span>}
                  {presence === 'out' && <span className="text-woad">out; </span>}
                  {presence === 'homeless' && !lot.placeId ? '' : place}
                  {presence === 'planned' && <span className="text-woad"> (planned elsewhere)</span>}
                </td>
              </tr>
            );
          })}
          {below > 0 && (
            <tr aria-hidden>
              <td style={{ height: below }} />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}
