export {
  countCautions,
  createFacts,
  getKinshipOf,
  getOptionPackage,
  getPlaceOf,
  getShare,
  getWayOf,
  isAllowed,
  listMembers,
  listOptions,
  withEstimates,
  type Facts,
  type Offered,
  type PlaceFacts,
} from './facts.ts';
export { computeDigging } from './places.ts';
export { computeInputsHash } from './hash.ts';
