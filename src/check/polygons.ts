import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';

/** A corner on the cloth, from its left selvage and its cut edge, mm. */
export interface Corner {
  readonly xMm: number;
  readonly yMm: number;
}

/** A rectangle there. */
export interface Rect extends Corner {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Rounding of sums of halves of a millimetre. */
export const LEAST_MM = 1e-6;
/** Of shapes that touch along an edge, rounding may make so much overlap, mm². */
const LEAST_MM2 = 1;

export const meet = (a: Rect, b: Rect): boolean =>
  a.xMm + a.widthMm > b.xMm + LEAST_MM &&
  b.xMm + b.widthMm > a.xMm + LEAST_MM &&
  a.yMm + a.heightMm > b.yMm + LEAST_MM &&
  b.yMm + b.heightMm > a.yMm + LEAST_MM;

/** The library loses its way where edges differ by the last bits of a number: corners lie on a grid much finer than a thread. */
const onGrid = (mm: number) => Math.round(mm * 1e4) / 1e4;

export const ofCorners = (corners: readonly Corner[]): Polygon => [
  corners.map(({ xMm, yMm }) => [onGrid(xMm), onGrid(yMm)]),
];

export const ofRect = ({ xMm, yMm, widthMm, heightMm }: Rect): Polygon =>
  ofCorners([
    { xMm, yMm },
    { xMm: xMm + widthMm, yMm },
    { xMm: xMm + widthMm, yMm: yMm + heightMm },
    { xMm, yMm: yMm + heightMm },
  ]);

const measureRing = (ring: readonly (readonly [number, number])[]) =>
  Math.abs(
    ring.reduce((sum, [x, y], n) => {
      const [nextX, nextY] = ring[(n + 1) % ring.length]!;
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );

const measure = (shapes: MultiPolygon) =>
  shapes.reduce(
    (sum, [outer, ...holes]) =>
      sum + measureRing(outer ?? []) - holes.reduce((all, hole) => all + measureRing(hole), 0),
    0,
  );

/** Whether some of a shape lies outside of another. */
export const reachesOut = (shape: Polygon, of: Polygon): boolean =>
  measure(polygonClipping.difference(shape, of)) > LEAST_MM2;

/** Whether two shapes have something in common. */
export const lapsOver = (shape: Polygon, other: Polygon): boolean =>
  measure(polygonClipping.intersection(shape, other)) > LEAST_MM2;
