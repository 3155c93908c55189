import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createSpool,
  createThing,
  createUnit,
  ROOM,
} from '../../../tests/household.ts';
import { boxOf } from '../../../tests/shapes.ts';
import { createPlaceTree, listWalls } from '../storage/index.ts';
import type { Item, Lot, Place, PlaceId } from '../records/index.ts';
import { computeWallDrawing, type Figure } from './index.ts';

function draw(places: readonly Place[], items: readonly Item[], lots: readonly Lot[]) {
  const household = createHousehold(places, items, lots);
  const tree = createPlaceTree(household.places);
  return computeWallDrawing(household, tree, ROOM, listWalls(ROOM.room!)[0]!);
}
const figureOf = (figures: readonly Figure[], id: string) => figures.find((figure) => figure.id === id)!;
const cube = createUnit('cube', { columns: 3, widthMm: 1114 });

describe('what is in a compartment', () => {
  it('is drawn with its own colour, print and true size', () => {
    const cloth = createCloth('cloth', { fabric: { ...createCloth('x').fabric!, print: 'stripe' } });
    const { figures } = draw(cube, [cloth], [createLot(cloth, 'cube-B1')]);
    const figure = figureOf(figures, 'lot-cloth');
    // 2 m × 1 m folded to 300 × 280 is 32 layers of 1 mm; the floor of B1 is 16 mm up, its left 16 + 350 + 16 mm.
    expect(figure).toMatchObject({ x: 382, width: 300, height: 32 });
    // The drawing is the wall and 60 mm above it.
    expect(figure.y + figure.height).toBe(2400 + 60 - 16);
    expect(figure.shapes[0]).toMatchObject({
      ink: 'cloth',
      colour: '#2f5d7c',
      print: { name: 'stripe', ink: '#fffdf8' },
    });
  });

  it('stays inside its figure, whatever it is', () => {
    const hung = { hangHoleMm: 8, isSoft: false, massG: 80 };
    const things: Item[] = [
      createThing('Shears', {
        forms: ['peg'],
        box: { ...hung, type: 'cutting', widthMm: 18, depthMm: 100, heightMm: 250 },
      }),
      createThing('Ruler', {
        forms: ['peg'],
        box: { ...hung, type: 'measuring', widthMm: 3, depthMm: 60, heightMm: 400 },
      }),
      createThing('Wheel', {
        forms: ['peg'],
        box: { ...hung, type: 'marking', widthMm: 20, depthMm: 60, heightMm: 180 },
      }),
    ];
    const board = createUnit('board', {
      kind: 'pegboard',
      widthMm: 762,
      heightMm: 762,
      depthMm: 12,
      boardMm: 0,
      yMm: 900,
    });
    const { figures } = draw(
      board,
      things,
      things.map((item, order) => createLot(item, 'board-Board', { order })),
    );
    for (const item of things) {
      const figure = figureOf(figures, `lot-${item.id}`);
      expect(figure.shapes.length).toBeGreaterThan(1);
      for (const shape of figure.shapes) {
        const [left, top, right, bottom] = boxOf(shape);
        expect(left).toBeGreaterThanOrEqual(figure.x - 0.01);
        expect(top).toBeGreaterThanOrEqual(figure.y - 0.01);
        expect(right).toBeLessThanOrEqual(figure.x + figure.width + 0.01);
        expect(bottom).toBeLessThanOrEqual(figure.y + figure.height + 0.01);
      }
    }
    // A tick every 2 cm of 40, from the second on: 19; and the ruler itself with its hole.
    expect(figureOf(figures, 'lot-Ruler').shapes).toHaveLength(21);
  });

  it('shows every spool of a lot on a pin of its own', () => {
    const spool = createSpool('spool');
    const rack = createUnit('rack', {
      kind: 'spoolRack',
      widthMm: 480,
      heightMm: 240,
      depthMm: 75,
      boardMm: 0,
      yMm: 1000,
    });
    const { figures } = draw(rack, [spool], [createLot(spool, 'rack-Pins', { count: 12 })]);
    const threads = figureOf(figures, 'lot-spool').shapes.filter((shape) => shape.ink === 'thing');
    expect(threads).toHaveLength(12);
    expect(new Set(threads.map((shape) => boxOf(shape).join())).size).toBe(12);
  });

  it('of a closed place is a level and a ticket, and nothing of it is drawn', () => {
    const pattern = createPattern('pattern', 7);
    const drawers = createUnit('drawers', { kind: 'drawers', rows: 2, heightMm: 600, depthMm: 500 });
    const { figures, places } = draw(drawers, [pattern], [createLot(pattern, 'drawers-Drawer 1')]);
    expect(figureOf(figures, 'lot-pattern')).toBeUndefined();
    const front = figureOf(figures, 'drawers-Drawer 1');
    expect(front.shapes.some((shape) => shape.type === 'text' && shape.text === 'Drawer 1')).toBe(true);
    const state = places.get('drawers-Drawer 1' as PlaceId)!;
    expect(state.lots).toBe(1);
    expect(state.fill).toBeGreaterThan(0);
    // Drawers are counted from the top.
    expect(front.y).toBeLessThan(figureOf(figures, 'drawers-Drawer 2').y);
  });

  it('that does not go in is drawn squeezed, with the zigzag over it', () => {
    const cloths = Array.from({ length: 14 }, (_, i) => createCloth(`c${i}`));
    const lots = cloths.map((cloth, order) => createLot(cloth, 'cube-A1', { order }));
    // Fourteen stacks of 32 mm are 448 mm; the cube is 350 high and one pile wide.
    const { figures, places } = draw(cube, cloths, lots);
    expect(places.get('cube-A1' as PlaceId)).toMatchObject({ isOverFull: true, lots: 14, widthLeftMm: null });
    expect(figures.flatMap((figure) => figure.shapes).filter((shape) => shape.ink === 'overFull')).toHaveLength(1);
    const drawn = cloths.map((cloth) => figureOf(figures, `lot-${cloth.id}`));
    for (const figure of drawn) expect(figure.width).toBeCloseTo(drawn[0]!.width, 9);
  });

  it('is seen through the front of a clear bin, and not of another', () => {
    const bin = (isSeeThrough: boolean): Place => ({
      id: 'bin' as PlaceId,
      parentId: 'cube-A1' as PlaceId,
      level: 'container',
      name: 'Bin',
      order: 0,
      container: {
        kind: 'bin',
        outerWidthMm: 340,
        outerDepthMm: 380,
        outerHeightMm: 200,
        wallMm: 2,
        mode: 'volume',
        tareG: 500,
        loadG: 8000,
        isSeeThrough,
        hasLid: true,
      },
    });
    const cloth = createCloth('cloth');
    const colours = (isSeeThrough: boolean) => {
      const { figures } = draw([...cube, bin(isSeeThrough)], [cloth], [createLot(cloth, 'bin')]);
      expect(figureOf(figures, 'lot-cloth')).toBeUndefined();
      return figureOf(figures, 'bin').shapes.filter((shape) => 'colour' in shape && shape.colour === '#2f5d7c');
    };
    // Folded it lies on the floor of the bin, 2 mm up, 32 mm high; the bin stands on that of the cube.
    const [seen] = colours(true);
    expect(seen).toMatchObject({ type: 'rect', width: 300, height: 32, y: 2460 - 16 - 2 - 32 });
    // A swatch on the card of the other, for all that is told of it.
    expect(colours(false)[0]).not.toMatchObject({ height: 32 });
  });

  it('has a seam where what is out will stand again, and a row of dots where it is lent', () => {
    const [here, away] = [createCloth('here'), createCloth('away')];
    const inks = (state: 'out' | 'lent') => {
      const { placeId: _, ...lot } = createLot(away, 'cube-A1', { state, homeId: 'cube-A1' as PlaceId, homeOrder: 1 });
      const { figures } = draw(cube, [here, away], [createLot(here, 'cube-A1'), lot]);
      return figureOf(figures, 'lot-away');
    };
    // Upon the one that is there, which lies 32 mm high on a floor 16 mm up.
    expect(inks('out')).toMatchObject({ y: 2460 - 16 - 64, height: 32, shapes: [{ ink: 'out' }] });
    expect(inks('lent').shapes).toMatchObject([{ ink: 'lent' }]);
  });

  it('is stitched down its middle where a plan wants it elsewhere, and tacked where it is promised', () => {
    const cloth = createCloth('cloth');
    const inks = (rest: Partial<Lot>) =>
      figureOf(draw(cube, [cloth], [createLot(cloth, 'cube-A1', rest)]).figures, 'lot-cloth').shapes.map(
        ({ ink }) => ink,
      );
    expect(inks({ homeId: 'cube-B1' as PlaceId })).toContain('planned');
    expect(inks({ homeId: 'cube-A1' as PlaceId })).not.toContain('planned');
    expect(inks({ reserved: [{ id: 'r', note: 'Skirt', amount: 500 }] as never })).toContain('promised');
  });

  it('tells the width that is left beside a pile', () => {
    const cloth = createCloth('cloth');
    const { places } = draw(cube, [cloth], [createLot(cloth, 'cube-A1')]);
    // (1114 - 4 × 16) / 3 = 350 mm wide, a pile of 300 in it.
    expect(places.get('cube-A1' as PlaceId)!.widthLeftMm).toBeCloseTo(50, 9);
    expect(places.get('cube-C1' as PlaceId)).toMatchObject({ fill: 0, widthLeftMm: 350, isOverFull: false, lots: 0 });
  });
});

describe('names', () => {
  it('are drawn over everything else', () => {
    const { figures } = draw(cube, [], []);
    const texts = figures.at(-1)!.shapes.flatMap((shape) => (shape.type === 'text' ? [shape.text] : []));
    expect(texts).toEqual(['cube', 'A', 'B', 'C', '1']);
  });
});
