export { checkPlan, type CheckFinding, type CheckedSpot } from './plan.ts';
export { checkMoves, type MoveFinding } from './moves.ts';
