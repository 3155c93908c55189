import { DEFAULT_SETTINGS, type Household } from '../../../core/records/index.ts';
import { computeSetout, type SetoutFacts } from '../../../core/setout/index.ts';
import { derive, getTree } from '../../state/derived.ts';

/** How far the setting out of a household is. */
export const getSetout: (household: Household) => SetoutFacts = derive((household) =>
  computeSetout(household, getTree(household), DEFAULT_SETTINGS),
);
