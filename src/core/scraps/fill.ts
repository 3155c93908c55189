import type { ScrapSize } from './sizes.ts';

/** A piece within a stretch of cloth, from its top left, mm. */
export interface Filled {
  readonly size: ScrapSize;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The best that a rectangle gives: how much it is worth, and how it is cut, edge to edge each time. */
export interface Fill {
  readonly worth: number;
  readonly pieces: readonly Filled[];
}

const NOTHING: Fill = { worth: 0, pieces: [] };
const LEAST = 1e-6;

/** Which way strips may run in a rectangle: across it (x), along it (y), or either. */
export type StripsRun = 'x' | 'y' | 'either';

/** A piece at the top left of a rectangle: a square, or a strip that runs to one end of it. */
function listFirst(
  size: ScrapSize,
  run: StripsRun,
  widthMm: number,
  heightMm: number,
): { widthMm: number; heightMm: number; worth: number }[] {
  const { kind, sideMm, leastMm, worth } = size;
  if (kind === 'square')
    return sideMm <= widthMm + LEAST && sideMm <= heightMm + LEAST
      ? [{ widthMm: sideMm, heightMm: sideMm, worth }]
      : [];
  const along = [
    ...(run === 'y' ? [] : [{ widthMm, heightMm: sideMm, lengthMm: widthMm }]),
    ...(run === 'x' ? [] : [{ widthMm: sideMm, heightMm, lengthMm: heightMm }]),
  ];
  return along
    .filter(
      (one) => one.widthMm <= widthMm + LEAST && one.heightMm <= heightMm + LEAST && one.lengthMm >= leastMm - LEAST,
    )
    .map(({ lengthMm, ...one }) => ({ ...one, worth: (worth * lengthMm) / leastMm }));
}

const shift = (pieces: readonly Filled[], x: number, y: number): Filled[] =>
  pieces.map((piece) => ({ ...piece, xMm: piece.xMm + x, yMm: piece.yMm + y }));

/**
 * Fills rectangles with squares and strips for the greatest worth, by cuts that each go from edge to edge: a piece goes into the
 * corner, and what is left is cut in two, either way, each part filled as well as can be. Best of all such cuts; what was worked
 * out for a rectangle is kept.
 */
export function createFiller(
  sizes: readonly ScrapSize[],
  run: StripsRun = 'either',
): (widthMm: number, heightMm: number) => Fill {
  const known = new Map<string, Fill>();
  const least = Math.min(...sizes.map((size) => size.sideMm));
  const fill = (widthMm: number, heightMm: number): Fill => {
    if (widthMm < least - LEAST || heightMm < least - LEAST) return NOTHING;
    const key = `${widthMm.toFixed(2)} ${heightMm.toFixed(2)}`;
    const hit = known.get(key);
    if (hit) return hit;
    let best = NOTHING;
    for (const size of sizes)
      for (const first of listFirst(size, run, widthMm, heightMm)) {
        const [right, below] = [widthMm - first.widthMm, heightMm - first.heightMm];
        // The first cut goes all down beside the piece, or all across below it.
        const ways = [
          [fill(right, heightMm), fill(first.widthMm, below)],
          [fill(right, first.heightMm), fill(widthMm, below)],
        ] as const;
        for (const [beside, under] of ways) {
          const worth = first.worth + beside.worth + under.worth;
          if (worth <= best.worth + LEAST) continue;
          best = {
            worth,
            pieces: [
              { size, xMm: 0, yMm: 0, widthMm: first.widthMm, heightMm: first.heightMm },
              ...shift(beside.pieces, first.widthMm, 0),
              ...shift(under.pieces, 0, first.heightMm),
            ],
          };
        }
      }
    known.set(key, best);
    return best;
  };
  return fill;
}
