export { computeShare, type FitFault } from './fit.ts';
export { packPlace, type PackResult, type Spot } from './pack.ts';
