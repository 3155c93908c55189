export { checkPlan, type CheckFinding, type CheckedSpot } from './plan.ts';
