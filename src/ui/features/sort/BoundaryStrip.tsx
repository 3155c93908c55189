import { useRef, useState } from 'react';
import { findClass } from '../../../core/grouping/index.ts';
import { explained } from '../../components/explained.ts';
import { useApp } from '../../state/app.ts';
import { useSize } from '../../components/useSize.ts';
import { useDrag } from '../../components/useDrag.ts';
import { t } from '../../language/index.ts';

/** A lot on the strip: its value and colour. */
export interface Mark {
  readonly value: number;
  readonly colour: string;
}

interface BoundaryStripProps {
  /** What is measured, as in `length`. */
  readonly label: string;
  readonly marks: readonly Mark[];
  readonly at: readonly number[];
  /** Small values are drawn wider than large ones: the power of the scale, 1 for an even one. */
  readonly power: number;
  /** A boundary moves by this. */
  readonly step: number;
  readonly nameClass: (index: number, at: readonly number[]) => string;
  readonly format: (value: number) => string;
  /** What was typed, or what is wrong with it; null where a boundary has no figure to type. */
  readonly parse: ((text: string) => { value: number } | { fault: string }) | null;
  readonly onChange: (at: readonly number[]) => void;
}

const HEIGHT_PX = 30;
/** So many marks can be told apart on a strip. */
const MOST_MARKS = 600;

