import { getNaming } from '../../naming/index.ts';
import type { WallDrawing } from '../../drawing/index.ts';
import type { Piece } from '../../room/index.ts';
import type { PlanPoint, RoomSpec, UnitSpec } from '../../records/index.ts';
import {
  computeFootprint,
  getPointOf,
  getTurnDeg,
  getWallLine,
  getWallPoint,
  listCorners,
  listWalls,
  getExtent,
} from '../../storage/index.ts';
import { formatSize, formatSizes, type UnitSystem } from '../../units/index.ts';
import { findPaper, MARGIN_MM, type Mark, type Sheet } from './sheet.ts';

/** Room on paper for the dimensions around a drawing, and for the line that names it. */
const AROUND_MM = 14;
const TITLE_MM = 9;
const TEXT_MM = 3.2;
const SMALL_MM = 2.5;
/** What is smaller cannot be read. */
const LEAST_TEXT_MM = 1.3;
/** A letter is about this wide for its size. */
const LETTER_SHARE = 0.55;

export type SheetResult =
  | { readonly ok: true; readonly sheet: Sheet; readonly paper: string }
  /** No usual paper takes it at that scale: it would be so large, mm. */
  | { readonly ok: false; readonly widthMm: number; readonly heightMm: number };

/** Puts a drawing of so many real mm on the smallest paper that takes it, with its name and scale below. */
function layOnPaper(
  name: string,
  realMm: { readonly widthMm: number; readonly heightMm: number },
  scale: number,
  units: UnitSystem,
  draw: (toPaper: (x: number, y: number) => [number, number]) => readonly Mark[],
): SheetResult {
  const widthMm = realMm.widthMm / scale + 2 * AROUND_MM;
  const heightMm = realMm.heightMm / scale + 2 * AROUND_MM + TITLE_MM;
  const paper = findPaper(widthMm, heightMm, units);
  if (!paper) return { ok: false, widthMm, heightMm };
  const left = (paper.widthMm - widthMm) / 2 + AROUND_MM;
  const top = MARGIN_MM + AROUND_MM;
  const marks = draw((x, y) => [left + x / scale, top + y / scale]);
  const scaleWords = units === 'imperial' ? ` (${getNaming().inchScale(formatSize(scale * 25.4, units))})` : '';
  const title: Mark = {
    type: 'text',
    x: MARGIN_MM,
    y: paper.heightMm - MARGIN_MM,
    text: `${name}, 1 : ${scale}${scaleWords}`,
    sizeMm: 4,
    anchor: 'start',
  };
  const sheet = { name, widthMm: paper.widthMm, heightMm: paper.heightMm, marks: [...marks, title] };
  return { ok: true, sheet, paper: paper.name };
}

/** A dimension line between two points of the paper, with ticks at its ends and its measure in the middle. */
function drawDimension(from: readonly [number, number], to: readonly [number, number], words: string): Mark[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 4) return [];
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const tick = ([x, y]: readonly [number, number]): Mark => ({
    type: 'path',
    points: [
      [x - uy * 1.2 - ux * 0.8, y + ux * 1.2 - uy * 0.8],
      [x + uy * 1.2 + ux * 0.8, y - ux * 1.2 + uy * 0.8],
    ],
    isClosed: false,
    strokeMm: 0.25,
  });
  const angle = (Math.atan2(uy, ux) * 180) / Math.PI;
  const upright = angle > 90 || angle <= -90 ? angle + 180 : angle;
  // A little away from its line, so that it can be read.
  const lift = upright === angle ? -1 : 1;
  return [
    { type: 'path', points: [from, to], isClosed: false, strokeMm: 0.18 },
    tick(from),
    tick(to),
    {
      type: 'text',
      x: (from[0] + to[0]) / 2 - uy * lift,
      y: (from[1] + to[1]) / 2 + ux * lift,
      text: words,
      sizeMm: SMALL_MM,
      anchor: 'middle',
      turnDeg: upright,
    },
  ];
}

