import { computeMostWorth } from './bound.ts';
import { planBands, type BandSearch, type ScrapPlan } from './plan.ts';
import type { Region } from './region.ts';
import type { ScrapSize } from './sizes.ts';

/** A search for the best way to cut a scrap that can be stopped at any time. */
export interface ScrapSearch {
  /** Looks once more, and closer; false when it has looked as close as it does. */
  readonly advance: () => boolean;
  readonly getBest: () => ScrapPlan;
  /** No way of cutting is worth more: by area alone, and by what any piece can cover. */
  readonly most: { readonly byArea: number; readonly byShape: number };
}

/** From a first look to the closest: positions of cuts to so many mm, and how often a band is cut across again. */
const LOOKS: readonly Omit<BandSearch, 'sizes' | 'isOneWay'>[] = [
  { stepMm: 4, depth: 1 },
  { stepMm: 2, depth: 1 },
  { stepMm: 8, depth: 2 },
  { stepMm: 4, depth: 2 },
  { stepMm: 1, depth: 1 },
  { stepMm: 10, depth: 3 },
  { stepMm: 2.5, depth: 2 },
];

/** Looks for the best way to cut a scrap; `isOneWay`: strips run along the grain only. */
export function createScrapSearch(region: Region, sizes: readonly ScrapSize[], isOneWay = false): ScrapSearch {
  const looks = [...LOOKS];
  let best = planBands(region, { ...looks.shift()!, sizes, isOneWay });
  return {
    most: computeMostWorth(region, sizes),
    advance() {
      const look = looks.shift();
      if (!look) return false;
      const found = planBands(region, { ...look, sizes, isOneWay });
      if (found.worth > best.worth) best = found;
      return looks.length > 0;
    },
    getBest: () => best,
  };
}
