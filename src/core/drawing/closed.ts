import type { Place } from '../records/index.ts';
import type { StoodBox } from '../storage/index.ts';
import type { PlaceState } from '../whereabouts/index.ts';
import type { Figure, Shape } from './shapes.ts';

/** The mark of a place that is over full, along its upper edge. */
export function zigzag(x: number, y: number, width: number): Shape {
  const teeth = Math.max(4, Math.round(width / 40));
  const points = Array.from({ length: 2 * teeth + 1 }, (_, i): [number, number] => [
    x + (i * width) / (2 * teeth),
    y + (i % 2 === 0 ? 22 : 4),
  ]);
  return { type: 'path', points, isClosed: false, ink: 'overFull' };
}

/** A drawer front or bin with its ticket and a bar or level that tells how full it is. */
export function drawClosed(
  place: Place,
  x: number,
  y: number,
  width: number,
  height: number,
  state: PlaceState,
  target: number,
): Shape[] {
  const level = Math.min(1, state.fill);
  const ink = state.isOverFull ? 'levelOver' : state.fill > target ? 'levelNear' : 'level';
  if (place.level === 'container') {
    const top = y + height * 0.12;
    const body = height * 0.88;
    return [
      { type: 'rect', x, y: top, width, height: body, ink: 'inside' },
      { type: 'rect', x, y: top + body * (1 - level), width, height: body * level, ink: 'bin' },
      {
        type: 'path',
        points: [
          [x, top],
          [x, y + height],
          [x + width, y + height],
          [x + width, top],
        ],
        isClosed: false,
        ink: 'dim',
      },
      {
        type: 'rect',
        x: x + width * 0.04,
        y: top + body * 0.36,
        width: width * 0.92,
        height: Math.min(body * 0.4, 110),
        ink: 'card',
        round: 4,
      },
      {
        type: 'text',
        x: x + width / 2,
        y: top + body * 0.36 + Math.min(body * 0.4, 110) / 2,
        text: place.name,
        ink: 'cardText',
        anchor: 'middle',
        widthMm: width * 0.9,
        heightMm: Math.min(body * 0.4, 110) * 1.15,
      },
      ...(state.isOverFull ? [zigzag(x, y, width)] : []),
    ];
  }
  const bar = Math.min(14, height * 0.12);
  return [
    { type: 'rect', x, y, width, height, ink: 'front', round: 3 },
    { type: 'circle', x: x + width / 2, y: y + height * 0.2, radius: Math.min(14, height * 0.09), ink: 'knob' },
    {
      type: 'text',
      x: x + width / 2,
      y: y + height * 0.55,
      text: place.name,
      ink: 'cardText',
      anchor: 'middle',
      widthMm: width * 0.9,
      heightMm: height * 0.75,
    },
    { type: 'rect', x: x + 6, y: y + height - bar - 6, width: (width - 12) * level, height: bar, ink },
    ...(state.isOverFull ? [zigzag(x, y, width)] : []),
  ];
}

/** Whether a bin hides another that stands behind it. */
export const covers = (front: StoodBox, back: StoodBox) =>
  front.left <= back.left + 1 &&
  front.right >= back.right - 1 &&
  front.bottom <= back.bottom + 1 &&
  front.top >= back.top - 1;

const TAB_MM = { width: 120, height: 58 };

/** A bin that another hides: a tab at the upper right of the compartment, the next below it. */
export function drawTab(bin: Place, right: number, top: number, nth: number, state: PlaceState): Figure {
  const { width, height } = TAB_MM;
  const [x, y] = [right - width - 6, top + 6 + nth * (height + 6)];
  return {
    kind: 'place',
    id: bin.id,
    x,
    y,
    width,
    height,
    shapes: [
      { type: 'rect', x, y, width, height, ink: 'card', round: 4 },
      {
        type: 'text',
        x: x + width / 2,
        y: y + height / 2,
        text: 'behind',
        ink: 'cardText',
        anchor: 'middle',
        widthMm: width,
        heightMm: height,
      },
      ...(state.isOverFull ? [zigzag(x, y, width)] : []),
    ],
  };
}
