import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { createPlaceTree, findWall } from '../storage/index.ts';
import { computeWallDrawing } from './index.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const east = findWall(tree, 'r1-east')!;
const drawing = computeWallDrawing(household, tree, east.room, east.wall);

describe('a wall', () => {
  it('is as wide as it is measured, and every place of it is drawn where it stands', () => {
    expect(drawing.widthMm).toBe(3100);
    const cube = tree.leaves.find((place) => place.name === 'C3')!;
    const figure = drawing.figures.find((one) => one.id === cube.id)!;
    // Tall cubes at 120 mm, C3's inside at 16 + 2 × 346 from there; its floor 708 mm up.
    expect(figure).toMatchObject({ x: 120 + 708, width: 330, height: 330, y: 2360 - 708 - 330 });
  });

  it('draws each lot of an open place once, inside it', () => {
    for (const place of tree.leaves) {
      const frame = drawing.figures.find((one) => one.kind === 'place' && one.id === place.id);
      if (!frame || !place.slot || place.slot.opening === 'drawer') continue;
      const lots = [...household.lots.values()].filter((lot) => lot.placeId === place.id);
      for (const lot of lots) {
        const drawn = drawing.figures.filter((one) => one.id === lot.id);
        expect(drawn).toHaveLength(1);
        expect(drawn[0]!.x).toBeGreaterThanOrEqual(frame.x - 0.01);
        expect(drawn[0]!.x + drawn[0]!.width).toBeLessThanOrEqual(frame.x + frame.width + 0.01);
      }
    }
  });

  it('marks what is over full, and says what width is left', () => {
    // One cloth in the tall cubes is so long that it no longer lies in its cube.
    const cloth = [...household.lots.values()].find(
      (lot) => lot.lengthMm !== undefined && lot.form === 'stack' && lot.placeId?.startsWith('r1-u1-'),
    )!;
    const lots = new Map(household.lots).set(cloth.id, { ...cloth, lengthMm: 40_000 });
    const crammed = computeWallDrawing({ ...household, lots }, tree, east.room, east.wall);
    const over = [...crammed.places.values()].filter((state) => state.isOverFull);
    expect(over.length).toBeGreaterThan(0);
    const zigzags = crammed.figures.flatMap((one) => one.shapes).filter((shape) => shape.ink === 'overFull');
    expect(zigzags).toHaveLength(over.length);
    for (const state of drawing.places.values())
      if (state.widthLeftMm !== null) expect(state.widthLeftMm).toBeGreaterThanOrEqual(0);
  });

  it('shows its doors and windows where they are, but not those in a slope', () => {
    const north = findWall(tree, 'r1-north')!;
    const glass = (id: string) => {
      const { room, wall } = findWall(tree, id)!;
      return computeWallDrawing(household, tree, room, wall).backdrop.filter(({ ink }) => ink === 'glass');
    };
    // The lock window: 2.95 m from the left, its sill at 90 cm, 90 high; the wall of 2.3 m is drawn with 6 cm above it.
    expect(glass('r1-north')).toEqual([
      { type: 'rect', x: 2950, y: 2360 - 1800, width: 700, height: 900, ink: 'glass' },
    ]);
    expect(glass('r1-south')).toEqual([]);
    expect(north.room.room!.windows).toHaveLength(2);
    const west = findWall(tree, 'r1-west')!;
    const doors = computeWallDrawing(household, tree, west.room, west.wall).backdrop;
    expect(doors).toContainEqual({ type: 'rect', x: 2000, y: 360, width: 800, height: 2000, ink: 'doorway' });
    // Its hinges are at the right, its handle at the left.
    expect(doors).toContainEqual({ type: 'circle', x: 2070, y: 2360 - 1050, radius: 22, ink: 'knob' });
  });

  it('has reach bands that leave no gap', () => {
    for (const [i, band] of drawing.bands.entries()) if (i > 0) expect(band.fromMm).toBe(drawing.bands[i - 1]!.toMm);
    expect(drawing.bands.map((band) => band.reach)).toEqual(['kneel', 'bend', 'easy', 'stretch', 'stool']);
  });

  it('knows no wall of another name', () => expect(findWall(tree, 'r1-garden')).toBeNull());
});
