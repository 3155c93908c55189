export { HouseholdStore, type Stored, type StoreFault, type StoreNews } from './store.ts';