/** The floor plan at a scale: walls with their lengths, doors, windows and the furniture with its outer sizes. */
export function createPlanSheet(
  room: RoomSpec,
  name: string,
  pieces: readonly Piece[],
  scale: number,
  units: UnitSystem,
): SheetResult {
  const outline = room.walls.map((wall) => wall.from);
  const { left, right, top, bottom } = getExtent(room);
  const real = { widthMm: right - left, heightMm: bottom - top };
  return layOnPaper(name, real, scale, units, (toPaper) => {
    const at = ({ xMm, yMm }: PlanPoint) => toPaper(xMm - left, yMm - top);
    const path = (
      points: readonly PlanPoint[],
      strokeMm: number,
      more: Partial<Extract<Mark, { type: 'path' }>> = {},
    ): Mark => ({
      type: 'path',
      points: points.map(at),
      isClosed: true,
      strokeMm,
      ...more,
    });
    const marks: Mark[] = [path(outline, 0.9)];
    for (const window of room.windows) {
      const wall = getWallLine(room, window.wallId);
      const span = (inMm: number) => [
        getWallPoint(wall, window.xMm, inMm),
        getWallPoint(wall, window.xMm + window.widthMm, inMm),
      ];
      marks.push(path([...span(0), ...span(-scale * 1.2).toReversed()], 0.25, { fill: '#ffffff' }));
    }
    for (const door of room.doors) {
      const wall = getWallLine(room, door.wallId);
      const ends = [getWallPoint(wall, door.xMm), getWallPoint(wall, door.xMm + door.widthMm)] as const;
      marks.push(path(ends, 1.4, { isClosed: false, stroke: '#ffffff' }));
      const hinge = door.hinge === 'left' ? 0 : 1;
      if (door.swing === 'in')
        marks.push(
          path([ends[hinge], getWallPoint(wall, door.xMm + hinge * door.widthMm, door.widthMm)], 0.3, {
            isClosed: false,
          }),
        );
    }
    for (const fixture of room.fixtures)
      marks.push(path(listCorners({ ...fixture.at, ...fixture, turnDeg: 0 }), 0.3, { fill: '#dddddd' }));
    for (const { unit } of pieces.toSorted((a, b) => a.unit.yMm + a.unit.heightMm - b.unit.yMm - b.unit.heightMm)) {
      const print = computeFootprint(room, unit);
      const isHung = unit.yMm > 0;
      marks.push(path(listCorners(print), 0.3, isHung ? { dashMm: 1.2 } : { fill: '#f4efe6' }));
      const half = print.widthMm / 2;
      const front = print.depthMm / 2 - Math.min(40, print.depthMm / 4);
      marks.push(path([getPointOf(print, -half, front), getPointOf(print, half, front)], 0.15, { isClosed: false }));
    }
    for (const { name: what, unit } of pieces) {
      const print = computeFootprint(room, unit);
      // What hangs is named before it: under it something else has its name.
      const [x, y] = at(unit.yMm > 0 ? getPointOf(print, 0, print.depthMm / 2 + 1.6 * scale) : print);
      const words = `${what} ${formatSizes([unit.widthMm, unit.depthMm], units)}`;
      marks.push({ type: 'text', x, y: y + 1, text: words, sizeMm: SMALL_MM, anchor: 'middle' });
    }
    for (const wall of listWalls(room)) {
      const off = -7 * scale;
      marks.push(
        ...drawDimension(
          at(getWallPoint(wall, 0, off)),
          at(getWallPoint(wall, wall.lengthMm, off)),
          formatSize(wall.lengthMm, units),
        ),
      );
      const turn = getTurnDeg(wall.from, wall.to);
      const [x, y] = at(getWallPoint(wall, wall.lengthMm / 2, -12 * scale));
      const upright = turn > 90 || turn <= -90 ? turn + 180 : turn;
      marks.push({ type: 'text', x, y, text: wall.name, sizeMm: SMALL_MM, anchor: 'middle', turnDeg: upright });
    }
    return marks;
  });
}

const INKS: Partial<Record<string, string>> = {
  wood: '#e4d8c5',
  inside: '#faf7f0',
  card: '#ffffff',
  bin: '#dfe5df',
  front: '#f4efe6',
  dim: '#eeeeee',
  glass: '#e3edf0',
  doorway: '#f3ede2',
};

