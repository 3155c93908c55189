import { toOklab, type Pixels } from '../colour/index.ts';
import { computeOutlineArea, isPlainOutline, type Point } from '../layout/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { computePerspective, toTable, type Perspective, type Spot } from './homography.ts';
import { fitCorners, listIslands, simplifyEdge, traceEdge } from './trace.ts';

/** A sheet of paper beside the scrap, by its sides, mm. */
interface PaperSize {
  readonly shortMm: number;
  readonly longMm: number;
}

export const PAPERS = {
  a4: { shortMm: 210, longMm: 297 },
  letter: { shortMm: 215.9, longMm: 279.4 },
} as const satisfies Record<string, PaperSize>;

export type PaperName = keyof typeof PAPERS;

/** Why a photo tells no outline. */
export type PhotoFault = 'dark' | 'blurred' | 'no-sheet' | 'two-sheets' | 'no-scrap' | 'crossed';

/** What a photo of a scrap beside a sheet of paper shows. */
export interface ScrapPhoto {
  /** Corners of the sheet, px: clockwise from the one nearest to the top left. */
  readonly sheet: readonly Spot[];
  /** The corners of the scrap as the photo shows them, px. */
  readonly edge: readonly Spot[];
  /** The outline of the scrap, mm, its box from 0; across and along as it lies beside the sheet. */
  readonly outline: readonly Point[];
  readonly areaMm2: number;
}

/** Paper is at least so light (OKLab), and has hardly a colour. */
const PAPER = { light: 0.8, chroma: 0.06 };
/** A picture whose lightest tenth is darker than this shows nothing. */
const DARK = 0.35;
/** Patches smaller than this share of the picture are dust. */
const DUST = 0.004;
/** A sheet fills its own four corners at least so much. */
const FULL = 0.88;
/** A second sheet is at least so large, beside the first. */
const SECOND = 0.4;
/** What differs so much from the table is no table (OKLab). */
const OTHER = 0.07;
/** From so many px outside of the sheet's edge to as many inside, a sharp picture goes from table to paper; at least this much of the way. */
const SHARP_PX = 1.5;
const SHARP = 0.35;
/** Corners of the outline are no further off than so much, mm. */
const OFF_MM = 1.5;

type Lab = readonly [number, number, number];

function toLabs({ data, widthPx, heightPx }: Pixels): Lab[] {
  return Array.from({ length: widthPx * heightPx }, (_, i) =>
    toOklab(data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!),
  );
}

const areaOf = (spots: readonly Spot[]) => computeOutlineArea(spots.map(({ x, y }) => ({ xMm: x, yMm: y })));

