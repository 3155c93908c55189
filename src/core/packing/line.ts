import { isPiled, type Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { getRow, turnForRow } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

const EPS = 1e-6;

interface Portion {
  readonly index: number;
  readonly piece: number;
  readonly pkg: Package;
}

/** Folded stacks on each other: where along the row, how high, and what lies on top. */
interface Pile {
  readonly at: number;
  up: number;
  top: Package;
}

/** Whether a stack can lie on a pile: under the shelf above, and on something no smaller than itself. */
function takesOn(pile: Pile, pkg: Package, space: Space): boolean {
  return (
    pile.up + pkg.heightMm <= space.heightMm + EPS &&
    pkg.alongMm <= pile.top.alongMm + EPS &&
    pkg.acrossMm <= pile.top.acrossMm + EPS
  );
}

/** Along the row, across it, up; turned into x, y, z by the direction of the rows. */
function place(one: Portion, along: number, across: number, up: number, space: Space): Spot {
  const { alongMm, acrossMm, heightMm } = one.pkg;
  const isX = space.rowsRun === 'x';
  return {
    index: one.index,
    piece: one.piece,
    xMm: isX ? along : across,
    yMm: isX ? across : along,
    zMm: up,
    widthMm: isX ? alongMm : acrossMm,
    depthMm: isX ? acrossMm : alongMm,
    heightMm,
    isBulk: false,
  };
}

/** Rows filled in the given order; folded stacks next to each other in the order share a pile. */
function fillInOrder(pieces: readonly Portion[], space: Space): Spot[] | null {
  const [run, cross] = getRow(space);
  // Behind the front row of an open shelf things are forgotten, so it has one row.
  const maxRows = space.rowsRun === 'x' ? 1 : Infinity;
  const spots: Spot[] = [];
  let rows = 1;
  let rowStart = 0;
  let rowAcross = 0;
  let along = 0;
  let pile: Pile | null = null;
  for (const one of pieces) {
    const { alongMm, acrossMm, heightMm, form } = one.pkg;
    if (isPiled(form) && pile && takesOn(pile, one.pkg, space)) {
      spots.push(place(one, pile.at, rowStart, pile.up, space));
      pile = { at: pile.at, up: pile.up + heightMm, top: one.pkg };
      continue;
    }
    if (along + alongMm > run + EPS) {
      rows += 1;
      rowStart += rowAcross;
      rowAcross = 0;
      along = 0;
      if (rows > maxRows || alongMm > run + EPS) return null;
    }
    if (rowStart + acrossMm > cross + EPS) return null;
    spots.push(place(one, along, rowStart, 0, space));
    pile = isPiled(form) ? { at: along, up: heightMm, top: one.pkg } : null;
    along += alongMm;
    rowAcross = Math.max(rowAcross, acrossMm);
  }
  return spots;
}

/** Rows opened and filled first-fit, widest rows first: keeps less order, but packs tighter. */
function fillFirstFit(pieces: readonly Portion[], space: Space): Spot[] | null {
  const [run, cross] = getRow(space);
  const maxRows = space.rowsRun === 'x' ? 1 : Infinity;
  const rows: { start: number; across: number; along: number; piles: Pile[] }[] = [];
  const spots: Spot[] = [];
  let used = 0;
  const sorted = pieces.toSorted(
    (a, b) => b.pkg.acrossMm - a.pkg.acrossMm || b.pkg.alongMm - a.pkg.alongMm || b.pkg.heightMm - a.pkg.heightMm,
  );
  for (const one of sorted) {
    const { alongMm, acrossMm, heightMm, form } = one.pkg;
    if (isPiled(form)) {
      const pile = rows
        .flatMap((row) => row.piles.map((at) => ({ row, at })))
        .find(({ at }) => takesOn(at, one.pkg, space));
      if (pile) {
        spots.push(place(one, pile.at.at, pile.row.start, pile.at.up, space));
        pile.at.up += heightMm;
        pile.at.top = one.pkg;
        continue;
      }
    }
    let row = rows.find((open) => open.across + EPS >= acrossMm && open.along + alongMm <= run + EPS);
    if (!row) {
      if (rows.length >= maxRows || used + acrossMm > cross + EPS || alongMm > run + EPS) return null;
      row = { start: used, across: acrossMm, along: 0, piles: [] };
      used += acrossMm;
      rows.push(row);
    }
    spots.push(place(one, row.along, row.start, 0, space));
    if (isPiled(form)) row.piles.push({ at: row.along, up: heightMm, top: one.pkg });
    row.along += alongMm;
  }
  return spots;
}

/** Things side by side in rows. First in the given order, else in the tightest. */
export function packLine(packages: readonly Package[], space: Space): PackResult {
  const [run, cross] = getRow(space);
  const pieces = packages.flatMap((stowed, index) => {
    const pkg = turnForRow(stowed, run, cross);
    return Array.from({ length: pkg.pieces }, (_, piece): Portion => ({ index, piece, pkg }));
  });
  if (space.rowsRun === 'x') {
    // One row: spines add up, and stacks need at least their summed height in piles. Both are proofs.
    const spines = pieces.reduce((sum, { pkg }) => sum + (isPiled(pkg.form) ? 0 : pkg.alongMm), 0);
    const stacks = pieces.filter(({ pkg }) => isPiled(pkg.form));
    const height = stacks.reduce((sum, { pkg }) => sum + pkg.heightMm, 0);
    const narrowest = Math.min(Infinity, ...stacks.map(({ pkg }) => pkg.alongMm));
    const piles = stacks.length === 0 ? 0 : Math.ceil(height / space.heightMm - EPS) * narrowest;
    if (spines + piles > run + EPS) return { status: 'impossible' };
  } else {
    const footprint = pieces.reduce((sum, { pkg }) => sum + pkg.alongMm * pkg.acrossMm, 0);
    if (footprint > run * cross + EPS) return { status: 'impossible' };
  }
  const spots = fillInOrder(pieces, space) ?? fillFirstFit(pieces, space);
  return spots ? { status: 'packed', spots } : { status: 'not-found' };
}
