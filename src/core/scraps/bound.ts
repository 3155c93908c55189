import type { ScrapSize } from './sizes.ts';
import { computeRegionArea, cutBand, measureRegion, type Region } from './region.ts';

/** The scrap is looked at in squares of this side, mm. */
const CELL_MM = 4;

/**
 * No way of cutting is worth more: what the densest size is worth by its area, over all places that some piece can cover at all.
 * A piece holds a square as wide as the least size, so nothing outside of all such squares is of use. Both are told.
 */
export function computeMostWorth(
  region: Region,
  sizes: readonly ScrapSize[],
): { readonly byArea: number; readonly byShape: number } {
  const density = Math.max(
    ...sizes.map(({ kind, sideMm, leastMm, worth }) => worth / (sideMm * (kind === 'square' ? sideMm : leastMm))),
  );
  const least = Math.min(...sizes.map(({ sideMm }) => sideMm));
  const { widthMm, heightMm } = measureRegion(region);
  const [columns, rows] = [Math.ceil(widthMm / CELL_MM), Math.ceil(heightMm / CELL_MM)];
  const covered = new Uint8Array(columns * rows);
  // A square whose left edge lies in a column holds a band a cell narrower wholly; where that lies free, all of it may be covered.
  for (let x = 0; x < columns; x += 1) {
    const [from, to] = [(x + 1) * CELL_MM, x * CELL_MM + least];
    const last = Math.min(columns - 1, Math.floor(((x + 1) * CELL_MM + least) / CELL_MM));
    for (const [top, bottom] of cutBand(region, Math.min(from, to), to)) {
      if (bottom - top < least) continue;
      const [first, end] = [Math.max(0, Math.floor(top / CELL_MM)), Math.min(rows - 1, Math.floor(bottom / CELL_MM))];
      for (let column = x; column <= last; column += 1) covered.fill(1, column * rows + first, column * rows + end + 1);
    }
  }
  const reached = covered.reduce((sum, one) => sum + one, 0) * CELL_MM ** 2;
  const area = computeRegionArea(region);
  return { byArea: density * area, byShape: density * Math.min(area, reached) };
}