/** The values of a group along a tape, with pins where its classes meet: a pin is dragged, moved by the arrow keys or typed. */
export function BoundaryStrip(props: BoundaryStripProps) {
  const { label, marks, at, power, step, nameClass, format, onChange } = props;
  const frame = useRef<HTMLDivElement>(null);
  const width = useSize(frame)?.width ?? 600;
  const [draft, setDraft] = useState<readonly number[] | null>(null);
  const now = draft ?? at;
  const values = [...marks.map((mark) => mark.value), ...now];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const toShare = (value: number) => Math.max(0, value) ** power;
  const span = Math.max(1e-9, toShare(most) - toShare(least));
  const toPx = (value: number) => 6 + ((toShare(value) - toShare(least)) / span) * (width - 12);
  const fromPx = (px: number) => Math.max(0, ((px - 6) / (width - 12)) * span + toShare(least)) ** (1 / power);
  const counts = Array.from({ length: now.length + 1 }, () => 0);
  for (const { value } of marks) counts[findClass(now, value)]! += 1;
  const every = Math.ceil(marks.length / MOST_MARKS);

  /** A boundary stays between its neighbours. */
  const move = (index: number, value: number) => {
    const low = now[index - 1] === undefined ? step : now[index - 1]! + step;
    const high = now[index + 1] === undefined ? Math.max(most, value) : now[index + 1]! - step;
    const rounded = Math.round(value / step) * step;
    setDraft(now.with(index, Math.min(high, Math.max(low, rounded))));
  };
  const settle = () => {
    if (draft && draft.some((value, i) => value !== at[i])) onChange(draft);
    setDraft(null);
  };
  /** Cuts the fullest class in its middle. */
  const add = () => {
    const fullest = counts.indexOf(Math.max(...counts));
    const inside = marks
      .map((mark) => mark.value)
      .filter((value) => findClass(now, value) === fullest)
      .toSorted((a, b) => a - b);
    const middle = Math.round((inside[inside.length >> 1] ?? 0) / step) * step;
    if (middle > 0 && !now.includes(middle)) onChange([...now, middle]);
  };

  return (
    <div className="mt-1 pb-1">
      <div ref={frame} className="relative touch-pan-y select-none" style={{ height: HEIGHT_PX }}>
        <svg aria-hidden width={width} height={HEIGHT_PX} className="absolute inset-0 bg-paper">
          <path d={`M0 ${HEIGHT_PX - 0.5}H${width}`} stroke="var(--color-ink)" />
          {marks
            .filter((_, i) => i % every === 0)
            .map(({ value, colour }, i) => (
              <path key={i} d={`M${toPx(value)} 6V${HEIGHT_PX - 2}`} stroke={colour} strokeWidth="3" opacity="0.85" />
            ))}
        </svg>
        {now.map((value, index) => (
          <Pin
            key={index}
            name={t('Boundary {number} of {label}', { number: index + 1, label })}
            value={value}
            range={[least, most]}
            words={format(value)}
            leftPx={toPx(value)}
            step={step}
            onMove={(next) => move(index, next)}
            onDrag={(clientX) => move(index, fromPx(clientX - frame.current!.getBoundingClientRect().left))}
            onSettle={settle}
            onCancel={() => setDraft(null)}
          />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1 pt-1 text-sm text-stone">
        {counts.map((count, i) => (
          <span key={i} className="flex items-center gap-2">
            <span {...explained(t('The things between the two boundaries; it changes while you move one.'))}>
              {nameClass(i, now)} <strong className="tabular text-ink">{count}</strong>
            </span>
            {i < now.length && props.parse && <BoundaryField {...props} index={i} value={now[i]!} />}
          </span>
        ))}
        <button type="button" className="min-h-11 text-woad underline underline-offset-4 md:min-h-0" onClick={add}>
          {t('One boundary more')}
        </button>
        {draft && (
          <span className="sr-only" role="status">
            {t('{classes, plural, one {# class} other {# classes}}: {counts}', {
              classes: counts.length,
              counts: counts.join(', '),
            })}
          </span>
        )}
      </div>
    </div>
  );
}

/** A boundary as it is typed; emptied, it goes. */
function BoundaryField({
  label,
  at,
  index,
  value,
  format,
  parse,
  onChange,
}: BoundaryStripProps & { index: number; value: number }) {
  const tell = useApp((state) => state.tell);
  const [text, setText] = useState<string | null>(null);
  const save = () => {
    if (text === null) return;
    setText(null);
    if (text.trim() === '') {
      onChange(at.filter((_, i) => i !== index));
      return;
    }
    const parsed = parse!(text);
    if ('fault' in parsed) tell({ tone: 'fault', text: parsed.fault, canUndo: false });
    else if (parsed.value <= (at[index - 1] ?? 0) || parsed.value >= (at[index + 1] ?? Infinity))
      tell({ tone: 'fault', text: t('A boundary stays between its neighbours.'), canUndo: false });
    else onChange(at.with(index, parsed.value));
  };
  return (
    <input
      maxLength={40}
      aria-label={t('Boundary {number} of {label}, typed', { number: index + 1, label })}
      title={t('Empty it to have one boundary less.')}
      className="h-11 w-22 rounded border border-thread bg-paper px-2 text-ink md:h-7"
      value={text ?? format(value)}
      onChange={(event) => setText(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => {
        if (event.key === 'Enter') save();
        if (event.key === 'Escape') setText(null);
      }}
    />
  );
}

interface PinProps {
  readonly name: string;
  readonly value: number;
  readonly range: readonly [least: number, most: number];
  readonly words: string;
  readonly leftPx: number;
  readonly step: number;
  readonly onMove: (value: number) => void;
  /** Dragged to there, px from the left of the page. */
  readonly onDrag: (clientX: number) => void;
  readonly onSettle: () => void;
  readonly onCancel: () => void;
}

/** Where two classes meet. */
function Pin({ name, value, range, words, leftPx, step, onMove, onDrag, onSettle, onCancel }: PinProps) {
  const drag = useDrag({ onDrag: (_right, _down, event) => onDrag(event.clientX), onDrop: onSettle, onCancel });
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={value}
      aria-valuemin={range[0]}
      aria-valuemax={range[1]}
      aria-valuetext={words}
      className="absolute top-0 w-11 -translate-x-1/2 cursor-ew-resize touch-none md:w-6"
      style={{ left: leftPx, height: HEIGHT_PX }}
      {...drag}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onMove(value + by * step);
      }}
      onKeyUp={onSettle}
      onBlur={onSettle}
    >
      <svg aria-hidden viewBox="0 0 12 30" className="pointer-events-none mx-auto block h-full w-3">
        <path d="M6 6V30" stroke="var(--color-ink)" strokeWidth="1.6" />
        <circle cx="6" cy="5" r="4.5" fill="var(--color-woad)" stroke="var(--color-paper)" />
      </svg>
    </div>
  );
}
