import { createRandom, type Random } from '../random/index.ts';
import { Gaps, RULES, type Carried, type Rule, type Size } from './gaps.ts';

/** Something with edges to be put somewhere, in one of its turns. */
export interface Block {
  readonly turns: readonly Size[];
  readonly volume: number;
}

/** Where a block went: its number among those given, its low corner and its size as it lies. */
export interface Laid {
  readonly block: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly size: Size;
}

/** A box with what was put into it. */
class Filling {
  readonly laid: Laid[] = [];
  volume = 0;
  private readonly gaps: Gaps;
  private readonly carried: Carried | null;

  constructor(size: Size, mustBeCarried: boolean) {
    this.gaps = new Gaps(size);
    this.carried = mustBeCarried ? (x, y, z, w, d) => isCarried(this.laid, x, y, z, w, d) : null;
  }

  /** Puts a block where the rule likes it best; false where it goes nowhere. */
  put(blocks: readonly Block[], index: number, rule: Rule, least: Size, random: Random | null = null): boolean {
    const { gaps } = this;
    const { turns } = blocks[index]!;
    let best = Infinity;
    let at: Laid | null = null;
    // Now and then only one turn is thought of: the best by the rule is not always the one that leaves room for others.
    const only = random && turns.length > 1 && random() < ONE_TURN ? turns[Math.floor(random() * turns.length)]! : null;
    for (const size of only ? [only] : turns) {
      const score = gaps.find(size[0], size[1], size[2], rule, this.carried);
      // Turns come flattest first: what lies low leaves room above.
      if (score >= best) continue;
      best = score;
      at = { block: index, x: gaps.x, y: gaps.y, z: gaps.z, size };
    }
    if (!at) return false;
    gaps.take(at.x, at.y, at.z, ...at.size, least);
    this.laid.push(at);
    this.volume += blocks[index]!.volume;
    return true;
  }
}

const EPS = 1e-6;
const ONE_TURN = 0.15;
/** A box stands firm when this much of its base is carried. */
const SUPPORT_SHARE = 0.7;

function isCarried(laid: readonly Laid[], x: number, y: number, z: number, w: number, d: number): boolean {
  let carried = 0;
  for (const one of laid) {
    if (Math.abs(one.z + one.size[2] - z) > EPS) continue;
    const wide = Math.min(one.x + one.size[0], x + w) - Math.max(one.x, x);
    const deep = Math.min(one.y + one.size[1], y + d) - Math.max(one.y, y);
    if (wide > 0 && deep > 0) carried += wide * deep;
  }
  return carried + EPS >= SUPPORT_SHARE * w * d;
}

const getBase = ({ turns: [[w, d]] }: Block & { turns: readonly [Size, ...Size[]] }) => w * d;
const getLongest = ({ turns }: Block) => Math.max(...turns[0]!);
type Compare = (a: Block, b: Block) => number;
const ORDERS: readonly Compare[] = [
  (a, b) => b.volume - a.volume,
  (a, b) => getBase(b as never) - getBase(a as never) || b.volume - a.volume,
  (a, b) => getLongest(b) - getLongest(a) || b.volume - a.volume,
  (a, b) => b.turns[0]![2] - a.turns[0]![2] || getBase(b as never) - getBase(a as never),
  (a, b) => b.turns[0]![0] - a.turns[0]![0] || b.turns[0]![1] - a.turns[0]![1],
  (a, b) => b.turns[0]![1] - a.turns[0]![1] || b.turns[0]![0] - a.turns[0]![0],
];

/** The numbers of the blocks in each order that is tried first. */
function listOrders(blocks: readonly Block[]): number[][] {
  const given = blocks.map((_, i) => i);
  return ORDERS.map((compare) => given.toSorted((a, b) => compare(blocks[a]!, blocks[b]!) || a - b));
}

/** The smallest that any turn of any block measures, by axis. */
function findLeast(blocks: readonly Block[]): Size {
  const least = (axis: 0 | 1 | 2) => Math.min(...blocks.flatMap(({ turns }) => turns.map((turn) => turn[axis])));
  return [least(0), least(1), least(2)];
}

export interface OneBox {
  readonly size: Size;
  /** Nothing floats: every block stands on the floor or on others. */
  readonly mustBeCarried: boolean;
  /** How often an order is tried at most; told how many were tried, it may also stop by the clock. */
  readonly goOn: (tried: number) => boolean;
  readonly seed?: number;
}

/**
 * Puts all blocks into one box, in sorted orders first; then what did not go in is moved ahead, again and again, for
 * as long as it may. Null where no way was found, which proves nothing.
 */
