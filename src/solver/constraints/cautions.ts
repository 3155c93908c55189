import type { Rule } from './rule.ts';

/** Above the shoulder one person lifts at most this much without strain. */
export const HIGH_LIFT_G = 5000;

/** Heavy above the shoulder. */
export const cautionHeavyHigh: Rule = ({ pkg, traits }) =>
  pkg.massG > HIGH_LIFT_G && (traits.reach === 'stretch' || traits.reach === 'stool')
    ? { code: 'heavy-high', needed: pkg.massG, available: HIGH_LIFT_G }
    : null;

/** Thread, ribbon and elastic open to a cat. */
export const cautionThreadPets: Rule = ({ item, traits, settings }) =>
  settings.hasPets && !traits.isPetProof && item.care.includes('thread')
    ? { code: 'thread-pets', needed: 0, available: 0 }
    : null;
