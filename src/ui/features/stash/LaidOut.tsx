import { useMemo, useRef } from 'react';
import type { Group } from '../../../core/grouping/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { usePrinting } from '../../components/usePrinting.ts';
import { useSize } from '../../components/useSize.ts';
import { useWindow } from '../../components/useWindow.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { useGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { ClothPiece, getPieceHeight, getPieceWidth, GroupHead } from './ClothPiece.tsx';
import type { StashRow } from './rows.ts';
import { t } from '../../language/index.ts';

const GAP_PX = 6;
/** Room above a line for the mark of what has no home. */
const MARK_PX = 8;
const HEAD_PX = 36;

/** A line of the page: a group's heading, or pieces side by side. */
type Line =
  | { readonly type: 'head'; readonly group: Group; readonly height: number }
  | { readonly type: 'pieces'; readonly group: Group; readonly rows: readonly StashRow[]; readonly height: number };

/** Breaks every group into lines as wide as the page, like words. */
function breakLines(groups: readonly Group[], byId: ReadonlyMap<LotId, StashRow>, widthPx: number): Line[] {
  const lines: Line[] = [];
  for (const group of groups) {
    lines.push({ type: 'head', group, height: HEAD_PX });
    let rows: StashRow[] = [];
    let along = 0;
    const close = () => {
      if (rows.length === 0) return;
      const height = Math.max(...rows.map(getPieceHeight)) + GAP_PX + MARK_PX;
      lines.push({ type: 'pieces', group, rows, height });
      rows = [];
      along = 0;
    };
    for (const lot of group.lots) {
      const row = byId.get(lot.id);
      if (!row) continue;
      const width = getPieceWidth(row);
      if (along + width > widthPx) close();
      rows.push(row);
      along += width + GAP_PX;
    }
    close();
  }
  return lines;
}

/** Every length of cloth as it is: its width as height, its length as width, all to one scale, by group. Only what is in view is in the page. */
export function LaidOut({ rows }: { rows: readonly StashRow[] }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  // Paper does not scroll: it has all of them, in lines as wide as it is.
  const isPrinting = usePrinting();
  const byId = useMemo(() => new Map(rows.map((row) => [row.lot.id, row])), [rows]);
  const all = useGroups(household);
  const groups = useMemo(
    () =>
      all.flatMap((group): Group[] => {
        if (group.kind !== 'fabric') return [];
        const lots = group.lots.filter((lot) => byId.has(lot.id));
        return lots.length > 0 ? [{ ...group, lots }] : [];
      }),
    [all, byId],
  );
  const lines = useMemo(() => (size ? breakLines(groups, byId, size.width - 40) : []), [groups, byId, size]);
  const heights = useMemo(() => lines.map((line) => line.height), [lines]);
  const { from, to, starts } = useWindow(frame, heights);
  return (
    <div className="flex min-h-[50vh] flex-1 flex-col md:min-h-0">
      <p
        className="px-4 text-sm text-stone md:px-5"
        {...explained(t('As typed or as measured: its ticket says which, and how near.'), t('The length on a piece'))}
      >
        {t(
          'Each piece to scale, 1 : 100. Dashed: out. Zigzag above: without a home. A stitch down the middle: planned elsewhere. Tacked off at the right: promised.',
        )}
      </p>
      <div
        ref={frame}
        className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 md:px-5 print:pb-16"
        onClick={(event) => {
          const id = (event.target as Element).closest<HTMLElement>('[data-lot]')?.dataset['lot'];
          if (id) show({ type: 'lot', id: id as LotId });
        }}
      >
        {isPrinting &&
          groups.map((group) => {
            const name = wordGroup(group, household);
            return (
              <section key={group.id}>
                <GroupHead group={group} name={name} />
                <ul aria-label={name} className="flex flex-wrap items-end gap-1.5 pb-4">
                  {group.lots.map((lot) => (
                    <ClothPiece key={lot.id} row={byId.get(lot.id)!} />
                  ))}
                </ul>
              </section>
            );
          })}
        <div className="no-print relative w-full" style={{ height: starts[lines.length] }}>
          {lines.slice(from, to).map((line, i) => {
            const name = wordGroup(line.group, household);
            return (
              <div
                key={from + i}
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${starts[from + i]}px)` }}
              >
                {line.type === 'head' ? (
                  <GroupHead group={line.group} name={name} />
                ) : (
                  <ul aria-label={name} className="flex items-end gap-1.5" style={{ paddingTop: MARK_PX }}>
                    {line.rows.map((row) => (
                      <ClothPiece key={row.lot.id} row={row} />
                    ))}
                  </ul>
                )}
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}
