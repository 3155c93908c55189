import { useCallback, useRef, type ReactNode } from 'react';
import type { WallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import type { PlaceTree } from '../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { useSize } from '../components/useSize.ts';
import { Outline } from './Outline.tsx';
import { ScaleContext } from './scale.ts';
import { Tape } from './Tape.tsx';
import { useZoom } from './useZoom.ts';
import { ZoomButtons } from './ZoomButtons.tsx';
import { WallFigures } from './WallFigures.tsx';
import { t } from '../language/index.ts';

interface WallViewProps {
  readonly drawing: WallDrawing;
  readonly label: string;
  readonly units: UnitSystem;
  readonly chosenPlace: PlaceId | null;
  readonly chosenLot: LotId | null;
  readonly tree: PlaceTree;
  readonly onPlace: (id: PlaceId) => void;
  readonly onLot: (id: LotId) => void;
  /** What lies over the drawing; it asks for `ScaleContext`. */
  readonly overlay?: ReactNode;
  /** What lies on the wall behind everything that is drawn on it. */
  readonly behind?: ReactNode;
  /** What is in its places can be dragged. */
  readonly isHeld?: boolean;
}

/** Beside the wall: room for the names of the reach bands, where there is any. */
const MARGIN = 78;
const RIGHT_MARGIN = 30;
const NARROW_MARGIN = 8;
const NARROW_PX = 600;
const TAPE_PX = 24;

/** A wall front on under its tape. Places are reached by Tab, what is in them by pointing or through the ticket. */
export function WallView(props: WallViewProps) {
  const {
    drawing,
    label,
    units,
    chosenPlace,
    chosenLot,
    tree,
    onPlace,
    onLot,
    overlay,
    behind,
    isHeld = false,
  } = props;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame) ?? { width: 840, height: 620 };
  const isNarrow = size.width < NARROW_PX;
  const margin = isNarrow ? NARROW_MARGIN : MARGIN;
  const fitWidth = (size.width - margin - (isNarrow ? margin : RIGHT_MARGIN)) / drawing.widthMm;
  // On a phone the page scrolls and the frame is as high as the wall: only the width decides.
  const fitHeight = !isNarrow && size.height > 200 ? (size.height - TAPE_PX - 20) / drawing.heightMm : Infinity;
  const wholeScale = Math.max(0.05, Math.min(fitWidth, fitHeight, 1.2));
  const { width } = size;
  const { widthMm } = drawing;
  const getLeft = useCallback(
    (zoom: number) => Math.max(margin, (width - widthMm * wholeScale * zoom) / 2),
    [margin, width, widthMm, wholeScale],
  );
  const zooming = useZoom(frame, getLeft);
  const { zoom, isWhole, drag } = zooming;
  const scale = wholeScale * zoom;
  const left = getLeft(zoom);
  const contentWidth = isWhole ? undefined : Math.max(width, left + drawing.widthMm * scale + RIGHT_MARGIN);

  return (
    <div className="relative flex min-h-0 flex-1 flex-col">
      <div
        ref={frame}
        data-testid="wall-frame"
        className={`flex min-h-0 flex-1 touch-pan-x touch-pan-y flex-col overflow-auto pt-2 ${isWhole ? '' : 'cursor-grab active:cursor-grabbing'}`}
        {...drag}
      >
        <div className="md:my-auto" style={{ width: contentWidth }}>
          <div className="sticky top-0 z-10">
            <Tape lengthMm={drawing.widthMm} scale={scale} offsetPx={left} system={units} />
          </div>
          <svg
            role="group"
            aria-label={label}
            width="100%"
            height={drawing.heightMm * scale + 16}
            className="block shrink-0 select-none"
          >
            <g transform={`translate(${left} 0)`}>
              <WallFigures
                {...{ drawing, scale, chosenPlace, tree, onPlace, onLot, isHeld, behind }}
                hasMargin={!isNarrow}
              />
              <Marks {...{ drawing, scale, units, chosenPlace, chosenLot }} />
              <ScaleContext value={scale}>{overlay}</ScaleContext>
            </g>
          </svg>
        </div>
      </div>
      <ZoomButtons {...{ zooming }} whole={t('Whole wall')} />
    </div>
  );
}

type MarksProps = Pick<WallViewProps, 'drawing' | 'units' | 'chosenPlace' | 'chosenLot'> & { scale: number };

/** What is chosen, outlined, with the width that is left in it. */
function Marks({ drawing, scale, units, chosenPlace, chosenLot }: MarksProps) {
  const chosen = chosenLot
    ? drawing.figures.find((figure) => figure.kind === 'lot' && figure.id === chosenLot)
    : undefined;
  const place = drawing.figures.find((figure) => figure.kind === 'place' && figure.id === chosenPlace);
  const free = chosenPlace ? drawing.places.get(chosenPlace)?.widthLeftMm : null;
  return (
    <g pointerEvents="none">
      {place && <Outline box={place} scale={scale} stroke="var(--color-woad)" />}
      {place && free !== null && free !== undefined && free * scale > 12 && (
        <>
          <path
            d={`M${(place.x + place.width - free) * scale + 1} ${(place.y + 30) * scale}h${free * scale - 2}m0 -4v8m${-(free * scale - 2)} 0v-8`}
            stroke="var(--color-woad)"
            strokeWidth="1.5"
            fill="none"
          />
          <text
            x={(place.x + place.width - free / 2) * scale}
            y={(place.y + 30) * scale - 6}
            textAnchor="middle"
            fontSize="14"
            fontWeight="600"
            fill="var(--color-woad)"
            stroke="var(--color-paper)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {t('{size} left', { size: formatSize(free, units) })}
          </text>
        </>
      )}
      {chosen && (
        <>
          <Outline box={chosen} scale={scale} stroke="var(--color-paper)" strokeWidth="5" outPx={2} />
          <Outline box={chosen} scale={scale} stroke="var(--color-ink)" outPx={2} testId="spot" />
        </>
      )}
    </g>
  );
}
