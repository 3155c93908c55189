import type { ContainerSpec, Nook, SlotSpec } from '../records/index.ts';

/** A measured edge may be off by this much and still go in. */
export const HAIR_MM = 0.5;

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

/**
 * Where one more bin can stand among those of a compartment: on its floor before it stands on a lid, in front before
 * behind, from the left, and as it is before it is turned. Null where it can stand nowhere that was tried: at the
 * corners that the others leave.
 */
export function findNook(slot: SlotSpec, boxes: readonly ContainerSpec[], box: ContainerSpec): Nook | null {
  const stood = standBoxes(boxes);
  const steps = (sides: number[]) => [...new Set([0, ...sides])].toSorted((a, b) => a - b);
  const xs = steps(stood.map((one) => one.right));
  const ys = steps(stood.map((one) => one.back));
  const zs = steps(stood.filter((one) => one.hasLid).map((one) => one.top));
  for (const zMm of zs)
    for (const yMm of ys)
      for (const xMm of xs)
        for (const isTurned of [false, true]) {
          const at = { xMm, yMm, zMm, isTurned };
          if (checkContainers(slot, [...boxes, { ...box, at }]) === null) return at;
        }
  return null;
}

/**
 * The bins of a compartment so that all of them stand in it: each where it is, else in the next nook that takes it, turned where it only
 * goes in so. Null where that finds no room for one of them.
 */
export function standTogether(slot: SlotSpec, boxes: readonly ContainerSpec[]): ContainerSpec[] | null {
  if (checkContainers(slot, boxes) === null) return [...boxes];
  const stood: ContainerSpec[] = [];
  for (const box of boxes) {
    const { at: _at, ...free } = box;
    const at = findNook(slot, stood, free);
    if (!at) return null;
    stood.push({ ...free, at });
  }
  return stood;
}
