import { describe, expect, it } from 'vitest';
import { checkPlan } from '../check/index.ts';
import { getFetchSeconds, NO_PARTS, type Score } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { countMoves, getGainShare, keepWorthwhile, type CurvePoint } from './curve.ts';
import { createRun } from './solve.ts';

const score = (seconds: number): Score => ({
  unplacedWeight: 0,
  cautions: 0,
  seconds,
  parts: { ...NO_PARTS, fetching: seconds },
});
const point = (moves: number, seconds: number, unplaced = 0): CurvePoint => ({
  moves,
  unplaced,
  score: score(seconds),
});

describe('the curve of minutes against things carried', () => {
  it('keeps what no other point beats, fewest moves first', () => {
    const points = [point(90, 100), point(10, 300), point(40, 120), point(50, 130), point(5, 400, 3), point(90, 100)];
    expect(keepWorthwhile(points).map((one) => one.moves)).toEqual([5, 10, 40, 90]);
  });

  it('tells what part of the gain a point brings', () => {
    const points = [point(10, 300), point(40, 140), point(90, 100)];
    // From 500 down to 100: 360 of 400.
    expect(getGainShare(points[1]!, points, score(500))).toBeCloseTo(0.9, 9);
    expect(getGainShare(points[2]!, points, score(500))).toBe(1);
    expect(getGainShare(points[0]!, points, score(50))).toBe(0);
  });

  it('moves less the dearer carrying is, scores all plans alike, and most of the gain needs few moves', () => {
    const { household } = createSampleHousehold(1, 160);
    const plans = [256, 16, 1].map((factor) => {
      const run = createRun(household, 1, { carryFactor: factor });
      run.advance(40_000);
      const solution = run.getSolution();
      expect(checkPlan(household, solution, solution.spots).findings).toEqual([]);
      return {
        assignments: solution.assignments,
        moves: countMoves(household, solution.assignments),
        unplaced: solution.unplaced.length,
        score: solution.score,
        before: run.before,
      };
    });
    const [few, some, many] = plans;
    expect(few!.moves).toBeLessThan(some!.moves);
    expect(some!.moves).toBeLessThan(many!.moves);
    expect(few!.before).toEqual(many!.before);
    // The real price of carrying: two seconds a month for each thing, however dear it was in the search.
    const each = household.settings.estimates.carrySeconds / household.settings.estimates.carryMonths;
    const homes = plans[0]!.assignments.filter(({ lotId, placeId, form }) => {
      const lot = household.lots.get(lotId)!;
      const [at, as] = lot.homeId ? [lot.homeId, lot.homeForm] : [lot.placeId, lot.form];
      return at !== placeId || as !== form;
    });
    expect(few!.score.parts.moving).toBeCloseTo(homes.length * each, 6);
    const gain = (one: typeof few) => getFetchSeconds(one!.before) - getFetchSeconds(one!.score);
    expect(gain(some)).toBeGreaterThan(0.6 * gain(many));
    expect(some!.moves).toBeLessThan(0.9 * many!.moves);
  });
});
