export * from './ids.ts';
export * from './item.ts';
export * from './lot.ts';
export * from './place.ts';
export * from './settings.ts';
export * from './plan.ts';
export * from './event.ts';
export { parseRecord, type RecordFault, type RecordOf } from './check.ts';
export type { Household, Chronicle } from './household.ts';