/** A wall front on at a scale, with what is in its furniture, its own measures and those of each piece. */
export function createWallSheet(
  drawing: WallDrawing,
  name: string,
  pieces: readonly Pick<UnitSpec, 'xMm' | 'yMm' | 'widthMm' | 'heightMm'>[],
  scale: number,
  units: UnitSystem,
): SheetResult {
  const { widthMm, heightMm } = drawing;
  return layOnPaper(name, { widthMm, heightMm }, scale, units, (toPaper) => {
    const marks: Mark[] = [];
    const shapes = [...drawing.backdrop, ...drawing.figures.flatMap((figure) => figure.shapes)];
    for (const shape of shapes) {
      if (shape.type === 'text') {
        const [x, y] = toPaper(shape.x, shape.y);
        const roomMm = (shape.widthMm ?? Infinity) / scale;
        const sizeMm = Math.min(SMALL_MM, roomMm / (LETTER_SHARE * shape.text.length));
        if (sizeMm >= LEAST_TEXT_MM)
          marks.push({ type: 'text', x, y: y + sizeMm / 3, text: shape.text, sizeMm, anchor: shape.anchor });
        continue;
      }
      const fill = 'colour' in shape && shape.colour ? shape.colour : INKS[shape.ink];
      const style = { isClosed: true, strokeMm: 0.15, ...(fill && { fill }) } as const;
      if (shape.type === 'rect') {
        const { x, y, width, height } = shape;
        const points = [toPaper(x, y), toPaper(x + width, y), toPaper(x + width, y + height), toPaper(x, y + height)];
        marks.push({ type: 'path', points, ...style });
      } else if (shape.type === 'circle') {
        const points = Array.from({ length: 16 }, (_, i) => {
          const angle = (i * Math.PI) / 8;
          return toPaper(shape.x + shape.radius * Math.cos(angle), shape.y + shape.radius * Math.sin(angle));
        });
        marks.push({ type: 'path', points, ...style });
      } else
        marks.push({
          type: 'path',
          points: shape.points.map(([x, y]) => toPaper(x, y)),
          ...style,
          isClosed: shape.isClosed,
          ...(shape.ink === 'wall' && { fill: '#ffffff' }),
        });
    }
    const floor = heightMm;
    marks.push(
      ...drawDimension(
        toPaper(0, floor + 10 * scale),
        toPaper(widthMm, floor + 10 * scale),
        formatSize(widthMm, units),
      ),
    );
    for (const unit of pieces.filter((one) => one.yMm === 0)) {
      const y = floor + 5 * scale;
      marks.push(
        ...drawDimension(toPaper(unit.xMm, y), toPaper(unit.xMm + unit.widthMm, y), formatSize(unit.widthMm, units)),
      );
    }
    for (const unit of pieces) {
      const x = unit.xMm - 1.5 * scale;
      const bottom = floor - unit.yMm;
      marks.push(
        ...drawDimension(toPaper(x, bottom), toPaper(x, bottom - unit.heightMm), formatSize(unit.heightMm, units)),
      );
    }
    return marks;
  });
}

/** Furniture seen from above, to be cut out of paper and pushed about: as many sheets as it takes. */
export function createCutOuts(pieces: readonly Piece[], scale: number, units: UnitSystem): Sheet[] {
  const paper = findPaper(1, 1, units)!;
  const [innerWidth, innerHeight] = [paper.widthMm - 2 * MARGIN_MM, paper.heightMm - 2 * MARGIN_MM - TITLE_MM];
  const gap = 3;
  const sizes = pieces
    .map(({ name, unit }) => {
      const [w, d] = [unit.widthMm / scale, unit.depthMm / scale];
      // Across the sheet where it is wider than that.
      const isTurned = w > innerWidth;
      return { name, unit, w: isTurned ? d : w, d: isTurned ? w : d, isTurned };
    })
    .toSorted((a, b) => b.d - a.d);
  const pages: Mark[][] = [[]];
  let [x, y, shelf] = [0, 0, 0];
  for (const { name, unit, w, d, isTurned } of sizes) {
    if (x > 0 && x + w > innerWidth) [x, y, shelf] = [0, y + shelf + gap, 0];
    if (y > 0 && y + d > innerHeight) {
      pages.push([]);
      [x, y, shelf] = [0, 0, 0];
    }
    const [left, top] = [MARGIN_MM + x, MARGIN_MM + y];
    const box = (inset: number): [number, number][] => [
      [left + inset, top + inset],
      [left + w - inset, top + inset],
      [left + w - inset, top + d - inset],
      [left + inset, top + d - inset],
    ];
    const front: [number, number][] = isTurned
      ? [
          [left + w - 1, top],
          [left + w - 1, top + d],
        ]
      : [
          [left, top + d - 1],
          [left + w, top + d - 1],
        ];
    const turnDeg = isTurned || w < d ? 90 : 0;
    const [middleX, middleY] = [left + w / 2, top + d / 2];
    const words = (text: string, off: number): Mark => ({
      type: 'text',
      x: middleX + (turnDeg === 90 ? -off : 0),
      y: middleY + (turnDeg === 90 ? 0 : off),
      text,
      sizeMm: SMALL_MM,
      anchor: 'middle',
      turnDeg,
    });
    pages
      .at(-1)!
      .push(
        { type: 'path', points: box(0), isClosed: true, strokeMm: 0.3, ...(unit.yMm > 0 && { dashMm: 1.2 }) },
        { type: 'path', points: front, isClosed: false, strokeMm: 0.15 },
        words(name, -0.5),
        ...(Math.min(w, d) > 9 ? [words(formatSizes([unit.widthMm, unit.depthMm, unit.heightMm], units), 2.8)] : []),
      );
    x += w + gap;
    shelf = Math.max(shelf, d);
  }
  return pages.map((marks, i): Sheet => {
    const name = getNaming().cutOutSheet(scale, i + 1, pages.length);
    const title: Mark = {
      type: 'text',
      x: MARGIN_MM,
      y: paper.heightMm - MARGIN_MM,
      text: name,
      sizeMm: TEXT_MM,
      anchor: 'start',
    };
    return { name, widthMm: paper.widthMm, heightMm: paper.heightMm, marks: [...marks, title] };
  });
}
