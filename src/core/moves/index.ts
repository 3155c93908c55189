export { cutBlock, type Block } from './blocks.ts';
export { computeLeastTrips, createMoveFacts, type MoveFacts } from './facts.ts';
export { computeLeastTable, createMoveSearch, type MoveOrder, type MoveSearch } from './search.ts';
export { computeProgress, getSpot, toSteps, type Progress, type Spot, type Step } from './steps.ts';
