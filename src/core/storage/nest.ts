import type { ContainerSpec, Nook, SlotSpec } from '../records/index.ts';

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
  /** Every box, the lowest layer first, in it from the front left. */
  readonly nooks: readonly Nook[];
  /** What is left over beyond the boxes to the right, behind and above. */
  readonly leftOver: BoxSize;
}

/** A measured edge may be off by this much and still go in. */
const HAIR_MM = 0.5;
/** More places than these to cut at: only straight cuts are tried, which is what so many small boxes allow anyway. */
const MOST_CUTS = 12;

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
    const [w, d] = [toSum(this.sums, width), toSum(this.sums, depth)];
    const key = `${w} ${d}`;
    const before = this.known.get(key);
    if (before) return before;
    const [a, b] = this.box;
    const straight = fit(w, a) * fit(d, b);
    const turned = this.canTurn ? fit(w, b) * fit(d, a) : 0;
    let best: Layout = { count: Math.max(straight, turned), blocks: null, isTurned: turned > straight };
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

  /** Where each box of the best layout stands. */
  list(width: number, depth: number, x = 0, y = 0): Nook[] {
    const { blocks, isTurned } = this.solve(width, depth);
    if (blocks) return blocks.flatMap(([bx, by, bw, bd]) => this.list(bw, bd, x + bx, y + by));
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

/** How many boxes of one size stand in a compartment upright, side by side, one behind the other, on top of each other. */
export function nestBoxes(room: BoxSize, box: BoxSize, { canTurn, canStack }: NestOptions): Nesting {
  const floor = new Floor(room.widthMm, room.depthMm, [box.widthMm, box.depthMm], canTurn);
  const isIn = box.heightMm <= room.heightMm + HAIR_MM;
  const layer = isIn ? floor.list(room.widthMm, room.depthMm) : [];
  const layers = layer.length === 0 ? 0 : canStack ? fit(room.heightMm, box.heightMm) : 1;
  const nooks = Array.from({ length: layers }, (_, n) =>
    layer.map((nook) => ({ ...nook, zMm: n * box.heightMm })).toSorted((a, b) => a.yMm - b.yMm || a.xMm - b.xMm),
  ).flat();
  const right = Math.max(0, ...nooks.map(({ xMm, isTurned }) => xMm + (isTurned ? box.depthMm : box.widthMm)));
  const back = Math.max(0, ...nooks.map(({ yMm, isTurned }) => yMm + (isTurned ? box.widthMm : box.depthMm)));
  return {
    count: nooks.length,
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

/** A bin as it stands in its compartment, mm from its left, front and floor. */
export interface StoodBox {
  readonly left: number;
  readonly right: number;
  readonly front: number;
  readonly back: number;
  readonly bottom: number;
  readonly top: number;
  readonly hasLid: boolean;
}

/** Where the bins of a compartment stand: where they were put or, without a spot of their own, side by side from the left. */
export function standBoxes(boxes: readonly ContainerSpec[]): StoodBox[] {
  let along = 0;
  return boxes.map((box) => {
    const { at } = box;
    const [width, depth] = at?.isTurned ? [box.outerDepthMm, box.outerWidthMm] : [box.outerWidthMm, box.outerDepthMm];
    const [left, front, bottom] = at ? [at.xMm, at.yMm, at.zMm] : [along, 0, 0];
    if (!at) along += width;
    return {
      left,
      right: left + width,
      front,
      back: front + depth,
      bottom,
      top: bottom + box.outerHeightMm,
      hasLid: box.hasLid,
    };
  });
}

const meet = (a0: number, a1: number, b0: number, b1: number) => Math.min(a1, b1) - Math.max(a0, b0) > HAIR_MM;
const meetOnFloor = (a: StoodBox, b: StoodBox) =>
  meet(a.left, a.right, b.left, b.right) && meet(a.front, a.back, b.front, b.back);

export interface ContainerFault {
  readonly code: 'too-wide' | 'too-deep' | 'too-high' | 'in-each-other' | 'in-the-air';
  /** The bin it is about, among those given. */
  readonly index: number;
  readonly neededMm: number;
  readonly availableMm: number;
}

/** What is wrong with the bins of a compartment: the first that does not go in, stands in another, or on no lid. */
export function checkContainers(slot: SlotSpec, boxes: readonly ContainerSpec[]): ContainerFault | null {
  const stood = standBoxes(boxes);
  const sides = [
    ['too-wide', 'right', slot.widthMm],
    ['too-deep', 'back', slot.depthMm],
    ['too-high', 'top', slot.heightMm],
  ] as const;
  for (const [code, side, availableMm] of sides)
    for (const [index, box] of stood.entries())
      if (box[side] > availableMm + HAIR_MM) return { code, index, neededMm: box[side], availableMm };
  for (const [index, box] of stood.entries()) {
    const others = stood.filter((_, n) => n !== index);
    if (others.some((other) => meetOnFloor(box, other) && meet(box.bottom, box.top, other.bottom, other.top)))
      return { code: 'in-each-other', index, neededMm: 0, availableMm: 0 };
    const carriers = others.filter((other) => meetOnFloor(box, other) && Math.abs(other.top - box.bottom) <= HAIR_MM);
    if (box.bottom > HAIR_MM && !(carriers.length > 0 && carriers.every((other) => other.hasLid)))
      return { code: 'in-the-air', index, neededMm: box.bottom, availableMm: 0 };
  }
  return null;
}

/**
 * How many bins are taken away first to have this one: those before it and those on top of it. Of what is reached
 * from either side, the side with fewer before it counts.
 */
export function countBefore(boxes: readonly ContainerSpec[], index: number, isFromBothSides: boolean): number {
  const stood = standBoxes(boxes);
  const box = stood[index]!;
  const isBeside = (other: StoodBox) =>
    other !== box &&
    meet(box.left, box.right, other.left, other.right) &&
    meet(box.bottom, box.top, other.bottom, other.top);
  const before = stood.filter((other) => isBeside(other) && other.back <= box.front + HAIR_MM).length;
  const behind = stood.filter((other) => isBeside(other) && other.front >= box.back - HAIR_MM).length;
  const above = stood.filter((other) => meetOnFloor(box, other) && other.bottom >= box.top - HAIR_MM).length;
  return above + (isFromBothSides ? Math.min(before, behind) : before);
}
