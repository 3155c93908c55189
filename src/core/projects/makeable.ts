import { getAmount, getReserved } from '../measure/index.ts';
import type { Item, Lot, Need, Project, ProjectId } from '../records/index.ts';
import { computeClothNeed } from './need.ts';
import { judgeCloth, type Suggested } from './suggest.ts';

/** A pattern that could be made of a cloth. */
export interface Makeable {
  readonly pattern: Item;
  /** The size of its table of which most could be made, where it has one; the largest that goes. */
  readonly size: string;
  /** For the largest size that goes, or the smallest where none does. */
  readonly judged: Suggested;
}

/** A project that there is not: one of a pattern in a size. */
function suppose(pattern: Item, size: string): { project: Project; need: Need } {
  const need: Need = { id: 'main', kind: 'fabric', part: 'main' };
  const project: Project = {
    id: 'supposed' as ProjectId,
    name: pattern.name,
    state: 'idea',
    patternItemId: pattern.id,
    makes: [{ size, count: 1 }],
    notes: '',
    needs: [need],
    steps: [],
    sinceMs: 0,
  };
  return { project, need };
}

/**
 * Which patterns could be made of a length of cloth, the best first, each with what speaks against it and what would be left;
 * those of which nobody knows what they take are not told. `most`: so many are told.
 */
export function listMakeable(patterns: readonly Item[], item: Item, lot: Lot, most = 12): Makeable[] {
  const { fabric } = item;
  if (!fabric || lot.lengthMm === undefined) return [];
  const freeMm = Math.max(0, getAmount(item, lot) - getReserved(lot));
  const found = patterns.flatMap((pattern): Makeable[] => {
    const spec = pattern.pattern;
    if (!spec) return [];
    const sizes = [...new Set((spec.needs ?? []).filter((row) => row.part === '').map((row) => row.size))];
    const tried = (sizes.length > 0 ? sizes : ['']).flatMap((size) => {
      const { project, need } = suppose(pattern, size);
      const needed = computeClothNeed(project, need, pattern, { fabric, isWashed: lot.isWashed ?? false });
      return needed.ok ? [{ size, judged: judgeCloth(project, need, pattern, item, lot, needed) }] : [];
    });
    // Of sizes that go, the one that takes most; else the one that takes least.
    const sorted = tried.toSorted((a, b) => a.judged.needed!.lengthMm - b.judged.needed!.lengthMm);
    const best = sorted.findLast(({ judged }) => judged.needed!.lengthMm <= freeMm + 0.5) ?? sorted[0];
    return best ? [{ pattern, ...best }] : [];
  });
  return found.toSorted((a, b) => a.judged.cost - b.judged.cost || a.judged.restMm - b.judged.restMm).slice(0, most);
}
