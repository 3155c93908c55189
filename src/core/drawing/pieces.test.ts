import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createPattern, createSpool, createThing } from '../../../tests/household.ts';
import { boxOf } from '../../../tests/shapes.ts';
import { STOW_FORMS, type Item } from '../records/index.ts';
import { getLook } from './looks.ts';
import { drawPiece } from './pieces.ts';

const look = (name: string, type = 'hand tools', forms: Item['forms'] = ['box']) =>
  getLook({ name, forms, box: { ...createThing(name).box!, type } });

describe('what a thing looks like', () => {
  it.each([
    ['Dressmaking shears', 'cutting', 'scissors'],
    ['Rotary cutter, large', 'cutting', 'cutter'],
    ['Hem marker stand', 'measuring', 'ruler'],
    ['French curve', 'measuring', 'curve'],
    ['Tape measure', 'measuring', 'tape'],
    ['Bias tape cards', 'tapes', 'reel'],
    ['Sewing machine', 'machine', 'machine'],
    ['Machine needles', 'needles', 'tin'],
    ['Overlocker', 'machines', 'overlocker'],
    ['Horn buttons', 'buttons', 'jar'],
    ['Deck zips, metal', 'zips', 'zips'],
    ['Fabric glue', 'liquids', 'bottle'],
    ['Marking pens', 'marking', 'pens'],
    ['Drafting book', 'book', 'book'],
    ['Awl', 'marking', 'handle'],
    ['Steam iron', 'pressing', 'iron'],
    ['Flat mailers', 'packing', 'carton'],
  ])('is told by the words of its name or its type: %s', (name, type, expected) =>
    expect(look(name, type)).toBe(expected),
  );

  it('is a handle where it hangs and no word says more', () => {
    expect(look('Doohickey', 'gadgets', ['peg'])).toBe('handle');
    expect(look('Doohickey', 'gadgets')).toBe('carton');
  });
});

describe('a piece', () => {
  const names = [
    'Shears',
    'Cutter',
    'Ruler',
    'Curve',
    'Tape measure',
    'Machine',
    'Overlocker',
    'Iron',
    'Book',
    'Buttons',
  ];
  const rest = ['Ribbon', 'Zip', 'Glue', 'Pens', 'Pin tin', 'Awl', 'Ham', 'Carton'];
  const items = [
    ...[...names, ...rest].map((name) => createThing(name)),
    createThing('Bag', { box: { ...createThing('x').box!, isSoft: true } }),
    createCloth('cloth'),
    createPattern('pattern', 7),
    createSpool('spool'),
  ];

  it('never goes over its box, whatever it is, in any form and of any size', () => {
    const side = fc.double({ min: 2, max: 900, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...items),
        fc.constantFrom(...STOW_FORMS),
        side,
        side,
        (item, form, width, height) => {
          const box = { x: 40, y: 70, width, height };
          const shapes = drawPiece(item, form, box);
          expect(shapes.length).toBeGreaterThan(0);
          for (const shape of shapes) {
            const [left, top, right, bottom] = boxOf(shape);
            expect(left).toBeGreaterThanOrEqual(box.x - 0.01);
            expect(top).toBeGreaterThanOrEqual(box.y - 0.01);
            expect(right).toBeLessThanOrEqual(box.x + width + 0.01);
            expect(bottom).toBeLessThanOrEqual(box.y + height + 0.01);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  it('of cloth is as many layers as are told apart: one each 14 mm, six at the most', () => {
    const layers = (height: number) =>
      drawPiece(createCloth('cloth'), 'stack', { x: 0, y: 0, width: 300, height }).filter(({ ink }) => ink === 'shade')
        .length + 1;
    expect([10, 30, 56, 200].map(layers)).toEqual([1, 2, 4, 6]);
  });

  it('has its colour somewhere, or is of paper or glass', () => {
    for (const item of items) {
      const shapes = drawPiece({ ...item, colours: ['#aa2244'] }, item.forms[0]!, {
        x: 0,
        y: 0,
        width: 90,
        height: 120,
      });
      const isSeen = shapes.some((shape) => 'colour' in shape && shape.colour === '#aa2244');
      expect(isSeen || shapes.some(({ ink }) => ink === 'ruler'), item.name).toBe(true);
    }
  });

  it('shows its own photo where it has one', () => {
    const photo = 'p1' as never;
    for (const item of items.filter(({ thread, name }) => !thread && name !== 'Ruler'))
      expect(
        drawPiece({ ...item, photos: [photo] }, item.forms[0]!, { x: 0, y: 0, width: 90, height: 120 }).some(
          (shape) => shape.type === 'rect' && shape.photo === photo,
        ),
        item.name,
      ).toBe(true);
  });
});
