import type { Estimate } from './amount.ts';

/**
 * How many pieces weigh that much, when ten of them weigh `tenG`: n = 10 m / w. First-order propagation from
 * what each weighing is in doubt by, g.
 */
export function computeCountByMass(massG: number, tenG: number, massSigmaG: number, tenSigmaG = massSigmaG): Estimate {
  const value = (10 * massG) / tenG;
  return { value, sigma: Math.hypot((10 * massSigmaG) / tenG, (value * tenSigmaG) / tenG) };
}

/** Area of cloth that weighs that much, mm². `spread` is the grammage's. */
export function computeAreaByMass(massG: number, grammageGsm: number, spread: number, scaleG = 1): Estimate {
  const perGram = 1e6 / grammageGsm;
  const value = massG * perGram;
  return { value, sigma: Math.hypot(scaleG * perGram, value * spread) };
}
