import {
  isPlainOutline,
  mirrorOutline,
  widenOutline,
  type Block,
  type Hole,
  type Point,
  type Sheet,
} from '../layout/index.ts';
import type { CutPiece, Item, Lot, Project } from '../records/index.ts';
import type { CutFigures } from './need.ts';

/** More pieces than this are laid on no table. */
const MOST_BLOCKS = 500;

/** Whether two words mean the same cloth of a project, or the same size. */
export const isSameWord = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The pieces of a project that are cut of one cloth. */
export function listPieces({ pieces = [] }: Pick<Project, 'pieces'>, part: string): CutPiece[] {
  return pieces.filter((piece) => isSameWord(piece.part, part));
}

/**
 * A shape of which half is drawn, laid open: its left edge is the fold. Its path from one end of the fold to the other, and back
 * the same way on the other side. Null where no edge of it lies on the fold.
 */
function unfold(outline: readonly Point[], widthMm: number): Point[] | null {
  const isOnEdge = ({ xMm }: Point) => xMm < 0.5;
  const start = outline.findIndex(
    (point, n) => isOnEdge(point) && isOnEdge(outline[(n + outline.length - 1) % outline.length]!),
  );
  if (start < 0) return null;
  const path = [...outline.slice(start), ...outline.slice(0, start)];
  const right = path.map(({ xMm, yMm }) => ({ xMm: xMm + widthMm, yMm }));
  const left = path.slice(1, -1).map(({ xMm, yMm }) => ({ xMm: widthMm - xMm, yMm }));
  return [...right, ...left.toReversed()];
}

/** A piece as it is laid on the cloth: opened out, with its seams; mm. */
export function openPiece(
  { widthMm, heightMm, isOnFold, mayTurn = false, outline }: CutPiece,
  seamMm: number,
): Pick<Block, 'widthMm' | 'heightMm' | 'mayTurn' | 'outline'> {
  const box = { widthMm: widthMm * (isOnFold ? 2 : 1) + 2 * seamMm, heightMm: heightMm + 2 * seamMm, mayTurn };
  const whole = outline && isPlainOutline(outline) ? (isOnFold ? unfold(outline, widthMm) : outline) : null;
  if (!whole) return box;
  // The box of a shape may be smaller than what was said of it.
  const shape = widenOutline(whole, seamMm);
  return {
    mayTurn,
    outline: shape,
    widthMm: Math.max(...shape.map(({ xMm }) => xMm)),
    heightMm: Math.max(...shape.map(({ yMm }) => yMm)),
  };
}

/**
 * Pieces as they are laid on the cloth, each as often as it is cut: the second of a pair is the mirror image of the first, and
 * upside down they go where the cloth is the same both ways. Lengths in mm.
 */
export function toBlocks(
  pieces: readonly CutPiece[],
  { seamMm, isOneWay }: Pick<CutFigures, 'seamMm' | 'isOneWay'>,
): Block[] {
  return pieces
    .flatMap((one, piece) => {
      const laid = openPiece(one, seamMm);
      const { outline, widthMm } = laid;
      const twin = outline && !one.isOnFold ? mirrorOutline(outline, widthMm) : outline;
      return Array.from({ length: Math.min(one.count, MOST_BLOCKS) }, (_, n): Block => {
        const shape = n % 2 === 0 ? outline : twin;
        return { piece, ...laid, ...(shape && { outline: shape, mayFlip: !isOneWay }) };
      });
    })
    .slice(0, MOST_BLOCKS);
}

/** A cloth as it lies in the stash, to be cut: its width and length, its shape and its flaws. Lengths in mm. */
interface ClothShape {
  readonly widthMm: number;
  readonly lengthMm?: number;
  readonly outline?: readonly Point[];
  readonly holes?: readonly Hole[];
}

/**
 * The sheet that a cloth is for cutting: shrunk where it was not washed, without its selvages and its crooked ends. An odd
 * remnant keeps no ends to be cut straight; what was cut off its width has no selvage there. Lengths in mm.
 */
export function toSheet(
  cloth: ClothShape,
  { shrinkPercent, shrinkWidthPercent, selvageMm, straightenMm, repeatMm }: CutFigures,
): Sheet {
  const along = 1 - shrinkPercent / 100;
  const across = 1 - shrinkWidthPercent / 100;
  const endMm = cloth.outline ? 0 : straightenMm;
  const toInside = ({ xMm, yMm }: Point) => ({ xMm: xMm * across - selvageMm, yMm: yMm * along - endMm });
  const widthMm = Math.max(0, cloth.widthMm * across - 2 * selvageMm);
  return {
    widthMm,
    ...(cloth.lengthMm !== undefined && { lengthMm: Math.max(0, cloth.lengthMm * along - 2 * endMm) }),
    ...(repeatMm > 0 && { repeatMm: repeatMm * along }),
    ...(cloth.outline && { outline: cloth.outline.map(toInside) }),
    ...(cloth.holes && {
      holes: cloth.holes.map((hole) => ({
        ...toInside(hole),
        widthMm: hole.widthMm * across,
        heightMm: hole.heightMm * along,
      })),
    }),
  };
}

/** The sheet of a lot, as much of it as may be cut: its own width, shape and flaws where it has them; mm. */
export function toLotSheet(item: Pick<Item, 'fabric'>, lot: Lot, lengthMm: number, figures: CutFigures): Sheet {
  return toSheet(
    {
      widthMm: Math.min(lot.widthMm ?? Infinity, item.fabric?.widthMm ?? Infinity),
      lengthMm,
      ...(lot.outline && { outline: lot.outline }),
      ...(lot.flaws && { holes: lot.flaws }),
    },
    figures,
  );
}

/** Whether a lot is no plain length of its cloth: narrower, of another shape, or with flaws. */
export function isOdd(lot: Pick<Lot, 'widthMm' | 'outline' | 'flaws'>): boolean {
  return lot.widthMm !== undefined || lot.outline !== undefined || (lot.flaws?.length ?? 0) > 0;
}

/** What a length on the sheet takes of the cloth as it lies in the stash: with its ends, which are cut straight after the wash; mm. */
export function toClothLength(laidMm: number, { shrinkPercent, straightenMm }: CutFigures): number {
  return (laidMm + 2 * straightenMm) / (1 - shrinkPercent / 100);
}
