export { computeCells } from './cells.ts';
export { computeShare } from './fit.ts';
export { packPlace } from './pack.ts';
export { HOLE_DROP_MM, type FitFault } from './shape.ts';
export type { PackResult, Spot } from './spot.ts';
