import { describe, expect } from 'vitest';
import { createUnit, CUTTING, SEWING } from '../../../tests/household.ts';
import {
  bin,
  board,
  cloths,
  cubes,
  kits,
  pegged,
  plan,
  PRESSING,
  scenario,
  shelves,
  things,
  tower,
  withStations,
} from '../../../tests/rooms.ts';

describe('tools are where they are used', () => {
  const rulers = (n: number, uses: number, name = 'ruler') =>
    things(n, 'tool', name, [150, 4, 550], { ...pegged, uses, massG: 300 });

  scenario('where not all rulers hang, those used most do', (seed) => {
    const { placesOf } = plan(
      [...board('pegs', 1500, [700, 620]), ...shelves('case', 1, 0, { heightMm: 700 })],
      [rulers(3, 20), rulers(4, 0.2, 'curve')],
      seed,
    );
    expect(placesOf('ruler')).toEqual(['pegs-Board']);
    expect(placesOf('curve')).toContain('case-Shelf 1');
  });

  scenario('each tool hangs at its own station', (seed) => {
    const room = withStations({ [CUTTING]: [700, 700], [SEWING]: [3300, 700] });
    const cut = things(5, 'tool', 'cutter', [50, 25, 180], { ...pegged, uses: 6 });
    const sew = things(5, 'tool', 'snips', [40, 14, 120], { ...pegged, uses: 6, station: SEWING });
    const { placesOf } = plan(
      [room, ...board('west', 300, [600, 500]), ...board('east', 3000, [600, 500])],
      [cut, sew],
      seed,
    );
    expect(placesOf('cutter')).toEqual(['west-Board']);
    expect(placesOf('snips')).toEqual(['east-Board']);
  });

  scenario('three scissors: one cutting and two sewing stations have one each', (seed) => {
    const room = withStations({ [CUTTING]: [2000, 2600], [SEWING]: [600, 700], [PRESSING]: [3400, 700] });
    const at = [CUTTING, SEWING, PRESSING] as const;
    const scissors = at.flatMap((station) =>
      things(1, 'tool', `scissors ${station}`, [90, 18, 230], { ...pegged, uses: 10, station, care: ['sharp'] }),
    );
    const pegs = [
      ...board('a', 1700, [500, 400], { wallId: 'south' }),
      ...board('b', 300, [500, 400]),
      ...board('c', 3100, [500, 400]),
    ];
    const { placesOf } = plan([room, ...pegs], [scissors], seed);
    expect(placesOf('scissors').map((id) => id[0])).toEqual(['a', 'b', 'c']);
  });

  scenario('the table stays clear: what is used daily is in the drawer, however far', (seed) => {
    const table = createUnit('table', {
      kind: 'table',
      xMm: 1400,
      widthMm: 1200,
      heightMm: 900,
      depthMm: 700,
      boardMm: 0,
    });
    const { placesOf } = plan(
      [...table, ...tower('tower', 2, 0, { wallId: 'east' })],
      [things(5, 'tool', 'gauge', [150, 20, 25], { uses: 25 })],
      seed,
    );
    for (const id of placesOf('gauge')) expect(id).toMatch(/^tower/);
  });

  scenario('kits in work are together, near the machine', (seed) => {
    const room = withStations({ [SEWING]: [600, 700], [CUTTING]: [3400, 2400] });
    const places = [...cubes('near', 2, 200), ...cubes('far', 2, 200, { wallId: 'south' })];
    const bins = ['near-A1', 'near-B1', 'far-A1', 'far-B1'].map((id) => bin(`${id}-bin`, id));
    const { placesOf } = plan([room, ...places, ...bins], [kits(3, { uses: 6 })], seed);
    expect(placesOf('kit')).toHaveLength(1);
    expect(placesOf('kit')[0]).toMatch(/^near/);
  });

  scenario('what is used twice a year goes to the other room before the often used is crammed', (seed) => {
    const other = { ...withStations({}), id: 'attic' as never, name: 'Attic', order: 1 };
    const far = shelves('far', 2, 0).map((place) =>
      place.level === 'unit' ? { ...place, parentId: 'attic' as never } : place,
    );
    const { placesOf } = plan(
      [withStations({ [CUTTING]: [2000, 1500] }), other, ...shelves('near', 1, 1600), ...far],
      [cloths(18, 'cotton', { uses: 6 }), cloths(10, 'wool', { uses: 0.17 })],
      seed,
    );
    expect(placesOf('cotton')).toEqual(['near-Shelf 1']);
    for (const id of placesOf('wool')) expect(id).toMatch(/^far/);
  });
});

