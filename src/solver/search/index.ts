export { Annealer } from './anneal.ts';
export { constructByGroup, constructFirstFit, constructFromPresent, constructRest } from './construct.ts';
export { PackingCache, repairPacking } from './repair.ts';
export { putInSequence } from './sequence.ts';
