import type { Item } from '../records/index.ts';

/** Cloth that quilts are made of, g/m². An estimate of ours. */
const QUILT_GSM = { from: 90, to: 200 };
/** From here on a cloth is called stretchy, per cent across. */
export const STRETCHES_FROM = 20;

/** Whether a cloth or its scraps go into a quilt: cotton of its weight that does not stretch, and no heirloom. */
export function isForQuilts({ fabric, care }: Item): boolean {
  return (
    fabric?.fibre === 'cotton' &&
    (fabric.stretchPercent ?? 0) < STRETCHES_FROM &&
    fabric.grammageGsm >= QUILT_GSM.from &&
    fabric.grammageGsm <= QUILT_GSM.to &&
    !care.includes('heirloom')
  );
}
