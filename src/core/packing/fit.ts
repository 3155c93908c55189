import { isPiled, type Package } from '../measure/index.ts';
import type { StowForm } from '../records/index.ts';
import type { Space } from '../storage/index.ts';

/** Why one thing alone does not go into an empty place. Needed and available in mm or g. */
export interface FitFault {
  readonly code: 'form' | 'too-high' | 'too-long' | 'too-deep' | 'too-wide' | 'no-hook' | 'hook-load';
  readonly needed: number;
  readonly available: number;
}

const LINE_FORMS = new Set<StowForm>(['board', 'stack', 'file', 'roll', 'bag', 'envelope', 'spool', 'box', 'flat']);
const VOLUME_FORMS = new Set<StowForm>(['loose', 'stack', 'file', 'bag', 'envelope', 'spool', 'box', 'flat']);

function suitsMode(form: StowForm, space: Space): boolean {
  switch (space.mode) {
    case 'line':
      return LINE_FORMS.has(form) && (!isPiled(form) || space.rowsRun === 'x');
    case 'volume':
      return VOLUME_FORMS.has(form);
    case 'area':
      return form === 'peg';
    case 'pins':
      return form === 'spool';
    case 'rail':
      return form === 'hanger';
  }
}

/** The distance from a tool's top to the middle of its hang hole. */
export const HOLE_DROP_MM = 10;

/** Cells of the hole grid that a hung tool takes: an odd number across, so that its hole is on a hole. */
export function computePegCells(pkg: Package, pitchMm: number): { across: number; down: number } {
  const across = Math.max(1, Math.ceil((pkg.alongMm / pitchMm - 1) / 2 - 1e-9) * 2 + 1);
  const down = Math.max(1, Math.ceil((pkg.heightMm - HOLE_DROP_MM) / pitchMm + 0.5 - 1e-9));
  return { across, down };
}

/** Spools on one pin stand behind each other only if the pin is long enough; one a pin is counted. */
const PIN_GAP_MM = 2;

/** Soft goods fill about three quarters of what is left to them. */
export const SOFT_SHARE = 0.75;
/** More pieces than this are kept bagged and counted by volume, at 60 %. */
export const BAG_FROM_PIECES = 40;
export const BAG_SHARE = 0.6;
/** Rigid boxes in a bin: this share is nearly always packable, found by trial in the packing tests. */
const RIGID_SHARE = 0.62;
/** Rectangles on a hole grid. */
const AREA_SHARE = 0.85;

