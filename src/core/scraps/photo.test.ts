import { describe, expect, it } from 'vitest';
import { blur, createSheet, takePhoto, type Scene } from '../../../tests/camera.ts';
import { computeOutlineArea, type Point } from '../layout/index.ts';
import { PAPERS, readScrapPhoto } from './index.ts';
import { computePerspective, toTable } from './homography.ts';
import { simplifyEdge, traceEdge } from './trace.ts';

const SCRAP: Point[] = [
  { xMm: 420, yMm: 150 },
  { xMm: 760, yMm: 180 },
  { xMm: 720, yMm: 420 },
  { xMm: 560, yMm: 520 },
  { xMm: 430, yMm: 430 },
];
const scene = (more: Partial<Scene> = {}): Scene => ({
  table: '#7a5c44',
  things: [
    { outline: createSheet(90, 180, 6), colour: '#f4f2ee' },
    { outline: SCRAP, colour: '#2f5d86' },
  ],
  ...more,
});
/** Seen from straight above, and from the front. */
const ABOVE = [
  { x: 0, y: 0 },
  { x: 480, y: 0 },
  { x: 480, y: 360 },
  { x: 0, y: 360 },
];
const FRONT = [
  { x: 70, y: 20 },
  { x: 410, y: 28 },
  { x: 500, y: 372 },
  { x: -20, y: 360 },
];

describe('a plane in perspective', () => {
  it('takes four spots to four points, and what lies between with them', () => {
    const square = [
      { xMm: 0, yMm: 0 },
      { xMm: 100, yMm: 0 },
      { xMm: 100, yMm: 100 },
      { xMm: 0, yMm: 100 },
    ];
    const found = computePerspective(FRONT, square)!;
    for (const [n, spot] of FRONT.entries()) {
      expect(toTable(found, spot).xMm).toBeCloseTo(square[n]!.xMm, 6);
      expect(toTable(found, spot).yMm).toBeCloseTo(square[n]!.yMm, 6);
    }
    const row = [0, 1, 2, 3].map((n) => ({ x: n, y: n }));
    expect(computePerspective(row, square)).toBeNull();
  });
});

describe('an edge', () => {
  it('is traced round a patch, and has few corners', () => {
    const [widthPx, heightPx] = [12, 10];
    const cells = Uint8Array.from({ length: 120 }, (_, i) => {
      const [x, y] = [i % 12, Math.floor(i / 12)];
      return x >= 2 && x <= 9 && y >= 1 && y <= 7 ? 1 : 0;
    });
    const edge = traceEdge({ cells, widthPx, heightPx });
    expect(edge).toHaveLength(2 * (8 + 7) - 4);
    expect(simplifyEdge(edge, 0.6)).toHaveLength(4);
  });
});

describe('a scrap on a photo', () => {
  it.each([
    ['from above', ABOVE],
    ['from the front', FRONT],
  ])('is measured beside a sheet, %s', (_, corners) => {
    const read = readScrapPhoto(takePhoto(scene(), corners, 3), PAPERS.a4);
    if (!read.ok) throw new Error(read.fault);
    const true2 = computeOutlineArea(SCRAP);
    expect(Math.abs(read.value.areaMm2 - true2) / true2).toBeLessThan(0.02);
    expect(read.value.outline.length).toBeGreaterThanOrEqual(5);
    expect(read.value.outline.length).toBeLessThan(16);
  });

  it('says what is wrong with a photo', () => {
    const [sheet, scrap] = scene().things;
    const fault = (of: Scene, light = 1) => {
      const read = readScrapPhoto(takePhoto(of, ABOVE, 4, light), PAPERS.a4);
      return read.ok ? null : read.fault;
    };
    expect(fault(scene({ things: [scrap!] }))).toBe('no-sheet');
    expect(fault(scene({ things: [] }))).toBe('no-sheet');
    expect(fault(scene({ things: [sheet!] }))).toBe('no-scrap');
    expect(fault(scene({ things: [sheet!, { outline: createSheet(500, 200, -4), colour: '#f4f2ee' }] }))).toBe(
      'two-sheets',
    );
    expect(fault(scene(), 0.05)).toBe('dark');
    const blurred = readScrapPhoto(blur(takePhoto(scene(), ABOVE, 4), 6), PAPERS.a4);
    expect(blurred).toEqual({ ok: false, fault: 'blurred' });
  });

  it('is measured by corners of the sheet that were said, where the light does not tell the sheet', () => {
    const [sheet, scrap] = scene().things;
    // A second sheet, under the first in worth.
    const two = scene({ things: [sheet!, { outline: createSheet(660, 360, -4), colour: '#f4f2ee' }, scrap!] });
    const photo = takePhoto(two, ABOVE, 5);
    expect(readScrapPhoto(photo, PAPERS.a4)).toEqual({ ok: false, fault: 'two-sheets' });
    const found = readScrapPhoto(takePhoto(scene(), ABOVE, 5), PAPERS.a4);
    if (!found.ok) throw new Error(found.fault);
    const said = readScrapPhoto(takePhoto(scene(), ABOVE, 5), PAPERS.a4, found.value.sheet);
    expect(said).toEqual(found);
    // Two pixels off at every corner is about 2 % of its sides.
    const off = found.value.sheet.map(({ x, y }, n) => ({ x: x + (n === 0 || n === 3 ? 2 : -2), y }));
    const read = readScrapPhoto(takePhoto(scene(), ABOVE, 5), PAPERS.a4, off);
    if (!read.ok) throw new Error(read.fault);
    expect(read.value.areaMm2).toBeGreaterThan(found.value.areaMm2);
    expect(readScrapPhoto(photo, PAPERS.a4, [off[0]!, off[0]!, off[0]!, off[0]!]).ok).toBe(false);
  });
});
