import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../../sample/index.ts';
import { computeWallDrawing } from '../../drawing/index.ts';
import { listPieces } from '../../room/index.ts';
import { createPlaceTree, listWalls } from '../../storage/index.ts';
import {
  createCutOuts,
  createCutTiles,
  createPlanSheet,
  createWallSheet,
  findPaper,
  toSvg,
  type Mark,
  type Sheet,
} from './index.ts';
import { toPdf } from './pdf.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const loft = tree.rooms[0]!;
const pieces = listPieces(household, tree, loft.id);
const plan = (scale: number) => createPlanSheet(loft.room!, 'Heron Loft', pieces, scale, 'metric');
const sheetOf = (result: ReturnType<typeof plan>): Sheet => {
  if (!result.ok) throw new Error('too large');
  return result.sheet;
};
const paths = (sheet: Sheet) =>
  sheet.marks.filter((mark): mark is Extract<Mark, { type: 'path' }> => mark.type === 'path');
const texts = (sheet: Sheet) => sheet.marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));

describe('a sheet of paper', () => {
  it('is the smallest usual one that takes a drawing within the margins', () => {
    expect(findPaper(190, 280, 'metric')?.name).toBe('A4');
    expect(findPaper(280, 190, 'metric')?.name).toBe('A4 across');
    expect(findPaper(195, 190, 'metric')?.name).toBe('A4 across');
    expect(findPaper(300, 200, 'metric')?.name).toBe('A3 across');
    expect(findPaper(190, 260, 'imperial')?.name).toBe('letter');
    expect(findPaper(2000, 100, 'metric')).toBeNull();
  });
});

describe('the plan on paper', () => {
  it('is to scale, with the length of every wall and the size of every piece', () => {
    const sheet = sheetOf(plan(20));
    const outline = paths(sheet)[0]!.points;
    // The north wall of 4.2 m is 21 cm long at 1 : 20.
    expect(Math.hypot(outline[1]![0] - outline[0]![0], outline[1]![1] - outline[0]![1])).toBeCloseTo(210, 6);
    for (const words of ['420 cm', 'Cutting table 120 × 70 cm', 'Heron Loft, 1 : 20', 'North wall'])
      expect(texts(sheet)).toContain(words);
    const [w, h] = [sheet.widthMm, sheet.heightMm];
    for (const { points } of paths(sheet))
      for (const [x, y] of points) expect(x >= 0 && y >= 0 && x <= w && y <= h).toBe(true);
  });

  it('says how large it would be where no paper takes it, and names the imperial scale', () => {
    expect(plan(2)).toMatchObject({ ok: false });
    const feet = createPlanSheet(loft.room!, 'Loft', pieces, 24, 'imperial');
    expect(feet.ok && texts(feet.sheet).at(-1)).toBe('Loft, 1 : 24 (1 in to 24 in)');
  });

  it('becomes an SVG in mm, with names made harmless', () => {
    const svg = toSvg({ ...sheetOf(plan(25)), name: '<Loft> & "more"' });
    expect(svg).toContain('<title>&lt;Loft&gt; &amp; &quot;more&quot;</title>');
    expect(svg).toMatch(/^<svg xmlns="[^"]+" width="\d+mm" height="\d+mm" viewBox="0 0 \d+ \d+"/);
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
  });
});

describe('a wall on paper', () => {
  it('is drawn from the same figures as on the screen, with its measures', () => {
    const wall = listWalls(loft.room!).find((one) => one.id === 'east')!;
    const drawing = computeWallDrawing(household, tree, loft, wall);
    const units = pieces.flatMap(({ unit }) => (unit.wallId === 'east' ? [unit] : []));
    const result = createWallSheet(drawing, 'East wall', units, 20, 'metric');
    const sheet = sheetOf(result);
    expect(texts(sheet)).toContain('310 cm');
    // The tall cubes are 1746 mm high.
    expect(texts(sheet)).toContain('174.6 cm');
    expect(toSvg(sheet)).not.toMatch(/NaN|undefined/);
  });
});

