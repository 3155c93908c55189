/** A way round through all points, from the first and back to it. */
export interface Round {
  readonly order: readonly number[];
  readonly length: number;
}

/** Up to so many points every way round is looked at, by Held and Karp's recurrence (1962). */
const EXACT_POINTS = 11;

/**
 * The shortest way round through all points: exactly for a handful, else the nearest next one, mended by turning parts
 * round (2-opt) and moving up to three on elsewhere (Or-opt) as long as that shortens it.
 *
 * @param way lengths from each point to each; the same both ways.
 */
export function findRound(way: readonly (readonly number[])[]): Round {
  const n = way.length;
  if (n === 0) return { order: [], length: 0 };
  return n <= EXACT_POINTS ? findExactly(way) : mend(way, goToNearest(way));
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

function goToNearest(way: readonly (readonly number[])[]): number[] {
  const left = new Set(way.keys());
  left.delete(0);
  const order = [0];
  while (left.size > 0) {
    const at = order.at(-1)!;
    let nearest = -1;
    for (const k of left) if (nearest === -1 || way[at]![k]! < way[at]![nearest]!) nearest = k;
    order.push(nearest);
    left.delete(nearest);
  }
  return order;
}

function mend(way: readonly (readonly number[])[], order: number[]): Round {
  const n = order.length;
  const at = (tour: readonly number[], i: number) => tour[(i + n) % n]!;
  let tour = order;
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let i = 0; i < n - 1; i += 1)
      for (let j = i + 1; j < n; j += 1) {
        const [a, b, c, d] = [at(tour, i), at(tour, i + 1), at(tour, j), at(tour, j + 1)];
        if (way[a]![c]! + way[b]![d]! >= way[a]![b]! + way[c]![d]! - 1e-9) continue;
        tour = [...tour.slice(0, i + 1), ...tour.slice(i + 1, j + 1).toReversed(), ...tour.slice(j + 1)];
        isBetter = true;
      }
    for (let size = 1; size <= 3; size += 1)
      for (let i = 1; i + size <= n; i += 1) {
        const part = tour.slice(i, i + size);
        const rest = [...tour.slice(0, i), ...tour.slice(i + size)];
        const length = measure(way, tour);
        for (let k = 0; k < rest.length; k += 1) {
          const next = [...rest.slice(0, k + 1), ...part, ...rest.slice(k + 1)];
          if (measure(way, next) >= length - 1e-9) continue;
          tour = next;
          isBetter = true;
          break;
        }
      }
  }
  return { order: tour, length: measure(way, tour) };
}
