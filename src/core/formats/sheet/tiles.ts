import { getNaming } from '../../naming/index.ts';
import type { UnitSystem } from '../../units/index.ts';
import { MARGIN_MM, PAPERS, type Mark, type Sheet } from './sheet.ts';

/** Neighbouring pages show this much of each other, to be glued on. */
const OVERLAP_MM = 10;
/** On the last page: a square by which one sees whether the printer kept the size. */
const PROOF_MM = 50;
/** Under the drawing, for the page's number. */
const FOOT_MM = 8;

function shift(mark: Mark, x: number, y: number): Mark {
  return mark.type === 'text'
    ? { ...mark, x: mark.x + x, y: mark.y + y }
    : { ...mark, points: mark.points.map(([px, py]) => [px + x, py + y] as const) };
}

/** Whether anything of a mark may lie within a box. */
function touches(mark: Mark, x: number, y: number, w: number, h: number): boolean {
  if (mark.type === 'text') return mark.x >= x && mark.x <= x + w && mark.y >= y && mark.y <= y + h;
  const [xs, ys] = [mark.points.map(([px]) => px), mark.points.map(([, py]) => py)];
  return Math.max(...xs) >= x && Math.min(...xs) <= x + w && Math.max(...ys) >= y && Math.min(...ys) <= y + h;
}

const box = (x: number, y: number, w: number, h: number, strokeMm: number, dashMm?: number): Mark => ({
  type: 'path',
  points: [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ],
  isClosed: true,
  strokeMm,
  ...(dashMm !== undefined && { dashMm }),
});

/**
 * A drawing at full size on as many pages of the household's usual paper as it takes, row by row, with a frame along which they are
 * laid on each other, and a square of 50 mm by which the printer is proved.
 */
export function createTiles(
  marks: readonly Mark[],
  widthMm: number,
  heightMm: number,
  name: string,
  units: UnitSystem,
): Sheet[] {
  const naming = getNaming();
  const paper = PAPERS[units][0]!;
  const [w, h] = [paper.widthMm - 2 * MARGIN_MM, paper.heightMm - 2 * MARGIN_MM - FOOT_MM];
  const [columns, rows] = [w, h].map((one, n) =>
    Math.max(1, Math.ceil(([widthMm, heightMm][n]! - OVERLAP_MM) / (one - OVERLAP_MM))),
  ) as [number, number];
  return Array.from({ length: columns * rows }, (_, n): Sheet => {
    const [column, row] = [n % columns, Math.floor(n / columns)];
    const [left, top] = [column * (w - OVERLAP_MM), row * (h - OVERLAP_MM)];
    const drawn = marks.filter((mark) => touches(mark, left, top, w, h));
    const isLast = n === columns * rows - 1;
    return {
      name: `${name} ${n + 1}`,
      widthMm: paper.widthMm,
      heightMm: paper.heightMm,
      marks: [
        ...drawn.map((mark) => shift(mark, MARGIN_MM - left, MARGIN_MM - top)),
        box(MARGIN_MM, MARGIN_MM, w, h, 0.15, 2),
        // In the corner that the drawing rarely reaches.
        ...(isLast ? [box(MARGIN_MM + w - PROOF_MM - 4, MARGIN_MM + h - PROOF_MM - 4, PROOF_MM, PROOF_MM, 0.3)] : []),
        {
          type: 'text',
          x: MARGIN_MM,
          y: MARGIN_MM + h + FOOT_MM - 2,
          text: `${naming.page(name, n + 1, columns * rows, row + 1, column + 1)}${isLast ? `. ${naming.proof}` : ''}`,
          sizeMm: 4,
          anchor: 'start',
        },
      ],
    };
  });
}
