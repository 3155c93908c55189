export { createFacts, getOptionPackage, type Facts, type Offered, type PlaceFacts } from './facts.ts';
export { computeInputsHash } from './hash.ts';
