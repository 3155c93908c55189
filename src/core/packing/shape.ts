import { isPiled, type Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';

/** Why one thing alone does not go into an empty place. Needed and available in mm or g. */
export interface FitFault {
  readonly code: 'form' | 'too-high' | 'too-long' | 'too-deep' | 'too-wide' | 'no-hook' | 'hook-load' | 'small-hole';
  readonly needed: number;
  readonly available: number;
}

/** What a lot takes of an empty place, or why it does not go in. */
export type ShareResult =
  { readonly ok: true; readonly share: number } | { readonly ok: false; readonly fault: FitFault };

/** The distance from a tool's top to the middle of its hang hole. */
export const HOLE_DROP_MM = 10;

/** Cells of the hole grid that a hung tool takes: an odd number across, so that its hole is on a hole. */
export function computePegCells(pkg: Package, pitchMm: number): { across: number; down: number } {
  const across = Math.max(1, Math.ceil((pkg.alongMm / pitchMm - 1) / 2 - 1e-9) * 2 + 1);
  const down = Math.max(1, Math.ceil((pkg.heightMm - HOLE_DROP_MM) / pitchMm + 0.5 - 1e-9));
  return { across, down };
}

/** Soft goods fill about three quarters of what is left to them. */
export const SOFT_SHARE = 0.75;
/** More pieces than this are kept bagged and counted by volume, at 60 %. */
export const BAG_FROM_PIECES = 40;
export const BAG_SHARE = 0.6;
/** Whether a lot is counted by volume in a bin instead of being packed piece by piece. */
export function isBulk(pkg: Package): boolean {
  return pkg.isSoft || pkg.pieces > BAG_FROM_PIECES;
}

/** How long the rows of a place are, and how deep all of them together, mm. */
export function getRow({ rowsRun, widthMm, depthMm }: Space): [run: number, cross: number] {
  return rowsRun === 'x' ? [widthMm, depthMm] : [depthMm, widthMm];
}

/** A box in a row stands with its narrow side to the front, like a book, where the row is deep enough for that. */
export function turnForRow(pkg: Package, run: number, cross: number): Package {
  const { form, alongMm, acrossMm } = pkg;
  const fits = (along: number, across: number) => along <= run + 1e-6 && across <= cross + 1e-6;
  const isTurned = form === 'box' && fits(acrossMm, alongMm) && (acrossMm < alongMm || !fits(alongMm, acrossMm));
  return isTurned ? { ...pkg, alongMm: acrossMm, acrossMm: alongMm } : pkg;
}

/** Turns that a form allows in a bin: cloth and files lie flat, hard things may lie on any side. */
export function getTurns(pkg: Package): readonly [number, number, number][] {
  const { alongMm: a, acrossMm: b, heightMm: c } = pkg;
  if (isPiled(pkg.form))
    return a === b
      ? [[a, b, c]]
      : [
          [a, b, c],
          [b, a, c],
        ];
  const turns: [number, number, number][] = [
    [a, b, c],
    [b, a, c],
    [a, c, b],
    [c, a, b],
    [b, c, a],
    [c, b, a],
  ];
  const seen = new Set<string>();
  return turns.filter((turn) => {
    const key = turn.join(' ');
    return seen.has(key) ? false : Boolean(seen.add(key));
  });
}
