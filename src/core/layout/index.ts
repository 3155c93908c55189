export { computeLeastLength } from './bound.ts';
export { type Block, type Hole, type Laid, type Layout, type Sheet } from './pieces.ts';
export { createLayoutSearch, type LayoutSearch } from './search.ts';
