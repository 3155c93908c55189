import { useEffect, useMemo, useRef, useState } from 'react';
import type { WallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount, wordReach } from '../text/index.ts';
import { PrintDefs } from './Prints.tsx';
import { ShapeView } from './ShapeView.tsx';
import { Tape } from './Tape.tsx';

interface WallViewProps {
  readonly drawing: WallDrawing;
  readonly label: string;
  readonly units: UnitSystem;
  readonly chosenPlace: PlaceId | null;
  readonly chosenLot: LotId | null;
  readonly namePlace: (id: PlaceId) => string;
  readonly onPlace: (id: PlaceId) => void;
  readonly onLot: (id: LotId) => void;
}

/** Beside the wall: room for the names of the reach bands, where there is any. */
const MARGIN = 78;
const NARROW_MARGIN = 8;
const NARROW_PX = 600;

/** A wall front on with the tape above it. Places are reached by Tab, what is in them by pointing or through the ticket. */
export function WallView({ drawing, label, units, chosenPlace, chosenLot, namePlace, onPlace, onLot }: WallViewProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 840, height: 620 });
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const isNarrow = size.width < NARROW_PX;
  const margin = isNarrow ? NARROW_MARGIN : MARGIN;
  const fitWidth = (size.width - margin - (isNarrow ? margin : 30)) / drawing.widthMm;
  // On a phone the page scrolls and the frame is as high as the wall: only the width decides.
  const fitHeight = !isNarrow && size.height > 200 ? (size.height - 24 - 20) / drawing.heightMm : Infinity;
  const scale = Math.max(0.05, Math.min(fitWidth, fitHeight, 1.2));
  const left = Math.max(margin, (size.width - drawing.widthMm * scale) / 2);
  const height = drawing.heightMm * scale + 16;

  const bands = useMemo(
    () => drawing.bands.filter((band) => (band.toMm - band.fromMm) * scale > 18),
    [drawing.bands, scale],
  );
  const chosen = chosenLot
    ? drawing.figures.find((figure) => figure.kind === 'lot' && figure.id === chosenLot)
    : undefined;
  const place = drawing.figures.find((figure) => figure.kind === 'place' && figure.id === chosenPlace);
  const free = chosenPlace ? drawing.places.get(chosenPlace)?.freeMm : null;

  return (
    <div ref={frame} className="flex min-h-0 flex-1 flex-col overflow-auto pt-2 md:justify-center">
      <PrintDefs />
      <Tape lengthMm={drawing.widthMm} scale={scale} offsetPx={left} system={units} />
      <svg role="group" aria-label={label} width="100%" height={height} className="block shrink-0 select-none">
        <g transform={`translate(${left} 0)`}>
          {drawing.backdrop.map((shape, i) => (
            <ShapeView key={i} shape={shape} scale={scale} />
          ))}
          {bands.map((band) => {
            const y = (drawing.heightMm - band.toMm) * scale;
            const isEasy = band.reach === 'easy';
            return (
              <g key={band.reach} pointerEvents="none">
                {isEasy && (
                  <rect
                    x="1"
                    y={y}
                    width={drawing.widthMm * scale - 2}
                    height={(band.toMm - band.fromMm) * scale}
                    fill="#2f5d7c"
                    fillOpacity="0.06"
                  />
                )}
                {!isNarrow && (
                  <text x="-8" y={y + 16} fontSize="14" fontStyle="italic" textAnchor="end" fill="#566570">
                    {wordReach(band.reach)}
                  </text>
                )}
              </g>
            );
          })}
          {drawing.figures.map((figure, i) => {
            const shapes = figure.shapes.map((shape, at) => <ShapeView key={at} shape={shape} scale={scale} />);
            const box = {
              x: figure.x * scale,
              y: figure.y * scale,
              width: figure.width * scale,
              height: figure.height * scale,
            };
            if (figure.kind === 'unit')
              return (
                <g key={`${figure.id} ${i}`} pointerEvents="none">
                  {shapes}
                </g>
              );
            if (figure.kind === 'lot')
              return (
                <g
                  key={figure.id}
                  data-lot={figure.id}
                  className="cursor-pointer"
                  onClick={() => onLot(figure.id as LotId)}
                >
                  {shapes}
                  <rect {...box} fill="transparent" />
                </g>
              );
            const id = figure.id as PlaceId;
            const state = drawing.places.get(id);
            const words = state
              ? `${wordCount(state.lots, 'lot')}${state.isOverFull ? ', over full' : state.freeMm === null ? '' : `, ${formatSize(state.freeMm, units)} free`}`
              : '';
            return (
              <g
                key={id}
                role="button"
                tabIndex={0}
                aria-label={`${namePlace(id)}: ${words}`}
                aria-pressed={id === chosenPlace}
                className="group cursor-pointer outline-none"
                onClick={() => onPlace(id)}
                onKeyDown={(event) => {
                  if (event.key !== 'Enter' && event.key !== ' ') return;
                  event.preventDefault();
                  onPlace(id);
                }}
              >
                <rect {...box} fill="transparent" />
                {shapes}
                <rect
                  {...box}
                  fill="none"
                  stroke="#2f5d7c"
                  strokeWidth="3"
                  className="opacity-0 group-focus-visible:opacity-100"
                />
              </g>
            );
          })}
          {place && (
            <rect
              x={place.x * scale}
              y={place.y * scale}
              width={place.width * scale}
              height={place.height * scale}
              fill="none"
              stroke="#2f5d7c"
              strokeWidth="2.5"
              pointerEvents="none"
            />
          )}
          {place && free !== null && free !== undefined && free * scale > 12 && (
            <g pointerEvents="none">
              <path
                d={`M${(place.x + place.width - free) * scale + 1} ${(place.y + 30) * scale}h${free * scale - 2}m0 -4v8m${-(free * scale - 2)} 0v-8`}
                stroke="#2f5d7c"
                strokeWidth="1.5"
                fill="none"
              />
              <text
                x={(place.x + place.width - free / 2) * scale}
                y={(place.y + 30) * scale - 6}
                textAnchor="middle"
                fontSize="14"
                fontWeight="600"
                fill="#2f5d7c"
                stroke="#fffdf8"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {formatSize(free, units)} free
              </text>
            </g>
          )}
          {chosen && (
            <g pointerEvents="none">
              <rect
                x={chosen.x * scale - 2}
                y={chosen.y * scale - 2}
                width={chosen.width * scale + 4}
                height={chosen.height * scale + 4}
                fill="none"
                stroke="#fffdf8"
                strokeWidth="5"
              />
              <rect
                data-testid="spot"
                x={chosen.x * scale - 2}
                y={chosen.y * scale - 2}
                width={chosen.width * scale + 4}
                height={chosen.height * scale + 4}
                fill="none"
                stroke="#22303c"
                strokeWidth="2.5"
              />
            </g>
          )}
        </g>
      </svg>
    </div>
  );
}
