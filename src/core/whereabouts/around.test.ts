import { describe, expect, it } from 'vitest';
import { createThing } from '../../../tests/household.ts';
import type { Spot } from '../packing/index.ts';
import type { LotId } from '../records/index.ts';
import { computeAround } from './around.ts';
import type { Content, PlaceContents } from './locate.ts';

/** Boxes by name, with their left, front and lower edge and their size. */
function lay(...boxes: [name: string, at: [number, number, number], size: [number, number, number]][]): PlaceContents {
  const contents = boxes.map(([name]) => ({
    lot: { id: name },
    item: createThing(name),
    pkg: {},
  })) as unknown as Content[];
  const spots = boxes.map(([, [xMm, yMm, zMm], [widthMm, depthMm, heightMm]], index) => ({
    index,
    piece: 0,
    xMm,
    yMm,
    zMm,
    widthMm,
    depthMm,
    heightMm,
  })) as unknown as Spot[];
  return { contents, spots };
}
const inside = lay(
  ['front', [0, 0, 0], [100, 100, 100]],
  ['middle', [0, 100, 0], [100, 100, 100]],
  ['back', [0, 200, 0], [100, 100, 100]],
  ['beside', [100, 0, 0], [100, 300, 100]],
  ['lid', [0, 100, 100], [100, 100, 20]],
);
const around = (id: string, where = inside) => computeAround(where, id as LotId);

describe('what lies about a thing', () => {
  it('is told from the front, the nearest first; what stands beside it is not in the way', () => {
    expect(around('back')).toEqual({ inFront: ['middle', 'front'], behind: [], onTop: [] });
    expect(around('front')).toEqual({ inFront: [], behind: ['middle', 'back'], onTop: [] });
    expect(around('middle')).toEqual({ inFront: ['front'], behind: ['back'], onTop: ['lid'] });
    expect(around('beside')).toEqual({ inFront: [], behind: [], onTop: [] });
  });

  it('is not known where the place is over full, or the thing is not there', () => {
    const none = { inFront: [], behind: [], onTop: [] };
    expect(around('middle', { ...inside, spots: null })).toEqual(none);
    expect(around('ghost')).toEqual(none);
  });
});
