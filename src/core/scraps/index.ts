export { listCutLines } from './cuts.ts';
export type { Filled } from './fill.ts';
export { type ScrapPlan } from './plan.ts';
export { alignRegion, measureRegion, type Direction, type Region } from './region.ts';
export type { Spot } from './homography.ts';
export { PAPERS, readScrapPhoto, type PaperName, type PhotoFault, type ScrapPhoto } from './photo.ts';
export { createScrapSearch, type ScrapSearch } from './search.ts';
export { formatSizeLine, parseSizeLine } from './sizeLines.ts';
export { USUAL_SIZES, type ScrapSize } from './sizes.ts';
