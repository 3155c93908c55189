import type { ClothNeed, Cutting, FabricSpec, Item, Make, Need, Project } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import {
  GARMENT_WIDTH_MM,
  getShrinkage,
  getSizeFactor,
  guessGarment,
  GUESS_SIGMA,
  ONE_WAY_SHARE,
  SELVAGE_MM,
  STRAIGHTEN_MM,
} from './figures.ts';
import { isSameWord, listPieces, openPiece, toSheet } from './layout.ts';

/** The cloth that something is reckoned for: as it is, or as it is thought of. */
export interface ClothAt {
  readonly fabric: Pick<FabricSpec, 'fibre' | 'cloth' | 'widthMm' | 'print'> & { readonly hasNap?: boolean };
  readonly isWashed: boolean;
}

/** What is reckoned with when this cloth is cut for this need: as the need says, or else as the cloth does. */
export interface CutFigures {
  readonly isOneWay: boolean;
  readonly repeatMm: number;
  readonly shrinkPercent: number;
  readonly shrinkWidthPercent: number;
  readonly straightenMm: number;
  readonly selvageMm: number;
  readonly seamMm: number;
}

export function getCutFigures(cutting: Cutting = {}, { fabric, isWashed }: ClothAt): CutFigures {
  const usual = getShrinkage(fabric);
  const shrinkPercent = cutting.shrinkPercent ?? (isWashed ? 0 : usual.lengthPercent);
  // Said otherwise for the length, the width follows in proportion.
  const widthShare = usual.lengthPercent > 0 ? usual.widthPercent / usual.lengthPercent : 0;
  return {
    isOneWay: cutting.isOneWay ?? fabric.hasNap ?? false,
    repeatMm: cutting.repeatMm ?? 0,
    shrinkPercent,
    shrinkWidthPercent: shrinkPercent * widthShare,
    straightenMm: cutting.straightenMm ?? STRAIGHTEN_MM,
    selvageMm: cutting.selvageMm ?? SELVAGE_MM,
    seamMm: cutting.seamMm ?? 0,
  };
}

/** How a need was found. */
export type NeedWay = 'said' | 'table' | 'guess';

/** What a need takes of a cloth as it lies in the stash, mm along the selvage, with what was added to what. */
export interface ClothNeeded {
  readonly way: NeedWay;
  readonly lengthMm: number;
  /** One standard deviation, mm. */
  readonly sigmaMm: number;
  /** What the table, the sewist or the guess says for this width, before anything is added. */
  readonly baseMm: number;
  readonly oneWayMm: number;
  readonly repeatMm: number;
  readonly straightenMm: number;
  readonly shrinkMm: number;
  readonly figures: CutFigures;
  /** Sizes that the table does not have, and were taken between two that it has. */
  readonly between: readonly string[];
}

/** Why nothing can be told. */
export type NeedFault =
  | { readonly code: 'nothing-known' }
  | { readonly code: 'no-such-size'; readonly size: string; readonly known: readonly string[] }
  | { readonly code: 'too-narrow'; readonly widestMm: number; readonly widthMm: number };

export type NeedFound = Result<ClothNeeded, NeedFault>;

interface TableLength {
  readonly lengthMm: number;
  /** The width itself stands in the table. */
  readonly isExact: boolean;
}

/** Half of what a cloth is wider than the widest of the table is of no use; so it is of what it is narrower. An estimate. */
const OTHER_WIDTH_LOSS = 0.5;

/**
 * The length for a width from rows of one size: as the row says, between two rows by the area that they use (their loss from
 * layout is in it), beyond them with half of the difference in width lost. `rows` are not empty; mm.
 */
