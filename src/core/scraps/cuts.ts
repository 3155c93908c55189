import type { ScrapPlan } from './plan.ts';

/** Where the cuts from edge to edge lie, in their order: mm from the edge of the scrap's box. Bands side by side share a cut. */
export function listCutLines({ bands }: Pick<ScrapPlan, 'bands'>): number[] {
  const all = bands.flatMap(({ fromMm, toMm }) => [fromMm, toMm]).toSorted((a, b) => a - b);
  return all.filter((mm, n) => n === 0 || mm - all[n - 1]! >= 0.5);
}
