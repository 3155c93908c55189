export { computeLearntUses, createLearn, type LearntUses } from './uses.ts';
export { listNearer, type Nearer } from './nearer.ts';
