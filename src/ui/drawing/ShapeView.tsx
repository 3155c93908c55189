import type { Ink, Shape, TextInk } from '../../core/drawing/index.ts';
import type { PhotoId } from '../../core/records/index.ts';
import { usePhotoUrl } from '../state/photos.ts';
import { printFill } from './Prints.tsx';

const INK: Record<Ink, { fill?: string; stroke?: string; width?: number; dash?: string }> = {
  wall: { fill: '#f4f1e9', stroke: '#22303c', width: 2 },
  floor: { stroke: '#22303c', width: 3 },
  wood: { fill: '#e4d8c6', stroke: '#6b5444', width: 1 },
  inside: { fill: '#fbf8f1', stroke: '#b3a38f', width: 1 },
  dim: { fill: 'none', stroke: '#8d7f6d', width: 1 },
  front: { fill: '#fbf8f1', stroke: '#6b5444', width: 1 },
  knob: { fill: '#6b5444' },
  bin: { fill: '#c8d3d0' },
  level: { fill: '#557153' },
  levelNear: { fill: '#c9952c' },
  levelOver: { fill: '#a63d32' },
  card: { fill: '#fffdf8', stroke: '#b9c2c2', width: 1 },
  plate: { fill: '#fffdf8', stroke: '#b9c2c2', width: 1 },
  cloth: { stroke: '#22303c', width: 0.5 },
  thing: { stroke: '#22303c', width: 0.7 },
  glass: { fill: '#cfe0e6', stroke: '#6b5444', width: 1.5 },
  doorway: { fill: '#efe6d6', stroke: '#6b5444', width: 1.5 },
  ruler: { fill: '#dce8ee', stroke: '#2f5d7c', width: 1 },
  steel: { fill: 'none', stroke: '#22303c', width: 2 },
  hole: { fill: '#fffdf8', stroke: '#22303c', width: 0.7 },
  planned: { fill: 'none', stroke: '#2f5d7c', width: 1.5, dash: '5 3' },
  overFull: { fill: 'none', stroke: '#a63d32', width: 2 },
  tick: { fill: '#b3a38f', stroke: '#8b9aa3', width: 0.7 },
  flange: { fill: '#d8c9b2', stroke: '#6b5444', width: 0.6 },
};

const TEXT: Record<TextInk, { size: number; weight: number; fill: string }> = {
  unitName: { size: 14, weight: 600, fill: '#4c5a64' },
  slotName: { size: 14, weight: 600, fill: '#566570' },
  cardText: { size: 14, weight: 600, fill: '#22303c' },
  quiet: { size: 14, weight: 400, fill: '#566570' },
  free: { size: 14, weight: 600, fill: '#2f5d7c' },
  band: { size: 14, weight: 400, fill: '#566570' },
  onThing: { size: 14, weight: 600, fill: '#22303c' },
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

/** Breaks a label into at most two lines that fit, shortening the last with an ellipsis. */
function breakLabel(text: string, widthPx: number, heightPx: number, size: number, weight: number): string[] {
  if (heightPx < size) return [];
  const fits = (line: string) => measure(line, size, weight) <= widthPx;
  if (fits(text)) return [text];
  const words = heightPx < 2 * (size + 1) ? [text] : text.split(' ');
  let first = '';
  while (words.length > 1 && fits(`${first} ${words[0]}`.trim())) first = `${first} ${words.shift()}`.trim();
  let rest = words.join(' ');
  if (!fits(rest)) {
    // A stump of a word says nothing.
    if (!fits(`${rest.slice(0, LEAST_LETTERS)}…`)) return [];
    while (rest.length > 1 && !fits(`${rest}…`)) rest = rest.slice(0, -1);
    rest = `${rest}…`;
  }
  return first === '' ? [rest] : [first, rest];
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
        stroke={shape.ink === 'unitName' ? '#f4f1e9' : undefined}
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
    return <path d={shape.isClosed ? `${d}Z` : d} {...paint} strokeLinecap="round" strokeLinejoin="round" />;
  }
  const box = {
    x: k(shape.x),
    y: k(shape.y),
    width: Math.max(0, k(shape.width)),
    height: Math.max(0, k(shape.height)),
    rx: shape.round ? Math.min(k(shape.round), k(shape.width) / 2, k(shape.height) / 2) : 0,
  };
  if (shape.ink === 'plate' && box.width < LEAST_PLATE_PX) return null;
  const print = printFill(shape.print);
  return (
    <>
      <rect {...box} {...paint} />
      {shape.photo ? <PhotoFill photo={shape.photo} box={box} /> : print && <rect {...box} fill={print} />}
    </>
  );
}
