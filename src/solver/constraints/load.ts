import type { Rule } from './rule.ts';

/** The lot alone is not heavier than what the place carries. Sums are kept by the score's state. */
export const checkLoad: Rule = ({ pkg, traits }) =>
  pkg.massG > traits.loadG ? { code: 'load', needed: pkg.massG, available: traits.loadG } : null;
