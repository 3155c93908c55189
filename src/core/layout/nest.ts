import { cutStrip, toBoxOutline, turnOutline } from './outline.ts';
import type { Block, Laid, Layout, Sheet } from './pieces.ts';
import type { Rule } from './strip.ts';

/** The cloth is looked at in strips so wide along it, mm: a piece across is laid to the next of them. */
const STRIP_MM = 5;
/** Longer than any cloth. */
const ENDLESS = 1e9;
/** Free stretches shorter than this hold nothing, mm. */
const LEAST_MM = 1;

/** A piece as it lies one way: how far it reaches in each strip that it covers, from its top. */
interface Profile {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly isTurned: boolean;
  readonly isFlipped: boolean;
  readonly from: Float64Array;
  readonly to: Float64Array;
}

function createProfile(block: Block, isTurned: boolean, isFlipped: boolean): Profile {
  const [widthMm, heightMm] = isTurned ? [block.heightMm, block.widthMm] : [block.widthMm, block.heightMm];
  const shape = turnOutline(block.outline ?? toBoxOutline(block.widthMm, block.heightMm), block, {
    isTurned,
    isFlipped,
  });
  const strips = Math.max(1, Math.ceil(widthMm / STRIP_MM - 1e-9));
  const [from, to] = [new Float64Array(strips), new Float64Array(strips)];
  for (let n = 0; n < strips; n += 1) {
    const { outer } = cutStrip(shape, n * STRIP_MM, Math.min(widthMm, (n + 1) * STRIP_MM));
    // A strip that the shape does not reach keeps nothing free: it begins below its end.
    [from[n], to[n]] = outer ?? [1, 0];
  }
  return { widthMm, heightMm, isTurned, isFlipped, from, to };
}

function listProfiles(block: Block): Profile[] {
  const turns = block.mayTurn && (block.outline || block.widthMm !== block.heightMm) ? [false, true] : [false];
  const flips = block.mayFlip && block.outline ? [false, true] : [false];
  return turns.flatMap((isTurned) => flips.map((isFlipped) => createProfile(block, isTurned, isFlipped)));
}

/** Free stretches of each strip, as from, to, from, to …, in their order. */
type Free = number[][];

function open(sheet: Sheet): Free {
  const strips = Math.max(0, Math.ceil(sheet.widthMm / STRIP_MM - 1e-9));
  return Array.from({ length: strips }, (_, n) => {
    const [left, right] = [n * STRIP_MM, Math.min(sheet.widthMm, (n + 1) * STRIP_MM)];
    const end = sheet.lengthMm ?? ENDLESS;
    const free = sheet.outline
      ? cutStrip(sheet.outline, left, right).inner.flatMap(([from, to]) => [from, Math.min(to, end)])
      : [0, end];
    for (const { xMm, yMm, widthMm, heightMm } of sheet.holes ?? [])
      if (xMm < right && xMm + widthMm > left) take(free, yMm, yMm + heightMm);
    return free;
  });
}

/** Takes a stretch out of what is free of a strip. */
function take(free: number[], from: number, to: number): void {
  for (let n = 0; n < free.length; n += 2) {
    const [a, b] = [free[n]!, free[n + 1]!];
    if (b <= from) continue;
    if (a >= to) return;
    const rest = [
      ...(from - a >= LEAST_MM ? [a, Math.min(b, from)] : []),
      ...(b - to >= LEAST_MM ? [Math.max(a, to), b] : []),
    ];
    free.splice(n, 2, ...rest);
    n += rest.length - 2;
  }
}

/**
 * How far down a shape must go at least to lie free with its left edge at a strip; Infinity where it is `limit` or more.
 * Each strip sends it down to the first stretch that takes it, until no strip does.
 */
function drop(
  free: Free,
  at: number,
  { from, to, heightMm }: Profile,
  limit: number,
  snap: (mm: number) => number,
): number {
  let y = 0;
  for (let isMoved = true; isMoved;) {
    isMoved = false;
    for (let n = 0; n < from.length; n += 1) {
      const [top, bottom] = [from[n]!, to[n]!];
      if (bottom < top) continue;
      const strip = free[at + n]!;
      let found = Infinity;
      for (let k = 0; k < strip.length; k += 2) {
        const end = strip[k + 1]!;
        if (y + bottom > end + 1e-9) continue;
        const down = snap(Math.max(y, strip[k]! - top));
        if (down + bottom > end + 1e-9) continue;
        found = down;
        break;
      }
      if (found + heightMm >= limit) return Infinity;
      if (found > y + 1e-9) {
        y = found;
        isMoved = true;
      }
    }
  }
  return y;
}

/** Lays shapes one after the other, each at the best free spot by the rule. */
export type Nest = (order: readonly number[], rule: Rule) => Layout;

/**
 * Prepares laying shapes on one sheet: what is looked up again and again is worked out once. A piece lies to the strip of
 * 5 mm across, and anywhere along, or at whole repeats of the print. What goes nowhere is left. Lengths in mm.
 */
export function createNest(blocks: readonly Block[], sheet: Sheet): Nest {
  const known = new Map<unknown, Profile[]>();
  const profilesOf = blocks.map((block) => {
    const { widthMm, heightMm, mayTurn, mayFlip } = block;
    const key = block.outline ?? `${widthMm} ${heightMm} ${mayTurn} ${mayFlip}`;
    const made = known.get(key) ?? listProfiles(block);
    known.set(key, made);
    return made;
  });
  const opened = open(sheet);
  const repeatMm = sheet.repeatMm ?? 0;
  const snap = (mm: number) => (repeatMm > 0 ? Math.ceil(mm / repeatMm - 1e-9) * repeatMm : mm);
  return (order, rule) => {
    const free = opened.map((strip) => [...strip]);
    const laid: Laid[] = [];
    const left: number[] = [];
    let lengthMm = 0;
    for (const n of order) {
      let best: { profile: Profile; at: number; y: number } | null = null;
      let [least, second] = [Infinity, Infinity];
      for (const profile of profilesOf[n]!) {
        const last = Math.floor((sheet.widthMm - profile.widthMm) / STRIP_MM + 1e-9);
        for (let at = 0; at <= last; at += 1) {
          // What begins or ends further down than the best does need not be followed to its spot.
          const limit = (rule === 'top' ? least + profile.heightMm : least) + 1e-6;
          const y = drop(free, at, profile, limit, snap);
          if (y === Infinity) continue;
          const first =
            rule === 'top' ? y : rule === 'end' ? y + profile.heightMm : Math.max(lengthMm, y + profile.heightMm);
          const then = rule === 'tight' ? y : at;
          if (first > least || (first === least && then >= second)) continue;
          [least, second] = [first, then];
          best = { profile, at, y };
        }
      }
      if (!best) {
        left.push(n);
        continue;
      }
      const { profile, at, y } = best;
      const { widthMm, heightMm, isTurned, isFlipped } = profile;
      const where = { xMm: at * STRIP_MM, yMm: y, widthMm, heightMm, isTurned };
      laid.push({ block: n, sheet: 0, ...where, ...(isFlipped && { isFlipped }) });
      lengthMm = Math.max(lengthMm, y + heightMm);
      for (let i = 0; i < profile.from.length; i += 1)
        if (profile.to[i]! > profile.from[i]!) take(free[at + i]!, y + profile.from[i]!, y + profile.to[i]!);
    }
    return { laid, left, lengthMm };
  };
}
