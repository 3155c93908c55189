import type { ContainerSpec, Nook, SlotSpec } from '../records/index.ts';
import { HAIR_MM } from './stand.ts';

/** Outer sides of a box that stands upright, mm. */
export interface BoxSize {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
}

/** How many of one box go into a compartment, and how. */
export interface Nesting {
  readonly count: number;
  readonly perLayer: number;
  readonly layers: number;
  /** Every box, the lowest layer first, in it from the front left; none where they are thousands. */
  readonly nooks: readonly Nook[];
  /** What is left over beyond the boxes to the right, behind and above. */
  readonly leftOver: BoxSize;
}

/** More places than these to cut at: only straight cuts are tried, which is what so many small boxes allow anyway. */
const MOST_CUTS = 12;
/** More sums of box sides than these along the floor: the boxes are small, and one cut is enough. */
const MOST_SUMS = 24;

type Block = readonly [x: number, y: number, width: number, depth: number];

interface Layout {
  readonly count: number;
  /** The blocks of the best split; null where all boxes stand alike. */
  readonly blocks: readonly Block[] | null;
  readonly isTurned: boolean;
}

const fit = (sideMm: number, boxMm: number) => Math.floor((sideMm + HAIR_MM) / boxMm);

/** Every sum of boxes side by side, either way round, that a side takes. */
function listSums(sideMm: number, a: number, b: number): number[] {
  const sums = new Set<number>();
  for (let i = 0; i * a <= sideMm + HAIR_MM; i += 1)
    for (let j = 0; i * a + j * b <= sideMm + HAIR_MM; j += 1) sums.add(i * a + j * b);
  return [...sums].toSorted((x, y) => x - y);
}

/** The largest sum that a side takes: the rest of it can hold no part of a box. */
function toSum(sums: readonly number[], sideMm: number): number {
  let [low, high] = [0, sums.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (sums[middle]! <= sideMm + HAIR_MM) low = middle;
    else high = middle - 1;
  }
  return sums[low]!;
}

/** Ways to split a floor: one straight cut, and two blades on either side of a middle, like a windmill. */
function* listSplits(w: number, d: number, xs: readonly number[], ys: readonly number[]): Generator<readonly Block[]> {
  for (const x of xs)
    yield [
      [0, 0, x, d],
      [x, 0, w - x, d],
    ];
  for (const y of ys)
    yield [
      [0, 0, w, y],
      [0, y, w, d - y],
    ];
  if (xs.length > MOST_CUTS || ys.length > MOST_CUTS) return;
  for (const [i, x1] of xs.entries())
    for (const x2 of xs.slice(i + 1))
      for (const [j, y1] of ys.entries())
        for (const y2 of ys.slice(j + 1))
          yield [
            [0, 0, x1, y2],
            [x1, 0, w - x1, y1],
            [x1, y1, x2 - x1, y2 - y1],
            [0, y2, x2, d - y2],
            [x2, y1, w - x2, d - y1],
          ];
}

/** Most upright boxes of one size on a floor, some of them turned by a quarter, by splitting it again and again. */
class Floor {
  private readonly known = new Map<string, Layout>();
  private readonly sums: readonly number[];

  constructor(
    width: number,
    depth: number,
    private readonly box: readonly [number, number],
    private readonly canTurn: boolean,
  ) {
    this.sums = listSums(Math.max(width, depth), box[0], box[1]);
  }

  solve(width: number, depth: number): Layout {
    if (this.sums.length > MOST_SUMS) return this.cutOnce(width, depth);
    const [w, d] = [toSum(this.sums, width), toSum(this.sums, depth)];
    const key = `${w} ${d}`;
    const before = this.known.get(key);
    if (before) return before;
    const [a, b] = this.box;
    let best = this.standAlike(w, d);
    const most = Math.floor(((w + HAIR_MM) * (d + HAIR_MM)) / (a * b));
    const inside = (side: number) => this.sums.filter((sum) => sum > 0 && sum < side);
    if (this.canTurn && best.count < most)
      for (const blocks of listSplits(w, d, inside(w), inside(d))) {
        // What their areas cannot hold need not be looked at.
        if (blocks.reduce((sum, [, , bw, bd]) => sum + fit(bw * bd, a * b), 0) <= best.count) continue;
        const count = blocks.reduce((sum, [, , bw, bd]) => sum + this.solve(bw, bd).count, 0);
        if (count > best.count) best = { count, blocks, isTurned: false };
        if (best.count === most) break;
      }
    this.known.set(key, best);
    return best;
  }

  /** All boxes the same way round, the better of the two. */
  private standAlike(width: number, depth: number): Layout {
    const [a, b] = this.box;
    const straight = fit(width, a) * fit(depth, b);
    const turned = this.canTurn ? fit(width, b) * fit(depth, a) : 0;
    return { count: Math.max(straight, turned), blocks: null, isTurned: turned > straight };
  }