describe('furniture to cut out', () => {
  it('is there once each, to scale, apart from each other and within the paper', () => {
    const sheets = createCutOuts(pieces, 20, 'metric');
    expect(sheets.length).toBeGreaterThanOrEqual(1);
    const named = sheets.flatMap(texts);
    for (const { name } of pieces) expect(named.filter((text) => text === name)).toHaveLength(1);
    for (const sheet of sheets) {
      const boxes = paths(sheet)
        .filter((mark) => mark.isClosed)
        .map(({ points }) => {
          const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
          return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
        });
      for (const [i, a] of boxes.entries()) {
        expect(a.left >= 8 && a.top >= 8 && a.right <= sheet.widthMm - 8 && a.bottom <= sheet.heightMm - 8).toBe(true);
        for (const b of boxes.slice(i + 1))
          expect(a.right < b.left || b.right < a.left || a.bottom < b.top || b.bottom < a.top).toBe(true);
      }
    }
    const areas = sheets.flatMap((sheet) => paths(sheet).filter((mark) => mark.isClosed)).length;
    expect(areas).toBe(pieces.length);
  });
});

describe('a PDF', () => {
  it('has a page to size for each sheet, with the words on it, whatever their letters', async () => {
    const odd: Sheet = {
      ...sheetOf(plan(20)),
      marks: [{ type: 'text', x: 20, y: 20, text: 'Regał 裁縫', sizeMm: 4, anchor: 'middle' }],
    };
    const bytes = await toPdf([sheetOf(plan(20)), odd], 'Heron Loft');
    const file = Buffer.from(bytes);
    expect(file.subarray(0, 5).toString()).toBe('%PDF-');
    // Streams are deflated: unpack what unpacks and look for the drawing operators in it.
    const text = file.toString('latin1');
    const streams = [...text.matchAll(/stream\r?\n/g)].flatMap((match) => {
      const from = match.index + match[0].length;
      try {
        return [inflateSync(file.subarray(from, text.indexOf('endstream', from))).toString('latin1')];
      } catch {
        return [];
      }
    });
    expect(streams.filter((one) => /\bre\b|\bl\b|Tj/.test(one)).length).toBeGreaterThanOrEqual(2);
    const boxes = streams.join('\n').match(/\/MediaBox \[ 0 0 [\d.]+ [\d.]+ \]/g) ?? [];
    expect(boxes).toHaveLength(2);
  });
});

describe('a drawing at full size', () => {
  const square = { id: 's', kind: 'square', sideMm: 127, leastMm: 127, worth: 4 } as const;
  const outline = [
    { xMm: 0, yMm: 0 },
    { xMm: 300, yMm: 0 },
    { xMm: 300, yMm: 280 },
    { xMm: 0, yMm: 280 },
  ];
  const piece = (xMm: number) => ({ size: square, xMm, yMm: 0, widthMm: 127, heightMm: 127 });
  const cuts = {
    worth: 8,
    direction: 'along',
    pieces: [piece(0), piece(127)],
    bands: [
      { fromMm: 0, toMm: 127 },
      { fromMm: 127, toMm: 254 },
    ],
  } as const;
  const pages = createCutTiles(cuts, { outlines: [outline], holes: [] }, 'Cuts', 'metric');

  it('takes as many pages as it needs, which show a stretch of each other', () => {
    // 194 × 273 mm of A4 within the margins, 10 mm of it again on the next: two across, two down.
    expect(pages).toHaveLength(4);
    expect(pages.every(({ widthMm, heightMm }) => widthMm === 210 && heightMm === 297)).toBe(true);
    // The cut at 127 mm is on both pages of the left column, at its own place; that at 254 mm on the right, 184 mm further left.
    const lines = (n: number) => paths(pages[n]!).filter(({ stroke }) => stroke === '#a63d32');
    expect(lines(0).map(({ points }) => points[0]![0] - 8)).toEqual([0, 127]);
    expect(lines(1).map(({ points }) => points[0]![0] - 8)).toEqual([254 - 184]);
    expect(texts(pages[1]!)).toContain('3');
    expect(texts(pages[3]!).join(' ')).toContain('page 4 of 4');
  });

  it('has a square of 50 mm on its last page', () => {
    const proof = paths(pages[3]!).at(-1)!;
    expect(proof.points[1]![0] - proof.points[0]![0]).toBeCloseTo(50, 9);
    expect(paths(pages[0]!).some(({ points }) => Math.abs(points[1]![0] - points[0]![0] - 50) < 1e-9)).toBe(false);
  });
});
