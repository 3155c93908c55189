export {
  countCautions,
  createFacts,
  getOptionPackage,
  getPlaceOf,
  getShare,
  getWayOf,
  isAllowed,
  listOptions,
  withEstimates,
  type Facts,
  type Offered,
  type PlaceFacts,
} from './facts.ts';
export { computeInputsHash } from './hash.ts';
