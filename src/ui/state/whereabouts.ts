import type { Household, LotId } from '../../core/records/index.ts';
import { computeWhereabouts, groupLotsByPlace, type Whereabouts } from '../../core/whereabouts/index.ts';
import { derive, getTree } from './derived.ts';

export const getLotsByPlace = derive((household) => groupLotsByPlace(household, 'is'));

/** Where a lot is now, or where it belongs when it is out. */
export const getWhereabouts = (household: Household, lotId: LotId): Whereabouts =>
  computeWhereabouts(household, getTree(household), getLotsByPlace(household), lotId);
