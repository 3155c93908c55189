import type { Household, Lot, LotId, PlaceId } from '../records/index.ts';
import { computeSpace, findWallId, type PlaceTree } from '../storage/index.ts';
import { computeContents, computeStanding, type Standing } from './locate.ts';

/** Where a lot is now, or where it belongs when it is out. */
export interface Whereabouts {
  readonly isThere: boolean;
  /** Where it is instead of at home, where that is known. */
  readonly away: 'lent' | 'missing' | 'table' | 'aside' | 'waiting' | null;
  readonly lentTo: string | null;
  readonly placeId: PlaceId | null;
  readonly path: readonly string[];
  readonly standing: Standing | null;
  readonly wallId: string | null;
}

function getAway(lot: Lot | undefined): Pick<Whereabouts, 'away' | 'lentTo'> {
  if (lot?.state === 'lent') return { away: 'lent', lentTo: lot.lentTo ?? null };
  return { away: lot?.away ?? null, lentTo: null };
}

/** Where a lot is; `inside` are the lots of each place, in their order there. */
export function computeWhereabouts(
  household: Household,
  tree: PlaceTree,
  inside: ReadonlyMap<PlaceId, readonly Lot[]>,
  lotId: LotId,
): Whereabouts {
  const lot = household.lots.get(lotId);
  const placeId = lot?.placeId ?? lot?.homeId ?? null;
  const place = placeId === null ? undefined : tree.places.get(placeId);
  if (!lot || placeId === null || !place)
    return { isThere: false, ...getAway(lot), placeId: null, path: [], standing: null, wallId: null };
  const isThere = lot.state === 'in';
  const contents = computeContents(household, tree, placeId, inside.get(placeId) ?? []);
  return {
    isThere,
    ...getAway(lot),
    placeId,
    path: tree.getPath(placeId).map((one) => one.name),
    standing: isThere ? computeStanding(contents, lot, computeSpace(tree, place)) : null,
    wallId: findWallId(tree, placeId),
  };
}