export function computeTableLength(
  rows: readonly Pick<ClothNeed, 'widthMm' | 'lengthMm'>[],
  widthMm: number,
): TableLength {
  const sorted = rows.toSorted((a, b) => a.widthMm - b.widthMm);
  // A cloth a little wider than a row is cut as the row says; 2 cm narrower is as printed, too.
  const same = sorted.findLast((row) => Math.abs(row.widthMm - widthMm) <= 20);
  if (same) return { lengthMm: same.lengthMm, isExact: true };
  const above = sorted.find((row) => row.widthMm > widthMm);
  const below = sorted.findLast((row) => row.widthMm < widthMm);
  const areaOf = (row: Pick<ClothNeed, 'widthMm' | 'lengthMm'>) => row.widthMm * row.lengthMm;
  if (above && below) {
    const share = (widthMm - below.widthMm) / (above.widthMm - below.widthMm);
    const area = areaOf(below) + share * (areaOf(above) - areaOf(below));
    // No shorter than on wider cloth, no longer than on narrower.
    return { lengthMm: Math.min(below.lengthMm, Math.max(above.lengthMm, area / widthMm)), isExact: false };
  }
  const near = (above ?? below)!;
  const lost = OTHER_WIDTH_LOSS * Math.abs(widthMm - near.widthMm) * near.lengthMm;
  return { lengthMm: (areaOf(near) + lost) / widthMm, isExact: false };
}

const toNumber = (size: string) => (/^\d+([.,]\d+)?$/.test(size.trim()) ? Number(size.replace(',', '.')) : null);

/** Rows of a table by size: those of that size or of every size; between two numbered sizes, the larger shares of both. */
function findForSize(
  rows: readonly ClothNeed[],
  size: string,
  widthMm: number,
): { readonly length: TableLength; readonly isBetween: boolean } | null {
  const own = rows.filter((row) => row.size === '' || isSameWord(row.size, size));
  if (own.length > 0) return { length: computeTableLength(own, widthMm), isBetween: false };
  const wanted = toNumber(size);
  const sizes = [...new Set(rows.map((row) => row.size))];
  const numbered = sizes.flatMap((one) => {
    const number = toNumber(one);
    return number === null ? [] : [{ one, number }];
  });
  const low = numbered
    .filter(({ number }) => wanted !== null && number < wanted)
    .toSorted((a, b) => b.number - a.number)[0];
  const high = numbered
    .filter(({ number }) => wanted !== null && number > wanted)
    .toSorted((a, b) => a.number - b.number)[0];
  if (!low || !high || wanted === null) return null;
  const [a, b] = [low, high].map(({ one }) =>
    computeTableLength(
      rows.filter((row) => row.size === one),
      widthMm,
    ),
  ) as [TableLength, TableLength];
  const share = (wanted - low.number) / (high.number - low.number);
  return { length: { lengthMm: a.lengthMm + share * (b.lengthMm - a.lengthMm), isExact: false }, isBetween: true };
}

/** A length read off a table is rounded to ten centimetres there: one standard deviation, mm. */
const TABLE_SIGMA_MM = 30;
/** Between widths or sizes of a table: one standard deviation, a share of the length. An estimate. */
const BETWEEN_SIGMA = 0.05;

interface Base {
  readonly way: NeedWay;
  readonly lengthMm: number;
  readonly sigmaMm: number;
  readonly between: readonly string[];
}

