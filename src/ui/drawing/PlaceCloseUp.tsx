import { useRef } from 'react';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { findWallId } from '../../core/storage/index.ts';
import { useSize } from '../components/useSize.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { getLotsByPlace } from '../state/whereabouts.ts';
import { Outline } from './Outline.tsx';
import { useWallDrawing } from './wallDrawing.ts';
import { Shapes } from './WallPicture.tsx';

/** No higher than this, px, nor larger, px a mm; and so much of what is empty above them is left in sight, mm. */
const MOST_PX = 260;
const MOST_SCALE = 1.3;
const ABOVE_MM = 50;
const EDGE_PX = 3;

interface PlaceCloseUpProps {
  readonly place: PlaceId;
  readonly label: string;
  /** The one that is meant, outlined. */
  readonly chosen?: LotId;
}

/** What stands in an open place, as large as there is room; nothing where one does not look into it. */
export function PlaceCloseUp({ place, label, chosen }: PlaceCloseUpProps) {
  const household = useHousehold();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const wallId = findWallId(getTree(household), place);
  const figures = useWallDrawing(household, wallId)?.figures ?? [];
  const inside = new Set<string>((getLotsByPlace(household).get(place) ?? []).map(({ id }) => id));
  const at = figures.find(({ kind, id }) => kind === 'place' && id === place);
  const things = figures.filter(({ kind, id }) => kind === 'lot' && inside.has(id));
  if (!at || things.length === 0) return null;
  const top = Math.max(at.y, Math.min(...things.map(({ y }) => y)) - ABOVE_MM);
  const height = at.y + at.height - top;
  const spot = things.find(({ id }) => id === chosen);
  const scale = size ? Math.min((size.width - 2 * EDGE_PX) / at.width, MOST_PX / height, MOST_SCALE) : 0;
  return (
    <div ref={frame} className="w-full">
      <svg
        role="img"
        aria-label={label}
        width="100%"
        height={height * scale + 2 * EDGE_PX}
        className="block select-none"
      >
        <g transform={`translate(${EDGE_PX - at.x * scale} ${EDGE_PX - top * scale})`}>
          {scale > 0 && [at, ...things].map((figure) => <Shapes key={figure.id} {...{ figure, scale }} />)}
          {spot && scale > 0 && <Outline box={spot} scale={scale} stroke="var(--color-ink)" />}
        </g>
      </svg>
    </div>
  );
}
