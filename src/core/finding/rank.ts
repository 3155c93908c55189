import type { LotId } from '../records/index.ts';

export interface Found {
  readonly lotId: LotId;
  readonly score: number;
}

/** How well a lot fits one word that was said, or any that means the same, and by which of them. */
export interface Fit {
  readonly score: number;
  readonly terms: readonly string[];
}
export type Fits = ReadonlyMap<LotId, Fit>;

/** What is said is worth the sum of its words, times all the ways in which they were found. */
function scoreOf(fits: readonly Fit[]): number {
  let sum = 0;
  const ways: string[] = [];
  for (const { score, terms } of fits) {
    sum += score;
    for (const term of terms) if (!ways.includes(term)) ways.push(term);
  }
  return sum * ways.length;
}

type Ranked = Found & { readonly count: number };

const isBefore = (a: Ranked, b: Ranked): boolean => a.count > b.count || (a.count === b.count && a.score > b.score);

/** The first `limit` lots that fit at least so many of the words, those that fit most first. */
export function rank(groups: readonly Fits[], least: number, limit: number): Ranked[] {
  // Who fits none of these fits too few; of the rarest words fewest lots are looked at.
  const bySize = groups.toSorted((a, b) => a.size - b.size).slice(0, groups.length - least + 1);
  const best: Ranked[] = [];
  const seen = new Set<LotId>();
  for (const [nth, group] of bySize.entries())
    for (const lotId of group.keys()) {
      if (nth > 0 && seen.has(lotId)) continue;
      if (nth + 1 < bySize.length) seen.add(lotId);
      const fits: Fit[] = [];
      for (const [at, one] of groups.entries()) {
        const fit = one.get(lotId);
        if (fit) fits.push(fit);
        else if (fits.length + groups.length - at - 1 < least) break;
      }
      if (fits.length < least) continue;
      const ranked = { lotId, score: scoreOf(fits), count: fits.length };
      if (best.length === limit && !isBefore(ranked, best.at(-1)!)) continue;
      let at = best.length;
      while (at > 0 && isBefore(ranked, best[at - 1]!)) at -= 1;
      best.splice(at, 0, ranked);
      if (best.length > limit) best.pop();
    }
  return best;
}
