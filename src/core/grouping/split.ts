import { packPlace } from '../packing/index.ts';
import type { Household, Lot, Place, SplitBy } from '../records/index.ts';
import type { PlaceTree } from '../storage/index.ts';
import { getSplitKey, type Group } from './groups.ts';
import { findRoomiest } from './holder.ts';

/** Where a group that no place holds would be cut, and how full the roomiest place would be with each part. */
export interface SplitProposal {
  readonly by: SplitBy;
  /** Boundaries in ascending order; a lot at one belongs to the part above it. */
  readonly at: readonly number[];
  readonly parts: readonly { readonly lots: number; readonly share: number }[];
  readonly place: Place;
}

const MOST_PARTS = 40;
/** What a boundary that nobody can say aloud is worth against parts of unequal size. */
const ROUGHNESS = 0.15;

const METRIC_MM = [5000, 1000, 500, 250, 100, 50, 10];
const IMPERIAL_MM = [4572, 914.4, 457.2, 228.6, 114.3, 25.4];
const NUMBERS = [1000, 500, 100, 50, 10, 5, 1];

interface Boundary {
  readonly at: number;
  /** From 0 for what is easily said to 1 for any figure. */
  readonly roughness: number;
}

/** The roundest boundary above `below` and not above `from`. */
function findRound(below: number, from: number, steps: readonly number[]): Boundary {
  for (const [i, step] of steps.entries()) {
    const at = Math.floor(from / step + 1e-9) * step;
    if (at > below + 1e-9) return { at, roughness: i / steps.length };
  }
  return { at: from, roughness: 1 };
}

function findBoundary(by: SplitBy, below: number, from: number, { units }: Household['settings']): Boundary {
  if (by === 'number') return findRound(below, from, NUMBERS);
  if (by === 'length') return findRound(below, from, units === 'metric' ? METRIC_MM : IMPERIAL_MM);
  // Where one colour ends and the next begins; else between two shades of it.
  const family = Math.floor(from / 10) * 10;
  return family > below ? { at: family, roughness: 0 } : { at: (below + from) / 2, roughness: 1 };
}

/** What a group is cut by so that each part can still be found: in the order in which it stands. */
function chooseSplitBy(group: Group, household: Household): SplitBy {
  if (group.kind === 'pattern') return 'number';
  return household.settings.sorting[group.kind].order === 'length' ? 'length' : 'wheel';
}

/**
 * The cheapest way to cut a row of lots into k parts of at most `most` each: parts alike in size, boundaries that are
 * easily said. `cuts[i]` is the boundary before lot i, or null where none can be. Null where there is no such way.
 */
export function cutRow(
  shares: readonly number[],
  cuts: readonly (Boundary | null)[],
  k: number,
  most: number,
): number[] | null {
  const n = shares.length;
  const sums = [0];
  for (const share of shares) sums.push(sums.at(-1)! + share);
  const aim = sums[n]! / k;
  /** Least cost of the first i lots in j parts, and where the last of them begins. */
  const cost = Array.from({ length: k + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  const begins = Array.from({ length: k + 1 }, () => new Int32Array(n + 1).fill(-1));
  cost[0]![0] = 0;
  for (let j = 1; j <= k; j += 1)
    for (let i = j; i <= n; i += 1)
      for (let from = i - 1; from >= j - 1 && sums[i]! - sums[from]! <= most + 1e-9; from -= 1) {
        const cut = cuts[from];
        if (from > 0 && !cut) continue;
        const off = aim > 0 ? (sums[i]! - sums[from]!) / aim - 1 : 0;
        const next = cost[j - 1]![from]! + off * off + (from > 0 ? ROUGHNESS * cut!.roughness : 0);
        if (next < cost[j]![i]!) {
          cost[j]![i] = next;
          begins[j]![i] = from;
        }
      }
  if (cost[k]![n] === Infinity) return null;
  const starts: number[] = [];
  for (let j = k, i = n; j > 0; j -= 1) {
    i = begins[j]![i]!;
    if (i > 0) starts.unshift(i);
  }
  return starts;
}

/**
 * Cuts a group into as few parts as fit the roomiest place each, within the fill target and with real packing. Null
 * where one place takes all of it, where some lot goes into none, or where its lots are all alike.
 */
export function proposeSplit(household: Household, tree: PlaceTree, group: Group): SplitProposal | null {
  const by = chooseSplitBy(group, household);
  const keyOf = (lot: Lot) => getSplitKey(by, household.items.get(lot.itemId)!, lot);
  const lots = group.lots.toSorted((a, b) => keyOf(a) - keyOf(b));
  const roomiest = findRoomiest(household, tree, lots);
  if (!roomiest) return null;
  const { place, space, shares, packages } = roomiest;
  const most = household.settings.fillTarget;
  const total = shares.reduce((sum, share) => sum + share, 0);
  if (total <= most && packPlace(packages, space).status === 'packed') return null;
  const cuts = lots.map((lot, i) => {
    if (i === 0) return null;
    const [below, from] = [keyOf(lots[i - 1]!), keyOf(lot)];
    return from > below ? findBoundary(by, below, from, household.settings) : null;
  });
  for (let k = Math.max(2, Math.ceil(total / most - 1e-9)); k <= Math.min(MOST_PARTS, lots.length); k += 1) {
    const starts = cutRow(shares, cuts, k, most);
    if (!starts) continue;
    const ends = [...starts, lots.length];
    const parts = ends.map((end, i) => {
      const start = i === 0 ? 0 : ends[i - 1]!;
      const share = shares.slice(start, end).reduce((sum, one) => sum + one, 0);
      return { lots: end - start, share, isPacked: packPlace(packages.slice(start, end), space).status === 'packed' };
    });
    if (parts.some((part) => !part.isPacked)) continue;
    return {
      by,
      at: starts.map((i) => cuts[i]!.at),
      parts: parts.map(({ lots: count, share }) => ({ lots: count, share })),
      place,
    };
  }
  return null;
}
