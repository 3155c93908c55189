export { createEmptyHousehold, createSampleHousehold, SAMPLE_NOW_MS } from './household.ts';
