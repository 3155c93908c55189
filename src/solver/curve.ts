import { getFetchSeconds, type Assignment, type Household, type Score } from '../core/records/index.ts';

/**
 * Prices of carrying along the curve of minutes against things carried, dearest first: from plans that move only what
 * matters most to the one that moves whatever saves anything.
 */
export const CARRY_FACTORS = [256, 64, 24, 8, 3, 1] as const;

/** Things that a plan has one carry or refold; what lies out without a place is carried in any plan. */
export function countMoves(household: Household, assignments: readonly Assignment[]): number {
  let moves = 0;
  for (const { lotId, placeId, form } of assignments) {
    const lot = household.lots.get(lotId);
    if (lot && (lot.placeId !== placeId || lot.form !== form)) moves += 1;
  }
  return moves;
}

/** A plan on the curve, as far as it is compared. */
export interface CurvePoint {
  readonly moves: number;
  readonly unplaced: number;
  readonly score: Score;
}

/** The points that no other beats in moves, things without a home and minutes at once; fewest moves first. */
export function keepWorthwhile<T extends CurvePoint>(points: readonly T[]): T[] {
  const beats = (a: T, b: T) => {
    const [x, y] = [getFetchSeconds(a.score), getFetchSeconds(b.score)];
    const isNoWorse = a.moves <= b.moves && a.unplaced <= b.unplaced && x <= y;
    return isNoWorse && (a.moves < b.moves || a.unplaced < b.unplaced || x < y);
  };
  const best = points.filter((one) => !points.some((other) => beats(other, one)));
  const seen = new Set<number>();
  return best
    .toSorted((a, b) => a.moves - b.moves || getFetchSeconds(a.score) - getFetchSeconds(b.score))
    .filter(({ moves }) => !seen.has(moves) && Boolean(seen.add(moves)));
}

/** What part of the minutes that could be saved a point saves, 0 to 1; `before` is today. */
export function getGainShare(point: CurvePoint, points: readonly CurvePoint[], before: Score): number {
  const today = getFetchSeconds(before);
  const most = today - Math.min(...points.map((one) => getFetchSeconds(one.score)));
  return most <= 0 ? 0 : Math.max(0, (today - getFetchSeconds(point.score)) / most);
}
