export { createChronicle, createEmptyHousehold, createSampleHousehold } from './household.ts';
