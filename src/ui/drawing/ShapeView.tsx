import type { Ink, Shape, TextInk } from '../../core/drawing/index.ts';
import type { PhotoId } from '../../core/records/index.ts';
import { usePhotoUrl } from '../state/photos.ts';
import { fillWith } from './prints.ts';

interface Paint {
  readonly fill?: string;
  readonly stroke?: string;
  readonly width?: number;
  readonly dash?: string;
  /** A dark line below it, so wide, so that it is seen on every cloth, px. */
  readonly halo?: number;
}

const INK: Record<Ink, Paint> = {
  wall: { fill: 'var(--color-wall)', stroke: 'var(--color-ink)', width: 2 },
  floor: { stroke: 'var(--color-ink)', width: 3 },
  wood: { fill: 'var(--color-wood)', stroke: 'var(--color-walnut)', width: 1 },
  inside: { fill: 'var(--color-inside)', stroke: 'var(--color-grain-line)', width: 1 },
  dim: { fill: 'none', stroke: 'var(--color-grain-line)', width: 1 },
  front: { fill: 'var(--color-inside)', stroke: 'var(--color-walnut)', width: 1 },
  knob: { fill: 'var(--color-walnut)' },
  bin: { fill: 'var(--color-bin)' },
  level: { fill: 'var(--color-moss)' },
  levelNear: { fill: 'var(--color-weld)' },
  levelOver: { fill: 'var(--color-madder)' },
  card: { fill: 'var(--color-paper)', stroke: 'var(--color-thread)', width: 1 },
  plate: { fill: 'var(--color-paper)', stroke: 'var(--color-thread)', width: 1 },
  cloth: { stroke: 'var(--color-ink)', width: 0.5 },
  thing: { stroke: 'var(--color-ink)', width: 0.7 },
  paper: { fill: 'var(--color-envelope)', stroke: 'var(--color-walnut)', width: 0.7 },
  blade: { fill: 'var(--color-blade)', stroke: 'var(--color-ink)', width: 0.7 },
  dark: { fill: '#3b4750' },
  clear: { fill: 'var(--color-clear)', stroke: 'var(--color-stone)', width: 0.8 },
  pane: { fill: 'color-mix(in srgb, var(--color-clear) 34%, transparent)', stroke: 'var(--color-stone)', width: 1 },
  shade: { fill: 'none', stroke: 'rgb(34 48 60 / 0.4)', width: 0.7 },
  glass: { fill: 'var(--color-glass)', stroke: 'var(--color-walnut)', width: 1.5 },
  doorway: { fill: 'var(--color-doorway)', stroke: 'var(--color-walnut)', width: 1.5 },
  ruler: { fill: 'var(--color-ruler)', stroke: 'var(--color-woad)', width: 1 },
  steel: { fill: 'none', stroke: 'var(--color-ink)', width: 2 },
  hole: { fill: 'var(--color-paper)', stroke: 'var(--color-ink)', width: 0.7 },
  lid: { fill: 'var(--color-lid)', stroke: 'var(--color-stone)', width: 0.8 },
  planned: { fill: 'none', stroke: 'var(--color-paper)', width: 2, dash: '5 4', halo: 4 },
  promised: { fill: 'none', stroke: 'var(--color-paper)', width: 2, dash: '7 3 2 3', halo: 4 },
  out: { fill: 'none', stroke: 'var(--color-ink)', width: 1.6, dash: '5 4' },
  lent: { fill: 'none', stroke: 'var(--color-ink)', width: 3, dash: '0.1 5' },
  overFull: { fill: 'none', stroke: 'var(--color-madder)', width: 2 },
  tick: { fill: 'var(--color-grain-line)', stroke: 'var(--color-hole-line)', width: 0.7 },
  flange: { fill: 'var(--color-flange)', stroke: 'var(--color-walnut)', width: 0.6 },
};

const TEXT: Record<TextInk, { size: number; weight: number; fill: string }> = {
  unitName: { size: 14, weight: 600, fill: 'var(--color-stone)' },
  slotName: { size: 14, weight: 600, fill: 'var(--color-stone)' },
  cardText: { size: 14, weight: 600, fill: 'var(--color-ink)' },
  quiet: { size: 14, weight: 400, fill: 'var(--color-stone)' },
  free: { size: 14, weight: 600, fill: 'var(--color-woad)' },
  band: { size: 14, weight: 400, fill: 'var(--color-stone)' },
  onThing: { size: 14, weight: 600, fill: 'var(--color-ink)' },
};

/** Mean advance of a letter in ems, where text cannot be measured. */
const LETTER_EM = 0.54;
const context = document.createElement('canvas').getContext('2d');

function measure(text: string, size: number, weight: number): number {
  if (!context) return text.length * size * LETTER_EM;
  context.font = `${weight} ${size}px "Commissioner Variable", sans-serif`;
  return context.measureText(text).width;
}

/** A label shortened to fewer letters is left out; the name stands in the ticket. */
const LEAST_LETTERS = 5;