/** The four corners of a patch that has four: where its edge reaches furthest, two and two across. */
function findCorners(edge: readonly Spot[]): Spot[] {
  const middle = {
    x: edge.reduce((sum, { x }) => sum + x, 0) / edge.length,
    y: edge.reduce((sum, { y }) => sum + y, 0) / edge.length,
  };
  const furthest = (from: Spot) =>
    edge.reduce((best, spot) =>
      Math.hypot(spot.x - from.x, spot.y - from.y) > Math.hypot(best.x - from.x, best.y - from.y) ? spot : best,
    );
  const a = furthest(middle);
  const c = furthest(a);
  // The other two are furthest from the line between them, one on each side.
  const side = ({ x, y }: Spot) => (c.x - a.x) * (y - a.y) - (c.y - a.y) * (x - a.x);
  const b = edge.reduce((best, spot) => (side(spot) > side(best) ? spot : best));
  const d = edge.reduce((best, spot) => (side(spot) < side(best) ? spot : best));
  // Clockwise on the screen, beginning nearest to the top left.
  const round = [a, d, c, b];
  const signed = round.reduce((sum, p, n) => {
    const q = round[(n + 1) % 4]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0);
  const clockwise = signed > 0 ? round : round.toReversed();
  const first = clockwise.reduce((best, { x, y }, n) => {
    const { x: bx, y: by } = clockwise[best]!;
    return x + y < bx + by ? n : best;
  }, 0);
  return [...clockwise.slice(first), ...clockwise.slice(0, first)];
}

/** How spots become points on the table, by the corners of the sheet; a sheet longer down than across lies upright. */
function readSheet(corners: readonly Spot[], paper: PaperSize): Perspective | null {
  const side = (i: number, j: number) => Math.hypot(corners[i]!.x - corners[j]!.x, corners[i]!.y - corners[j]!.y);
  const isUpright = side(0, 3) + side(1, 2) > side(0, 1) + side(3, 2);
  const [w, h] = isUpright ? [paper.shortMm, paper.longMm] : [paper.longMm, paper.shortMm];
  return computePerspective(corners, [
    { xMm: 0, yMm: 0 },
    { xMm: w, yMm: 0 },
    { xMm: w, yMm: h },
    { xMm: 0, yMm: h },
  ]);
}

/** The table is what most of the picture's rim shows. */
function findTable(labs: readonly Lab[], { widthPx, heightPx }: Pixels): Lab {
  const rim = labs.filter((_, i) => {
    const [x, y] = [i % widthPx, Math.floor(i / widthPx)];
    return x < 2 || y < 2 || x >= widthPx - 2 || y >= heightPx - 2;
  });
  const middle = (k: 0 | 1 | 2) => rim.map((lab) => lab[k]).toSorted((a, b) => a - b)[Math.floor(rim.length / 2)]!;
  return [middle(0), middle(1), middle(2)];
}

/** The sheet on a photo, by its light; or why there is none, or not one. */
function findSheet(labs: readonly Lab[], pixels: Pixels): Result<Spot[], PhotoFault> {
  const { widthPx, heightPx } = pixels;
  const lights = labs.map(([l]) => l).toSorted((a, b) => b - a);
  const light = lights[Math.floor(lights.length / 50)] ?? 0;
  if (light < DARK) return fail('dark');
  // A photo that is a little dark has grey paper.
  const least = Math.max(Math.min(PAPER.light, light * 0.9), findTable(labs, pixels)[0] + OTHER);
  const cells = Uint8Array.from(labs, ([l, a, b]) => (l >= least && Math.hypot(a, b) <= PAPER.chroma ? 1 : 0));
  const patches = listIslands({ cells, widthPx, heightPx }, DUST * cells.length).flatMap((patch) => {
    const edge = traceEdge(patch.mask);
    const corners = fitCorners(edge, findCorners(edge));
    return patch.size >= FULL * areaOf(corners) ? [{ ...patch, corners }] : [];
  });
  const [first, second] = patches;
  if (!first) return fail('no-sheet');
  if (second && second.size >= SECOND * first.size) return fail('two-sheets');
  return ok(first.corners);
}

/** How much of the way from table to paper lies within a few px of the sheet's edge; 1 is sharp. */
function computeSharpness(
  labs: readonly Lab[],
  { widthPx, heightPx }: Pixels,
  corners: readonly Spot[],
  table: Lab,
): number {
  const lightAt = (x: number, y: number) => {
    const [column, row] = [Math.round(x), Math.round(y)];
    return column < 0 || row < 0 || column >= widthPx || row >= heightPx ? null : labs[row * widthPx + column]![0];
  };
  const middle = {
    x: corners.reduce((sum, { x }) => sum + x, 0) / 4,
    y: corners.reduce((sum, { y }) => sum + y, 0) / 4,
  };
  const contrast = (lightAt(middle.x, middle.y) ?? 1) - table[0];
  const steps = corners.flatMap((a, n) => {
    const b = corners[(n + 1) % 4]!;
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    // Clockwise on a screen: inside is to the right.
    const [nx, ny] = [-(b.y - a.y) / long, (b.x - a.x) / long];
    return [0.2, 0.35, 0.5, 0.65, 0.8].flatMap((share) => {
      const [x, y] = [a.x + share * (b.x - a.x), a.y + share * (b.y - a.y)];
      const [inside, outside] = [
        lightAt(x + SHARP_PX * nx, y + SHARP_PX * ny),
        lightAt(x - SHARP_PX * nx, y - SHARP_PX * ny),
      ];
      return inside === null || outside === null ? [] : [(inside - outside) / contrast];
    });
  });
  return steps.toSorted((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0;
}

/** The outline of a scrap on a table beside a sheet, by its corners. */
function outlineBySheet(
  labs: readonly Lab[],
  pixels: Pixels,
  corners: readonly Spot[],
  paper: PaperSize,
): Result<ScrapPhoto, PhotoFault> {
  const { widthPx, heightPx } = pixels;
  const perspective = readSheet(corners, paper);
  if (!perspective) return fail('no-sheet');
  const table = findTable(labs, pixels);
  const mm = corners.map((corner) => toTable(perspective, corner));
  const [right, bottom] = [Math.max(...mm.map((p) => p.xMm)), Math.max(...mm.map((p) => p.yMm))];
  const cells = Uint8Array.from(labs, ([l, a, b], i) => {
    if (Math.hypot(l - table[0], a - table[1], b - table[2]) < OTHER) return 0;
    // The sheet itself, and its edge.
    const at = toTable(perspective, { x: i % widthPx, y: Math.floor(i / widthPx) });
    const isSheet = at.xMm > -4 && at.yMm > -4 && at.xMm < right + 4 && at.yMm < bottom + 4;
    return isSheet ? 0 : 1;
  });
  const [scrap] = listIslands({ cells, widthPx, heightPx }, DUST * cells.length);
  if (!scrap) return fail('no-scrap');
  const pxPerMm = Math.sqrt(areaOf(corners) / (paper.shortMm * paper.longMm));
  const edge = traceEdge(scrap.mask);
  const found = fitCorners(edge, simplifyEdge(edge, Math.max(1.1, OFF_MM * pxPerMm)));
  const points = found.map((spot) => toTable(perspective, spot));
  const [left, top] = [Math.min(...points.map((p) => p.xMm)), Math.min(...points.map((p) => p.yMm))];
  const outline = points.map(({ xMm, yMm }) => ({ xMm: xMm - left, yMm: yMm - top }));
  if (!isPlainOutline(outline)) return fail('crossed');
  return ok({ sheet: corners, edge: found, outline, areaMm2: computeOutlineArea(outline) });
}

/** The scrap on a photo beside a sheet, which is found by its light; or where its corners are said to be, px, clockwise. */
export function readScrapPhoto(
  pixels: Pixels,
  paper: PaperSize,
  said?: readonly Spot[],
): Result<ScrapPhoto, PhotoFault> {
  const labs = toLabs(pixels);
  if (said) return outlineBySheet(labs, pixels, said, paper);
  const sheet = findSheet(labs, pixels);
  if (!sheet.ok) return sheet;
  if (computeSharpness(labs, pixels, sheet.value, findTable(labs, pixels)) < SHARP) return fail('blurred');
  return outlineBySheet(labs, pixels, sheet.value, paper);
}
