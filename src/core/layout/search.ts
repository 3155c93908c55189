import { computeLeastLength } from './bound.ts';
import { createNest, type Nest } from './nest.ts';
import { goesOn, type Block, type Laid, type Layout, type Sheet } from './pieces.ts';
import { layInOrder, RULES, type Rule } from './strip.ts';

/** A search for a short layout that can be stopped at any time. */
export interface LayoutSearch {
  /** Tries so many more orders; false once it cannot become better. */
  readonly advance: (tries: number) => boolean;
  /** The best so far. */
  readonly getBest: () => Layout;
  /** No layout is shorter, mm; 0 on several sheets, where that says nothing. */
  readonly leastMm: number;
  readonly countTries: () => number;
}

type Order = readonly number[];

/** Less is better: first what did not go on, by its area; then the length; then how far down all of it lies. */
type Cost = readonly [leftMm2: number, lengthMm: number, sunkMm3: number];

function judge({ laid, left, lengthMm }: Layout, blocks: readonly Block[]): Cost {
  const area = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }) => widthMm * heightMm;
  return [
    left.reduce((sum, n) => sum + area(blocks[n]!), 0),
    lengthMm,
    laid.reduce((sum, one) => sum + (one.yMm + one.heightMm) * area(one), 0),
  ];
}

function isLess(a: Cost, b: Cost): boolean {
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return a[i]! < b[i]!;
  return false;
}

/** Orders that are good as a rule: the longest first, the widest, the largest, the one with the longest edge. */
const FIRST: readonly ((a: Block, b: Block) => number)[] = [
  (a, b) => b.heightMm - a.heightMm || b.widthMm - a.widthMm,
  (a, b) => b.widthMm - a.widthMm || b.heightMm - a.heightMm,
  (a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm,
  (a, b) => Math.max(b.widthMm, b.heightMm) - Math.max(a.widthMm, a.heightMm),
  (a, b) => b.widthMm + b.heightMm - a.widthMm - a.heightMm,
];

/** Of how many orders tried in vain the search goes on from one a little worse. */
const STUCK = 150;

/** Another order near this one: two changed about, or one moved. */
function vary(order: Order, random: () => number): Order {
  const next = [...order];
  for (let n = 1 + Math.floor(random() ** 2 * 3); n > 0; n -= 1) {
    const from = Math.floor(random() * next.length);
    const to = Math.floor(random() * next.length);
    if (random() < 0.5) [next[from], next[to]] = [next[to]!, next[from]!];
    else next.splice(to, 0, ...next.splice(from, 1));
  }
  return next;
}

/** How blocks are laid on one sheet: rectangles exactly; shapes, odd remnants and prints to match strip by strip. */
function createLayer(blocks: readonly Block[], sheet: Sheet): Nest {
  return sheet.outline || sheet.repeatMm || blocks.some(({ outline }) => outline)
    ? createNest(blocks, sheet)
    : (order, rule) => layInOrder(blocks, order, sheet, rule);
}

/** What does not go on the first sheet goes on the next. */
function createLayers(blocks: readonly Block[], sheets: readonly Sheet[]): Nest {
  const layers = sheets.map((sheet) => createLayer(blocks, sheet));
  return (order, rule) => {
    const laid: Laid[] = [];
    let [left, lengthMm] = [order, 0];
    for (const [sheet, lay] of layers.entries()) {
      if (left.length === 0) break;
      const one = lay(left, rule);
      laid.push(...one.laid.map((piece) => ({ ...piece, sheet })));
      left = one.left;
      lengthMm += one.lengthMm;
    }
    return { laid, left: [...left], lengthMm };
  };
}

/**
 * Looks for a short layout of blocks on one sheet, or on several of which the first is used first: the usual orders first (a
 * first answer in a few ms), then ever more of their neighbours, with every rule of where a block goes. Same random numbers
 * and tries, same layout.
 */
export function createLayoutSearch(
  blocks: readonly Block[],
  sheets: Sheet | readonly Sheet[],
  random: () => number,
): LayoutSearch {
  const all: readonly Sheet[] = 'widthMm' in sheets ? [sheets] : sheets;
  // What can lie nowhere is left, and does not hinder the others.
  const isAble = (block: Block) => all.some((sheet) => goesOn(block, sheet));
  const able = blocks.flatMap((block, n) => (isAble(block) ? [n] : []));
  const unable = blocks.flatMap((block, n) => (isAble(block) ? [] : [n]));
  const leastMm =
    all.length === 1
      ? computeLeastLength(
          able.map((n) => blocks[n]!),
          all[0]!,
        )
      : 0;
  const lay = createLayers(blocks, all);
  let best: Layout = { laid: [], left: [...able, ...unable], lengthMm: 0 };
  let bestCost: Cost | null = null;
  let current: { order: Order; rule: Rule; cost: Cost } | null = null;
  let [tries, inVain] = [0, 0];
  const attempt = (order: Order, rule: Rule): Cost => {
    const layout = lay(order, rule);
    const whole = { ...layout, left: [...layout.left, ...unable] };
    const cost = judge(whole, blocks);
    tries += 1;
    if (!bestCost || isLess(cost, bestCost)) [best, bestCost] = [whole, cost];
    return cost;
  };
  // The usual orders come first, each by every rule; the very first at once, for an answer in a few ms.
  const usual = RULES.flatMap((rule) => FIRST.map((compare) => ({ compare, rule })));
  const tryUsual = ({ compare, rule }: (typeof usual)[number]) => {
    const order = able.toSorted((a, b) => compare(blocks[a]!, blocks[b]!) || a - b);
    const cost = attempt(order, rule);
    if (!current || isLess(cost, current.cost)) current = { order, rule, cost };
  };
  tryUsual(usual.shift()!);
  const isDone = () => able.length < 2 || (best.left.length === unable.length && best.lengthMm <= leastMm + 1e-6);
  return {
    leastMm,
    advance(more) {
      for (let n = 0; n < more && !isDone(); n += 1) {
        const next = usual.shift();
        if (next) {
          tryUsual(next);
          continue;
        }
        const order = vary(current!.order, random);
        const rule = random() < 0.2 ? RULES[Math.floor(random() * RULES.length)]! : current!.rule;
        const cost = attempt(order, rule);
        const isBetter = !isLess(current!.cost, cost);
        inVain = isBetter ? 0 : inVain + 1;
        // Now and then it goes on from something a little longer, or it stays in a corner.
        if (isBetter || (inVain > STUCK && cost[0] <= current!.cost[0] && cost[1] < current!.cost[1] * 1.02)) {
          current = { order, rule, cost };
          inVain = 0;
        }
      }
      return !isDone();
    },
    getBest: () => best,
    countTries: () => tries,
  };
}
