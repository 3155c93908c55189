import type { Rule } from './rule.ts';

/** What the sewist said: it stays, never in there, or that place is kept free. */
export const checkWish: Rule = ({ wish }) => (wish ? { code: wish, needed: 0, available: 0 } : null);