  /** Hundreds of small boxes: one cut, and all boxes on either side of it alike. */
  private cutOnce(width: number, depth: number): Layout {
    let best = this.standAlike(width, depth);
    if (!this.canTurn) return best;
    const edges = (side: number) => {
      const multiples = this.box.flatMap((box) => Array.from({ length: fit(side, box) }, (_, n) => (n + 1) * box));
      return multiples.filter((edge) => edge < side).toSorted((x, y) => x - y);
    };
    for (const blocks of listSplits(width, depth, edges(width), edges(depth))) {
      const count = blocks.reduce((sum, [, , bw, bd]) => sum + this.standAlike(bw, bd).count, 0);
      if (count > best.count) best = { count, blocks, isTurned: false };
    }
    return best;
  }

  /** Where each box of the best layout stands. */
  list(width: number, depth: number): Nook[] {
    return this.listLayout(this.solve(width, depth), [0, 0, width, depth]);
  }

  private listLayout({ blocks, isTurned }: Layout, [x, y, width, depth]: Block): Nook[] {
    const isMany = this.sums.length > MOST_SUMS;
    if (blocks)
      return blocks.flatMap(([bx, by, bw, bd]) =>
        this.listLayout(isMany ? this.standAlike(bw, bd) : this.solve(bw, bd), [x + bx, y + by, bw, bd]),
      );
    const [a, b] = isTurned ? [this.box[1], this.box[0]] : this.box;
    return Array.from({ length: fit(width, a) * fit(depth, b) }, (_, n): Nook => {
      const [column, row] = [n % fit(width, a), Math.floor(n / fit(width, a))];
      return { xMm: x + column * a, yMm: y + row * b, zMm: 0, isTurned };
    });
  }
}

/** What may be done with the boxes. */
export interface NestOptions {
  /** They may stand with their side to the front. */
  readonly canTurn: boolean;
  /** They have lids and carry each other. */
  readonly canStack: boolean;
}

/** So many spots are worth listing. */
const MOST_NOOKS = 2000;

/** How many boxes of one size stand in a compartment upright, side by side, one behind the other, on top of each other. */
export function nestBoxes(room: BoxSize, box: BoxSize, { canTurn, canStack }: NestOptions): Nesting {
  const floor = new Floor(room.widthMm, room.depthMm, [box.widthMm, box.depthMm], canTurn);
  const isIn = box.heightMm <= room.heightMm + HAIR_MM;
  const layer = isIn ? floor.list(room.widthMm, room.depthMm) : [];
  const layers = layer.length === 0 ? 0 : canStack ? fit(room.heightMm, box.heightMm) : 1;
  const count = layer.length * layers;
  const sorted = layer.toSorted((a, b) => a.yMm - b.yMm || a.xMm - b.xMm);
  const nooks =
    count > MOST_NOOKS
      ? []
      : Array.from({ length: layers }, (_, n) => sorted.map((nook) => ({ ...nook, zMm: n * box.heightMm }))).flat();
  let [right, back] = [0, 0];
  for (const { xMm, yMm, isTurned } of layer) {
    right = Math.max(right, xMm + (isTurned ? box.depthMm : box.widthMm));
    back = Math.max(back, yMm + (isTurned ? box.widthMm : box.depthMm));
  }
  return {
    count,
    perLayer: layer.length,
    layers,
    nooks,
    leftOver: {
      widthMm: Math.max(0, room.widthMm - right),
      depthMm: Math.max(0, room.depthMm - back),
      heightMm: Math.max(0, room.heightMm - layers * box.heightMm),
    },
  };
}

/** The play that each box gets on its side, at its back and above, to be taken hold of. */
const PLAY_MM = 5;
const WAYS: readonly (readonly [across: number, deep: number, high: number])[] = [
  [1, 1, 1],
  [2, 1, 1],
  [3, 1, 1],
  [1, 2, 1],
  [2, 2, 1],
  [1, 1, 2],
  [2, 1, 2],
];
/** Smaller ones are no bins. */
const LEAST_MM = 60;

/** The largest sizes to be bought of which so many fill a compartment; with lids where they stand on each other. */
export function proposeSizes(
  room: BoxSize,
): { count: number; across: number; deep: number; high: number; size: BoxSize }[] {
  return WAYS.flatMap(([across, deep, high]) => {
    const side = (mm: number, n: number) => Math.floor(mm / n - PLAY_MM);
    const size = {
      widthMm: side(room.widthMm, across),
      depthMm: side(room.depthMm, deep),
      heightMm: side(room.heightMm, high),
    };
    const isBin = Math.min(size.widthMm, size.depthMm, size.heightMm) >= LEAST_MM;
    return isBin ? [{ count: across * deep * high, across, deep, high, size }] : [];
  });
}

/** The outside of a container as a box. */
export const getBoxSize = (box: ContainerSpec): BoxSize => ({
  widthMm: box.outerWidthMm,
  depthMm: box.outerDepthMm,
  heightMm: box.outerHeightMm,
});

/** The inside of a compartment as a box. */
export const getSlotSize = (slot: SlotSpec): BoxSize => ({
  widthMm: slot.widthMm,
  depthMm: slot.depthMm,
  heightMm: slot.heightMm,
});
