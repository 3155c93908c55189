export { mendLots, mendRooms } from './mend.ts';
export {
  createMended,
  proposeMend,
  salvage,
  type Apart,
  type Proposal,
  type RawHousehold,
  type Salvaged,
} from './salvage.ts';
