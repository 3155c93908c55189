import type { Group } from '../../core/grouping/index.ts';
import type { Household, Lot, LotId } from '../../core/records/index.ts';
import { wordGroup } from './groups.ts';
import { joinFew } from './lists.ts';

/** What is in a place by its groups, the largest first: `Knit`, `Knit and Zips`, `Knit and 3 more`. */
export function wordInside(
  household: Household,
  groupOf: (lotId: LotId) => Group | undefined,
): (lots: readonly Lot[]) => string {
  return (lots) => {
    const counts = new Map<Group, number>();
    for (const lot of lots) {
      const group = groupOf(lot.id);
      if (group) counts.set(group, (counts.get(group) ?? 0) + 1);
    }
    const sorted = [...counts].toSorted((a, b) => b[1] - a[1]);
    return joinFew(sorted.map(([group]) => wordGroup(group, household)));
  };
}
