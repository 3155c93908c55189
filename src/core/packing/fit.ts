import { isPiled, type Package } from '../measure/index.ts';
import type { StowForm } from '../records/index.ts';
import type { Space } from '../storage/index.ts';
import { computeCells } from './cells.ts';
import { computeHookShare } from './hooks.ts';
import {
  BAG_FROM_PIECES,
  BAG_SHARE,
  computePegCells,
  HOLE_DROP_MM,
  getRow,
  SOFT_SHARE,
  turnForRow,
  type FitFault,
  type ShareResult,
} from './shape.ts';

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

/** Spools on one pin stand behind each other only if the pin is long enough; one a pin is counted. */
const PIN_GAP_MM = 2;

/** Rigid boxes in a bin: this share is nearly always packable, found by trial in the packing tests. */
const RIGID_SHARE = 0.62;
/** Rectangles on a hole grid. */
const AREA_SHARE = 0.85;

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
export function computeShare(stowed: Package, space: Space): ShareResult {
  const no = (code: FitFault['code'], needed = 0, available = 0) => ({
    ok: false as const,
    fault: { code, needed, available },
  });
  if (!suitsMode(stowed.form, space)) return no('form');
  const { widthMm, depthMm, heightMm } = space;
  const pkg = space.mode === 'line' ? turnForRow(stowed, ...getRow(space)) : stowed;
  switch (space.mode) {
    case 'rail':
    case 'line': {
      const [run, cross] = getRow(space);
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
      const { pitchMm, projectionMm, hookLoadG, wireMm } = space.peg;
      const cells = computePegCells(pkg, pitchMm);
      const [columns, rows] = [Math.floor(widthMm / pitchMm), Math.floor(heightMm / pitchMm)];
      if (cells.across > columns) return no('too-wide', pkg.alongMm, columns * pitchMm);
      if (cells.down > rows) return no('too-long', pkg.heightMm, (rows - 0.5) * pitchMm + HOLE_DROP_MM);
      if (space.peg.hooks) return computeHookShare(pkg, space, space.peg);
      if (pkg.acrossMm > projectionMm + EPS) return no('too-deep', pkg.acrossMm, projectionMm);
      if (pkg.massG / pkg.pieces > hookLoadG + EPS) return no('hook-load', pkg.massG / pkg.pieces, hookLoadG);
      const holeMm = pkg.holeMm ?? Infinity;
      if (holeMm < wireMm - EPS) return no('small-hole', wireMm, holeMm);
      return { ok: true, share: (cells.across * cells.down * pkg.pieces) / (columns * rows * AREA_SHARE) };
    }
    case 'volume': {
      if (space.dividers) {
        const cell = computeCells(space, space.dividers);
        const alone = computeShare(pkg, { ...space, ...cell.size, dividers: undefined });
        if (!alone.ok) return alone;
        return { ok: true, share: cell.countFor(pkg) / cell.spots.length };
      }
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
