import { encodeQR } from 'qr';
import { formatCode } from '../../labels/index.ts';
import { INK, type Mark } from '../sheet/index.ts';
import { fitText, LEADING, measureText, shorten, wrap } from '../sheet/text.ts';

export const LABEL_SHAPES = ['bin', 'shelf', 'bolt', 'spool', 'kit', 'hook', 'tag'] as const;
export type LabelShape = (typeof LABEL_SHAPES)[number];

/** What stands on a label, in words already. */
export interface LabelFace {
  readonly shape: LabelShape;
  readonly title: string;
  /** What is in it, or what it is: the first tells most. */
  readonly lines: readonly string[];
  readonly swatches: readonly string[];
  readonly code: string;
  /** Small, at the foot: where it belongs, or when it was printed. */
  readonly foot: string;
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** What can still be read with the nose on it. */
const LEAST_MM = 1.7;
/** Modules of this size are still told apart by a camera. */
const LEAST_MODULE_MM = 0.35;

export const drawRect = (
  { x, y, widthMm, heightMm }: Box,
  fill: string | null,
  strokeMm = 0,
): Extract<Mark, { type: 'path' }> => ({
  type: 'path',
  points: [
    [x, y],
    [x + widthMm, y],
    [x + widthMm, y + heightMm],
    [x, y + heightMm],
  ],
  isClosed: true,
  strokeMm,
  ...(fill && { fill }),
});

/** The QR code as black bars: runs of a row, grown downward while the next row has the same. */
function drawQr(text: string, x: number, y: number, sideMm: number): Mark[] {
  // The white around it is the label's own.
  const framed = encodeQR(text, 'raw', { ecc: 'medium', border: 1 });
  const grid = framed.slice(1, -1).map((row) => row.slice(1, -1));
  const module = sideMm / grid.length;
  const bars: { row: number; rows: number; from: number; to: number }[] = [];
  for (const [row, cells] of grid.entries())
    for (let from = 0; from < cells.length; from += 1) {
      if (!cells[from]) continue;
      let to = from + 1;
      while (cells[to]) to += 1;
      const above = bars.find((bar) => bar.from === from && bar.to === to && bar.row + bar.rows === row);
      if (above) above.rows += 1;
      else bars.push({ row, rows: 1, from, to });
      from = to;
    }
  return bars.map(({ row, rows, from, to }) =>
    drawRect(
      { x: x + from * module, y: y + row * module, widthMm: (to - from) * module, heightMm: rows * module },
      '#000000',
    ),
  );
}

/** Modules along a side of the code of a label: version 1 takes nine letters with a good reserve. */
const QR_MODULES = 21;

/** The code for the scanner and, below it, for the eye; what room is left of the label. */
function drawCode(face: LabelFace, box: Box): { marks: Mark[]; rest: Box } {
  const words = formatCode(face.code);
  const isTall = box.heightMm > box.widthMm;
  const most = isTall ? Math.min(24, box.widthMm * 0.5) : Math.min(24, box.widthMm * 0.34);
  const textMm = Math.max(LEAST_MM, Math.min(2.6, most / measureText(words, 1)));
  const besideMm = isTall ? box.heightMm * 0.45 : box.heightMm;
  const side = Math.min(most, besideMm - textMm * LEADING);
  const isReadable = side / QR_MODULES >= LEAST_MODULE_MM && measureText(words, textMm) <= Math.max(side, most) + 0.1;
  // Where there is no room for both, the eye's code is kept: it can be typed.
  const size = isReadable ? textMm : Math.min(2.4, box.heightMm * 0.3);
  const width = isReadable ? Math.max(side, measureText(words, size)) : measureText(words, size);
  const right = box.x + box.widthMm;
  const text: Mark = {
    type: 'text',
    x: right,
    y: box.y + box.heightMm - size * 0.2,
    text: words,
    sizeMm: size,
    anchor: 'end',
  };
  const qr = isReadable ? drawQr(face.code, right - side, box.y + box.heightMm - size * LEADING - side, side) : [];
  if (isTall) {
    const taken = (isReadable ? side : 0) + size * LEADING + 1;
    return { marks: [...qr, text], rest: { ...box, heightMm: box.heightMm - taken } };
  }
  if (!isReadable) return { marks: [text], rest: { ...box, heightMm: box.heightMm - size * LEADING } };
  return { marks: [...qr, text], rest: { ...box, widthMm: box.widthMm - width - 2 } };
}

/** Little pieces of cloth side by side, as many as go in. */
function drawSwatches(swatches: readonly string[], box: Box): Mark[] {
  const gap = 0.6;
  const most = Math.floor((box.widthMm + gap) / (Math.min(box.heightMm, 5) + gap));
  const shown = swatches.slice(0, Math.max(0, most));
  const width = Math.min(9, (box.widthMm - gap * (shown.length - 1)) / Math.max(1, shown.length));
  return shown.map((hex, i) =>
    drawRect({ x: box.x + i * (width + gap), y: box.y, widthMm: width, heightMm: box.heightMm }, hex, 0.1),
  );
}

/** Each on a line of its own, over two where it takes them and there is room. */
function setLines(lines: readonly string[], widthMm: number, sizeMm: number, most: number): string[] {
  const set: string[] = [];
  for (const [i, line] of lines.entries()) {
    const left = most - set.length - (lines.length - i - 1);
    set.push(...((left > 1 ? wrap(line, widthMm, sizeMm, 2) : null) ?? [shorten(line, widthMm, sizeMm)]));
  }
  return set.slice(0, most);
}

/**
 * A label of any size: large what is in it, then what else, swatches, the code at the right or, of a tall one, below;
 * a ticket has a hole at its head and lines to write on. All marks lie within the size, from its upper left corner.
 */
export function drawLabel(face: LabelFace, widthMm: number, heightMm: number): Mark[] {
  const padMm = Math.max(1, Math.min(3, heightMm * 0.07, widthMm * 0.07));
  const isTicket = face.shape === 'bolt' && heightMm >= 36;
  const isTall = heightMm > widthMm;
  const marks: Mark[] = [];
  let box: Box = { x: padMm, y: padMm, widthMm: widthMm - 2 * padMm, heightMm: heightMm - 2 * padMm };
  if (isTicket) {
    const hole = 2.5;
    const [x, y] = isTall ? [widthMm / 2, padMm + hole] : [padMm + hole, heightMm / 2];
    const points = Array.from({ length: 24 }, (_, i): [number, number] => {
      const angle = (i * Math.PI) / 12;
      return [x + hole * Math.cos(angle), y + hole * Math.sin(angle)];
    });
    marks.push({ type: 'path', points, isClosed: true, strokeMm: 0.2, dashMm: 0.8 });
    const off = 2 * hole + 1.5;
    box = isTall
      ? { ...box, y: box.y + off, heightMm: box.heightMm - off }
      : { ...box, x: box.x + off, widthMm: box.widthMm - off };
  }
  const { marks: code, rest } = drawCode(face, box);
  marks.push(...code);
  const footMm = face.foot !== '' && heightMm >= 20 ? 2 : 0;
  const swatchMm = face.swatches.length > 0 && heightMm >= 14 ? Math.max(2.5, Math.min(7, rest.heightMm * 0.2)) : 0;
  const linesMm = face.lines.length > 0 && heightMm >= 16 ? Math.max(2, Math.min(4.2, rest.heightMm * 0.13)) : 0;
  const writeMm = isTicket ? 7 : 0;
  const rows = isTicket ? Math.max(0, Math.min(3, Math.floor((rest.heightMm - 26) / writeMm))) : 0;
  const below = footMm * LEADING + (swatchMm > 0 ? swatchMm + 0.8 : 0) + rows * writeMm;
  const words = { ...rest, heightMm: rest.heightMm - below };
  // The lines take at most half; the title takes what is left.
  const most = linesMm > 0 ? Math.floor((words.heightMm * 0.55) / (linesMm * LEADING)) : 0;
  const shownLines = setLines(face.lines, words.widthMm, linesMm, most);
  const titleBox = { widthMm: words.widthMm, heightMm: words.heightMm - shownLines.length * linesMm * LEADING };
  const title = fitText(face.title, titleBox, { leastMm: LEAST_MM, mostMm: isTicket ? 6 : 12 });
  let y = words.y;
  const write = (text: string, sizeMm: number) => {
    y += sizeMm * LEADING;
    const short = shorten(text, words.widthMm, sizeMm);
    if (short !== '')
      marks.push({ type: 'text', x: words.x, y: y - sizeMm * 0.28, text: short, sizeMm, anchor: 'start' });
  };
  for (const line of title.lines) write(line, title.sizeMm);
  for (const line of shownLines) write(line, linesMm);
  for (let row = 0; row < rows; row += 1) {
    const at = words.y + words.heightMm + (row + 0.8) * writeMm;
    marks.push({
      type: 'path',
      points: [
        [rest.x, at],
        [rest.x + rest.widthMm, at],
      ],
      isClosed: false,
      strokeMm: 0.15,
      stroke: INK,
      dashMm: 0.6,
    });
  }
  const bottom = rest.y + rest.heightMm;
  if (swatchMm > 0)
    marks.push(
      ...drawSwatches(face.swatches, {
        x: rest.x,
        y: bottom - footMm * LEADING - swatchMm,
        widthMm: rest.widthMm,
        heightMm: swatchMm,
      }),
    );
  if (footMm > 0) {
    const text = shorten(face.foot, rest.widthMm, footMm);
    if (text !== '')
      marks.push({ type: 'text', x: rest.x, y: bottom - footMm * 0.25, text, sizeMm: footMm, anchor: 'start' });
  }
  return marks;
}
