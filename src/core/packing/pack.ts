import type { Package } from '../measure/index.ts';
import type { Space } from '../storage/index.ts';
import { packArea, packPins } from './area.ts';
import { computeShare } from './fit.ts';
import { packLine } from './line.ts';
import { packVolume } from './volume.ts';

/** A piece of a lot where it lies: corner nearest the front lower left, and size as turned; mm. */
export interface Spot {
  readonly index: number;
  readonly piece: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** Soft or bagged goods: only the volume is meant, the box shows how high they fill. */
  readonly isBulk: boolean;
}

/** `impossible` is proven; `not-found` is not. */
export type PackResult =
  | { readonly status: 'packed'; readonly spots: readonly Spot[] }
  | { readonly status: 'impossible' }
  | { readonly status: 'not-found' };

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
      return packVolume(packages, space);
    case 'area':
      return packArea(packages, space);
    case 'pins':
      return packPins(packages, space);
  }
}