/** What of a line fits, with an ellipsis: whole words or, where not one of them fits, as much of the first as says something. */
function shorten(line: string, fits: (line: string) => boolean): string | null {
  const words = line.split(' ');
  while (words.length > 1) {
    words.pop();
    // Nobody stops at an “and”.
    if (words.at(-1) === 'and' && words.length > 1) continue;
    if (fits(`${words.join(' ')}…`)) return `${words.join(' ')}…`;
  }
  let [stump] = words as [string];
  while (stump.length >= LEAST_LETTERS && !fits(`${stump}…`)) stump = stump.slice(0, -1);
  return stump.length >= LEAST_LETTERS ? `${stump}…` : null;
}

/** Breaks a label into at most two lines that fit, shortening the last with an ellipsis. */
function breakLabel(text: string, widthPx: number, heightPx: number, size: number, weight: number): string[] {
  if (heightPx < size) return [];
  const fits = (line: string) => measure(line, size, weight) <= widthPx;
  if (fits(text)) return [text];
  const words = heightPx < 2 * (size + 1) ? [text] : text.split(' ');
  let first = '';
  while (words.length > 1 && fits(`${first} ${words[0]}`.trim())) first = `${first} ${words.shift()}`.trim();
  const rest = words.join(' ');
  if (fits(rest)) return first === '' ? [rest] : [first, rest];
  const short = shorten(rest, fits);
  // A stump of a word says nothing.
  if (short === null) return [];
  return first === '' ? [short] : [first, short];
}

/** In a smaller drawing the names of the pieces would lie over each other. */
const NAMES_FROM_SCALE = 0.16;

/** On a narrower card nothing could be read. */
const LEAST_PLATE_PX = 56;

/** The thing's own photo, as large as the thing and no larger. */
function PhotoFill({ photo, box }: { photo: PhotoId; box: { x: number; y: number; width: number; height: number } }) {
  const url = usePhotoUrl(photo);
  const { x, y, width, height } = box;
  // An inner svg cuts off what of the picture goes over.
  return url ? (
    <svg {...{ x, y, width, height }}>
      <image href={url} width="100%" height="100%" preserveAspectRatio="xMidYMid slice" />
    </svg>
  ) : null;
}

const HALO = '#22303c';
/** In a smaller drawing fine lines only make things grey. */
const FINE_FROM_SCALE = 0.14;
const FINE: ReadonlySet<Ink> = new Set(['shade', 'tick']);

/** One shape of a drawing, at `scale` pixels per mm. */
export function ShapeView({ shape, scale }: { shape: Shape; scale: number }) {
  const k = (mm: number) => mm * scale;
  if (shape.type === 'text') {
    if (scale < NAMES_FROM_SCALE && shape.widthMm === undefined) return null;
    const { size, weight, fill } = TEXT[shape.ink];
    const lines =
      shape.widthMm === undefined
        ? [shape.text]
        : breakLabel(shape.text, k(shape.widthMm), k(shape.heightMm ?? Infinity), size, weight);
    return (
      <text
        textAnchor={shape.anchor}
        fontSize={size}
        fontWeight={weight}
        fill={fill}
        stroke={shape.ink === 'unitName' ? 'var(--color-wall)' : undefined}
        strokeWidth="4"
        strokeOpacity="0.85"
        paintOrder="stroke"
        pointerEvents="none"
      >
        {lines.map((line, i) => (
          <tspan key={line} x={k(shape.x)} y={k(shape.y) + (i - (lines.length - 1) / 2) * (size + 1) + size * 0.35}>
            {line}
          </tspan>
        ))}
      </text>
    );
  }
  if (scale < FINE_FROM_SCALE && FINE.has(shape.ink)) return null;
  const ink = INK[shape.ink];
  const paint = {
    fill: ('colour' in shape ? shape.colour : undefined) ?? ink.fill ?? 'none',
    stroke: ink.stroke,
    strokeWidth: ink.width,
    strokeDasharray: ink.dash,
  };
  if (shape.type === 'circle') return <circle cx={k(shape.x)} cy={k(shape.y)} r={k(shape.radius)} {...paint} />;
  if (shape.type === 'path') {
    const d = shape.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${k(x).toFixed(1)} ${k(y).toFixed(1)}`).join('');
    const line = shape.isClosed ? `${d}Z` : d;
    return (
      <>
        {ink.halo !== undefined && (
          <path
            d={line}
            fill="none"
            stroke={HALO}
            strokeWidth={ink.halo}
            strokeDasharray={ink.dash}
            strokeLinecap="round"
          />
        )}
        <path d={line} {...paint} strokeLinecap="round" strokeLinejoin="round" />
      </>
    );
  }
  const box = {
    x: k(shape.x),
    y: k(shape.y),
    width: Math.max(0, k(shape.width)),
    height: Math.max(0, k(shape.height)),
    rx: shape.round ? Math.min(k(shape.round), k(shape.width) / 2, k(shape.height) / 2) : 0,
  };
  if (shape.ink === 'plate' && box.width < LEAST_PLATE_PX) return null;
  return (
    <>
      <rect {...box} {...paint} />
      {shape.photo ? (
        <PhotoFill photo={shape.photo} box={box} />
      ) : (
        shape.print && <rect {...box} fill={fillWith(shape.print)} />
      )}
    </>
  );
}
