import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';

/** A rectangle on the cloth, from its left selvage and its cut edge, mm. */
interface Rect {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

interface Corner {
  readonly xMm: number;
  readonly yMm: number;
}

interface LaidPiece extends Rect {
  readonly block: number;
  readonly sheet: number;
  readonly isTurned: boolean;
  readonly isFlipped?: boolean;
}

interface Wanted {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly mayTurn: boolean;
  readonly mayFlip?: boolean;
  readonly outline?: readonly Corner[];
}

interface Cloth {
  readonly widthMm: number;
  readonly lengthMm?: number;
  readonly holes?: readonly Rect[];
  readonly repeatMm?: number;
  readonly outline?: readonly Corner[];
}

/** What is wrong with a layout, and of which block. */
export interface LayoutFinding {
  readonly code:
    'missing' | 'twice' | 'size' | 'turned' | 'outside' | 'over-a-hole' | 'overlap' | 'length' | 'off-repeat';
  readonly block: number;
}

/** Rounding of sums of halves of a millimetre. */
const LEAST_MM = 1e-6;
/** Of shapes that touch along an edge, rounding may make so much overlap, mm². */
const LEAST_MM2 = 1;

const meet = (a: Rect, b: Rect) =>
  a.xMm + a.widthMm > b.xMm + LEAST_MM &&
  b.xMm + b.widthMm > a.xMm + LEAST_MM &&
  a.yMm + a.heightMm > b.yMm + LEAST_MM &&
  b.yMm + b.heightMm > a.yMm + LEAST_MM;

const ofRect = ({ xMm, yMm, widthMm, heightMm }: Rect): Polygon => [
  [
    [xMm, yMm],
    [xMm + widthMm, yMm],
    [xMm + widthMm, yMm + heightMm],
    [xMm, yMm + heightMm],
  ],
];

const ofCorners = (corners: readonly Corner[]): Polygon => [corners.map(({ xMm, yMm }) => [xMm, yMm])];

/** A piece where it lies: each corner turned about the middle of its box, and brought to where the box lies. */
function toPolygon(piece: LaidPiece, { outline, widthMm, heightMm }: Wanted): Polygon {
  if (!outline) return ofRect(piece);
  const [cos, sin] = piece.isTurned ? [0, 1] : [1, 0];
  const sign = piece.isFlipped ? -1 : 1;
  const middle = { x: piece.xMm + piece.widthMm / 2, y: piece.yMm + piece.heightMm / 2 };
  return [
    outline.map(({ xMm, yMm }) => {
      const [x, y] = [xMm - widthMm / 2, yMm - heightMm / 2];
      return [middle.x + sign * (x * cos - y * sin), middle.y + sign * (x * sin + y * cos)];
    }),
  ];
}

const measure = (shapes: MultiPolygon) =>
  shapes.reduce(
    (sum, [outer, ...holes]) =>
      sum + measureRing(outer ?? []) - holes.reduce((all, hole) => all + measureRing(hole), 0),
    0,
  );

function measureRing(ring: readonly (readonly [number, number])[]): number {
  return Math.abs(
    ring.reduce((sum, [x, y], n) => {
      const [nextX, nextY] = ring[(n + 1) % ring.length]!;
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );
}

/**
 * The independent checker of layouts: each block lies there once as it is, or is left; within the selvages, the length and the
 * outline of its sheet; over no hole; over no other; turned only where it may be; and the length is no less than what is used.
 */
export function checkLayout(
  blocks: readonly Wanted[],
  sheets: Cloth | readonly Cloth[],
  layout: { readonly laid: readonly LaidPiece[]; readonly left: readonly number[]; readonly lengthMm: number },
): LayoutFinding[] {
  const all: readonly Cloth[] = 'widthMm' in sheets ? [sheets] : sheets;
  const findings: LayoutFinding[] = [];
  const times = blocks.map(() => 0);
  for (const n of [...layout.laid.map((one) => one.block), ...layout.left]) times[n] = (times[n] ?? 0) + 1;
  for (const [block, n] of times.entries()) if (n !== 1) findings.push({ code: n === 0 ? 'missing' : 'twice', block });
  const shapes = layout.laid.map((one) => toPolygon(one, blocks[one.block]!));
  for (const [i, one] of layout.laid.entries()) {
    const { block, xMm, yMm, widthMm, heightMm, isTurned } = one;
    const wanted = blocks[block];
    const sheet = all[one.sheet];
    const [w, h] = isTurned ? [wanted?.heightMm, wanted?.widthMm] : [wanted?.widthMm, wanted?.heightMm];
    if (w !== widthMm || h !== heightMm) findings.push({ code: 'size', block });
    if ((isTurned && !wanted?.mayTurn) || (one.isFlipped && !wanted?.mayFlip)) findings.push({ code: 'turned', block });
    const end = yMm + heightMm;
    const isOutside =
      !sheet ||
      xMm < -LEAST_MM ||
      yMm < -LEAST_MM ||
      xMm + widthMm > sheet.widthMm + LEAST_MM ||
      end > (sheet.lengthMm ?? Infinity) + LEAST_MM;
    const shape = shapes[i]!;
    const isOverEdge = () =>
      sheet?.outline && measure(polygonClipping.difference(shape, ofCorners(sheet.outline))) > LEAST_MM2;
    const repeats = yMm / (sheet?.repeatMm || 1);
    if (sheet?.repeatMm && Math.abs(repeats - Math.round(repeats)) > LEAST_MM)
      findings.push({ code: 'off-repeat', block });
    if (isOutside || isOverEdge()) findings.push({ code: 'outside', block });
    const lapsOver = (rect: Rect, other: Polygon) =>
      meet(one, rect) && measure(polygonClipping.intersection(shape, other)) > LEAST_MM2;
    if (sheet?.holes?.some((hole) => lapsOver(hole, ofRect(hole)))) findings.push({ code: 'over-a-hole', block });
    if (layout.laid.some((other, n) => n > i && other.sheet === one.sheet && lapsOver(other, shapes[n]!)))
      findings.push({ code: 'overlap', block });
  }
  const ends = all.map((_, sheet) =>
    Math.max(0, ...layout.laid.filter((one) => one.sheet === sheet).map((one) => one.yMm + one.heightMm)),
  );
  if (ends.reduce((sum, end) => sum + end, 0) > layout.lengthMm + LEAST_MM)
    findings.push({ code: 'length', block: -1 });
  return findings;
}
