/** A seeded stream of numbers in [0, 1): the same seed gives the same stream on every machine. */
export type Random = () => number;

/** Mulberry32 (Tommy Ettinger, public domain): 32 bits of state, enough for search and samples, not for secrets. */
export function createRandom(seed: number): Random {
  // Kept as a signed number, which the engine holds without allocating; the stream is that of the unsigned one.
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export function pick<T>(random: Random, from: readonly T[]): T {
  return from[Math.floor(random() * from.length)] as T;
}

/** Fisher-Yates; a new array. */
export function shuffle<T>(random: Random, from: readonly T[]): T[] {
  const copy = [...from];
  for (let i = copy.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [copy[i], copy[j]] = [copy[j] as T, copy[i] as T];
  }
  return copy;
}
