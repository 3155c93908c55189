import { toBoxOutline, type Point } from '../layout/index.ts';

/** What most pieces begin from. */
const USUAL_SHAPES = [
  'rectangle',
  'narrower',
  'tapered',
  'half-bodice',
  'bodice',
  'sleeve',
  'leg',
  'collar',
  'round',
] as const;

/** A usual shape of a pattern piece, drawn into a rectangle; mm. */
export interface UsualShape {
  readonly id: (typeof USUAL_SHAPES)[number];
  readonly draw: (widthMm: number, heightMm: number) => Point[];
}

/** Corners as shares of the rectangle. */
const byShares =
  (...corners: readonly (readonly [number, number])[]) =>
  (widthMm: number, heightMm: number): Point[] =>
    corners.map(([x, y]) => ({ xMm: Math.round(x * widthMm), yMm: Math.round(y * heightMm) }));

const ROUND = Array.from({ length: 16 }, (_, n): [number, number] => {
  const angle = (2 * Math.PI * n) / 16;
  // The corners lie so far out that the round lies within them.
  const out = 0.5 / Math.cos(Math.PI / 16);
  const inside = (share: number) => Math.min(1, Math.max(0, share));
  return [inside(0.5 + out * Math.cos(angle)), inside(0.5 + out * Math.sin(angle))];
});

/** Shapes that most pieces begin from, drawn after what such pieces look like. Left is where a fold lies. */
export function listShapes(): readonly UsualShape[] {
  return [
    { id: 'rectangle', draw: toBoxOutline },
    { id: 'narrower', draw: byShares([0, 0], [0.6, 0], [1, 1], [0, 1]) },
    { id: 'tapered', draw: byShares([0.2, 0], [0.8, 0], [1, 1], [0, 1]) },
    {
      id: 'half-bodice',
      draw: byShares([0, 0.12], [0.3, 0], [0.75, 0.07], [0.72, 0.22], [0.8, 0.32], [0.95, 0.36], [1, 1], [0, 1]),
    },
    {
      id: 'bodice',
      draw: byShares(
        [0.3, 0],
        [0.4, 0.05],
        [0.6, 0.05],
        [0.7, 0],
        [0.93, 0.06],
        [0.88, 0.26],
        [1, 0.34],
        [1, 1],
        [0, 1],
        [0, 0.34],
        [0.12, 0.26],
        [0.07, 0.06],
      ),
    },
    {
      id: 'sleeve',
      draw: byShares(
        [0.5, 0],
        [0.66, 0.03],
        [0.82, 0.14],
        [1, 0.24],
        [0.82, 1],
        [0.18, 1],
        [0, 0.24],
        [0.18, 0.14],
        [0.34, 0.03],
      ),
    },
    {
      id: 'leg',
      draw: byShares([0.2, 0], [0.8, 0], [0.86, 0.2], [1, 0.27], [0.78, 0.5], [0.74, 1], [0.26, 1], [0.2, 0.5]),
    },
    { id: 'collar', draw: byShares([0, 0.15], [0.85, 0], [1, 0.75], [0, 1]) },
    { id: 'round', draw: byShares(...ROUND) },
  ];
}
