import { cautionHeavyHigh, cautionThreadPets } from './cautions.ts';
import { checkChildren } from './children.ts';
import { checkHeat } from './heat.ts';
import { checkLoad } from './load.ts';
import type { Finding, Offer, Rule } from './rule.ts';
import { checkShape } from './shape.ts';
import { checkSun } from './sun.ts';
import { checkWish } from './wish.ts';

/** Hard rules; what was asked comes before the shape, which explains the most. */
const HARD: readonly Rule[] = [checkWish, checkShape, checkLoad, checkChildren, checkSun, checkHeat];
const SOFT: readonly Rule[] = [cautionHeavyHigh, cautionThreadPets];

/** The first hard rule that an offer breaks, or null. */
export function findHardFault(offer: Offer): Finding | null {
  for (const rule of HARD) {
    const finding = rule(offer);
    if (finding) return finding;
  }
  return null;
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

export type { Finding, Offer };
