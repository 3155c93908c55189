import type { Point } from '../layout/index.ts';

/** A spot on a photo, px from its top left. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** How spots of a photo of a flat table become points on it: a plane seen in perspective. Nine numbers, the last is 1. */
export type Perspective = readonly number[];

/** Solves a system of linear equations by elimination with the largest pivot; null where they do not tell. */
function solve(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < n; row += 1)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    if (Math.abs(rows[pivot]![column]!) < 1e-9) return null;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    for (let row = 0; row < n; row += 1) {
      if (row === column) continue;
      const share = rows[row]![column]! / rows[column]![column]!;
      for (let k = column; k <= n; k += 1) rows[row]![k]! -= share * rows[column]![k]!;
    }
  }
  return rows.map((row, n2) => row[n]! / row[n2]!);
}

/** The perspective that takes four spots to four points; null where three of them lie in a row. Source: any text on homographies. */
export function computePerspective(spots: readonly Spot[], points: readonly Point[]): Perspective | null {
  const rows = spots.slice(0, 4).flatMap(({ x, y }, n) => {
    const { xMm: u, yMm: v } = points[n]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const found = rows.length === 8 ? solve(rows) : null;
  return found && found.every(Number.isFinite) ? [...found, 1] : null;
}

/** The point on the table that a spot shows, mm. */
export function toTable([a, b, c, d, e, f, g, h, i]: Perspective, { x, y }: Spot): Point {
  const w = g! * x + h! * y + i!;
  return { xMm: (a! * x + b! * y + c!) / w, yMm: (d! * x + e! * y + f!) / w };
}
