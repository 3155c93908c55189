import type { Block, Hole, Sheet } from '../layout/index.ts';
import type { CutPiece, Project } from '../records/index.ts';
import type { CutFigures } from './need.ts';

/** More pieces than this are laid on no table. */
const MOST_BLOCKS = 500;

const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The pieces of a project that are cut of one cloth. */
export function listPieces({ pieces = [] }: Pick<Project, 'pieces'>, part: string): CutPiece[] {
  return pieces.filter((piece) => isSame(piece.part, part));
}

/** Pieces as they are laid on the cloth: opened out, each as often as it is cut, with their seams. Lengths in mm. */
export function toBlocks(pieces: readonly CutPiece[], { seamMm }: Pick<CutFigures, 'seamMm'>): Block[] {
  return pieces
    .flatMap(({ count, widthMm, heightMm, isOnFold, mayTurn }, piece) =>
      Array.from({ length: Math.min(count, MOST_BLOCKS) }, (): Block => ({
        piece,
        widthMm: widthMm * (isOnFold ? 2 : 1) + 2 * seamMm,
        heightMm: heightMm + 2 * seamMm,
        mayTurn: mayTurn ?? false,
      })),
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
    ...(cloth.lengthMm !== undefined && { lengthMm: Math.max(0, (cloth.lengthMm - 2 * straightenMm) * along) }),
    ...(cloth.holes && {
      holes: cloth.holes.map(({ xMm, yMm, widthMm, heightMm }) => ({
        xMm: xMm * across - selvageMm,
        yMm: (yMm - straightenMm) * along,
        widthMm: widthMm * across,
        heightMm: heightMm * along,
      })),
    }),
  };
}

/** What a length on the sheet takes of the cloth as it lies in the stash: with its ends, before the wash; mm. */
export function toClothLength(laidMm: number, { shrinkPercent, straightenMm }: CutFigures): number {
  return laidMm / (1 - shrinkPercent / 100) + 2 * straightenMm;
}
