import type { Rule } from './rule.ts';

/** What must not see the sun does not lie in it. */
export const checkSun: Rule = ({ item, traits }) =>
  traits.light === 'sun' && item.care.includes('noSun') ? { code: 'sun', needed: 0, available: 0 } : null;
