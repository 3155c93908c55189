import { computePackages, getWholeLot, hasBoards, type Package } from '../measure/index.ts';
import { computeShare, SOFT_SHARE } from '../packing/index.ts';
import { KINDS, takesRoom, type Household, type Item, type Kind, type Lot, type LotId } from '../records/index.ts';
import { SMALL_PIECE_MM3 } from '../sense/index.ts';
import type { PlaceTree } from '../storage/index.ts';
import { listSupply, measureSpace, ROOM_SORTS, type RoomSort, type Spaces } from './supply.ts';

/** What is there of a sort of room, and what of it is asked; mm³, mm² of pegs, pins, mm of rail. */
export interface SortBalance {
  readonly sort: RoomSort;
  readonly places: number;
  readonly has: number;
  /** So much of it is to be filled. */
  readonly usable: number;
  /** What would rather be there, by kind; and all of it. */
  readonly wanted: ReadonlyMap<Kind, number>;
  readonly wants: number;
  /** What is there once everything went where there is room for it. */
  readonly takes: number;
}

/** What of a kind is left without room. */
export interface LeftOver {
  readonly kind: Kind;
  readonly lots: number;
  /** As it lies in a bin. */
  readonly mm3: number;
}

/** What is owned against what the room holds. */
export interface Balance {
  readonly sorts: readonly SortBalance[];
  readonly left: readonly LeftOver[];
  readonly leftMm3: number;
  /** All has room, but for what a count is wrong by. */
  readonly isEnough: boolean;
  /** Room of shelves and drawers that is still to be filled, mm³. */
  readonly spareMm3: number;
  /** All that takes room, as it lies in bins, mm³; and how many lots of each kind. */
  readonly bulkMm3: number;
  readonly lots: ReadonlyMap<Kind, number>;
}

/** What else the room could be, to see what that would change. */
export interface Otherwise {
  /** Spaces that are added, and those they take the place of. */
  readonly more?: readonly Spaces[];
  readonly spaces?: readonly Spaces[];
  readonly fillTarget?: number;
  /** Cloth may be wound on boards though there are none. */
  readonly withBoards?: boolean;
}

/** What a count is wrong by all the same, mm³: less is not told as too much. */
const TELLING_MM3 = 1e6;

interface Claim {
  readonly lotId: LotId;
  readonly kind: Kind;
  /** By sort: what share of all the room of that sort it takes; Infinity where it does not go. */
  readonly shares: Readonly<Record<RoomSort, number>>;
  readonly wanted: RoomSort | null;
  readonly mm3: number;
}

/** The sort that a thing would rather be in: that of the first of its forms that goes anywhere; small and loose things in drawers. */
function chooseWanted(packages: readonly Package[], shares: Readonly<Record<RoomSort, number>>): RoomSort | null {
  const sortsOf = ({ form, alongMm, acrossMm, heightMm, isSoft }: Package): RoomSort[] => {
    if (form === 'peg') return ['pegs'];
    if (form === 'spool') return ['pins', 'drawer', 'shelf'];
    if (form === 'hanger') return ['rail'];
    const isHeld =
      isSoft || form === 'loose' || form === 'envelope' || alongMm * acrossMm * heightMm <= SMALL_PIECE_MM3;
    return isHeld ? ['drawer', 'shelf'] : ['shelf', 'drawer'];
  };
  for (const pkg of packages) for (const sort of sortsOf(pkg)) if (shares[sort] < Infinity) return sort;
  return ROOM_SORTS.find((sort) => shares[sort] < Infinity) ?? null;
}

function computeShares(packages: readonly Package[], spaces: readonly Spaces[]): Record<RoomSort, number> {
  const holds: Record<RoomSort, number> = { shelf: 0, drawer: 0, pegs: 0, pins: 0, rail: 0 };
  for (const { space, sort, count } of spaces) {
    let least = Infinity;
    for (const pkg of packages) {
      const fit = computeShare(pkg, space);
      if (fit.ok) least = Math.min(least, fit.share);
    }
    // So many of it go into these places together.
    if (least > 0 && least < Infinity) holds[sort] += count / least;
  }
  const shares = {} as Record<RoomSort, number>;
  for (const sort of ROOM_SORTS) shares[sort] = holds[sort] > 0 ? 1 / holds[sort] : Infinity;
  return shares;
}

const getBulk = (packages: readonly Package[]): number => {
  const pkg = packages.find((one) => one.isSoft) ?? packages[0];
  return pkg ? (pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces) / (pkg.isSoft ? SOFT_SHARE : 1) : 0;
};

function listClaims(household: Household, spaces: readonly Spaces[], withBoards: boolean): Claim[] {
  const claims: Claim[] = [];
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || !takesRoom(lot)) continue;
    const packages = listForms(household, item, lot, withBoards);
    if (packages.length === 0) continue;
    const shares = computeShares(packages, spaces);
    claims.push({
      lotId: lot.id,
      kind: item.kind,
      shares,
      wanted: chooseWanted(packages, shares),
      mm3: getBulk(packages),
    });
  }
  return claims;
}

