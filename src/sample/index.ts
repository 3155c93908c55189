export { createChronicle } from './chronicle.ts';
export { createEmptyHousehold } from './empty.ts';
export { createSampleHousehold } from './household.ts';
