import { asksFor } from '../../core/sense/index.ts';
import type { Rule } from './rule.ts';

/** What a small child must not get hold of: blades, needles, what is swallowed, magnets most of all, irons, glue and dye; and cords. */
const DANGERS = ['sharp', 'smallPart', 'magnetic', 'hot', 'liquid'] as const;
const CORD = 'cord';

/** With children in the house, what is dangerous only where they cannot reach. */
export const checkChildren: Rule = ({ item, traits, settings }) =>
  settings.hasChildren &&
  !traits.isChildSafe &&
  (item.box?.type === CORD || DANGERS.some((flag) => asksFor(item, flag)))
    ? { code: 'children', needed: 0, available: 0 }
    : null;
