import type { Package } from '../measure/index.ts';
import type { PegHook, PegSpec } from '../records/index.ts';
import type { Space } from '../storage/index.ts';
import { HOLE_DROP_MM, type FitFault, type ShareResult } from './shape.ts';
import type { PackResult, Spot } from './spot.ts';

const EPS = 1e-6;

/** Where a hook is on its field: across from the left, up from the lower edge; mm. */
function getHookPoint(space: Space, peg: PegSpec, hook: PegHook): { xMm: number; zMm: number } {
  return {
    xMm: (hook.column + 0.5) * peg.pitchMm,
    zMm: space.heightMm - (hook.row + 0.5) * peg.pitchMm,
  };
}

/** The front of a thing on a hook. */
function getFront(pkg: Package, space: Space, peg: PegSpec, hook: PegHook) {
  const { xMm, zMm } = getHookPoint(space, peg, hook);
  const topMm = zMm + HOLE_DROP_MM;
  return { leftMm: xMm - pkg.alongMm / 2, rightMm: xMm + pkg.alongMm / 2, bottomMm: topMm - pkg.heightMm, topMm };
}

/** Why one piece does not hang on an empty hook, or null. */
function findHookFault(pkg: Package, space: Space, peg: PegSpec, hook: PegHook): FitFault | null {
  const eachG = pkg.massG / pkg.pieces;
  const holeMm = pkg.holeMm ?? Infinity;
  if (holeMm < hook.wireMm - EPS) return { code: 'small-hole', needed: hook.wireMm, available: holeMm };
  if (pkg.acrossMm > hook.projectionMm + EPS)
    return { code: 'too-deep', needed: pkg.acrossMm, available: hook.projectionMm };
  if (eachG > hook.loadG + EPS) return { code: 'hook-load', needed: eachG, available: hook.loadG };
  const { leftMm, rightMm, bottomMm } = getFront(pkg, space, peg, hook);
  const overMm = Math.max(-leftMm, rightMm - space.widthMm);
  if (overMm > EPS) return { code: 'too-wide', needed: pkg.alongMm, available: pkg.alongMm - 2 * overMm };
  if (bottomMm < -EPS) return { code: 'too-long', needed: pkg.heightMm, available: pkg.heightMm + bottomMm };
  return null;
}

/** The share of a field's hooks that a lot takes, as many behind each other as each hook is long and strong. */
export function computeHookShare(pkg: Package, space: Space, peg: PegSpec): ShareResult {
  let holds = 0;
  let nearest: FitFault = { code: 'no-hook', needed: 1, available: 0 };
  for (const hook of peg.hooks ?? []) {
    const fault = findHookFault(pkg, space, peg, hook);
    if (!fault) {
      const byLength = Math.floor(hook.projectionMm / Math.max(0.1, pkg.acrossMm) + EPS);
      const byLoad = Math.floor((hook.loadG * pkg.pieces) / Math.max(0.1, pkg.massG) + EPS);
      holds += Math.max(1, Math.min(byLength, byLoad));
    } else if (fault.available / fault.needed > nearest.available / nearest.needed) nearest = fault;
  }
  return holds > 0 ? { ok: true, share: pkg.pieces / holds } : { ok: false, fault: nearest };
}

interface Hung {
  readonly index: number;
  readonly piece: number;
  readonly pkg: Package;
}

/** What hangs on a hook, nearest the front first. */
interface Laden {
  readonly hook: PegHook;
  readonly hung: Hung[];
}

const ORDERS: readonly ((a: Hung, b: Hung) => number)[] = [
  (a, b) => a.index - b.index || a.piece - b.piece,
  (a, b) => b.pkg.alongMm * b.pkg.heightMm - a.pkg.alongMm * a.pkg.heightMm || a.index - b.index,
  (a, b) => b.pkg.acrossMm - a.pkg.acrossMm || b.pkg.heightMm - a.pkg.heightMm || a.index - b.index,
];

/**
 * Hangs things on the hooks that are there: each on an empty one while there is any for it, then behind others on
 * a hook that is long and strong enough. What hangs on one hook covers nothing on another. Several orders are
 * tried; none proves a no.
 */
export function packHooks(
  packages: readonly Package[],
  space: Space,
  peg: PegSpec,
  hooks: readonly PegHook[],
): PackResult {
  const things = packages.flatMap((pkg, index) =>
    Array.from({ length: pkg.pieces }, (_, piece): Hung => ({ index, piece, pkg })),
  );
  // As tools are hung where hooks are not named: from the left, and there from the top.
  const inTurn = hooks.toSorted((a, b) => a.column - b.column || a.row - b.row);
  for (const order of ORDERS) {
    const laden = inTurn.map((hook): Laden => ({ hook, hung: [] }));
    if (things.toSorted(order).every((thing) => hangOne(thing, laden, space, peg)))
      return { status: 'packed', spots: laden.flatMap((one) => listSpots(one, space, peg)) };
  }
  return { status: 'not-found' };
}

function hangOne(thing: Hung, laden: readonly Laden[], space: Space, peg: PegSpec): boolean {
  const { pkg } = thing;
  const suits = laden.filter(({ hook, hung }) => {
    if (findHookFault(pkg, space, peg, hook)) return false;
    const deep = hung.reduce((sum, one) => sum + one.pkg.acrossMm, pkg.acrossMm);
    const massG = hung.reduce((sum, one) => sum + one.pkg.massG / one.pkg.pieces, pkg.massG / pkg.pieces);
    if (deep > hook.projectionMm + EPS || massG > hook.loadG + EPS) return false;
    const a = getFront(pkg, space, peg, hook);
    return laden.every(
      (other) =>
        other.hook === hook ||
        other.hung.every((one) => {
          const b = getFront(one.pkg, space, peg, other.hook);
          return (
            a.rightMm <= b.leftMm + EPS ||
            b.rightMm <= a.leftMm + EPS ||
            a.topMm <= b.bottomMm + EPS ||
            b.topMm <= a.bottomMm + EPS
          );
        }),
    );
  });
  // Pieces of one lot keep together behind each other; else an empty hook, the shortest that does.
  const own = suits.find(({ hung }) => hung.at(-1)?.index === thing.index);
  const empty = suits
    .filter(({ hung }) => hung.length === 0)
    .toSorted((a, b) => a.hook.projectionMm - b.hook.projectionMm)[0];
  const at = own ?? empty ?? suits[0];
  at?.hung.push(thing);
  return at !== undefined;
}

function listSpots({ hook, hung }: Laden, space: Space, peg: PegSpec): Spot[] {
  let yMm = 0;
  return hung.map(({ index, piece, pkg }) => {
    const { leftMm, bottomMm } = getFront(pkg, space, peg, hook);
    const spot: Spot = {
      index,
      piece,
      xMm: leftMm,
      yMm,
      zMm: bottomMm,
      widthMm: pkg.alongMm,
      depthMm: pkg.acrossMm,
      heightMm: pkg.heightMm,
      isBulk: false,
    };
    yMm += pkg.acrossMm;
    return spot;
  });
}
