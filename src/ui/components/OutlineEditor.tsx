import { useRef, useState, type KeyboardEvent } from 'react';
import type { Hole, Point } from '../../core/layout/index.ts';
import { formatSize, parseLengthMm, type UnitSystem } from '../../core/units/index.ts';
import { Button } from './Button.tsx';
import { explained } from './explained.ts';
import { TextField } from './fields.tsx';
import { HoleDrawer } from './HoleDrawer.tsx';
import { useDrag } from './useDrag.ts';
import { useSize } from './useSize.ts';
import { t } from '../language/index.ts';

/** Corners that are dragged lie on this, mm; with Shift an arrow key moves by one. */
const SNAP_MM = 5;
const KEY_MM = 10;
const PAD_PX = 14;
const MOST_HIGH_PX = 340;
const MOST_CORNERS = 60;

interface OutlineEditorProps {
  readonly label: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly outline: readonly Point[];
  readonly onChange: (outline: Point[]) => void;
  readonly units: UnitSystem;
  /** What is along the grain lies across the screen, as a cloth does on a table. */
  readonly isSideways?: boolean;
  /** The left edge is a fold. */
  readonly isOnFold?: boolean;
  readonly holes?: readonly Hole[];
  /** A hole that was drawn on it. */
  readonly onHole?: (hole: Hole) => void;
}

const snap = (mm: number) => Math.round(mm / SNAP_MM) * SNAP_MM;
const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));

/** A shape whose corners are dragged, moved by the arrow keys or typed; one more is added in the middle of an edge. */
export function OutlineEditor(props: OutlineEditorProps) {
  const {
    label,
    widthMm,
    heightMm,
    outline,
    onChange,
    units,
    isSideways = false,
    isOnFold = false,
    holes = [],
    onHole,
  } = props;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [chosen, setChosen] = useState(0);
  const [acrossMm, downMm] = isSideways ? [heightMm, widthMm] : [widthMm, heightMm];
  const scale = size ? Math.min((size.width - 2 * PAD_PX) / acrossMm, MOST_HIGH_PX / downMm) : 0;
  const toScreen = ({ xMm, yMm }: Point): readonly [number, number] =>
    isSideways ? [yMm * scale, xMm * scale] : [xMm * scale, yMm * scale];
  const toCloth = (right: number, down: number): readonly [number, number] =>
    isSideways ? [down / scale, right / scale] : [right / scale, down / scale];
  const move = (n: number, { xMm, yMm }: Point) =>
    onChange(outline.map((one, i) => (i === n ? { xMm: clamp(xMm, widthMm), yMm: clamp(yMm, heightMm) } : one)));
  const add = (n: number) => {
    const [a, b] = [outline[n]!, outline[(n + 1) % outline.length]!];
    const middle = { xMm: (a.xMm + b.xMm) / 2, yMm: (a.yMm + b.yMm) / 2 };
    onChange(outline.toSpliced(n + 1, 0, middle));
    setChosen(n + 1);
  };
  const remove = (n: number) => {
    if (outline.length <= 3) return;
    onChange(outline.toSpliced(n, 1));
    setChosen(Math.max(0, n - 1));
  };
  const corner = outline[chosen];
  const path = `M${outline.map((point) => toScreen(point).join(' ')).join('L')}Z`;
  return (
    <div>
      <div
        ref={frame}
        className="overflow-hidden"
        {...explained(t('Drawn to scale. Drag a corner, or move it by the arrow keys.'), label)}
      >
        {size && (
          <svg
            role="group"
            aria-label={label}
            data-typing
            width={acrossMm * scale + 2 * PAD_PX}
            height={downMm * scale + 2 * PAD_PX}
            className="block touch-none"
          >
            <g transform={`translate(${PAD_PX} ${PAD_PX})`}>
              <rect
                width={acrossMm * scale}
                height={downMm * scale}
                fill="none"
                stroke="var(--color-thread)"
                strokeDasharray="3 3"
              />
              <path
                d={path}
                fill="var(--color-tape)"
                fillOpacity="0.6"
                stroke="var(--color-ink)"
                strokeLinejoin="round"
              />
              {isOnFold && (
                <path
                  d={`M0 0V${downMm * scale}`}
                  stroke="var(--color-woad)"
                  strokeWidth="3"
                  strokeDasharray="8 3 2 3"
                />
              )}
              {onHole && <HoleDrawer path={path} toCloth={toCloth} snap={snap} onHole={onHole} />}
              <Holes holes={holes} toScreen={toScreen} />
              {outline.length < MOST_CORNERS && <Middles outline={outline} toScreen={toScreen} onAdd={add} />}
              {outline.map((point, n) => (
                <Corner
                  key={n}
                  at={toScreen(point)}
                  label={t('Corner {n} of {outline}: {across} across, {along} along', {
                    n: n + 1,
                    outline: outline.length,
                    across: formatSize(point.xMm, units),
                    along: formatSize(point.yMm, units),
                  })}
                  isChosen={n === chosen}
                  onChoose={() => setChosen(n)}
                  onMove={(right, down, isSnapped) => {
                    const [x, y] = toCloth(right, down);
                    const snapped = (mm: number) => (isSnapped ? snap(mm) : mm);
                    move(n, { xMm: snapped(point.xMm + x), yMm: snapped(point.yMm + y) });
                  }}
                  onStep={(right, down) => move(n, isSideways ? step(point, down, right) : step(point, right, down))}
                  onRemove={() => remove(n)}
                />
              ))}
            </g>
          </svg>
        )}
      </div>
      {corner && (
        <ChosenCorner
          key={chosen}
          corner={corner}
          units={units}
          canAdd={outline.length < MOST_CORNERS}
          canRemove={outline.length > 3}
          onMove={(to) => move(chosen, to)}
          onAdd={() => add(chosen)}
          onRemove={() => remove(chosen)}
        />
      )}
    </div>
  );
}

