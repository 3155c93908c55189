import type { Item, Place } from '../records/index.ts';
import type { StoodBox } from '../storage/index.ts';
import type { PlaceState } from '../whereabouts/index.ts';
import { createPen, type Box } from './pen.ts';
import { getDrawnPrint, type DrawnPrint } from './prints.ts';
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

/** What is in a shut place, to be told on its front. */
export interface Inside {
  /** What it is, in words; empty where nothing is in it. */
  readonly words: string;
  /** What shows of it: each colour and print once, in the order that things stand. */
  readonly dyes: readonly { readonly colour: string; readonly print?: DrawnPrint }[];
  /** The things themselves, where one sees through its front and they lie in order. */
  readonly shown?: readonly Shape[];
}

/** So many swatches are told apart on a front. */
const MOST_DYES = 12;

/** What lies in a place, by its swatches. */
export function listDyes(items: readonly Item[]): Inside['dyes'] {
  const seen = new Map<string, Inside['dyes'][number]>();
  for (const item of items) {
    const [colour] = item.colours;
    const print = getDrawnPrint(item);
    if (colour) seen.set(`${colour} ${print?.name ?? ''} ${print?.ink ?? ''}`, { colour, ...(print && { print }) });
  }
  return [...seen.values()].slice(0, MOST_DYES);
}

/** Swatches side by side along a front. */
function drawDyes({ dyes }: Inside, x: number, y: number, width: number, height: number): Shape[] {
  const each = Math.min(width / Math.max(1, dyes.length), height * 1.6);
  const left = x + (width - each * dyes.length) / 2;
  return dyes.map(({ colour, print }, i): Shape => ({
    type: 'rect',
    x: left + i * each,
    y,
    width: each,
    height,
    ink: 'cloth',
    colour,
    ...(print && { print }),
  }));
}

/** Of the room for words, what is in it has so much, for it may take two lines; what it is called has the rest. */
const WORDS_SHARE = 0.62;

/** What is in it, large enough to be read, and what it is called below; only its name where nothing is in it. */
function drawWords({ words }: Inside, name: string, x: number, y: number, width: number, height: number): Shape[] {
  const line = { type: 'text', x, ink: 'cardText', anchor: 'middle', widthMm: width } as const;
  if (words === '') return [{ ...line, y, text: name, ink: 'quiet', heightMm: height }];
  return [
    { ...line, y: y - height * (0.5 - WORDS_SHARE / 2), text: words, heightMm: height * WORDS_SHARE },
    { ...line, y: y + (height * WORDS_SHARE) / 2, text: name, ink: 'quiet', heightMm: height * (1 - WORDS_SHARE) },
  ];
}

/** The card on a bin has so much of its height, and on one that shows what is in it so much. */
const CARD_SHARE = 0.64;
const CARD_SHARE_CLEAR = 0.4;
const MOST_CARD_MM = 210;
const LID_SHARE = 0.08;

function drawBin(place: Place, { x, y, width, height }: Box, state: PlaceState, inside: Inside): Shape[] {
  const { kind, hasLid } = place.container!;
  const { shown } = inside;
  const level = Math.min(1, state.fill);
  const top = y + height * LID_SHARE;
  const body = height * (1 - LID_SHARE);
  const card = Math.min(body * (shown ? CARD_SHARE_CLEAR : CARD_SHARE), MOST_CARD_MM);
  const dye = shown ? 0 : Math.min(body * 0.18, 46);
  const cardY = shown ? y + height - card - Math.min(12, body * 0.06) : top + Math.max(4, (body - card - dye) * 0.35);
  const box = { x, y: top, width, height: body };
  const pen = createPen(box);
  const weave = [20, 40, 60, 80];
  return [
    { type: 'rect', ...box, ink: 'inside' },
    ...(shown ?? [{ type: 'rect', x, y: top + body * (1 - level), width, height: body * level, ink: 'bin' } as const]),
    ...(kind === 'basket' ? weave.map((at) => pen.line([0, at, 100, at], 'shade')) : []),
    shown ? { type: 'rect', ...box, ink: 'pane' } : pen.line([0, 0, 0, 100, 100, 100, 100, 0], 'dim'),
    ...(hasLid ? [{ type: 'rect', x, y, width, height: height * LID_SHARE, ink: 'lid', round: 3 } as const] : []),
    { type: 'rect', x: x + width * 0.04, y: cardY, width: width * 0.92, height: card, ink: 'plate', round: 4 },
    ...drawWords(inside, place.name, x + width / 2, cardY + card / 2, width * 0.9, card),
    ...(shown ? [] : drawDyes(inside, x + width * 0.04, cardY + card + 6, width * 0.92, dye)),
    ...(state.isOverFull ? [zigzag(x, y, width)] : []),
  ];
}

/** A drawer front or bin: what is in it by words and swatches, what it is called, and a bar or level that tells how full it is. */
export function drawClosed(place: Place, box: Box, state: PlaceState, target: number, inside: Inside): Shape[] {
  if (place.level === 'container') return drawBin(place, box, state, inside);
  const { x, y, width, height } = box;
  const ink = state.isOverFull ? 'levelOver' : state.fill > target ? 'levelNear' : 'level';
  const bar = Math.min(12, height * 0.09);
  const dye = Math.min(20, height * 0.1);
  return [
    { type: 'rect', x, y, width, height, ink: 'front', round: 3 },
    { type: 'circle', x: x + width / 2, y: y + height * 0.07, radius: Math.min(8, height * 0.05), ink: 'knob' },
    ...drawWords(inside, place.name, x + width / 2, y + height * 0.4, width * 0.92, height * 0.76),
    ...drawDyes(inside, x + 6, y + height - bar - dye - 6, width - 12, dye),
    {
      type: 'rect',
      x: x + 6,
      y: y + height - bar - 5,
      width: (width - 12) * Math.min(1, state.fill),
      height: bar,
      ink,
    },
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
