export { type Draft, stampEvent } from './draft.ts';
export { type FoldFault, createChange, getRecord, isSame, computeDifference } from './fold.ts';
export { fitReserved } from './fitReserved.ts';
export { type GateFault, type Passed, type WholeChronicle, passGate, passWhole } from './gate.ts';
export { type InvariantFault, checkInvariants } from './invariants.ts';
export { type MonthActs, computeMonthActs } from './months.ts';
export { type MonthFlow, computeMonthFlows } from './tally.ts';
export { rebaseChanges, type EditConflict, type Rebased } from './rebase.ts';
export { type UndoPlan, getUndoable, listTakenBack, planUndo } from './undo.ts';
