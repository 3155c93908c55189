import { computeOutlineArea } from './outline.ts';
import type { Block, Sheet } from './pieces.ts';

/**
 * No layout is shorter, mm: by the area of all blocks on the width; by the longest of them; and by the rectangles that are
 * wider than half the sheet whichever way they lie, of which no two lie side by side (other shapes may lie into each other).
 * Holes are not reckoned with: they only make it longer.
 */
export function computeLeastLength(blocks: readonly Block[], { widthMm }: Pick<Sheet, 'widthMm'>): number {
  let [area, longest, wide] = [0, 0, 0];
  for (const block of blocks) {
    const { widthMm: w, heightMm: h } = block;
    // A way that the sheet is too narrow for is none.
    const ways = [
      ...(w <= widthMm ? [{ across: w, along: h }] : []),
      ...(block.mayTurn && h <= widthMm ? [{ across: h, along: w }] : []),
    ];
    area += block.outline ? computeOutlineArea(block.outline) : w * h;
    if (ways.length === 0) continue;
    const along = Math.min(...ways.map((way) => way.along));
    longest = Math.max(longest, along);
    if (!block.outline && ways.every((way) => way.across > widthMm / 2)) wide += along;
  }
  return Math.max(area / widthMm, longest, wide);
}
