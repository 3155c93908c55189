import type { Size } from '../src/core/packing/gaps.ts';
import { createRandom, type Random } from '../src/core/random/index.ts';

/** Blocks to be packed into as few equal boxes as can be, without turning; rectangles have height one. */
export interface PackingInstance {
  readonly box: Size;
  readonly blocks: readonly Size[];
}

const whole = (random: Random, from: number, to: number) => from + Math.floor(random() * (to - from + 1));

/** Sides up to a limit in boxes of a side: the first six classes of rectangles. */
const FLAT_RANGES: readonly [number, number][] = [
  [10, 10],
  [10, 30],
  [35, 40],
  [35, 100],
  [100, 100],
  [100, 300],
];
/** Shares of a box's side, from and to: long ones, tall ones, large ones, small ones. */
const FLAT_TYPES: readonly (readonly [number, number, number, number])[] = [
  [2 / 3, 1, 0, 1 / 2],
  [0, 1 / 2, 2 / 3, 1],
  [1 / 2, 1, 1 / 2, 1],
  [0, 1 / 2, 0, 1 / 2],
];
const SOLID_TYPES: readonly (readonly number[])[] = [
  [0, 1 / 2, 2 / 3, 1, 2 / 3, 1],
  [2 / 3, 1, 0, 1 / 2, 2 / 3, 1],
  [2 / 3, 1, 2 / 3, 1, 0, 1 / 2],
  [1 / 2, 1, 1 / 2, 1, 1 / 2, 1],
  [0, 1 / 2, 0, 1 / 2, 0, 1 / 2],
];
const SOLID_RANGES: readonly [number, number][] = [
  [10, 10],
  [35, 40],
  [100, 100],
];
const SIDE = 100;

const side = (random: Random, from: number, to: number) =>
  whole(random, Math.max(1, Math.ceil(from * SIDE)), Math.floor(to * SIDE));

/** The type most of a class is of; the others share the rest alike. */
function pickType(random: Random, main: number, share: number, of: number): number {
  if (random() < share) return main;
  const other = whole(random, 0, of - 2);
  return other < main ? other : other + 1;
}

/** The ten classical classes of rectangles, 20 to 100 in each instance. */
export function createFlatInstances(perSize: number): PackingInstance[] {
  const made: PackingInstance[] = [];
  for (let kind = 0; kind < 10; kind += 1)
    for (const n of [20, 40, 60, 80, 100])
      for (let k = 0; k < perSize; k += 1) {
        const random = createRandom(1000 * kind + 10 * n + k);
        const range = FLAT_RANGES[kind];
        const box: Size = range ? [range[1], range[1], 1] : [SIDE, SIDE, 1];
        const blocks = Array.from({ length: n }, (): Size => {
          if (range) return [whole(random, 1, range[0]), whole(random, 1, range[0]), 1];
          const [w0, w1, h0, h1] = FLAT_TYPES[pickType(random, kind - 6, 0.7, 4)]!;
          return [side(random, w0, w1), side(random, h0, h1), 1];
        });
        made.push({ box, blocks });
      }
  return made;
}

/** The eight classical classes of boxes, 50 to 200 in each instance. */
export function createSolidInstances(perSize: number): PackingInstance[] {
  const made: PackingInstance[] = [];
  for (let kind = 0; kind < 8; kind += 1)
    for (const n of [50, 100, 150, 200])
      for (let k = 0; k < perSize; k += 1) {
        const random = createRandom(2_000_000 + 10_000 * kind + 10 * n + k);
        const range = SOLID_RANGES[kind - 5];
        const box: Size = range ? [range[1], range[1], range[1]] : [SIDE, SIDE, SIDE];
        const blocks = Array.from({ length: n }, (): Size => {
          if (range) return [whole(random, 1, range[0]), whole(random, 1, range[0]), whole(random, 1, range[0])];
          const [w0, w1, d0, d1, h0, h1] = SOLID_TYPES[pickType(random, kind, 0.6, 5)] as [
            number,
            number,
            number,
            number,
            number,
            number,
          ];
          return [side(random, w0, w1), side(random, d0, d1), side(random, h0, h1)];
        });
        made.push({ box, blocks });
      }
  return made;
}

type Stretch = (share: number) => number;

/** Dual feasible: no set of lengths that fits into one is worth more than one. The exact shares are given as they are. */
function listStretches(shares: readonly number[], most: number): Stretch[] {
  const stretches: Stretch[] = [(x) => x];
  for (let k = 1; k <= 5; k += 1)
    stretches.push((x) => {
      const times = x * (k + 1);
      return Math.abs(times - Math.round(times)) < 1e-9 ? x : Math.floor(times) / k;
    });
  const half = [...new Set(shares.filter((x) => x <= 0.5))];
  for (const e of half) stretches.push((x) => (x > 1 - e + 1e-9 ? 1 : x < e - 1e-9 ? 0 : x));
  const own = stretches.splice(6);
  return [...stretches, ...(own.length > most ? spread(own, most) : own)];
}

function spread<T>(list: readonly T[], n: number): T[] {
  return Array.from({ length: n }, (_, i) => list[Math.floor((i * list.length) / n)]!);
}

/** A number of boxes that no packing without turning can do with less than: the best product of dual feasible stretches. */
export function computeBoxBound({ box, blocks }: PackingInstance): number {
  const shares = [0, 1, 2].map((axis) => blocks.map((block) => block[axis]! / box[axis]!));
  const isFlat = box[2] === 1;
  const stretched = shares.map((list, axis) => {
    if (axis === 2 && isFlat) return [list];
    const known = new Map<string, number[]>();
    for (const stretch of listStretches(list, isFlat ? 40 : 14)) {
      const row = list.map(stretch);
      known.set(row.map((x) => x.toFixed(6)).join(), row);
    }
    return [...known.values()];
  });
  let best = 1;
  for (const a of stretched[0]!)
    for (const b of stretched[1]!) {
      const area = a.map((x, i) => x * b[i]!);
      for (const c of stretched[2]!) {
        let sum = 0;
        for (let i = 0; i < area.length; i += 1) sum += area[i]! * c[i]!;
        best = Math.max(best, Math.ceil(sum - 1e-6));
      }
    }
  return best;
}
