import { decodeQR } from 'qr/decode.js';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { Mark } from '../sheet/index.ts';
import { drawLabel, getCell, LABEL_SHAPES, layLabels, STOCKS, type LabelFace } from './index.ts';
import { fitText, LEADING, measureText } from '../sheet/text.ts';

const face: LabelFace = {
  shape: 'bin',
  title: 'Linen and cotton, remnants',
  lines: ['Buttons, zips', 'Patterns 100–219'],
  swatches: ['#2f5d7c', '#b5502f', '#dfae37', '#4d6a45', '#6b3f5c', '#cdbd98'],
  code: 'K7M2Q9XTB',
  foot: 'Tall cubes › C3',
};

interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** What a mark covers; of a text by the metrics of its font, from a little under its base line to its capitals. */
function boundsOf(mark: Mark): Bounds {
  if (mark.type === 'path') {
    const [xs, ys] = [mark.points.map(([x]) => x), mark.points.map(([, y]) => y)];
    return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
  }
  const width = measureText(mark.text, mark.sizeMm);
  const left = mark.anchor === 'end' ? mark.x - width : mark.x;
  return { left, top: mark.y - 0.73 * mark.sizeMm, right: left + width, bottom: mark.y + 0.21 * mark.sizeMm };
}

/** Black bars as a picture of ten pixels a mm. */
function readQr(marks: readonly Mark[], widthMm: number, heightMm: number): string {
  const scale = 10;
  const [width, height] = [Math.ceil(widthMm * scale), Math.ceil(heightMm * scale)];
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  for (const mark of marks) {
    if (mark.type !== 'path' || mark.fill !== '#000000') continue;
    const { left, top, right, bottom } = boundsOf(mark);
    for (let y = Math.round(top * scale); y < Math.round(bottom * scale); y += 1)
      for (let x = Math.round(left * scale); x < Math.round(right * scale); x += 1)
        data.fill(0, (y * width + x) * 4, (y * width + x) * 4 + 3);
  }
  return decodeQR({ width, height, data }, { timeLimit: 5000 });
}

describe('letters', () => {
  it('are measured by the metrics of their font', () => {
    // Helvetica: i 222, W 944 taken as 1000, space 278, figures 556.
    expect(measureText('i', 10)).toBeCloseTo(2.22);
    expect(measureText('1 2', 10)).toBeCloseTo(5.56 + 2.78 + 5.56);
  });

  it('are as large as goes in, and never wider or higher than their box', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[A-Za-z]{1,14}$/), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 4, max: 120, noNaN: true }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        (words, widthMm, heightMm) => {
          const { lines, sizeMm } = fitText(words.join(' '), { widthMm, heightMm }, { leastMm: 1.7, mostMm: 12 });
          for (const line of lines) expect(measureText(line, sizeMm)).toBeLessThanOrEqual(widthMm + 1e-6);
          expect(lines.length * sizeMm * LEADING).toBeLessThanOrEqual(heightMm + 1e-6);
        },
      ),
    );
  });
});

describe('a label', () => {
  const sizes = [...STOCKS.map((one) => [one.labelWidthMm, one.labelHeightMm] as const), [20, 10] as const];
  it.each(LABEL_SHAPES)('of a %s lies within every size, says its name and its code', (shape) => {
    for (const [w, h] of sizes) {
      const marks = drawLabel({ ...face, shape }, w, h);
      for (const mark of marks) {
        const { left, top, right, bottom } = boundsOf(mark);
        expect([left >= 0, top >= -0.01, right <= w + 0.01, bottom <= h + 0.01], `${shape} ${w} × ${h}`).toEqual([
          true,
          true,
          true,
          true,
        ]);
      }
      const texts = marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
      expect(texts).toContain('K7M 2Q9 XTB');
      expect(texts.length, `${shape} ${w} × ${h}`).toBeGreaterThan(1);
    }
  });

  it('does not write over itself', () => {
    for (const [w, h] of sizes) {
      const texts = drawLabel(face, w, h).filter((mark) => mark.type === 'text');
      const boxes = texts.map(boundsOf);
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1)) {
          const isApart =
            a.right <= b.left + 0.01 || b.right <= a.left + 0.01 || a.bottom <= b.top + 0.3 || b.bottom <= a.top + 0.3;
          expect(isApart, `${w} × ${h}`).toBe(true);
        }
    }
  });

  it('is read by a scanner wherever there is room for the code', () => {
    let read = 0;
    for (const [w, h] of sizes) {
      const marks = drawLabel(face, w, h);
      if (!marks.some((mark) => mark.type === 'path' && mark.fill === '#000000')) continue;
      expect(readQr(marks, w, h)).toBe(face.code);
      read += 1;
    }
    // All but the narrow strips.
    expect(read).toBeGreaterThanOrEqual(sizes.length - 4);
  });
});

describe('a sheet of labels', () => {
  it('has each within its own field, and all of them on the paper', () => {
    for (const stock of STOCKS) {
      const faces = Array.from({ length: stock.columns * stock.rows + 1 }, () => face);
      const sheets = layLabels(faces, stock);
      expect(sheets).toHaveLength(2);
      const last = getCell(stock, stock.columns * stock.rows - 1);
      expect(last.x + stock.labelWidthMm, stock.id).toBeLessThanOrEqual(stock.paperWidthMm + 0.01);
      expect(last.y + stock.labelHeightMm, stock.id).toBeLessThanOrEqual(stock.paperHeightMm + 0.01);
      for (const mark of sheets[0]!.marks) {
        const { left, top, right, bottom } = boundsOf(mark);
        const isIn = Array.from({ length: stock.columns * stock.rows }, (_, i) => getCell(stock, i)).some(
          ({ x, y }) =>
            left >= x - 0.01 &&
            top >= y - 0.02 &&
            right <= x + stock.labelWidthMm + 0.01 &&
            bottom <= y + stock.labelHeightMm + 0.02,
        );
        expect(isIn, stock.id).toBe(true);
      }
    }
  });

  it('begins where the used ones end', () => {
    const stock = STOCKS.find((one) => one.id === 'a4-24')!;
    const [sheet] = layLabels([face], stock, 5);
    // The fifth of three in a row: second row, second column.
    const xs = sheet!.marks.map((mark) => boundsOf(mark).left);
    const ys = sheet!.marks.map((mark) => boundsOf(mark).top);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(70);
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(stock.topMm + 37);
    expect(
      layLabels(
        Array.from({ length: 21 }, () => face),
        stock,
        5,
      ),
    ).toHaveLength(2);
    expect(layLabels([face], stock, 99)).toHaveLength(1);
  });
});
