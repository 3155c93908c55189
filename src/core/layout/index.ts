export { computeLeastLength } from './bound.ts';
export {
  computeOutlineArea,
  cutStrip,
  isPlainOutline,
  meetStretches,
  mirrorOutline,
  toBoxOutline,
  turnOutline,
  widenOutline,
  type Point,
  type Stretch,
} from './outline.ts';
export { type Block, type Hole, type Laid, type Layout, type Sheet } from './pieces.ts';
export { cutFlaws, cutOutline } from './rest.ts';
export { findSpare } from './spare.ts';
export { createLayoutSearch, type LayoutSearch } from './search.ts';
