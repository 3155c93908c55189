import type { Random } from '../random/index.ts';
import type { Block, Sheet } from './pieces.ts';
import { createLayoutSearch } from './search.ts';
import { computeOutlineArea } from './outline.ts';

/** A piece larger than this share of all is no facing: nobody cuts the front of another cloth for want of some. */
const MOST_SHARE = 0.25;
/** Orders tried for each piece that is left out. */
const TRIES = 60;

/**
 * Where not all goes on: the smallest piece without which all the others do, such as a facing that may be of another cloth. Null
 * where no single one is enough. `pieces` that are left out are told by their number.
 */
export function findSpare(blocks: readonly Block[], sheets: readonly Sheet[], random: Random): number | null {
  const areas = new Map<number, number>();
  for (const { piece, widthMm, heightMm, outline } of blocks)
    areas.set(piece, (areas.get(piece) ?? 0) + (outline ? computeOutlineArea(outline) : widthMm * heightMm));
  if (areas.size < 2) return null;
  const all = [...areas.values()].reduce((sum, area) => sum + area, 0);
  for (const [piece, area] of [...areas].toSorted((a, b) => a[1] - b[1])) {
    if (area > MOST_SHARE * all) break;
    const others = blocks.filter((block) => block.piece !== piece);
    const search = createLayoutSearch(others, sheets, random);
    for (let n = 0; n < TRIES && search.getBest().left.length > 0; n += 1) if (!search.advance(1)) break;
    if (search.getBest().left.length === 0) return piece;
  }
  return null;
}
