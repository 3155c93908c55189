export { mendLots, mendProjects, mendRooms } from './mend.ts';
export { createMended, listMends, type Mend, type Proposal } from './propose.ts';
export { salvage, type Apart, type RawHousehold, type Salvaged } from './salvage.ts';
