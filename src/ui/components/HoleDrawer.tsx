import { useRef, useState } from 'react';
import type { Hole } from '../../core/layout/index.ts';
import { useDrag } from './useDrag.ts';
import { t } from '../language/index.ts';

interface HoleDrawerProps {
  /** The outline, as it is drawn. */
  readonly path: string;
  /** From pixels to the right and down, to mm across and along. */
  readonly toCloth: (rightPx: number, downPx: number) => readonly [acrossMm: number, alongMm: number];
  readonly snap: (mm: number) => number;
  readonly onHole: (hole: Hole) => void;
}

/** The cloth itself, on which a hole is drawn by dragging from one of its corners to the other. */
export function HoleDrawer({ path, toCloth, snap, onHole }: HoleDrawerProps) {
  const [drawn, setDrawn] = useState<readonly [number, number, number, number] | null>(null);
  const from = useRef<readonly [number, number]>([0, 0]);
  const drag = useDrag({
    onTake: (event) => {
      const { left, top } = (event.currentTarget as SVGPathElement).getBoundingClientRect();
      const box = (event.currentTarget as SVGPathElement).getBBox();
      from.current = [event.clientX - left + box.x, event.clientY - top + box.y];
    },
    onDrag: (right, down) => {
      const [x, y] = from.current;
      setDrawn([Math.min(x, x + right), Math.min(y, y + down), Math.abs(right), Math.abs(down)]);
    },
    onDrop: () => {
      if (drawn) {
        const [xMm, yMm] = toCloth(drawn[0], drawn[1]);
        const [widthMm, heightMm] = toCloth(drawn[2], drawn[3]);
        const hole = { xMm: snap(xMm), yMm: snap(yMm), widthMm: snap(widthMm), heightMm: snap(heightMm) };
        if (hole.widthMm > 0 && hole.heightMm > 0) onHole(hole);
      }
      setDrawn(null);
    },
    onCancel: () => setDrawn(null),
  });
  return (
    <>
      <path d={path} fill="transparent" className="cursor-crosshair" {...drag}>
        <title>{t('Drag over a hole to draw it')}</title>
      </path>
      {drawn && (
        <rect
          x={drawn[0]}
          y={drawn[1]}
          width={drawn[2]}
          height={drawn[3]}
          fill="var(--color-madder)"
          fillOpacity="0.25"
          pointerEvents="none"
        />
      )}
    </>
  );
}
