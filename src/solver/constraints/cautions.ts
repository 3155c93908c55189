import { asksFor } from '../../core/sense/index.ts';
import type { Rule } from './rule.ts';

/** Above the shoulder one person lifts at most this much without strain. */
export const HIGH_LIFT_G = 5000;
/** What falls on a small child and hurts it. */
export const PULL_G = 2000;

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

/** Heavy and hard where a small child can pull it down; cloth is soft, and a machine stands on its table. */
export const cautionPull: Rule = ({ item, pkg, traits, settings }) =>
  settings.hasChildren && traits.isInPull && !traits.isWorkTop && !item.fabric && pkg.massG > PULL_G
    ? { code: 'heavy-pull', needed: pkg.massG, available: PULL_G }
    : null;

/** A bottle above what it would spoil when it leaks, or next to something hot. */
export const cautionLiquid: Rule = ({ item, traits }) => {
  if (!asksFor(item, 'liquid')) return null;
  if (traits.isNearHeat) return { code: 'liquid-hot', needed: 0, available: 0 };
  const isHigh = traits.reach === 'stretch' || traits.reach === 'stool';
  return isHigh ? { code: 'liquid-high', needed: 0, available: 0 } : null;
};
