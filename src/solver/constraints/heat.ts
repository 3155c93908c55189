import type { Rule } from './rule.ts';

/** Nothing flammable next to the iron or a heater. */
export const checkHeat: Rule = ({ item, traits }) =>
  traits.isNearHeat && item.care.includes('flammable') ? { code: 'heat', needed: 0, available: 0 } : null;
