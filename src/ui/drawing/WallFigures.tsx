import { memo, useState, type ReactNode } from 'react';
import type { Figure, Ink, Layer, WallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import type { PlaceState } from '../../core/whereabouts/index.ts';
import { wordReach } from '../text/index.ts';
import { ScaleContext } from './scale.ts';
import { ShapeView } from './ShapeView.tsx';
import { t } from '../language/index.ts';

function getBox(figure: Figure, scale: number) {
  return {
    x: figure.x * scale,
    y: figure.y * scale,
    width: figure.width * scale,
    height: figure.height * scale,
  };
}

function Shapes({ figure, scale }: { figure: Figure; scale: number }) {
  return figure.shapes.map((shape, at) => <ShapeView key={at} shape={shape} scale={scale} />);
}

interface FigureProps {
  readonly figure: Figure;
  readonly scale: number;
}

/** Wood, and what is written on it: the places say by themselves how they are called. */
const Plain = memo(function Plain({ figure, scale }: FigureProps) {
  return (
    <g aria-hidden pointerEvents="none">
      <Shapes figure={figure} scale={scale} />
    </g>
  );
});

/** A lot is pointed at; by keys it is reached through the ticket of its place. */
const LotFigure = memo(function LotFigure({
  figure,
  scale,
  isHeld,
  isNew,
}: FigureProps & { isHeld: boolean; isNew: boolean }) {
  return (
    <g
      aria-hidden
      data-lot={figure.id}
      data-hold={isHeld || undefined}
      className={`cursor-pointer ${isNew ? 'arrives' : ''}`}
    >
      <Shapes figure={figure} scale={scale} />
      <rect {...getBox(figure, scale)} fill="transparent" />
    </g>
  );
});

const PlaceFigure = memo(function PlaceFigure({
  figure,
  scale,
  label,
  isChosen,
  isHeld,
}: FigureProps & { label: string; isChosen: boolean; isHeld: boolean }) {
  const box = getBox(figure, scale);
  return (
    <g role="listitem">
      <g
        role="button"
        tabIndex={0}
        data-place={figure.id}
        data-hold={isHeld || undefined}
        aria-label={label}
        aria-pressed={isChosen}
        className="group cursor-pointer outline-none"
      >
        <rect {...box} fill="transparent" />
        <Shapes figure={figure} scale={scale} />
        <rect
          {...box}
          fill="none"
          stroke="var(--color-woad)"
          strokeWidth="3"
          className="opacity-0 group-focus-visible:opacity-100"
        />
      </g>
    </g>
  );
});

const Backdrop = memo(function Backdrop({
  drawing,
  scale,
  hasMargin,
}: {
  drawing: WallDrawing;
  scale: number;
  hasMargin: boolean;
}) {
  return (
    <>
      {drawing.backdrop.map((shape, i) => (
        <ShapeView key={i} shape={shape} scale={scale} />
      ))}
      {drawing.bands
        .filter((band) => (band.toMm - band.fromMm) * scale > 18)
        .map((band) => {
          const y = (drawing.heightMm - band.toMm) * scale;
          return (
            <g key={band.fromMm} aria-hidden pointerEvents="none">
              {band.reach === 'easy' && (
                <rect
                  x="1"
                  y={y}
                  width={drawing.widthMm * scale - 2}
                  height={(band.toMm - band.fromMm) * scale}
                  fill="var(--color-woad)"
                  fillOpacity="0.06"
                />
              )}
              {hasMargin && (
                <text x="-8" y={y + 16} fontSize="14" fontStyle="italic" textAnchor="end" fill="var(--color-stone)">
                  {wordReach(band.reach)}
                </text>
              )}
            </g>
          );
        })}
    </>
  );
});

function describe(state: PlaceState | undefined): string {
  if (!state) return '';
  const full = state.isOverFull
    ? t(', over full')
    : state.lots === 0
      ? ''
      : t(', {fill} % full', { fill: Math.round(state.fill * 100) });
  return t('{lots, plural, one {# thing} other {# things}}{full}', { lots: state.lots, full });
}

interface LayerProps {
  readonly layer: Layer;
  readonly scale: number;
  readonly isHeld: boolean;
  readonly tree: PlaceTree;
  /** Where it is one of this layer. */
  readonly chosenPlace: PlaceId | null;
}

const NOTHING: ReadonlySet<string> = new Set();
const KEPT: ReadonlySet<Ink> = new Set<Ink>(['out', 'lent']);

/** The things that lie there, not those whose room is only kept. */
function listThere({ figures }: Layer): Set<string> {
  const isThere = ({ kind, shapes }: Figure) =>
    kind === 'lot' && shapes.some(({ ink, type }) => type === 'text' || !KEPT.has(ink));
  return new Set(figures.filter(isThere).map(({ id }) => id));
}

/** What came into a part of the wall since it was shown last; nothing where it is shown for the first time. */
function useArrived(layer: Layer): ReadonlySet<string> {
  const [shown, setShown] = useState({ layer, arrived: NOTHING });
  if (shown.layer === layer) return shown.arrived;
  const before = listThere(shown.layer);
  const arrived = new Set([...listThere(layer)].filter((id) => !before.has(id)));
  setShown({ layer, arrived });
  return arrived;
}

/** A part of the wall: where an act did not touch it, it stays as it is on the screen. */
const LayerView = memo(function LayerView({ layer, scale, isHeld, tree, chosenPlace }: LayerProps) {
  const arrived = useArrived(layer);
  return layer.figures.map((figure, i) => {
    if (figure.kind === 'unit') return <Plain key={`${figure.id} ${i}`} figure={figure} scale={scale} />;
    if (figure.kind === 'lot')
      return <LotFigure key={figure.id} {...{ figure, scale, isHeld }} isNew={arrived.has(figure.id)} />;
    const id = figure.id as PlaceId;
    const label = [`${formatPlaceName(tree, id)}: ${describe(layer.places.get(id))}`, layer.words.get(id) ?? '']
      .filter(Boolean)
      .join('; ');
    return <PlaceFigure key={id} {...{ figure, scale, isHeld, label }} isChosen={id === chosenPlace} />;
  });
});

interface WallFiguresProps {
  readonly drawing: WallDrawing;
  readonly scale: number;
  readonly chosenPlace: PlaceId | null;
  readonly hasMargin: boolean;
  /** What is in it can be dragged: a press on it does not drag the whole wall. */
  readonly isHeld: boolean;
  readonly tree: PlaceTree;
  readonly onPlace: (id: PlaceId) => void;
  readonly onLot: (id: LotId) => void;
  /** What lies on the wall behind everything that is drawn on it. */
  readonly behind?: ReactNode;
}

/**
 * All that is drawn of a wall. Choosing something draws only what was and is chosen anew: presses are taken where
 * they bubble up to.
 */
export function WallFigures(props: WallFiguresProps) {
  const { drawing, scale, chosenPlace, hasMargin, isHeld, tree, onPlace, onLot, behind } = props;
  const press = (target: EventTarget) => {
    const hit = (target as Element).closest<SVGElement>('[data-lot], [data-place]');
    if (hit?.dataset['lot']) onLot(hit.dataset['lot'] as LotId);
    else if (hit?.dataset['place']) onPlace(hit.dataset['place'] as PlaceId);
    return hit !== null;
  };
  return (
    <g
      onClick={(event) => press(event.target)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        if (press(event.target)) event.preventDefault();
      }}
    >
      <Backdrop drawing={drawing} scale={scale} hasMargin={hasMargin} />
      <ScaleContext value={scale}>{behind}</ScaleContext>
      <g role="list" aria-label={t('Places of this wall')}>
        {drawing.layers.map((layer) => (
          <LayerView
            key={layer.id}
            {...{ layer, scale, isHeld, tree }}
            chosenPlace={chosenPlace !== null && layer.places.has(chosenPlace) ? chosenPlace : null}
          />
        ))}
      </g>
    </g>
  );
}
