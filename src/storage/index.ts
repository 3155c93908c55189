export type { Glimpse } from './glimpse.ts';
export type { KeptApart, KeptFile, Snapshot } from './database.ts';
export { HouseholdStore, type Stored, type StoreFault, type StoreNews } from './store.ts';
