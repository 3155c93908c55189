export { createChronicle, createEmptyHousehold } from './chronicle.ts';
export { createSampleHousehold } from './household.ts';
