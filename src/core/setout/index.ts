export { computeSetout, type SetoutFacts, type Stage } from './stages.ts';
export { createBegin, createEndSetout, createTickStage } from './acts.ts';
