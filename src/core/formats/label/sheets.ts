import { getNaming } from '../../naming/index.ts';
import type { Mark, Sheet } from '../sheet/index.ts';
import { drawLabel, drawRect, type LabelFace } from './face.ts';
import type { Stock } from './stock.ts';

function shift(mark: Mark, x: number, y: number): Mark {
  return mark.type === 'text'
    ? { ...mark, x: mark.x + x, y: mark.y + y }
    : { ...mark, points: mark.points.map(([left, top]) => [left + x, top + y] as const) };
}

/** Where the n-th label of a sheet lies, from 0, row by row. */
export function getCell(stock: Stock, index: number): { x: number; y: number } {
  const row = Math.floor(index / stock.columns);
  return {
    x: stock.leftMm + (index % stock.columns) * stock.acrossMm,
    y: stock.topMm + row * stock.downMm,
  };
}

/** Lines to cut along, of plain paper. */
function drawCut(stock: Stock, x: number, y: number): Mark {
  const { labelWidthMm: widthMm, labelHeightMm: heightMm } = stock;
  return { ...drawRect({ x, y, widthMm, heightMm }, null, 0.1), stroke: '#8a8a8a', dashMm: 1.5 };
}

/**
 * Labels on their sheets. The first goes to the label `startAt` of the first sheet, from 1: those before it were used.
 * A roll gives a page for each.
 */
export function layLabels(faces: readonly LabelFace[], stock: Stock, startAt = 1): Sheet[] {
  const perSheet = stock.columns * stock.rows;
  const first = Math.max(0, Math.min(perSheet - 1, Math.round(startAt) - 1));
  const pages: Mark[][] = [];
  for (const [i, face] of faces.entries()) {
    const at = first + i;
    const page = (pages[Math.floor(at / perSheet)] ??= []);
    const { x, y } = getCell(stock, at % perSheet);
    if (stock.kind === 'plain') page.push(drawCut(stock, x, y));
    page.push(...drawLabel(face, stock.labelWidthMm, stock.labelHeightMm).map((mark) => shift(mark, x, y)));
  }
  return pages.map((marks, i) => ({
    name: getNaming().labelSheet(i + 1, pages.length),
    widthMm: stock.paperWidthMm,
    heightMm: stock.paperHeightMm,
    marks,
  }));
}
