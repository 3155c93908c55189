export { applyMerge, getLater, planMerge, type Conflict, type MergePlan, type Side } from './merge.ts';