/** What is known before anything is added; `makes` is not empty. */
function findBase(
  need: Need,
  makes: readonly Make[],
  pattern: Item | undefined,
  garment: string,
  widthMm: number,
): Base | NeedFault {
  if (need.amount !== undefined) return { way: 'said', lengthMm: need.amount, sigmaMm: 0, between: [] };
  const isMain = isSameWord(need.part, 'main');
  const rows = (pattern?.pattern?.needs ?? []).filter((row) =>
    row.part === '' ? isMain : isSameWord(row.part, need.part),
  );
  if (rows.length > 0) {
    let [lengthMm, variance] = [0, 0];
    const between: string[] = [];
    for (const { size, count } of makes) {
      const found = findForSize(rows, size, widthMm);
      if (!found) return { code: 'no-such-size', size, known: [...new Set(rows.map((row) => row.size))] };
      if (found.isBetween) between.push(size);
      const one = found.length.lengthMm;
      lengthMm += one * count;
      variance += (count * Math.max(TABLE_SIGMA_MM, found.length.isExact ? 0 : BETWEEN_SIGMA * one)) ** 2;
    }
    return { way: 'table', lengthMm, sigmaMm: Math.sqrt(variance), between };
  }
  const guess = guessGarment(garment, need.part);
  if (guess === null) return { code: 'nothing-known' };
  // So many of a middling size: each as much more or less as its own size takes.
  const count = makes.reduce((sum, make) => sum + make.count * getSizeFactor(garment, make.size), 0);
  const { lengthMm } = computeTableLength([{ widthMm: GARMENT_WIDTH_MM, lengthMm: guess }], widthMm);
  return { way: 'guess', lengthMm: lengthMm * count, sigmaMm: GUESS_SIGMA * lengthMm * count, between: [] };
}

/** The widest and the longest of a project's pieces of a part, as they are laid: opened out, with their seams; mm. */
function measurePieces(
  project: Project,
  part: string,
  seamMm: number,
): { readonly widestMm: number; readonly longestMm: number } {
  let [widestMm, longestMm] = [0, 0];
  for (const piece of listPieces(project, part)) {
    const { widthMm, heightMm, mayTurn } = openPiece(piece, seamMm);
    const least = Math.min(widthMm, heightMm);
    widestMm = Math.max(widestMm, mayTurn ? least : widthMm);
    longestMm = Math.max(longestMm, mayTurn ? least : heightMm);
  }
  return { widestMm, longestMm };
}

/**
 * What a need takes of a cloth, from what is known best but for a layout: what the sewist said, the pattern's table, or a
 * guess by the garment and size. Added to that: one way up (where a layout is not known), whole repeats and one more, the ends that
 * are cut straight, and what the wash takes. Never shorter than the longest piece. Lengths in mm.
 */
export function computeClothNeed(project: Project, need: Need, pattern: Item | undefined, cloth: ClothAt): NeedFound {
  const figures = getCutFigures(need.cutting, cloth);
  const { widestMm, longestMm } = measurePieces(project, need.part, figures.seamMm);
  const { widthMm } = cloth.fabric;
  const usableMm = toSheet({ widthMm }, figures).widthMm;
  if (widestMm > usableMm) return fail({ code: 'too-narrow', widestMm, widthMm: usableMm });
  const makes = project.makes.length > 0 ? project.makes : [{ size: '', count: 1 }];
  const garment = pattern?.pattern?.garment || project.name;
  const base = findBase(need, makes, pattern, garment, widthMm);
  if ('code' in base) return fail(base);
  const isSaid = base.way === 'said';
  const baseMm = Math.max(base.lengthMm, longestMm);
  // What the sewist said is what it takes, with everything.
  const oneWayMm = figures.isOneWay && !isSaid ? baseMm * ONE_WAY_SHARE : 0;
  const cutMm = baseMm + oneWayMm;
  const repeated =
    figures.repeatMm > 0 && !isSaid ? (Math.ceil(cutMm / figures.repeatMm - 1e-9) + 1) * figures.repeatMm : cutMm;
  const straightenMm = isSaid ? 0 : 2 * figures.straightenMm;
  const dryMm = repeated + straightenMm;
  const lengthMm = isSaid ? dryMm : dryMm / (1 - figures.shrinkPercent / 100);
  return ok({
    way: base.way,
    lengthMm,
    sigmaMm: base.sigmaMm * (lengthMm / Math.max(1, baseMm)),
    baseMm,
    oneWayMm,
    repeatMm: repeated - cutMm,
    straightenMm,
    shrinkMm: lengthMm - dryMm,
    figures,
    between: base.between,
  });
}
