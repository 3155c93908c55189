import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, type CSSProperties, type ReactNode, type RefObject } from 'react';
import { usePrinting } from './usePrinting.ts';

/** A long list of which only what is in view is in the page. */
export interface Long {
  readonly frame: RefObject<HTMLDivElement | null>;
  /** The rows in view, by their numbers; what is above and below them, px. */
  readonly shown: readonly number[];
  readonly abovePx: number;
  readonly belowPx: number;
  /** Brings a row into view; `select` is looked for in it, and takes the focus. */
  readonly goTo: (row: number, select: string, align?: 'auto' | 'center') => void;
}

interface LongOptions {
  /** px; a guess for all rows, or for each. */
  readonly rowPx: number | ((row: number) => number);
  readonly overscan: number;
  /** What a row is the same by, where rows change their height. */
  readonly keyOf?: (row: number) => string;
}

export function useLong(count: number, { rowPx, overscan, keyOf }: LongOptions): Long {
  const isPrinting = usePrinting();
  const frame = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
    count,
    getScrollElement: () => frame.current,
    estimateSize: typeof rowPx === 'number' ? () => rowPx : rowPx,
    // Paper does not scroll.
    overscan: isPrinting ? count : overscan,
    useFlushSync: false,
    ...(keyOf && { getItemKey: keyOf }),
  });
  const items = virtualizer.getVirtualItems();
  return {
    frame,
    shown: items.map(({ index }) => index),
    abovePx: items[0]?.start ?? 0,
    belowPx: virtualizer.getTotalSize() - (items.at(-1)?.end ?? 0),
    goTo: (row, select, align = 'auto') => {
      virtualizer.scrollToIndex(row, { align });
      // It is drawn in the frame after the one that scrolls.
      requestAnimationFrame(() =>
        requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(select)?.focus()),
      );
    },
  };
}

/**
 * On a phone the page scrolls, and the list in it: it has an end, or all its lines would be in sight and drawn.
 * On a desk it fills what is left.
 */
const FRAME =
  'max-h-[70vh] flex-none overflow-auto px-4 pb-4 md:max-h-none md:min-h-0 md:flex-1 md:px-5 print:max-h-none print:overflow-visible';

interface VirtualProps {
  readonly long: Long;
  readonly className: string;
  readonly head?: ReactNode;
  readonly children: (row: number) => ReactNode;
}

interface VirtualTableProps extends VirtualProps {
  readonly label?: string;
  /** Rows in all, heads included. */
  readonly rowCount: number;
  readonly style?: CSSProperties;
}

function Gap({ heightPx }: { heightPx: number }) {
  return (
    heightPx > 0 && (
      <tr aria-hidden>
        <td style={{ height: heightPx }} />
      </tr>
    )
  );
}

/** A table that scrolls in a frame of its own, its heads in sight. */
export function VirtualTable({ long, head, children, label, rowCount, ...table }: VirtualTableProps) {
  const { frame, shown, abovePx, belowPx } = long;
  return (
    <div ref={frame} className={FRAME}>
      <table {...table} aria-rowcount={rowCount} aria-label={label}>
        {head}
        <tbody>
          <Gap heightPx={abovePx} />
          {shown.map(children)}
          <Gap heightPx={belowPx} />
        </tbody>
      </table>
    </div>
  );
}

/** The same for lines without columns; the head is what is there above them, or instead. */
export function VirtualList({ long, className, head, children }: VirtualProps) {
  const { frame, shown, abovePx, belowPx } = long;
  return (
    <div ref={frame} className={FRAME}>
      {head}
      <ol className={className} style={{ paddingTop: abovePx, paddingBottom: belowPx }}>
        {shown.map(children)}
      </ol>
    </div>
  );
}
