import { finish, type Slices } from '../slices/index.ts';

/** A way round through all points, from the first and back to it. */
export interface Round {
  readonly order: readonly number[];
  readonly length: number;
}

/** Up to so many points every way round is looked at, by Held and Karp's recurrence (1962). */
const EXACT_POINTS = 11;

/** `findRoundInSlices` at once. */
export const findRound = (way: readonly (readonly number[])[]): Round => finish(findRoundInSlices(way));

/**
 * The shortest way round through all points: exactly for a handful, else the nearest next one, mended by turning parts
 * round (2-opt) and moving up to three on elsewhere (Or-opt) as long as that shortens it.
 *
 * @param way lengths from each point to each; the same both ways.
 */
export function* findRoundInSlices(way: readonly (readonly number[])[]): Slices<Round> {
  const n = way.length;
  if (n === 0) return { order: [], length: 0 };
  return n <= EXACT_POINTS ? findExactly(way) : yield* mend(way, yield* goToNearest(way));
}

function measure(way: readonly (readonly number[])[], order: readonly number[]): number {
  return order.reduce((sum, a, i) => sum + way[a]![order[(i + 1) % order.length]!]!, 0);
}

function findExactly(way: readonly (readonly number[])[]): Round {
  const n = way.length;
  const full = 1 << (n - 1);
  // By the set of points seen (without the first) and the last of them.
  const least = Array.from({ length: full }, () => new Float64Array(n).fill(Infinity));
  const before = Array.from({ length: full }, () => new Int8Array(n));
  for (let k = 1; k < n; k += 1) least[1 << (k - 1)]![k] = way[0]![k]!;
  for (let set = 1; set < full; set += 1)
    for (let last = 1; last < n; last += 1) {
      const sofar = least[set]![last]!;
      if (sofar === Infinity) continue;
      for (let next = 1; next < n; next += 1) {
        const bit = 1 << (next - 1);
        if (set & bit) continue;
        const length = sofar + way[last]![next]!;
        if (length >= least[set | bit]![next]!) continue;
        least[set | bit]![next] = length;
        before[set | bit]![next] = last;
      }
    }
  const order: number[] = [];
  let set = full - 1;
  let last = 0;
  for (let k = 1; k < n; k += 1)
    if (last === 0 || least[set]![k]! + way[k]![0]! < least[set]![last]! + way[last]![0]!) last = k;
  while (set > 0) {
    order.push(last);
    const from = before[set]![last]!;
    set &= ~(1 << (last - 1));
    last = from;
  }
  order.push(0);
  order.reverse();
  return { order, length: measure(way, order) };
}

function* goToNearest(way: readonly (readonly number[])[]): Slices<number[]> {
  const left = new Set(way.keys());
  left.delete(0);
  const order = [0];
  while (left.size > 0) {
    yield;
    const at = order.at(-1)!;
    let nearest = -1;
    for (const k of left) if (nearest === -1 || way[at]![k]! < way[at]![nearest]!) nearest = k;
    order.push(nearest);
    left.delete(nearest);
  }
  return order;
}

function* mend(way: readonly (readonly number[])[], order: readonly number[]): Slices<Round> {
  const n = order.length;
  const tour = [...order];
  const at = (i: number) => tour[(i + n) % n]!;
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let i = 0; i < n - 1; i += 1) {
      yield;
      for (let j = i + 1; j < n; j += 1) {
        const [a, b, c, d] = [at(i), at(i + 1), at(j), at(j + 1)];
        if (way[a]![c]! + way[b]![d]! >= way[a]![b]! + way[c]![d]! - 1e-9) continue;
        for (let [l, r] = [i + 1, j]; l < r; l += 1, r -= 1) [tour[l], tour[r]] = [tour[r]!, tour[l]!];
        isBetter = true;
      }
    }
    for (let size = 1; size <= 3; size += 1)
      for (let i = 1; i + size <= n; i += 1) {
        yield;
        if (moveOn(way, tour, i, size)) isBetter = true;
      }
  }
  return { order: tour, length: measure(way, tour) };
}

/** Moves a part of a tour to the first gap where it makes it shorter; false where there is none. */
function moveOn(way: readonly (readonly number[])[], tour: number[], from: number, size: number): boolean {
  const n = tour.length;
  const [first, last] = [tour[from]!, tour[from + size - 1]!];
  const [before, after] = [tour[from - 1]!, tour[(from + size) % n]!];
  const saved = way[before]![first]! + way[last]![after]! - way[before]![after]!;
  const rest = n - size;
  // The tour without the part.
  const left = (k: number) => tour[k % rest < from ? k % rest : (k % rest) + size]!;
  for (let k = 0; k < rest; k += 1) {
    const [a, b] = [left(k), left(k + 1)];
    if (way[a]![first]! + way[last]![b]! - way[a]![b]! >= saved - 1e-9) continue;
    const part = tour.splice(from, size);
    tour.splice(k + 1, 0, ...part);
    return true;
  }
  return false;
}
