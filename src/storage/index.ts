export type { KeptApart, KeptFile, Snapshot } from './database.ts';
export { HouseholdStore, type Front, type Stored, type StoreFault, type StoreNews } from './store.ts';