describe('care goes before seconds', () => {
  const children = { hasChildren: true };

  scenario('needles and blades are high or locked, in one place each', (seed) => {
    const places = [
      ...tower('low', 3, 0),
      ...shelves('high', 1, 1000, { yMm: 1600 }, { depthMm: 140 }),
      ...tower('locked', 2, 2500, {}, { isChildSafe: true }),
    ];
    const sharp = (type: string) => things(4, 'notion', type, [60, 30, 8], { care: ['sharp'] });
    const { placesOf, unplaced } = plan(places, [sharp('machine needles'), sharp('blades')], seed, children);
    expect(unplaced).toEqual([]);
    for (const type of ['machine needles', 'blades']) {
      expect(placesOf(type)).toHaveLength(1);
      expect(placesOf(type)[0]).toMatch(/^(high|locked)/);
    }
  });

  scenario('with a cat, cones of thread are in the cupboard, though it is farther off', (seed) => {
    const cones = things(8, 'notion', 'cone', [80, 80, 150], { care: ['thread'], station: SEWING, uses: 8 });
    const cupboard = shelves('cupboard', 2, 2800, {}, { opening: 'door', isPetProof: true, isSeeThrough: false });
    const { placesOf } = plan([...shelves('open', 2, 500), ...cupboard], [cones], seed, { hasPets: true });
    for (const id of placesOf('cone')) expect(id).toMatch(/^cupboard/);
  });

  scenario('heavy lies low, light high', (seed) => {
    const heavy = things(2, 'other', 'hardware', [300, 250, 150], { massG: 7000, uses: 0.5 });
    const light = things(2, 'other', 'feathers', [300, 250, 150], { massG: 200, uses: 0.5 });
    const { placesOf } = plan(
      [...shelves('low', 1, 500), ...shelves('high', 1, 500, { yMm: 1500 })],
      [heavy, light],
      seed,
    );
    expect(placesOf('hardware')).toEqual(['low-Shelf 1']);
    expect(placesOf('feathers')).toEqual(['high-Shelf 1']);
  });

  scenario('what fades lies in the shade', (seed) => {
    const sunny = createUnit(
      'sunny',
      { kind: 'bookcase', xMm: 1600, widthMm: 800, heightMm: 382, depthMm: 320 },
      { light: 'sun' },
    );
    const { placesOf } = plan(
      [...sunny, ...shelves('shady', 1, 0)],
      [cloths(10, 'silk', { care: ['fades'] }), cloths(10, 'cotton')],
      seed,
    );
    expect(placesOf('silk')).toEqual(['shady-Shelf 1']);
    expect(placesOf('cotton')).toEqual(['sunny-Shelf 1']);
  });

  scenario('the iron is by the pressing station, never in with cloth', (seed) => {
    const room = withStations({ [PRESSING]: [600, 700], [CUTTING]: [3400, 2400] });
    const iron = things(1, 'tool', 'iron', [130, 290, 160], { massG: 1600, watts: 2000, station: PRESSING, uses: 12 });
    const { placesOf, inside } = plan(
      [room, ...cubes('near', 2, 200), ...cubes('far', 2, 2800)],
      [iron, cloths(18, 'jersey')],
      seed,
    );
    expect(placesOf('iron')[0]).toMatch(/^near/);
    expect(inside(placesOf('iron')[0]!)).toEqual(['iron']);
  });

  scenario('with a toddler the iron is high or closed, never on the cart', (seed) => {
    const iron = things(1, 'tool', 'iron', [130, 290, 160], { massG: 1600, watts: 2000, uses: 12 });
    const cart = shelves('cart', 2, 1800, { widthMm: 500 });
    const { placesOf } = plan([...cart, ...shelves('high', 1, 500, { yMm: 1600 })], [iron], seed, children);
    expect(placesOf('iron')).toEqual(['high-Shelf 1']);
  });

  scenario('glue and dye are low and closed, apart from cloth and heat', (seed) => {
    const bottles = [...things(3, 'notion', 'glue', [50, 50, 160]), ...things(3, 'notion', 'dye', [50, 50, 120])];
    const places = [
      ...tower('low', 2, 0),
      ...tower('high', 1, 800, { yMm: 1600 }),
      ...tower('hot', 1, 1600, {}, { isNearHeat: true }),
      ...cubes('cubes', 2, 2400),
    ];
    const { placesOf, inside } = plan(places, [bottles, cloths(14, 'cotton')], seed);
    for (const id of [...placesOf('glue'), ...placesOf('dye')]) {
      expect(id).toMatch(/^low/);
      expect(inside(id)).not.toContain('cotton');
    }
  });

  scenario('a heap is empty after every plan, and cloth is off the floor', (seed) => {
    const heap = createUnit('By the door', {
      kind: 'floor',
      xMm: 0,
      widthMm: 1000,
      heightMm: 600,
      depthMm: 800,
      boardMm: 0,
      isHeap: true,
    });
    const floor = createUnit('Corner', {
      kind: 'floor',
      xMm: 3000,
      widthMm: 1000,
      heightMm: 600,
      depthMm: 800,
      boardMm: 0,
    });
    const { placesOf } = plan(
      [...heap, ...floor, ...shelves('case', 2, 1500)],
      [
        cloths(20, 'cotton', { at: 'By the door-Floor' }),
        things(4, 'notion', 'zips', [9, 4, 210], { at: 'By the door-Floor' }),
      ],
      seed,
    );
    for (const id of [...placesOf('cotton'), ...placesOf('zips')]) expect(id).toMatch(/^case/);
  });
});

describe('magnets and cords', () => {
  scenario('are high where there are children, and magnets never with a machine', (seed) => {
    const magnets = things(3, 'notion', 'magnetic clasps', [60, 40, 20], { care: ['magnetic'] });
    const cords = things(2, 'notion', 'cord', [90, 90, 60], { isSoft: true });
    const machine = things(1, 'other', 'serger', [350, 300, 320], { massG: 8000, watts: 90 });
    const { placesOf } = plan(
      [...shelves('low', 2, 0, { heightMm: 900 }), ...shelves('high', 2, 1500, { yMm: 1500, heightMm: 800 })],
      [magnets, cords, machine],
      seed,
      { hasChildren: true },
    );
    for (const id of [...placesOf('magnetic clasps'), ...placesOf('cord')]) expect(id).toMatch(/^high/);
    expect(placesOf('magnetic clasps')).not.toEqual(placesOf('serger'));
  });
});
