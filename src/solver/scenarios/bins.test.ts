import { describe, expect } from 'vitest';
import {
  bin,
  cloths,
  cubes,
  patterns,
  plan,
  scenario,
  scraps,
  shelves,
  things,
  tower,
  type Planned,
} from '../../../tests/rooms.ts';
import type { Place, PlaceId } from '../../core/records/index.ts';

/** A bin that stands nowhere yet. */
const idle = (id: string, [widthMm, depthMm, heightMm] = [320, 340, 310]): Place => {
  const { parentId: _parentId, ...rest } = bin(id, 'nowhere');
  return {
    ...rest,
    container: {
      ...rest.container!,
      outerWidthMm: widthMm!,
      outerDepthMm: depthMm!,
      outerHeightMm: heightMm!,
    },
  };
};
const yarn = (n: number) => things(n, 'notion', 'yarn', [110, 110, 110], { isSoft: true });
const slotOf = ({ solution }: Planned, id: string) => solution.bins.find(({ placeId }) => placeId === id)?.slotId;

describe('bins are there to be filled', () => {
  scenario('three soft groups go into the three bins that stood idle, the heaviest not on top', (seed) => {
    const felt = things(6, 'other', 'felt', [150, 150, 60], { isSoft: true, massG: 900 });
    const places = [...cubes('cube', 1, 0, { rows: 3, heightMm: 3 * 366 + 16, yMm: 0 })];
    const made = plan(
      [...places, ...['a', 'b', 'c'].map((id) => idle(id))],
      [yarn(7), scraps(3, 'fleece'), felt],
      seed,
    );
    const used = new Set(made.solution.assignments.map(({ placeId }) => placeId));
    expect([...used].toSorted()).toEqual(['a', 'b', 'c']);
    expect(made.placesOf('felt')).toHaveLength(1);
    expect(slotOf(made, made.placesOf('felt')[0]!)).toMatch(/A1|A2/);
    expect(made.unplaced).toEqual([]);
  });

  scenario('a cube takes a small and a middle bin side by side, and both groups are there', (seed) => {
    const places = [...cubes('cube', 1, 0), idle('middle', [230, 340, 310]), idle('small', [110, 340, 200])];
    const made = plan(places, [yarn(7), scraps(1, 'fleece')], seed);
    expect(made.unplaced).toEqual([]);
    expect(made.solution.bins.map(({ slotId }) => slotId)).toEqual(['cube-A1', 'cube-A1']);
    expect(made.placesOf('yarn')).toEqual(['middle']);
    expect(made.placesOf('fleece')).toEqual(['small']);
  });

  scenario('twelve button boxes, one cube and an idle bin that goes into it: none is without a home', (seed) => {
    const boxes = things(12, 'notion', 'buttons', [100, 100, 100], { massG: 200 });
    const made = plan([...cubes('cube', 1, 0), idle('spare')], [boxes], seed);
    expect(made.unplaced).toEqual([]);
    expect(made.placesOf('buttons')).toEqual(['spare']);
  });

  scenario('cottons, net and lining in one cube beside three empty bins: each group is by itself', (seed) => {
    const places = [...cubes('cube', 4, 0), ...['A1', 'B1', 'C1'].map((at) => bin(`bin ${at}`, `cube-${at}`))];
    const net = scraps(2, 'net', { at: 'cube-D1' });
    const lining = scraps(2, 'lining', { at: 'cube-D1' });
    const made = plan(places, [cloths(9, 'cotton', { at: 'cube-D1', uses: 0.3 }), net, lining], seed);
    for (const one of ['cotton', 'net', 'lining']) expect(made.placesOf(one)).toHaveLength(1);
    expect(made.placesOf('net')[0]).toMatch(/^bin/);
    expect(made.placesOf('lining')[0]).toMatch(/^bin/);
    expect(made.unplaced).toEqual([]);
  });

  scenario('a bin makes way where things stand in a row that it cannot hold', (seed) => {
    // Envelopes of 22 cm on a shelf that a bin takes; the bin is too low for them.
    const low = idle('low', [600, 300, 120]);
    const shelf = shelves('case', 1, 500);
    const stood = { ...low, parentId: 'case-Shelf 1' as PlaceId };
    const made = plan([...shelf, stood], [patterns(30)], seed);
    expect(made.unplaced).toEqual([]);
    expect(made.placesOf('pattern')).toEqual(['case-Shelf 1']);
    expect(made.solution.bins).toEqual([{ placeId: 'low' }]);
  });

  scenario('a bin that holds what it is for stays where it stands', (seed) => {
    const places = [...cubes('cube', 3, 0), bin('Yarn', 'cube-B1'), ...tower('tower', 2, 1500)];
    const made = plan(places, [yarn(7), cloths(8, 'cotton', { at: 'cube-A1' })], seed);
    expect(made.placesOf('yarn')).toEqual(['Yarn']);
    expect(made.solution.bins).toEqual([]);
  });

  scenario('a broken bin is never used, and bins that go in nowhere are left', (seed) => {
    const broken = idle('broken');
    const retired = { ...broken, container: { ...broken.container!, isRetired: true } };
    const made = plan([...cubes('cube', 2, 0), retired, idle('huge', [900, 900, 900])], [yarn(4)], seed);
    expect(made.solution.bins).toEqual([]);
    expect(made.placesOf('yarn').every((id) => id.startsWith('cube'))).toBe(true);
  });
});
