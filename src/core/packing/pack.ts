import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { packArea, packPins } from './area.ts';
import { computeShare } from './fit.ts';
import { packCells } from './cells.ts';
import { packHooks } from './hooks.ts';
import { packLine } from './line.ts';
import type { PackResult } from './spot.ts';
import { packVolume } from './volume.ts';

/**
 * Packs lots into a place, in the order given where the mode keeps one (rows, piles, pins).
 * Positions are real: nothing overlaps, sticks out or floats.
 */
export function packPlace(packages: readonly Package[], space: Space): PackResult {
  for (const pkg of packages) if (!computeShare(pkg, space).ok) return { status: 'impossible' };
  switch (space.mode) {
    case 'line':
      return packLine(packages, space);
    case 'rail': {
      const packed = packLine(packages, space);
      if (packed.status !== 'packed') return packed;
      // What hangs begins at the rail and ends where it ends.
      const spots = packed.spots.map((spot) => ({ ...spot, zMm: space.heightMm - spot.heightMm }));
      return { status: 'packed', spots };
    }
    case 'volume':
      return space.dividers ? packCells(packages, space, space.dividers) : packVolume(packages, space);
    case 'area':
      return space.peg?.hooks ? packHooks(packages, space, space.peg, space.peg.hooks) : packArea(packages, space);
    case 'pins':
      return packPins(packages, space);
  }
}
