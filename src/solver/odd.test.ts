import { describe, expect, it } from 'vitest';
import { createUnit } from '../../tests/household.ts';
import { bin, cloths, kits, patterns, plan, scraps, things, type Owned } from '../../tests/rooms.ts';
import type { Place, Settings, Wish } from '../core/records/index.ts';

/** Rooms that suit nothing, and what contradicts itself: a plan with reasons, checked, and never a hang. */
const everything = (): Owned[][] => [
  cloths(12, 'cotton'),
  cloths(3, 'fur', { care: ['sheds'] }),
  patterns(8),
  things(6, 'notion', 'pins', [70, 70, 25], { care: ['sharp'] }),
  things(2, 'notion', 'glue', [50, 50, 160]),
  things(1, 'tool', 'iron', [130, 290, 160], { massG: 1600, watts: 2000 }),
  things(2, 'tool', 'ruler', [150, 4, 600], { hangHoleMm: 8 }),
  scraps(2, 'cotton'),
  kits(2),
];
const count = everything().flat().length;

const look = (places: readonly Place[], settings: Partial<Settings> = {}, owned = everything()) => {
  const { solution, unplaced } = plan(places, owned, 1, settings, 20_000);
  expect(solution.assignments.length + unplaced.length).toBe(owned.flat().length);
  for (const { reason } of solution.unplaced) expect(reason.code).not.toBe('');
  return { solution, unplaced };
};

describe('a room that suits nothing', () => {
  it('of one cube', () => expect(look(createUnit('cube', {})).unplaced.length).toBeGreaterThan(0));
  it('of bins alone', () => {
    const { unplaced } = look([...createUnit('cube', {}), bin('bin', 'cube-A1')]);
    expect(unplaced).toContain('ruler 1');
  });
  it('without a drawer or a shelf, only pegs', () => {
    const pegs = createUnit('pegs', { kind: 'pegboard', widthMm: 600, heightMm: 700, depthMm: 12, boardMm: 0 });
    expect(look(pegs).solution.assignments.length).toBe(2);
  });
  it('of a heap alone', () => {
    const heap = createUnit('chair', {
      kind: 'floor',
      widthMm: 900,
      heightMm: 900,
      depthMm: 900,
      boardMm: 0,
      isHeap: true,
    });
    const { solution } = look(heap);
    expect(solution.assignments).toEqual([]);
    expect(new Set(solution.unplaced.map((one) => one.reason.code))).toContain('heap');
  });
  it('without any place', () => expect(look([]).unplaced.length).toBe(count));
  it('in a house with children and pets, all of it within reach', () => {
    const { unplaced } = look(createUnit('low', { kind: 'bookcase', widthMm: 900, rows: 2, heightMm: 740 }), {
      hasChildren: true,
      hasPets: true,
    });
    for (const name of ['pins 1', 'glue 1', 'iron 1']) expect(unplaced).toContain(name);
  });
});

describe('what cannot be', () => {
  const shelf = createUnit('case', { kind: 'bookcase', widthMm: 900, rows: 3, heightMm: 1100 });

  it('a group larger than the room', () => {
    const { solution, unplaced } = look(createUnit('cube', {}), {}, [cloths(200, 'cotton')]);
    expect(solution.assignments.length).toBeGreaterThan(8);
    expect(unplaced.length).toBeGreaterThan(100);
  });

  it('wishes that contradict each other', () => {
    const owned = everything();
    const lotIds = owned[0]!.slice(0, 2).map(({ lot }) => lot.id);
    const wish = (id: string, kind: Wish['kind'], more: Partial<Wish> = {}): Wish => ({
      id,
      kind,
      lotIds,
      groupIds: [],
      ...more,
    });
    const places = ['case-Shelf 1', 'case-Shelf 2', 'case-Shelf 3'];
    const wishes = [
      wish('together', 'together'),
      wish('apart', 'apart'),
      wish('stays', 'stays'),
      ...places.map((placeId, i) => wish(`not-${i}`, 'notIn', { placeId: placeId as never })),
      ...places.map((placeId, i) => wish(`free-${i}`, 'free', { lotIds: [], placeId: placeId as never })),
    ];
    expect(look(shelf, { wishes }, owned).solution.assignments).toEqual([]);
  });

  it('things of no size to speak of, and of too much', () => {
    const speck = things(3, 'notion', 'bead', [1, 1, 1], { massG: 0 });
    const beam = things(2, 'other', 'beam', [4000, 300, 300], { massG: 90_000 });
    const { unplaced } = look(shelf, {}, [speck, beam]);
    expect(unplaced).toEqual(['beam 1', 'beam 2']);
  });
});
