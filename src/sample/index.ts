export { createChronicle, createEmptyHousehold, createKitchenHousehold, createSampleHousehold } from './household.ts';
