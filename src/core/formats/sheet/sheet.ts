import { findLength, FONTS } from './text.ts';

/** What is printed is printed in this, where nothing else is said. */
export const INK = '#22303c';

/** What is drawn on a sheet of paper, mm from its upper left corner. */
export type Mark =
  | {
      readonly type: 'path';
      readonly points: readonly (readonly [x: number, y: number])[];
      readonly isClosed: boolean;
      readonly strokeMm: number;
      /** `#rrggbb`; absent: not filled. */
      readonly fill?: string;
      readonly stroke?: string;
      readonly dashMm?: number;
    }
  | {
      readonly type: 'text';
      readonly x: number;
      /** Of the base line. */
      readonly y: number;
      readonly text: string;
      readonly sizeMm: number;
      readonly anchor: 'start' | 'middle' | 'end';
      /** Clockwise about its point. */
      readonly turnDeg?: number;
    };

/** A sheet of paper with what is drawn on it. */
export interface Sheet {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
}

export interface Paper {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

export const PAPERS: Readonly<Record<'metric' | 'imperial', readonly Paper[]>> = {
  metric: [
    { name: 'A4', widthMm: 210, heightMm: 297 },
    { name: 'A3', widthMm: 297, heightMm: 420 },
    { name: 'A2', widthMm: 420, heightMm: 594 },
    { name: 'A1', widthMm: 594, heightMm: 841 },
    { name: 'A0', widthMm: 841, heightMm: 1189 },
  ],
  imperial: [
    { name: 'letter', widthMm: 215.9, heightMm: 279.4 },
    { name: 'tabloid', widthMm: 279.4, heightMm: 431.8 },
    { name: '17 × 22 in', widthMm: 431.8, heightMm: 558.8 },
    { name: '22 × 34 in', widthMm: 558.8, heightMm: 863.6 },
    { name: '34 × 44 in', widthMm: 863.6, heightMm: 1117.6 },
  ],
};

/** What home printers leave white. */
export const MARGIN_MM = 8;

/** The smallest usual paper, upright or across, that takes a drawing within its margins; null where none does. */
export function findPaper(widthMm: number, heightMm: number, units: 'metric' | 'imperial'): Paper | null {
  const [w, h] = [widthMm + 2 * MARGIN_MM, heightMm + 2 * MARGIN_MM];
  for (const paper of PAPERS[units]) {
    if (w <= paper.widthMm && h <= paper.heightMm) return paper;
    if (w <= paper.heightMm && h <= paper.widthMm)
      return { name: `${paper.name} across`, widthMm: paper.heightMm, heightMm: paper.widthMm };
  }
  return null;
}

const escape = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
const round = (mm: number) => Number(mm.toFixed(3));

/** A sheet as an SVG file that prints to size: one user unit is one mm. */
export function toSvg(sheet: Sheet): string {
  const body = sheet.marks.map((mark) => {
    if (mark.type === 'text') {
      const turn = mark.turnDeg ? ` transform="rotate(${round(mark.turnDeg)} ${round(mark.x)} ${round(mark.y)})"` : '';
      const length = findLength(mark.text, mark.sizeMm);
      const wide = length === null ? '' : ` textLength="${round(length)}" lengthAdjust="spacingAndGlyphs"`;
      return `<text x="${round(mark.x)}" y="${round(mark.y)}" font-size="${round(mark.sizeMm)}" text-anchor="${mark.anchor}"${wide}${turn}>${escape(mark.text)}</text>`;
    }
    const d = `M${mark.points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}${mark.isClosed ? 'Z' : ''}`;
    const dash = mark.dashMm ? ` stroke-dasharray="${round(mark.dashMm)}"` : '';
    return `<path d="${d}" fill="${mark.fill ?? 'none'}" ${mark.strokeMm > 0 ? `stroke="${mark.stroke ?? INK}" stroke-width="${round(mark.strokeMm)}"${dash}` : ''}/>`;
  });
  const [w, h] = [round(sheet.widthMm), round(sheet.heightMm)];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}" font-family="${FONTS}" fill="${INK}">`,
    `<title>${escape(sheet.name)}</title>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');
}
