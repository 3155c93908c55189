export { describePresent } from './present.ts';
export { recount, scoreGroup, scorePlace } from './recount.ts';
export { Batch, State } from './state.ts';
export { CAUTION_PRICE, getPrice, Lookup, UNPLACED_PRICE } from './lookup.ts';
