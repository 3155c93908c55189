export { createEmptyHousehold, createSampleHousehold } from './household.ts';
