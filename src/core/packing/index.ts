export { computeCells } from './cells.ts';
export { computeShare } from './fit.ts';
export { packPlace } from './pack.ts';
export { computeVolumeNeed } from './volume.ts';
export { BAG_SHARE, HOLE_DROP_MM, SOFT_SHARE, type FitFault } from './shape.ts';
export type { PackResult, Spot } from './spot.ts';
