export { cutBlock, type Block } from './blocks.ts';
export { findMoves, getTableMm3, type FoundMoves } from './find.ts';
export { createMoveFacts, type MoveFacts } from './facts.ts';
export { computeLeastTable, createMoveSearch, type MoveOrder, type MoveSearch } from './search.ts';
export {
  computeProgress,
  computeWalkMm,
  listTrees,
  toSteps,
  type Progress,
  type StepPlace,
  type Step,
} from './steps.ts';
