import type { Ink, Shape } from './shapes.ts';

/** A rectangle on the wall, mm. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

type Point = readonly [number, number];

/** Draws in a box. Where things lie is said in hundredths of its width and height, from its upper left corner. */
export interface Pen {
  readonly box: Box;
  rect(
    x: number,
    y: number,
    width: number,
    height: number,
    ink: Ink,
    rest?: { colour?: string; round?: number },
  ): Shape;
  /** `x,y x,y …`: a closed outline, or a line. */
  outline(points: string, ink: Ink, colour?: string): Shape;
  line(points: string, ink: Ink): Shape;
  /** A circle; its radius in hundredths of the shorter side. */
  disc(x: number, y: number, radius: number, ink: Ink, colour?: string): Shape;
}

const read = (points: string): Point[] =>
  points.split(' ').map((pair): Point => {
    const [x, y] = pair.split(',').map(Number);
    return [x!, y!];
  });

export function createPen(box: Box): Pen {
  const { x: left, y: top, width, height } = box;
  const [w, h] = [width / 100, height / 100];
  const place = (points: string) => read(points).map(([x, y]): Point => [left + x * w, top + y * h]);
  return {
    box,
    rect: (x, y, wide, high, ink, rest) => ({
      type: 'rect',
      x: left + x * w,
      y: top + y * h,
      width: wide * w,
      height: high * h,
      ink,
      ...rest,
    }),
    outline: (points, ink, colour) => ({
      type: 'path',
      points: place(points),
      isClosed: true,
      ink,
      ...(colour && { colour }),
    }),
    line: (points, ink) => ({ type: 'path', points: place(points), isClosed: false, ink }),
    disc: (x, y, radius, ink, colour) => ({
      type: 'circle',
      x: left + x * w,
      y: top + y * h,
      // It stays in the box, however flat that is.
      radius: Math.min(radius * Math.min(w, h), x * w, (100 - x) * w, y * h, (100 - y) * h),
      ink,
      ...(colour && { colour }),
    }),
  };
}
