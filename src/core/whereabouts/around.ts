import type { Spot } from '../packing/index.ts';
import type { LotId } from '../records/index.ts';
import type { PlaceContents } from './locate.ts';

/** What lies about a lot in its place, nearest first. */
export interface Around {
  readonly inFront: readonly LotId[];
  readonly behind: readonly LotId[];
  readonly onTop: readonly LotId[];
}

const EPS = 0.5;
const overlaps = (a: number, aSize: number, b: number, bSize: number) => a < b + bSize - EPS && b < a + aSize - EPS;

/**
 * From the packed positions: in front or behind is what hides it or is hidden by it, seen from the front; on top what
 * has to be lifted off. Nothing where the place is over full, for nobody knows how it lies then.
 */
export function computeAround({ contents, spots }: PlaceContents, id: LotId): Around {
  const index = contents.findIndex((one) => one.lot.id === id);
  const mine = (spots ?? []).filter((spot) => spot.index === index);
  const others = (spots ?? []).filter((spot) => spot.index !== index);
  const list = (isThere: (mine: Spot, other: Spot) => boolean, far: (mine: Spot, other: Spot) => number): LotId[] => {
    const found = new Map<number, number>();
    for (const a of mine)
      for (const b of others)
        if (isThere(a, b)) found.set(b.index, Math.min(found.get(b.index) ?? Infinity, far(a, b)));
    return [...found].toSorted((a, b) => a[1] - b[1]).map(([at]) => contents[at]!.lot.id);
  };
  const isSeenOver = (a: Spot, b: Spot) =>
    overlaps(a.xMm, a.widthMm, b.xMm, b.widthMm) && overlaps(a.zMm, a.heightMm, b.zMm, b.heightMm);
  return {
    inFront: list(
      (a, b) => isSeenOver(a, b) && b.yMm + b.depthMm <= a.yMm + EPS,
      (a, b) => a.yMm - b.yMm,
    ),
    behind: list(
      (a, b) => isSeenOver(a, b) && a.yMm + a.depthMm <= b.yMm + EPS,
      (a, b) => b.yMm - a.yMm,
    ),
    onTop: list(
      (a, b) =>
        overlaps(a.xMm, a.widthMm, b.xMm, b.widthMm) &&
        overlaps(a.yMm, a.depthMm, b.yMm, b.depthMm) &&
        a.zMm + a.heightMm <= b.zMm + EPS,
      (a, b) => b.zMm - a.zMm,
    ),
  };
}
