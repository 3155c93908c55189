import { cautionHeavyHigh, cautionLiquid, cautionPull, cautionThreadPets, HIGH_LIFT_G, PULL_G } from './cautions.ts';
import { checkChildren } from './children.ts';
import { checkHeap } from './heap.ts';
import { checkHeat } from './heat.ts';
import { checkLoad } from './load.ts';
import type { Finding, Offer, Rule } from './rule.ts';
import { checkShape } from './shape.ts';
import { checkSun } from './sun.ts';
import { checkWish } from './wish.ts';

/** Rules that only ask what care a thing needs and what the place is like. */
const CARE: readonly Rule[] = [checkHeap, checkChildren, checkSun, checkHeat];
/** Hard rules; what was asked comes before the shape, which explains the most. */
const HARD: readonly Rule[] = [checkWish, checkShape, checkLoad, ...CARE];
const SOFT: readonly Rule[] = [cautionHeavyHigh, cautionThreadPets, cautionPull, cautionLiquid];

function findFirst(rules: readonly Rule[], offer: Offer): Finding | null {
  for (const rule of rules) {
    const finding = rule(offer);
    if (finding) return finding;
  }
  return null;
}

/** The first hard rule that an offer breaks, or null. */
export function findHardFault(offer: Offer): Finding | null {
  return findFirst(HARD, offer);
}

/** The first rule of care that an offer breaks: the same for all things of the same care and places of the same traits. */
export function findCareFault(offer: Offer): Finding | null {
  return findFirst(CARE, offer);
}

/** Every caution that an offer raises. */
export function findCautions(offer: Offer): Finding[] {
  const findings: Finding[] = [];
  for (const rule of SOFT) {
    const finding = rule(offer);
    if (finding) findings.push(finding);
  }
  return findings;
}

export { HIGH_LIFT_G, PULL_G };
export type { Finding, Offer };
