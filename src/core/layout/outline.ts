/** A corner, mm: across from the left selvage, and along from the cut edge; of a piece, from its own top left. */
export interface Point {
  readonly xMm: number;
  readonly yMm: number;
}

/** The corners of a rectangle, clockwise from its top left. */
export const toBoxOutline = (widthMm: number, heightMm: number): Point[] => [
  { xMm: 0, yMm: 0 },
  { xMm: widthMm, yMm: 0 },
  { xMm: widthMm, yMm: heightMm },
  { xMm: 0, yMm: heightMm },
];

/** How a shape lies: a quarter turned clockwise, then half turned on top of that. */
export interface Way {
  readonly isTurned: boolean;
  readonly isFlipped?: boolean;
}

/** The corners of a shape of this box as it lies, from the top left of the box as it lies then; mm. */
export function turnOutline(
  outline: readonly Point[],
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  { isTurned, isFlipped = false }: Way,
): Point[] {
  const quarter = isTurned ? outline.map(({ xMm, yMm }) => ({ xMm: heightMm - yMm, yMm: xMm })) : [...outline];
  const [w, h] = isTurned ? [heightMm, widthMm] : [widthMm, heightMm];
  return isFlipped ? quarter.map(({ xMm, yMm }) => ({ xMm: w - xMm, yMm: h - yMm })) : quarter;
}

/** Its mirror image, as the second of a pair is cut. */
export function mirrorOutline(outline: readonly Point[], widthMm: number): Point[] {
  return outline.map(({ xMm, yMm }) => ({ xMm: widthMm - xMm, yMm })).toReversed();
}

/** The area that corners enclose, mm²: positive where they run clockwise on the screen. */
function computeSigned(outline: readonly Point[]): number {
  let sum = 0;
  for (const [n, a] of outline.entries()) {
    const b = outline[(n + 1) % outline.length]!;
    sum += a.xMm * b.yMm - b.xMm * a.yMm;
  }
  return sum / 2;
}

export function computeOutlineArea(outline: readonly Point[]): number {
  return Math.abs(computeSigned(outline));
}

/** Whether two stretches meet anywhere but at an end that they share. */
function crosses(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    Math.sign((q.xMm - p.xMm) * (r.yMm - p.yMm) - (q.yMm - p.yMm) * (r.xMm - p.xMm));
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Whether corners enclose one area, without an edge that crosses another. */
export function isPlainOutline(outline: readonly Point[]): boolean {
  if (outline.length < 3 || computeOutlineArea(outline) < 1) return false;
  const at = (n: number) => outline[n % outline.length]!;
  for (let i = 0; i < outline.length; i += 1)
    for (let j = i + 2; j < outline.length; j += 1) if (crosses(at(i), at(i + 1), at(j), at(j + 1))) return false;
  return true;
}

/** A corner sharper than this is cut off where it would reach further than four times the seam. */
const MITRE = 4;

/**
 * A shape with a seam added all round, moved so that its box begins at 0; mm. Edges go outwards in parallel; a corner that
 * would reach too far is cut off.
 */
export function widenOutline(outline: readonly Point[], mm: number): Point[] {
  if (mm <= 0) return [...outline];
  const way = computeSigned(outline) > 0 ? 1 : -1;
  const corners = outline.filter((point, n) => {
    const next = outline[(n + 1) % outline.length]!;
    return Math.hypot(point.xMm - next.xMm, point.yMm - next.yMm) > 1e-9;
  });
  const wide = corners.flatMap((point, n) => {
    const before = corners[(n + corners.length - 1) % corners.length]!;
    const after = corners[(n + 1) % corners.length]!;
    // Outwards, at right angles to the edge.
    const outwards = (a: Point, b: Point) => {
      const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
      return { x: (way * (b.yMm - a.yMm)) / length, y: (-way * (b.xMm - a.xMm)) / length };
    };
    const [p, q] = [outwards(before, point), outwards(point, after)];
    const cos = p.x * q.x + p.y * q.y;
    const share = 1 / (1 + cos);
    const isSharp = 1 + cos < 1e-9 || Math.sqrt(2 * share) > MITRE;
    if (!isSharp) return [{ xMm: point.xMm + mm * (p.x + q.x) * share, yMm: point.yMm + mm * (p.y + q.y) * share }];
    return [p, q].map(({ x, y }) => ({ xMm: point.xMm + mm * x, yMm: point.yMm + mm * y }));
  });
  const left = Math.min(...wide.map(({ xMm }) => xMm));
  const top = Math.min(...wide.map(({ yMm }) => yMm));
  return wide.map(({ xMm, yMm }) => ({ xMm: xMm - left, yMm: yMm - top }));
}

/** Where a shape is, in a strip along the cloth: from and to, mm; several where it is cut through. */
export type Stretch = readonly [fromMm: number, toMm: number];

/**
 * What of a strip of cloth `from` to `to` lies in a shape wholly (`inner`), and what it touches at all (`outer`, as one
 * stretch; null where it does not reach there). Between corners its edges are straight, so both are read off at their ends.
 */
export function cutStrip(
  outline: readonly Point[],
  fromMm: number,
  toMm: number,
): { readonly inner: readonly Stretch[]; readonly outer: Stretch | null } {
  const stops = [fromMm, ...outline.map(({ xMm }) => xMm).filter((x) => x > fromMm && x < toMm), toMm].toSorted(
    (a, b) => a - b,
  );
  let inner: Stretch[] | null = null;
  let [least, most] = [Infinity, -Infinity];
  for (const [n, left] of stops.slice(0, -1).entries()) {
    const right = stops[n + 1]!;
    if (right - left < 1e-9) continue;
    const middle = (left + right) / 2;
    const edges: { at: number; low: number; high: number }[] = [];
    for (const [i, a] of outline.entries()) {
      const b = outline[(i + 1) % outline.length]!;
      if (a.xMm < middle === b.xMm < middle) continue;
      const at = (x: number) => a.yMm + ((x - a.xMm) / (b.xMm - a.xMm)) * (b.yMm - a.yMm);
      const [l, r] = [at(left), at(right)];
      edges.push({ at: at(middle), low: Math.min(l, r), high: Math.max(l, r) });
    }
    edges.sort((a, b) => a.at - b.at);
    const here: Stretch[] = [];
    for (let i = 0; i + 1 < edges.length; i += 2) {
      const [top, bottom] = [edges[i]!, edges[i + 1]!];
      least = Math.min(least, top.low);
      most = Math.max(most, bottom.high);
      if (bottom.low > top.high) here.push([top.high, bottom.low]);
    }
    inner = inner === null ? here : meetStretches(inner, here);
  }
  return { inner: inner ?? [], outer: most > least ? [least, most] : null };
}

/** What is common to two rows of stretches. */
export function meetStretches(one: readonly Stretch[], other: readonly Stretch[]): Stretch[] {
  return one.flatMap(([a, b]) =>
    other.flatMap(([c, d]): Stretch[] => {
      const [from, to] = [Math.max(a, c), Math.min(b, d)];
      return to > from ? [[from, to]] : [];
    }),
  );
}
