/** Work that pauses where other work may come between: a large household is gone through without keeping a page from answering. */
export type Slices<T> = Generator<undefined, T, undefined>;

/** Does all of it at once. */
export function finish<T>(work: Slices<T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** How many are gone through between two pauses. */
export const EACH = 256;

/** Maps a list, pausing after every few of it. */
export function* mapInSlices<A, B>(list: Iterable<A>, map: (one: A) => B, each = EACH): Slices<B[]> {
  const mapped: B[] = [];
  for (const one of list) {
    mapped.push(map(one));
    if (mapped.length % each === 0) yield;
  }
  return mapped;
}

/** Sorts as `toSorted` does, alike ones in the order they came in: runs that are merged, pausing in between. */
export function* sortInSlices<T>(list: readonly T[], compare: (a: T, b: T) => number): Slices<T[]> {
  let runs: T[][] = [];
  for (let at = 0; at < list.length; at += EACH) {
    runs.push(list.slice(at, at + EACH).toSorted(compare));
    yield;
  }
  while (runs.length > 1) {
    const merged: T[][] = [];
    for (let at = 0; at < runs.length; at += 2) {
      const [left, right] = [runs[at]!, runs[at + 1]];
      if (right) merged.push(yield* merge(left, right, compare));
      else merged.push(left);
    }
    runs = merged;
  }
  return runs[0] ?? [];
}

function* merge<T>(left: readonly T[], right: readonly T[], compare: (a: T, b: T) => number): Slices<T[]> {
  const merged: T[] = [];
  for (let [l, r] = [0, 0]; l < left.length || r < right.length;) {
    const isLeft = r >= right.length || (l < left.length && compare(left[l]!, right[r]!) <= 0);
    merged.push(isLeft ? left[l++]! : right[r++]!);
    if (merged.length % EACH === 0) yield;
  }
  return merged;
}
