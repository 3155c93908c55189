import type { Block, Laid, Layout, Sheet } from './pieces.ts';

/** Free room on the sheet: as large a rectangle as there is; several of them overlap. */
interface Free {
  readonly x: number;
  readonly y: number;
  readonly right: number;
  readonly bottom: number;
}

/** How the spot of the next block is chosen: the highest up, the one that ends highest up, or the tightest. */
export const RULES = ['top', 'end', 'tight'] as const;
export type Rule = (typeof RULES)[number];

/** Longer than any cloth. */
const ENDLESS = 1e9;

const holds = (a: Free, b: Free) => a.x <= b.x && a.y <= b.y && a.right >= b.right && a.bottom >= b.bottom;

/** Free rooms without what is taken: each that it cuts leaves up to four, and none that lies within another is kept. */
function take(free: readonly Free[], taken: Free): Free[] {
  const [kept, cut]: [Free[], Free[]] = [[], []];
  for (const room of free) {
    if (taken.x >= room.right || taken.right <= room.x || taken.y >= room.bottom || taken.bottom <= room.y) {
      kept.push(room);
      continue;
    }
    if (taken.x > room.x) cut.push({ ...room, right: taken.x });
    if (taken.right < room.right) cut.push({ ...room, x: taken.right });
    if (taken.y > room.y) cut.push({ ...room, bottom: taken.y });
    if (taken.bottom < room.bottom) cut.push({ ...room, y: taken.bottom });
  }
  // What was whole before holds no other; only what was cut may lie within something.
  for (const [i, one] of cut.entries()) {
    const isWithin =
      kept.some((other) => holds(other, one)) ||
      cut.some((other, n) => n !== i && holds(other, one) && !(n > i && holds(one, other)));
    if (!isWithin) kept.push(one);
  }
  return kept;
}

function open(sheet: Sheet): Free[] {
  const bottom = sheet.lengthMm ?? ENDLESS;
  let free: Free[] = [{ x: 0, y: 0, right: sheet.widthMm, bottom }];
  for (const { xMm, yMm, widthMm, heightMm } of sheet.holes ?? [])
    free = take(free, { x: xMm, y: yMm, right: xMm + widthMm, bottom: yMm + heightMm });
  return free;
}

/**
 * Lays blocks one after the other in the given order, each at the best free spot by the rule, after the maximal rectangles
 * of Jylänki (2010), bottom-left. What goes nowhere is left. Lengths in mm.
 */
export function layInOrder(blocks: readonly Block[], order: readonly number[], sheet: Sheet, rule: Rule): Layout {
  let free = open(sheet);
  const laid: Laid[] = [];
  const left: number[] = [];
  let lengthMm = 0;
  for (const n of order) {
    const { widthMm, heightMm, mayTurn } = blocks[n]!;
    let best: Laid | null = null;
    let [least, second] = [Infinity, Infinity];
    for (const isTurned of mayTurn && widthMm !== heightMm ? [false, true] : [false]) {
      const [w, h] = isTurned ? [heightMm, widthMm] : [widthMm, heightMm];
      for (const { x, y, right, bottom } of free) {
        if (right - x < w || bottom - y < h) continue;
        const end = Math.max(lengthMm, y + h);
        const first = rule === 'top' ? y : rule === 'end' ? y + h : end;
        const then = rule === 'tight' ? Math.min(right - x - w, bottom - y - h) : x;
        if (first > least || (first === least && then >= second)) continue;
        [least, second] = [first, then];
        best = { block: n, sheet: 0, xMm: x, yMm: y, widthMm: w, heightMm: h, isTurned };
      }
    }
    if (!best) {
      left.push(n);
      continue;
    }
    laid.push(best);
    lengthMm = Math.max(lengthMm, best.yMm + best.heightMm);
    free = take(free, {
      x: best.xMm,
      y: best.yMm,
      right: best.xMm + best.widthMm,
      bottom: best.yMm + best.heightMm,
    });
  }
  return { laid, left, lengthMm };
}
