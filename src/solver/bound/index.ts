export { Bound, getMostPercent } from './bound.ts';