function listForms(household: Household, item: Item, lot: Lot, withBoards: boolean): readonly Package[] {
  const all = computePackages(item, getWholeLot(household, lot), household.settings);
  const others = withBoards ? all : all.filter(({ form }) => form !== 'board');
  return others.length > 0 ? others : all;
}

/** What is taken of each sort, as shares of all of it. */
type Taken = Record<RoomSort, number>;

/**
 * Puts every claim where it is wanted, then lets what is too much there go elsewhere: first what takes least more room there.
 * Returns what is taken, and what is left over.
 */
function spread(claims: readonly Claim[], target: number): { taken: Taken; left: Claim[] } {
  const taken: Taken = { shelf: 0, drawer: 0, pegs: 0, pins: 0, rail: 0 };
  const at = new Map<Claim, RoomSort>();
  const left: Claim[] = [];
  for (const claim of claims) {
    if (claim.wanted === null) left.push(claim);
    else {
      at.set(claim, claim.wanted);
      taken[claim.wanted] += claim.shares[claim.wanted];
    }
  }
  const moves = claims.flatMap((claim) =>
    ROOM_SORTS.flatMap((to) => {
      const from = claim.wanted;
      return from !== null && to !== from && claim.shares[to] < Infinity
        ? [{ claim, to, price: claim.shares[to] / claim.shares[from] }]
        : [];
    }),
  );
  for (const { claim, to } of moves.toSorted((a, b) => a.price - b.price)) {
    const from = at.get(claim)!;
    if (from === to || taken[from] <= target + 1e-9 || taken[to] + claim.shares[to] > target) continue;
    taken[from] -= claim.shares[from];
    taken[to] += claim.shares[to];
    at.set(claim, to);
  }
  // What is still too much is left over: the bulkiest first, so that as few as can be are.
  for (const sort of ROOM_SORTS) {
    const here = claims.filter((claim) => at.get(claim) === sort).toSorted((a, b) => b.shares[sort] - a.shares[sort]);
    for (const claim of here) {
      if (taken[sort] <= target + 1e-9) break;
      taken[sort] -= claim.shares[sort];
      left.push(claim);
    }
  }
  return { taken, left };
}

function gatherLeft(left: readonly Claim[]): LeftOver[] {
  return KINDS.flatMap((kind) => {
    const of = left.filter((claim) => claim.kind === kind);
    return of.length === 0 ? [] : [{ kind, lots: of.length, mm3: of.reduce((sum, { mm3 }) => sum + mm3, 0) }];
  });
}

/**
 * What is owned against what the room holds, by sorts of room. What a lot takes of a sort is one over how many of it all places
 * of that sort hold together: the same shares that plans go by, so that it tells, without a search, about what a plan will find.
 */
export function computeBalance(household: Household, tree: PlaceTree, otherwise: Otherwise = {}): Balance {
  const { settings } = household;
  const target = otherwise.fillTarget ?? settings.fillTarget;
  const spaces = [...(otherwise.spaces ?? listSupply(tree, settings)), ...(otherwise.more ?? [])];
  const claims = listClaims(household, spaces, hasBoards(household) || (otherwise.withBoards ?? false));
  const { taken, left } = spread(claims, target);
  const sorts = ROOM_SORTS.flatMap((sort): SortBalance[] => {
    const mine = spaces.filter((one) => one.sort === sort);
    const has = mine.reduce((sum, one) => sum + one.count * measureSpace(one), 0);
    if (has === 0) return [];
    const wanted = new Map<Kind, number>();
    for (const claim of claims)
      if (claim.wanted === sort) wanted.set(claim.kind, (wanted.get(claim.kind) ?? 0) + claim.shares[sort] * has);
    return [
      {
        sort,
        places: mine.reduce((sum, { count }) => sum + count, 0),
        has,
        usable: target * has,
        wanted,
        wants: [...wanted.values()].reduce((sum, one) => sum + one, 0),
        takes: taken[sort] * has,
      },
    ];
  });
  const lots = new Map<Kind, number>();
  for (const { kind } of claims) lots.set(kind, (lots.get(kind) ?? 0) + 1);
  const over = gatherLeft(left);
  const leftMm3 = over.reduce((sum, { mm3 }) => sum + mm3, 0);
  return {
    sorts,
    left: over,
    leftMm3,
    isEnough: leftMm3 < TELLING_MM3,
    spareMm3: sorts.reduce(
      (sum, { sort, usable, takes }) =>
        sort === 'shelf' || sort === 'drawer' ? sum + Math.max(0, usable - takes) : sum,
      0,
    ),
    bulkMm3: claims.reduce((sum, { mm3 }) => sum + mm3, 0),
    lots,
  };
}
