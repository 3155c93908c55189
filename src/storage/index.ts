export type { KeptApart, Snapshot } from './database.ts';
export { HouseholdStore, type Stored, type StoreFault, type StoreNews } from './store.ts';
