import type { Household, Lot, LotId, PlaceId } from '../../core/records/index.ts';
import { computeSpace } from '../../core/storage/index.ts';
import { derive, getTree } from './derived.ts';
import { type Standing, computeContents, computeStanding, groupLotsByPlace } from '../../core/whereabouts/index.ts';

export const getLotsByPlace = derive((household) => groupLotsByPlace(household, 'is'));

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

export function computeWhereabouts(household: Household, lotId: LotId): Whereabouts {
  const tree = getTree(household);
  const lot = household.lots.get(lotId);
  const placeId = lot?.placeId ?? lot?.homeId ?? null;
  const place = placeId === null ? undefined : tree.places.get(placeId);
  if (!lot || placeId === null || !place)
    return { isThere: false, ...getAway(lot), placeId: null, path: [], standing: null, wallId: null };
  const path = tree.getPath(placeId);
  const isThere = lot.state === 'in';
  const space = computeSpace(tree, place);
  const inside = computeContents(household, tree, placeId, getLotsByPlace(household).get(placeId) ?? []);
  return {
    isThere,
    ...getAway(lot),
    placeId,
    path: path.map((one) => one.name),
    standing: isThere ? computeStanding(inside, lot, space) : null,
    wallId: path[0] && path[1]?.unit ? `${path[0].id}-${path[1].unit.wallId}` : null,
  };
}
