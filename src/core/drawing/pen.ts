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
  /** x, y, x, y …: a closed outline, or a line. */
  outline(points: readonly number[], ink: Ink, colour?: string): Shape;
  line(points: readonly number[], ink: Ink): Shape;
  /** A circle; its radius in hundredths of the shorter side. */
  disc(x: number, y: number, radius: number, ink: Ink, colour?: string): Shape;
}

export function createPen(box: Box): Pen {
  const { x: left, y: top, width, height } = box;
  const [w, h] = [width / 100, height / 100];
  const place = (points: readonly number[]) =>
    Array.from({ length: points.length / 2 }, (_, n): Point => [
      left + points[2 * n]! * w,
      top + points[2 * n + 1]! * h,
    ]);
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
