import { asksFor } from '../../core/sense/index.ts';
import type { Rule } from './rule.ts';

/** What a small child must not get hold of: blades, needles, what is swallowed, irons, glue and dye. */
const DANGERS = ['sharp', 'smallPart', 'hot', 'liquid'] as const;

/** With children in the house, what is dangerous only where they cannot reach. */
export const checkChildren: Rule = ({ item, traits, settings }) =>
  settings.hasChildren && !traits.isChildSafe && DANGERS.some((flag) => asksFor(item, flag))
    ? { code: 'children', needed: 0, available: 0 }
    : null;
