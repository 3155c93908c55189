import type { Block, Hole, Sheet } from '../layout/index.ts';
import type { CutPiece, Project } from '../records/index.ts';
import type { CutFigures } from './need.ts';

/** More pieces than this are laid on no table. */
const MOST_BLOCKS = 500;

/** Whether two words mean the same cloth of a project, or the same size. */
export const isSameWord = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The pieces of a project that are cut of one cloth. */
export function listPieces({ pieces = [] }: Pick<Project, 'pieces'>, part: string): CutPiece[] {
  return pieces.filter((piece) => isSameWord(piece.part, part));
}

/** A piece as it is laid on the cloth: opened out, with its seams; mm. */
export function openPiece(
  { widthMm, heightMm, isOnFold, mayTurn }: CutPiece,
  seamMm: number,
): Pick<Block, 'widthMm' | 'heightMm' | 'mayTurn'> {
  return {
    widthMm: widthMm * (isOnFold ? 2 : 1) + 2 * seamMm,
    heightMm: heightMm + 2 * seamMm,
    mayTurn: mayTurn ?? false,
  };
}

/** Pieces as they are laid on the cloth, each as often as it is cut. Lengths in mm. */
export function toBlocks(pieces: readonly CutPiece[], { seamMm }: Pick<CutFigures, 'seamMm'>): Block[] {
  return pieces
    .flatMap((one, piece) =>
      Array.from({ length: Math.min(one.count, MOST_BLOCKS) }, (): Block => ({ piece, ...openPiece(one, seamMm) })),
    )
    .slice(0, MOST_BLOCKS);
}

/** The sheet that a cloth is for cutting: shrunk where it was not washed, without its selvages and its crooked ends. Lengths in mm. */
export function toSheet(
  cloth: { readonly widthMm: number; readonly lengthMm?: number; readonly holes?: readonly Hole[] },
  { shrinkPercent, shrinkWidthPercent, selvageMm, straightenMm }: CutFigures,
): Sheet {
  const along = 1 - shrinkPercent / 100;
  const across = 1 - shrinkWidthPercent / 100;
  return {
    widthMm: Math.max(0, cloth.widthMm * across - 2 * selvageMm),
    ...(cloth.lengthMm !== undefined && { lengthMm: Math.max(0, cloth.lengthMm * along - 2 * straightenMm) }),
    ...(cloth.holes && {
      holes: cloth.holes.map(({ xMm, yMm, widthMm, heightMm }) => ({
        xMm: xMm * across - selvageMm,
        yMm: yMm * along - straightenMm,
        widthMm: widthMm * across,
        heightMm: heightMm * along,
      })),
    }),
  };
}

/** What a length on the sheet takes of the cloth as it lies in the stash: with its ends, which are cut straight after the wash; mm. */
export function toClothLength(laidMm: number, { shrinkPercent, straightenMm }: CutFigures): number {
  return (laidMm + 2 * straightenMm) / (1 - shrinkPercent / 100);
}
