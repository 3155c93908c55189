import { computeShare } from '../../core/packing/index.ts';
import type { Rule } from './rule.ts';

/** The thing goes into the empty place in this form and some allowed turn, and does not need more than all of it. */
export const checkShape: Rule = ({ pkg, space }) => {
  const fit = computeShare(pkg, space);
  if (!fit.ok) return fit.fault;
  return fit.share > 1 ? { code: 'too-much', needed: fit.share, available: 1 } : null;
};
