import type { Rule } from './rule.ts';

/** A heap on the floor is where things come from, never where they live. */
export const checkHeap: Rule = ({ traits }) => (traits.isHeap ? { code: 'heap', needed: 0, available: 0 } : null);
