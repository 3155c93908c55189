export { Annealer, computePrice } from './anneal.ts';
export { constructByGroup, constructFirstFit, constructFromPresent } from './construct.ts';
export { PackingCache, repairPacking } from './repair.ts';