/** Whether a lot is counted by volume in a bin instead of being packed piece by piece. */
export function isBulk(pkg: Package): boolean {
  return pkg.isSoft || pkg.pieces > BAG_FROM_PIECES;
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

const EPS = 1e-6;

/** Whether some turn of `getTurns` goes into a box of that size; without making the turns, for it is asked often. */
function goesIn(pkg: Package, widthMm: number, depthMm: number, heightMm: number): boolean {
  const { alongMm: a, acrossMm: b, heightMm: c } = pkg;
  if (isPiled(pkg.form))
    return (
      c <= heightMm + EPS && ((a <= widthMm + EPS && b <= depthMm + EPS) || (b <= widthMm + EPS && a <= depthMm + EPS))
    );
  // Every turn is allowed, so the sides in order of size decide.
  const [s0, s1, s2] = sortThree(a, b, c);
  const [r0, r1, r2] = sortThree(widthMm, depthMm, heightMm);
  return s0 <= r0 + EPS && s1 <= r1 + EPS && s2 <= r2 + EPS;
}

function sortThree(a: number, b: number, c: number): [number, number, number] {
  const least = Math.min(a, b, c);
  const most = Math.max(a, b, c);
  return [least, a + b + c - least - most, most];
}

/**
 * The share of an empty place that a lot takes, a sufficient figure for quick tests (packing decides),
 * or the first side that does not go in. A share over 1 means: too much even for the empty place.
 */
export function computeShare(pkg: Package, space: Space): { ok: true; share: number } | { ok: false; fault: FitFault } {
  const no = (code: FitFault['code'], needed = 0, available = 0) => ({
    ok: false as const,
    fault: { code, needed, available },
  });
  if (!suitsMode(pkg.form, space)) return no('form');
  const { widthMm, depthMm, heightMm } = space;
  switch (space.mode) {
    case 'rail':
    case 'line': {
      const run = space.rowsRun === 'x' ? widthMm : depthMm;
      const cross = space.rowsRun === 'x' ? depthMm : widthMm;
      if (pkg.heightMm > heightMm + EPS) return no('too-high', pkg.heightMm, heightMm);
      if (pkg.acrossMm > cross + EPS) return no('too-deep', pkg.acrossMm, cross);
      if (pkg.alongMm > run + EPS) return no('too-long', pkg.alongMm, run);
      if (isPiled(pkg.form)) {
        const piles = Math.floor(run / pkg.alongMm + EPS);
        return { ok: true, share: (pkg.heightMm * pkg.pieces) / heightMm / piles };
      }
      const rows = space.rowsRun === 'x' ? 1 : Math.floor(cross / pkg.acrossMm + EPS);
      return { ok: true, share: (pkg.alongMm * pkg.pieces) / (run * rows) };
    }
    case 'pins': {
      const free = space.pinPitchMm - PIN_GAP_MM;
      if (pkg.alongMm > free + EPS) return no('too-wide', pkg.alongMm, free);
      if (pkg.heightMm > depthMm + EPS) return no('too-long', pkg.heightMm, depthMm);
      const pins = Math.floor(widthMm / space.pinPitchMm) * Math.floor(heightMm / space.pinPitchMm);
      return pins === 0 ? no('too-wide', pkg.alongMm, widthMm) : { ok: true, share: pkg.pieces / pins };
    }
    case 'area': {
      if (!space.peg) return no('no-hook');
      const { pitchMm, projectionMm, hookLoadG } = space.peg;
      const cells = computePegCells(pkg, pitchMm);
      const [columns, rows] = [Math.floor(widthMm / pitchMm), Math.floor(heightMm / pitchMm)];
      if (cells.across > columns) return no('too-wide', pkg.alongMm, columns * pitchMm);
      if (cells.down > rows) return no('too-long', pkg.heightMm, (rows - 0.5) * pitchMm + HOLE_DROP_MM);
      if (pkg.acrossMm > projectionMm + EPS) return no('too-deep', pkg.acrossMm, projectionMm);
      if (pkg.massG / pkg.pieces > hookLoadG + EPS) return no('hook-load', pkg.massG / pkg.pieces, hookLoadG);
      return { ok: true, share: (cells.across * cells.down * pkg.pieces) / (columns * rows * AREA_SHARE) };
    }
    case 'volume': {
      const inner = widthMm * depthMm * heightMm;
      const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces;
      if (pkg.isSoft) return { ok: true, share: volume / (inner * SOFT_SHARE) };
      if (!goesIn(pkg, widthMm, depthMm, heightMm)) {
        const sides = [pkg.alongMm, pkg.acrossMm, pkg.heightMm].toSorted((a, b) => b - a);
        const room = [widthMm, depthMm, heightMm].toSorted((a, b) => b - a);
        const side = sides.findIndex((mm, i) => mm > room[i]! + EPS);
        const code = side === 0 ? 'too-long' : side === 1 ? 'too-wide' : 'too-high';
        // Sides fit one by one but no allowed turn does: cloth must lie flat.
        return side === -1 ? no('too-wide', sides[1]!, room[1]!) : no(code, sides[side]!, room[side]!);
      }
      if (pkg.pieces > BAG_FROM_PIECES) return { ok: true, share: volume / (inner * BAG_SHARE) };
      return { ok: true, share: volume / (inner * RIGID_SHARE) };
    }
  }
}
