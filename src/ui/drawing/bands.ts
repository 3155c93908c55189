import { getColour, UNDYED } from '../../core/colour/index.ts';
import type { Group } from '../../core/grouping/index.ts';
import type { Household } from '../../core/records/index.ts';

const BANDS = 60;

/** The colours of a group in their order, side by side: no more of them than the eye can tell apart. */
export function paintBands(group: Group, household: Household): string {
  const { lots } = group;
  const n = Math.min(lots.length, BANDS);
  const stops = Array.from({ length: n }, (_, i) => {
    const lot = lots[Math.floor((i * lots.length) / n)]!;
    const item = household.items.get(lot.itemId);
    const colour = item ? getColour(item) : UNDYED;
    return `${colour} ${(i * 100) / n}% ${((i + 1) * 100) / n}%`;
  });
  return `linear-gradient(to right, ${stops.join(', ')})`;
}