interface MiddlesProps {
  readonly outline: readonly Point[];
  readonly toScreen: (point: Point) => readonly [number, number];
  readonly onAdd: (n: number) => void;
}

/** The middles of the edges, each of which becomes a corner more. */
function Middles({ outline, toScreen, onAdd }: MiddlesProps) {
  return outline.map((a, n) => {
    const b = outline[(n + 1) % outline.length]!;
    const [x, y] = toScreen({ xMm: (a.xMm + b.xMm) / 2, yMm: (a.yMm + b.yMm) / 2 });
    return (
      <g
        key={`${n} ${outline.length}`}
        transform={`translate(${x} ${y})`}
        className="cursor-copy"
        onPointerDown={() => onAdd(n)}
      >
        <title>{t('A corner more')}</title>
        <circle r="9" fill="transparent" />
        <path d="M-5 0H5M0 -5V5" stroke="var(--color-woad)" strokeWidth="2" />
      </g>
    );
  });
}

/** Where nothing is cut. */
function Holes({ holes, toScreen }: { holes: readonly Hole[]; toScreen: (point: Point) => readonly [number, number] }) {
  return holes.map((hole, n) => {
    const [x, y] = toScreen(hole);
    const [w, h] = toScreen({ xMm: hole.widthMm, yMm: hole.heightMm });
    return (
      <path
        key={n}
        d={`M${x} ${y}h${w}v${h}h${-w}zl${w} ${h}m${-w} 0l${w} ${-h}`}
        fill="none"
        stroke="var(--color-madder)"
        pointerEvents="none"
      />
    );
  });
}

const step = ({ xMm, yMm }: Point, x: number, y: number): Point => ({ xMm: xMm + x, yMm: yMm + y });

interface ChosenCornerProps {
  readonly corner: Point;
  readonly units: UnitSystem;
  readonly canAdd: boolean;
  readonly canRemove: boolean;
  readonly onMove: (to: Point) => void;
  readonly onAdd: () => void;
  readonly onRemove: () => void;
}

/** Where the chosen corner is, typed; one more after it, or none here. */
function ChosenCorner({ corner, units, canAdd, canRemove, onMove, onAdd, onRemove }: ChosenCornerProps) {
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <MeasureField
        label={t('This corner, across')}
        mm={corner.xMm}
        units={units}
        onKeep={(xMm) => onMove({ ...corner, xMm })}
      />
      <MeasureField label={t('along')} mm={corner.yMm} units={units} onKeep={(yMm) => onMove({ ...corner, yMm })} />
      <Button disabled={!canAdd} onClick={onAdd}>
        {t('A corner more')}
      </Button>
      <Button disabled={!canRemove} onClick={onRemove}>
        {t('Take it away')}
      </Button>
    </div>
  );
}

interface CornerProps {
  readonly at: readonly [number, number];
  readonly label: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly onMove: (rightPx: number, downPx: number, isSnapped: boolean) => void;
  readonly onStep: (rightMm: number, downMm: number) => void;
  readonly onRemove: () => void;
}

function Corner({ at: [x, y], label, isChosen, onChoose, onMove, onStep, onRemove }: CornerProps) {
  // So far it was dragged when it was last moved: each move goes on from there.
  const dragged = useRef<readonly [number, number]>([0, 0]);
  const begun = useRef(onMove);
  const drag = useDrag({
    onTake: () => {
      onChoose();
      dragged.current = [0, 0];
      begun.current = onMove;
    },
    onDrag: (right, down) => {
      dragged.current = [right, down];
      begun.current(right, down, true);
    },
    onDrop: () => undefined,
    onCancel: () => begun.current(0, 0, false),
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 1 : KEY_MM;
    const way = { ArrowRight: [by, 0], ArrowLeft: [-by, 0], ArrowDown: [0, by], ArrowUp: [0, -by] }[event.key];
    if (way) onStep(way[0]!, way[1]!);
    else if (event.key === 'Delete' || event.key === 'Backspace') onRemove();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <g
      transform={`translate(${x} ${y})`}
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={isChosen}
      className="cursor-move"
      onFocus={onChoose}
      onKeyDown={onKeyDown}
      {...drag}
    >
      <title>{label}</title>
      {/* Wide enough for a thumb. */}
      <circle r="15" fill="transparent" />
      <circle
        r={isChosen ? 9 : 7}
        fill={isChosen ? 'var(--color-woad)' : 'var(--color-paper)'}
        stroke="var(--color-ink)"
        strokeWidth="2"
      />
    </g>
  );
}

/** A measure that is typed; kept as soon as it reads. */
function MeasureField({
  label,
  mm,
  units,
  onKeep,
}: {
  label: string;
  mm: number;
  units: UnitSystem;
  onKeep: (mm: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <div className="w-36">
      <TextField
        label={label}
        value={text ?? formatSize(mm, units)}
        onChange={(event) => {
          setText(event.target.value);
          const read = parseLengthMm(event.target.value, units === 'metric' ? 'cm' : 'in');
          if (read.ok && read.value >= 0) onKeep(read.value);
        }}
        onBlur={() => setText(null)}
      />
    </div>
  );
}
