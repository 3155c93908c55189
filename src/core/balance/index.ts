export { computeBalance, type Balance, type LeftOver, type SortBalance } from './balance.ts';
export type { RoomSort } from './supply.ts';
export { listMoreRoom, type MoreRoom } from './ways.ts';
