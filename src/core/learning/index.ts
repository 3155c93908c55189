export { getTellingMs, listFlows, withGone, type LotFlow } from './flows.ts';
export { computeGrowth } from './growth.ts';
export { computeLearntUses, createLearn, type LearntUses } from './uses.ts';
export { listNearer, type Nearer } from './nearer.ts';
export { listRules, type RuleOffer } from './rules.ts';
