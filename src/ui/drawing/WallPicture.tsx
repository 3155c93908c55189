import { useRef } from 'react';
import type { Figure, WallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { useSize } from '../components/useSize.ts';
import { ShapeView } from './ShapeView.tsx';

/** No higher than this, so that what is below is in sight; less on a phone. */
const MOST_PX = 330;
const MOST_NARROW_PX = 190;
const NARROW_PX = 380;
const LETTER_PX = 24;

/** A place that is marked on a wall. */
export interface MarkedSpot {
  readonly place: PlaceId;
  readonly mark: 'from' | 'to';
  /** The key that chooses it. */
  readonly letter?: string;
  /** Things as they would stand there. */
  readonly ghosts?: readonly Figure[];
}

interface WallPictureProps {
  readonly drawing: WallDrawing;
  readonly spots: readonly MarkedSpot[];
  /** Things that are marked too, where they are seen. */
  readonly lots: readonly LotId[];
  readonly label: string;
  /** No higher than this. */
  readonly mostPx?: number | undefined;
}

/** A wall to look at only, with some of its places marked. */
export function WallPicture({ drawing, spots, lots, label, mostPx = MOST_PX }: WallPictureProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const most = size && size.width < NARROW_PX ? MOST_NARROW_PX : mostPx;
  const scale = size ? Math.min(size.width / drawing.widthMm, most / drawing.heightMm) : 0;
  const marked = new Set<string>(lots);
  return (
    <div ref={frame} className="w-full">
      <svg role="img" aria-label={label} width="100%" height={drawing.heightMm * scale} className="block select-none">
        {scale > 0 && drawing.backdrop.map((shape, i) => <ShapeView key={i} shape={shape} scale={scale} />)}
        {scale > 0 &&
          drawing.figures.map((figure, i) => (
            <g key={`${figure.id} ${i}`}>
              <Shapes figure={figure} scale={scale} />
              {figure.kind === 'lot' && marked.has(figure.id) && (
                <Frame of={figure} scale={scale} ink="var(--color-ink)" />
              )}
            </g>
          ))}
        {scale > 0 &&
          spots.map((spot) => <SpotView key={`${spot.place} ${spot.mark}`} {...{ drawing, spot, scale }} />)}
      </svg>
    </div>
  );
}

/** What is drawn of a figure, without its words. */
export function Shapes({ figure, scale }: { figure: Figure; scale: number }) {
  return figure.shapes
    .filter((shape) => shape.type !== 'text')
    .map((shape, at) => <ShapeView key={at} shape={shape} scale={scale} />);
}

function Frame({ of, scale, ink }: { of: Figure; scale: number; ink: string }) {
  return (
    <rect
      x={of.x * scale - 1}
      y={of.y * scale - 1}
      width={of.width * scale + 2}
      height={of.height * scale + 2}
      fill="none"
      stroke={ink}
      strokeWidth="2.5"
    />
  );
}

/** A marked place, what would stand in it as a ghost, and its key. */
function SpotView({ drawing, spot, scale }: { drawing: WallDrawing; spot: MarkedSpot; scale: number }) {
  const at = drawing.figures.find((figure) => figure.kind === 'place' && figure.id === spot.place);
  if (!at) return null;
  const [x, y] = [at.x * scale, at.y * scale];
  return (
    <g>
      {spot.ghosts?.map((ghost, n) => (
        <g key={n}>
          <g opacity="0.8">
            <Shapes figure={ghost} scale={scale} />
          </g>
          <Frame of={ghost} scale={scale} ink="var(--color-woad)" />
        </g>
      ))}
      <rect
        x={x - 3}
        y={y - 3}
        width={at.width * scale + 6}
        height={at.height * scale + 6}
        fill="none"
        stroke="var(--color-woad)"
        strokeWidth="4"
        strokeDasharray={spot.mark === 'to' ? '9 5' : undefined}
      />
      {spot.letter !== undefined && (
        <g transform={`translate(${x + (at.width * scale) / 2} ${y})`}>
          <rect
            x={-LETTER_PX / 2}
            y={-LETTER_PX / 2}
            width={LETTER_PX}
            height={LETTER_PX}
            rx="4"
            fill="var(--color-paper)"
            stroke="var(--color-woad)"
            strokeWidth="2"
          />
          <text y="5.5" textAnchor="middle" fontSize="15" fontWeight="700" fill="var(--color-ink)">
            {spot.letter.toUpperCase()}
          </text>
        </g>
      )}
    </g>
  );
}