export function fillOne(blocks: readonly Block[], { size, mustBeCarried, goOn, seed = 1 }: OneBox): Laid[] | null {
  if (blocks.length === 0) return [];
  const random = createRandom(seed);
  const least = findLeast(blocks);
  const orders = listOrders(blocks);
  let best = orders[0]!;
  let bestVolume = -1;
  for (let tried = 0; goOn(tried); tried += 1) {
    const isFirst = tried < orders.length * RULES.length;
    const rule = RULES[isFirst ? Math.floor(tried / orders.length) : Math.floor(random() * RULES.length)]!;
    const order = isFirst ? orders[tried % orders.length]! : perturb(best, random);
    const filling = new Filling(size, mustBeCarried);
    const left: number[] = [];
    const chance = isFirst ? null : random;
    for (const index of order) if (!filling.put(blocks, index, rule, least, chance)) left.push(index);
    if (left.length === 0) return filling.laid;
    if (filling.volume < bestVolume * (1 - 0.02 * random())) continue;
    bestVolume = Math.max(bestVolume, filling.volume);
    best = moveAhead(order, left, random);
  }
  return null;
}

/** What did not go in comes earlier next time. */
function moveAhead(order: readonly number[], left: readonly number[], random: Random): number[] {
  const next = [...order];
  for (const index of left) {
    const at = next.indexOf(index);
    next.splice(at, 1);
    next.splice(Math.floor(random() * (at + 1)), 0, index);
  }
  return next;
}

/** A few neighbours change their turn. */
function perturb(order: readonly number[], random: Random): number[] {
  const next = [...order];
  const n = next.length;
  const times = 1 + Math.floor(random() * 3);
  for (let i = 0; i < times; i += 1) {
    const a = Math.floor(random() * n);
    const b = Math.min(n - 1, Math.max(0, a + Math.round((random() - 0.5) * Math.max(4, n / 2))));
    [next[a], next[b]] = [next[b]!, next[a]!];
  }
  return next;
}

export interface ManyBoxes {
  readonly size: Size;
  /** Fewer boxes than this cannot be. */
  readonly bound: number;
  readonly goOn: (tried: number) => boolean;
  readonly seed?: number;
}

/**
 * Puts blocks into as few boxes of one size as it finds: the best of the sorted orders first; then a few boxes, the
 * emptiest always among them, are emptied and filled anew, until the bound is reached or it may not go on.
 */
export function fillMany(blocks: readonly Block[], { size, bound, goOn, seed = 1 }: ManyBoxes): Laid[][] {
  const random = createRandom(seed);
  const least = findLeast(blocks);
  let best: Filling[] | null = null;
  let tried = 0;
  for (const rule of RULES)
    for (const order of listOrders(blocks)) {
      if (best && (best.length <= bound || !goOn(tried))) break;
      const fillings = fillInOrder(blocks, order, size, rule, least, Infinity)!;
      tried += 1;
      if (!best || isBetter(fillings, best)) best = fillings;
    }
  let now = best!;
  for (; now.length > bound && goOn(tried); tried += 1) {
    const next = refill(blocks, now, size, least, random);
    if (next) now = next;
  }
  return now.map((filling) => filling.laid);
}

/** First fit: each block into the first box that takes it. Null where more than `most` boxes would be needed. */
function fillInOrder(
  blocks: readonly Block[],
  order: readonly number[],
  size: Size,
  rule: Rule,
  least: Size,
  most: number,
): Filling[] | null {
  const fillings: Filling[] = [];
  for (const index of order) {
    if (fillings.some((filling) => filling.put(blocks, index, rule, least))) continue;
    if (fillings.length >= most) return null;
    const filling = new Filling(size, false);
    if (!filling.put(blocks, index, rule, least)) throw new Error(`block ${index} goes into no box`);
    fillings.push(filling);
  }
  return fillings;
}

/** Boxes as unequally full as can be are nearest to one box less. */
const computeUnevenness = (fillings: readonly Filling[]) =>
  fillings.reduce((sum, filling) => sum + filling.volume ** 2, 0);

function isBetter(a: readonly Filling[], b: readonly Filling[]): boolean {
  return a.length < b.length || (a.length === b.length && computeUnevenness(a) > computeUnevenness(b));
}

const MOST_EMPTIED = 4;

/** Empties the emptiest box and a few others, and fills as many anew in another order; null where that is no better. */
function refill(
  blocks: readonly Block[],
  now: readonly Filling[],
  size: Size,
  least: Size,
  random: Random,
): Filling[] | null {
  const byVolume = now.toSorted((a, b) => a.volume - b.volume);
  const emptied = new Set<Filling>([byVolume[0]!]);
  const many = Math.min(now.length, 2 + Math.floor(random() * (MOST_EMPTIED - 1)));
  while (emptied.size < many) emptied.add(now[Math.floor(random() * now.length)]!);
  const loose = [...emptied].flatMap((filling) => filling.laid.map((laid) => laid.block));
  const weight = new Map(
    loose.map((index) => {
      const key = random() < 0.5 ? blocks[index]!.volume : getLongest(blocks[index]!) ** 2;
      return [index, key * (0.6 + 0.8 * random())];
    }),
  );
  loose.sort((a, b) => weight.get(b)! - weight.get(a)!);
  const rule = RULES[Math.floor(random() * RULES.length)]!;
  const refilled = fillInOrder(blocks, loose, size, rule, least, emptied.size);
  if (!refilled) return null;
  if (!isBetter(refilled, [...emptied]) && computeUnevenness(refilled) < computeUnevenness([...emptied])) return null;
  return [...now.filter((filling) => !emptied.has(filling)), ...refilled];
}
