export { describeAt, describePresent } from './present.ts';
export {
  getFill,
  sumToCome,
  recount,
  scoreCompany,
  scoreGroup,
  scoreLooks,
  scoreNaming,
  scorePlace,
  searchByGroup,
} from './recount.ts';
export { Batch, State } from './state.ts';
export { CAUTION_PRICE, getPrice, Lookup, UNPLACED_PRICE } from './lookup.ts';
