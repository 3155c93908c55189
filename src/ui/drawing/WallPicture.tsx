import { useRef } from 'react';
import type { WallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { useSize } from '../components/useSize.ts';
import { PrintDefs } from './Prints.tsx';
import { ShapeView } from './ShapeView.tsx';

/** No higher than this, so that what is below is in sight; less on a phone. */
const MOST_PX = 330;
const MOST_NARROW_PX = 190;
const NARROW_PX = 420;

/** A wall to look at only, with one of its places marked. */
export function WallPicture({
  drawing,
  place,
  lots,
  label,
  mark,
  mostPx = MOST_PX,
}: {
  drawing: WallDrawing;
  place: PlaceId;
  /** Things that are marked too, where they are seen. */
  lots: readonly LotId[];
  label: string;
  mark: 'from' | 'to';
  /** No higher than this. */
  mostPx?: number | undefined;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const most = size && size.width < NARROW_PX ? MOST_NARROW_PX : mostPx;
  const scale = size ? Math.min(size.width / drawing.widthMm, most / drawing.heightMm) : 0;
  const marked = new Set<string>(lots);
  const spot = drawing.figures.find((figure) => figure.kind === 'place' && figure.id === place);
  return (
    <div ref={frame} className="w-full">
      <PrintDefs />
      <svg role="img" aria-label={label} width="100%" height={drawing.heightMm * scale} className="block select-none">
        {scale > 0 && drawing.backdrop.map((shape, i) => <ShapeView key={i} shape={shape} scale={scale} />)}
        {scale > 0 &&
          drawing.figures.map((figure, i) => (
            <g key={`${figure.id} ${i}`}>
              {figure.shapes
                .filter((shape) => shape.type !== 'text')
                .map((shape, at) => (
                  <ShapeView key={at} shape={shape} scale={scale} />
                ))}
              {figure.kind === 'lot' && marked.has(figure.id) && (
                <rect
                  x={figure.x * scale - 1}
                  y={figure.y * scale - 1}
                  width={figure.width * scale + 2}
                  height={figure.height * scale + 2}
                  fill="none"
                  stroke="#22303c"
                  strokeWidth="2.5"
                />
              )}
            </g>
          ))}
        {spot && (
          <rect
            x={spot.x * scale - 3}
            y={spot.y * scale - 3}
            width={spot.width * scale + 6}
            height={spot.height * scale + 6}
            fill="none"
            stroke="#2f5d7c"
            strokeWidth="4"
            strokeDasharray={mark === 'to' ? '9 5' : undefined}
          />
        )}
      </svg>
    </div>
  );
}
