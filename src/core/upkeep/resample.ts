import type { Random } from '../random/index.ts';

/** Months looked ahead. */
export const MONTHS_AHEAD = 12;
/** What is usual for the kind stands for so many months where there are none of one's own, and for half a month less with each that there is. */
const PRIOR_MONTHS = 6;
/**
 * Months lie so much further from their mean than twelve of them show: a year is short, and a parcel rare. Set so that the band holds in
 * four of five made-up histories (tests/histories.ts); the test looks at others.
 */
const SPREAD = 1.2;
/** Futures drawn; a tenth of them lies below the band and a tenth above. */
const DRAWS = 600;

/** What may become of something in the months ahead: of each month the drawn sums so far, from small to large. */
export interface Futures {
  /** `sums[m]` after m + 1 months. */
  readonly sums: readonly Float64Array[];
}

/** A weight as the Bayesian bootstrap draws it: standard exponential. */
const drawWeight = (random: Random): number => -Math.log(1 - random());

/** Picks as often as weights say. */
function pick(weights: Float64Array, total: number, random: Random): number {
  let left = random() * total;
  for (let i = 0; i < weights.length - 1; i += 1) {
    left -= weights[i]!;
    if (left < 0) return i;
  }
  return weights.length - 1;
}

/**
 * Draws futures from a year of months: each draw weighs the months anew (Rubin's Bayesian bootstrap, Annals of Statistics 9, 1981, so
 * that twelve months are not taken for all that can happen), then picks one month after the other. Where the daybook is young, what is
 * usual for the kind stands beside its months. Nothing falls below `floor`.
 */
export function drawFutures(own: readonly number[], usual: readonly number[], floor: number, random: Random): Futures {
  const prior = usual.length > 0 ? Math.max(0, Math.ceil(PRIOR_MONTHS - own.length / 2)) : 0;
  const atoms = new Float64Array(own.length + prior);
  const mean = own.reduce((sum, one) => sum + one, 0) / Math.max(1, own.length);
  for (const [i, one] of own.entries()) atoms[i] = mean + SPREAD * (one - mean);
  const sums = Array.from({ length: MONTHS_AHEAD }, () => new Float64Array(DRAWS));
  if (atoms.length === 0) return { sums };
  const weights = new Float64Array(atoms.length);
  for (let draw = 0; draw < DRAWS; draw += 1) {
    for (let i = own.length; i < atoms.length; i += 1) atoms[i] = usual[Math.floor(random() * usual.length)]!;
    let total = 0;
    for (let i = 0; i < weights.length; i += 1) total += weights[i] = drawWeight(random);
    let sum = 0;
    for (let month = 0; month < MONTHS_AHEAD; month += 1) {
      sum = Math.max(floor, sum + atoms[pick(weights, total, random)]!);
      sums[month]![draw] = sum;
    }
  }
  for (const month of sums) month.sort();
  return { sums };
}

/** A quantile of a month, 0 to 1; months from 1. */
export function getQuantile({ sums }: Futures, months: number, share: number): number {
  const sorted = sums[months - 1]!;
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/** The share of futures in which the sum is more than a limit after so many months. */
export function getChanceAbove({ sums }: Futures, months: number, limit: number): number {
  const sorted = sums[months - 1]!;
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! > limit) high = middle;
    else low = middle + 1;
  }
  return (sorted.length - low) / sorted.length;
}
