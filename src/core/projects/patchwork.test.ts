import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot } from '../../../tests/household.ts';
import type { Item } from '../records/index.ts';
import { createProjectFacts, listPatches } from './index.ts';
import { countPatches } from './patchwork.ts';

const cotton = (id: string, colour: string, more: Partial<Item> = {}): Item => {
  const cloth = createCloth(id, { colours: [colour], ...more });
  return { ...cloth, fabric: { ...cloth.fabric!, fibre: 'cotton', widthMm: 1120, grammageGsm: 130 } };
};
const blue = cotton('blue', '#2f5d7c');
const sizes = { squareMm: 127, stripMm: 63.5 };

describe('patches from what is there', () => {
  it('are counted across and along what is free', () => {
    // 110 cm between the selvages: 8 squares of 5 in; 1 m: 7 of them; 15 strips of 2½ in.
    expect(countPatches(blue, createLot(blue, null, { lengthMm: 1000 }), sizes)).toEqual({ squares: 56, strips: 15 });
    const promised = { reserved: [{ id: 'r', forWhat: 'x', note: '', amount: 500 }] };
    expect(countPatches(blue, createLot(blue, null, { lengthMm: 1000, ...promised }), sizes).squares).toBe(24);
    expect(countPatches(blue, createLot(blue, null, { lengthMm: 1000, widthMm: 400 }), sizes).squares).toBe(14);
    const scrap = (cut: 'odd' | 'strip' | 'square', cutMm?: number): Item => ({
      ...blue,
      kind: 'scrap',
      scrap: { cut, ...(cutMm && { cutMm }) },
    });
    // Squares of 26 cm give four each; a strip of 13 cm gives eight along its 110 cm, and two narrow ones.
    expect(countPatches(scrap('square', 260), createLot(blue, null, { count: 3 }), sizes)).toEqual({
      squares: 12,
      strips: 0,
    });
    expect(countPatches(scrap('strip', 130), createLot(blue, null, { count: 2 }), sizes)).toEqual({
      squares: 16,
      strips: 4,
    });
    // Half of 0.2 m² are six squares of 161 cm².
    expect(countPatches(scrap('odd'), createLot(blue, null, { areaMm2: 200_000 }), sizes).squares).toBe(6);
  });

  it('are told by family of colours, from cottons of the weight', () => {
    const red = cotton('red', '#a63d32');
    const wool = { ...cotton('wool', '#a63d32'), fabric: { ...red.fabric!, fibre: 'wool' } };
    const lots = [blue, red, wool].map((item) => createLot(item, null, { lengthMm: 1000 }));
    const found = listPatches(createProjectFacts(createHousehold([], [blue, red, wool], lots)), sizes);
    expect(found.map(({ family, squares, from }) => [family, squares, from.length])).toEqual([
      ['red', 56, 1],
      ['blue', 56, 1],
    ]);
  });
});
