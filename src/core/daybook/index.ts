export { type Draft, createUndo, stampEvent } from './draft.ts';
export { type FoldFault, applyChanges, createChange, foldEvents, getUndoable, invertChanges, isSame } from './fold.ts';
export { listFollowers } from './followers.ts';
export { type InvariantFault, checkInvariants } from './invariants.ts';
export { type MonthActs, computeMonthActs } from './months.ts';
