import { useRef, useState } from 'react';
import type { Spot } from '../../../core/scraps/index.ts';
import { useDrag } from '../../components/useDrag.ts';
import { useSize } from '../../components/useSize.ts';
import { t } from '../../language/index.ts';

/** An arrow key moves a corner by this share of the picture. */
const KEY_SHARE = 0.004;
const STEPS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -KEY_SHARE, y: 0 },
  ArrowRight: { x: KEY_SHARE, y: 0 },
  ArrowUp: { x: 0, y: -KEY_SHARE },
  ArrowDown: { x: 0, y: KEY_SHARE },
};

const within = ({ x, y }: Spot): Spot => ({ x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) });

interface PhotoSheetProps {
  readonly url: string;
  /** The sheet's corners, clockwise; shares of the picture. */
  readonly sheet: readonly Spot[];
  /** The scrap's edge as it was found; null where none was. */
  readonly edge: readonly Spot[] | null;
  /** A corner was put elsewhere. */
  readonly onMove: (sheet: readonly Spot[]) => void;
}

/** The photo with the sheet's corners, which are dragged to where they are, and the edge of the scrap. */
export function PhotoSheet({ url, sheet, edge, onMove }: PhotoSheetProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [dragged, setDragged] = useState<readonly Spot[] | null>(null);
  const shown = dragged ?? sheet;
  const toPath = (spots: readonly Spot[]) =>
    size ? `M${spots.map(({ x, y }) => `${x * size.width} ${y * size.height}`).join('L')}Z` : '';
  const put = (n: number, by: Spot) =>
    sheet.map((spot, i) => (i === n ? within({ x: spot.x + by.x, y: spot.y + by.y }) : spot));
  return (
    <div ref={frame} className="relative mt-2 touch-none select-none">
      <img src={url} alt={t('The scrap beside the sheet')} className="block w-full" draggable={false} />
      <svg aria-hidden className="pointer-events-none absolute inset-0 size-full">
        <path d={toPath(shown)} fill="none" stroke="var(--color-woad)" strokeWidth="2" />
        {edge && !dragged && (
          <path d={toPath(edge)} fill="none" stroke="var(--color-weld)" strokeWidth="2.5" strokeDasharray="7 4" />
        )}
      </svg>
      {shown.map((spot, n) => (
        <Corner
          key={n}
          n={n}
          spot={spot}
          onStep={(by) => onMove(put(n, by))}
          onDrag={(right, down) => size && setDragged(put(n, { x: right / size.width, y: down / size.height }))}
          onDrop={() => {
            if (dragged) onMove(dragged);
            setDragged(null);
          }}
          onCancel={() => setDragged(null)}
        />
      ))}
    </div>
  );
}

interface CornerProps {
  readonly n: number;
  readonly spot: Spot;
  readonly onStep: (by: Spot) => void;
  readonly onDrag: (rightPx: number, downPx: number) => void;
  readonly onDrop: () => void;
  readonly onCancel: () => void;
}

function Corner({ n, spot, onStep, onDrag, onDrop, onCancel }: CornerProps) {
  const drag = useDrag({ onDrag, onDrop, onCancel });
  return (
    <button
      type="button"
      aria-label={t('Corner {n} of the sheet', { n: n + 1 })}
      className="absolute grid size-11 -translate-1/2 cursor-move place-items-center"
      style={{ left: `${spot.x * 100}%`, top: `${spot.y * 100}%` }}
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        if (!step) return;
        event.preventDefault();
        onStep(step);
      }}
      {...drag}
    >
      <span aria-hidden className="block size-4 rounded-full border-2 border-white bg-woad" />
    </button>
  );
}
