import type { Rule } from './rule.ts';

/** With children in the house, blades, needles and small parts only where they cannot reach. */
export const checkChildren: Rule = ({ item, traits, settings }) =>
  settings.hasChildren && !traits.isChildSafe && item.care.some((flag) => flag === 'sharp' || flag === 'smallPart')
    ? { code: 'children', needed: 0, available: 0 }
    : null;
