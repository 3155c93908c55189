/** How the spot of a block is chosen: low and far back, where it leaves the least beside it, in the smallest gap. */
export const RULES = ['corner', 'snug', 'small'] as const;
export type Rule = (typeof RULES)[number];

/** Width, depth and height, mm or cells. */
export type Size = readonly [number, number, number];

/** Whether a base at that height stands firm. */
export type Carried = (x: number, y: number, z: number, width: number, depth: number) => boolean;

const EPS = 1e-6;
const SIDES = 6;

/**
 * The gaps left in a box: all boxes of free space that nothing makes larger, overlapping each other. A block put into
 * the corner of one of them touches nothing. Rectangles are blocks of height one in a box of height one.
 */
export class Gaps {
  /** Low and high corner of each gap: x, y, z, x, y, z. */
  private gaps = new Float64Array(SIDES * 64);
  private made = new Float64Array(SIDES * 64);
  count = 1;
  /** Where the block last looked for would go. */
  x = 0;
  y = 0;
  z = 0;

  constructor(private readonly size: Size) {
    this.clear();
  }

  clear(): void {
    this.count = 1;
    this.gaps.set([0, 0, 0, ...this.size]);
  }

  /** Looks for a spot; the lower what is returned the better, Infinity where there is none. */
  find(w: number, d: number, h: number, rule: Rule, carried: Carried | null): number {
    const { gaps, size } = this;
    const isFlat = size[2] <= h + EPS;
    let best = Infinity;
    for (let at = 0, end = this.count * SIDES; at < end; at += SIDES) {
      const [x, y, z] = [gaps[at]!, gaps[at + 1]!, gaps[at + 2]!];
      const [dx, dy, dz] = [gaps[at + 3]! - x - w, gaps[at + 4]! - y - d, gaps[at + 5]! - z - h];
      if (dx < -EPS || dy < -EPS || dz < -EPS) continue;
      // Ties go to the lower, then the farther corner.
      const corner = (z * size[1] + y) * size[0] + x;
      let score = corner;
      if (rule === 'snug') {
        const beside = Math.min(dx, dy);
        score = (isFlat ? beside : Math.min(beside, dz)) * 1e6 + corner * 1e-6;
      } else if (rule === 'small') score = (dx + w) * (dy + d) * (dz + h) + corner * 1e-6;
      if (score >= best) continue;
      if (carried && z > EPS && !carried(x, y, z, w, d)) continue;
      best = score;
      this.x = x;
      this.y = y;
      this.z = z;
    }
    return best;
  }

  /** Takes a block's room away. Gaps in which nothing as small as `least` goes are dropped. */
  take(x: number, y: number, z: number, w: number, d: number, h: number, least: Size): void {
    const low = [x, y, z];
    const high = [x + w, y + d, z + h];
    let kept = 0;
    let made = 0;
    const { gaps } = this;
    for (let at = 0, end = this.count * SIDES; at < end; at += SIDES) {
      const isApart =
        gaps[at]! >= high[0]! - EPS ||
        gaps[at + 3]! <= low[0]! + EPS ||
        gaps[at + 1]! >= high[1]! - EPS ||
        gaps[at + 4]! <= low[1]! + EPS ||
        gaps[at + 2]! >= high[2]! - EPS ||
        gaps[at + 5]! <= low[2]! + EPS;
      if (isApart) {
        if (kept !== at) gaps.copyWithin(kept, at, at + SIDES);
        kept += SIDES;
        continue;
      }
      // What is left of the gap on each of the six sides of the block.
      for (let axis = 0; axis < 3; axis += 1) {
        if (low[axis]! - gaps[at + axis]! >= least[axis]! - EPS) {
          this.keep(at, made);
          this.made[made + axis + 3] = low[axis]!;
          made += SIDES;
        }
        if (gaps[at + axis + 3]! - high[axis]! >= least[axis]! - EPS) {
          this.keep(at, made);
          this.made[made + axis] = high[axis]!;
          made += SIDES;
        }
      }
    }
    this.count = kept / SIDES;
    this.addMade(made);
  }

  private keep(at: number, made: number): void {
    if (made + SIDES > this.made.length) {
      const larger = new Float64Array(this.made.length * 2);
      larger.set(this.made);
      this.made = larger;
    }
    for (let i = 0; i < SIDES; i += 1) this.made[made + i] = this.gaps[at + i]!;
  }

  /** Adds the new gaps that are within no other. Old ones cannot be within new ones: those are parts of what went. */
  private addMade(end: number): void {
    const { made } = this;
    const old = this.count * SIDES;
    next: for (let at = 0; at < end; at += SIDES) {
      for (let other = 0; other < old; other += SIDES) if (isWithin(made, at, this.gaps, other)) continue next;
      for (let other = 0; other < end; other += SIDES)
        // Of two alike the first stays.
        if (other !== at && isWithin(made, at, made, other) && (other < at || !isWithin(made, other, made, at)))
          continue next;
      const to = this.count * SIDES;
      if (to + SIDES > this.gaps.length) {
        const larger = new Float64Array(this.gaps.length * 2);
        larger.set(this.gaps);
        this.gaps = larger;
      }
      for (let i = 0; i < SIDES; i += 1) this.gaps[to + i] = made[at + i]!;
      this.count += 1;
    }
  }
}

function isWithin(a: Float64Array, i: number, b: Float64Array, j: number): boolean {
  return (
    a[i]! >= b[j]! - EPS &&
    a[i + 1]! >= b[j + 1]! - EPS &&
    a[i + 2]! >= b[j + 2]! - EPS &&
    a[i + 3]! <= b[j + 3]! + EPS &&
    a[i + 4]! <= b[j + 4]! + EPS &&
    a[i + 5]! <= b[j + 5]! + EPS
  );
}
