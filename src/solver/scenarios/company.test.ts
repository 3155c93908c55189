import { describe, expect } from 'vitest';
import {
  bin,
  cloths,
  cubes,
  PACKET,
  patterns,
  plan,
  scenario,
  scraps,
  shelves,
  things,
  tower,
} from '../../../tests/rooms.ts';

describe('like lies with like', () => {
  scenario('pins lie in one drawer, never in a cube with yarn', (seed) => {
    const yarn = things(20, 'notion', 'yarn', [110, 110, 110], { isSoft: true });
    const { placesOf, inside } = plan(
      [...tower('tower', 4, 0), ...cubes('cubes', 4, 1000)],
      [yarn, things(6, 'notion', 'pins', PACKET)],
      seed,
    );
    expect(placesOf('pins')).toHaveLength(1);
    expect(inside(placesOf('pins')[0]!)).toEqual(['pins']);
    expect(placesOf('pins')[0]).toMatch(/^tower/);
  });

  scenario('five groups of a shelf each have a shelf each', (seed) => {
    const fibres = ['cotton', 'linen', 'wool', 'knit', 'silk'];
    // Two piles of 300 mm: 20 of 28 mm are 560 of 700 mm.
    const { placesOf, inside } = plan(
      shelves('case', 5, 500),
      fibres.map((fibre) => cloths(20, fibre)),
      seed,
    );
    for (const fibre of fibres) {
      expect(placesOf(fibre)).toHaveLength(1);
      expect(inside(placesOf(fibre)[0]!)).toEqual([fibre]);
    }
  });

  scenario('envelopes stand in one unbroken row, jars apart from them', (seed) => {
    const jars = things(9, 'notion', 'buttons', [90, 90, 120], { massG: 300 });
    const { placesOf, inside } = plan(
      [...tower('tower', 3, 0), ...shelves('case', 3, 1000)],
      [patterns(30), jars],
      seed,
    );
    expect(placesOf('pattern')).toHaveLength(1);
    expect(inside(placesOf('pattern')[0]!)).toEqual(['pattern']);
  });

  scenario('fleece ends lie in the bin, boards stand on the shelf', (seed) => {
    const places = [...cubes('cube', 1, 0), bin('bin', 'cube-A1'), ...shelves('case', 1, 1000)];
    const boards = cloths(10, 'cotton', { forms: ['board', 'stack'], at: 'case-Shelf 1' });
    const { placesOf } = plan(places, [scraps(3, 'fleece'), boards], seed);
    expect(placesOf('fleece')).toEqual(['bin']);
    expect(placesOf('cotton')).toEqual(['case-Shelf 1']);
  });

  scenario('lining lies with cloth, not with patterns', (seed) => {
    const satin = cloths(9, 'satin', { at: 'case-Shelf 1', uses: 0.3 });
    const { placesOf, inside } = plan(
      shelves('case', 2, 500),
      [satin, patterns(60, { at: 'case-Shelf 2' }), cloths(3, 'lining', { uses: 0.3 })],
      seed,
    );
    expect(inside(placesOf('lining')[0]!)).toEqual(['lining', 'satin']);
    expect(placesOf('lining')).toHaveLength(1);
  });

  scenario('a group of more than one cube lies in neighbours', (seed) => {
    // A cube holds a pile of 350 mm; 17 of 28 mm are 1.4 of them.
    const { placesOf } = plan(
      [...cubes('left', 2, 0), ...cubes('right', 2, 2500)],
      [cloths(17, 'wool'), patterns(50, { at: 'right-A1' })],
      seed,
    );
    expect(placesOf('wool')).toHaveLength(2);
    expect(new Set(placesOf('wool').map((id) => id.split('-')[0])).size).toBe(1);
  });

  scenario('a little lies with its kin, not alone in a cube', (seed) => {
    const { placesOf } = plan(
      cubes('cubes', 2, 500),
      [cloths(6, 'interfacing', { at: 'cubes-A1', uses: 0.3 }), cloths(1, 'lining', { uses: 0.3 })],
      seed,
    );
    expect(placesOf('lining')).toEqual(placesOf('interfacing'));
  });

  scenario(
    'four boards used weekly and forty used yearly are together, the weekly ones in the nearer place',
    (seed) => {
      const boards = { lengthMm: 1200, forms: ['board' as const] };
      const weekly = cloths(4, 'cotton', { ...boards, uses: 4 });
      const yearly = cloths(40, 'cotton', { ...boards, uses: 0.1 }).map(({ item, lot }) => ({
        item: { ...item, id: `y${item.id}` as typeof item.id, name: `yearly ${item.name}` },
        lot: { ...lot, id: `y${lot.id}` as typeof lot.id, itemId: `y${item.id}` as typeof item.id },
      }));
      const { placesOf } = plan(
        [...shelves('near', 2, 1600), ...shelves('far', 2, 0, { wallId: 'east' })],
        [weekly, yearly],
        seed,
      );
      const units = new Set([...placesOf('cotton'), ...placesOf('yearly')].map((id) => id.split('-')[0]));
      expect([...units]).toEqual(['near']);
      expect(placesOf('cotton')).toHaveLength(1);
    },
  );

  scenario('books and manuals stand on one shelf', (seed) => {
    const books = things(5, 'other', 'book', [200, 20, 270], { massG: 700 });
    const manuals = things(3, 'other', 'manual', [150, 10, 210], { massG: 200 });
    const { placesOf } = plan(
      [...tower('tower', 3, 0), ...shelves('case', 2, 1000)],
      [books, manuals, things(8, 'notion', 'zips', [9, 4, 210])],
      seed,
    );
    expect(placesOf('book')).toEqual(placesOf('manual'));
    expect(placesOf('book')[0]).toMatch(/^case/);
  });

  scenario('scraps of cotton lie with cotton or by themselves, never with notions', (seed) => {
    const { placesOf, inside } = plan(
      [...tower('tower', 2, 0), ...cubes('cubes', 2, 1000)],
      [cloths(9, 'cotton'), scraps(4, 'cotton'), things(6, 'notion', 'zips', [9, 4, 210])],
      seed,
    );
    for (const id of placesOf('cotton bits')) expect(inside(id)).not.toContain('zips');
  });

  scenario('fur and elastic are apart while another place is free', (seed) => {
    const fur = things(1, 'other', 'fur', [300, 250, 150], { isSoft: true, care: ['sheds'] });
    const { placesOf } = plan(tower('tower', 2, 0), [fur, things(5, 'notion', 'elastic', [120, 90, 50])], seed);
    expect(placesOf('fur')).not.toEqual(placesOf('elastic'));
  });

  scenario('a chest named for patterns holds patterns, the one like it the rest', (seed) => {
    const chest = (id: string, xMm: number) => tower(id, 2, xMm, { heightMm: 560 }, { mode: 'line' });
    const places = [...chest('Plain', 1400), ...chest('Pattern chest', 2100)];
    const { placesOf } = plan(places, [patterns(60), things(12, 'notion', 'ribbon', [120, 90, 50])], seed);
    for (const id of placesOf('pattern')) expect(id).toMatch(/^Pattern/);
    for (const id of placesOf('ribbon')) expect(id).toMatch(/^Plain/);
  });

  scenario('a pattern chest across the room holds patterns though a cube is nearer', (seed) => {
    const chest = tower('Pattern chest', 2, 0, { heightMm: 800, wallId: 'east' }, { mode: 'line' });
    const { placesOf } = plan(
      [...cubes('cubes', 3, 1600), ...chest],
      [patterns(30, { uses: 0.5 }), cloths(8, 'wool')],
      seed,
    );
    for (const id of placesOf('pattern')) expect(id).toMatch(/^Pattern/);
  });

  scenario('a shelf that is called long is named for nothing, whatever else is called so', (seed) => {
    const strips = things(2, 'notion', 'long strips', [300, 60, 60]);
    const { placesOf } = plan([...shelves('Long shelf', 1, 1000)], [strips, cloths(8, 'wool')], seed);
    expect(placesOf('wool')).toEqual(['Long shelf-Shelf 1']);
  });

  scenario('ten small tools wanted daily lie in one drawer, seen from above, not in rows in open cubes', (seed) => {
    const tools = things(10, 'tool', 'awl', [120, 90, 40], { uses: 12 });
    const { placesOf } = plan(
      [...tower('tower', 3, 1400), ...cubes('cubes', 4, 2100)],
      [tools, cloths(10, 'wool'), cloths(10, 'linen')],
      seed,
    );
    expect(placesOf('awl')).toHaveLength(1);
    expect(placesOf('awl')[0]).toMatch(/^tower/);
  });

  scenario('what the sewist says of two groups counts more than what they are', (seed) => {
    const places = cubes('cubes', 2, 500);
    const owned = [cloths(3, 'lining', { uses: 0.3 }), cloths(3, 'interfacing', { uses: 0.3 })];
    const together = plan(places, owned, seed);
    expect(together.placesOf('lining')).toEqual(together.placesOf('interfacing'));
    const groupIds = ['fabric:fibre:lining', 'fabric:fibre:interfacing'];
    const apart = plan(places, owned, seed, { bonds: [{ groupIds, kinship: 'clash' }] });
    expect(apart.placesOf('lining')).not.toEqual(apart.placesOf('interfacing'));
  });
});
