import { describe, expect } from 'vitest';
import { CUTTING } from '../../../tests/household.ts';
import { cloths, cubes, patterns, plan, scenario, shelves, things, tower, withStations } from '../../../tests/rooms.ts';

describe('forms follow what is there', () => {
  scenario('one without boards gets none', (seed) => {
    const { solution } = plan(
      cubes('cubes', 4, 0),
      [
        cloths(20, 'cotton', { forms: ['board', 'stack', 'file'] }).map((one) => ({
          ...one,
          lot: { ...one.lot, form: 'stack' as const, homeForm: 'stack' as const },
        })),
      ],
      seed,
    );
    expect(solution.assignments.filter(({ form }) => form === 'board')).toEqual([]);
  });

  scenario('tall tools stand, and no jar lies in front of another', (seed) => {
    const jars = things(6, 'notion', 'beads', [80, 80, 100], { massG: 250 });
    const tall = things(4, 'tool', 'yardstick', [40, 30, 340], { massG: 200 });
    const { solution, placesOf } = plan(
      [...shelves('narrow', 1, 1000, { depthMm: 130 }), ...shelves('deep', 1, 2200, {}, { heightMm: 200 })],
      [jars, tall],
      seed,
    );
    for (const id of placesOf('yardstick')) expect(id).toBe('narrow-Shelf 1');
    for (const spots of solution.spots.values()) for (const spot of spots) expect(spot.yMm).toBe(0);
  });

  scenario('where everything fits twice over nothing lies on anything else', (seed) => {
    const { solution } = plan(
      tower('tower', 4, 1000),
      [things(6, 'notion', 'tins', [130, 130, 60]), things(6, 'notion', 'reels', [100, 100, 60])],
      seed,
    );
    for (const spots of solution.spots.values()) for (const spot of spots) expect(spot.zMm).toBe(0);
  });
});

describe('room is left, and a room that is nearly right is left alone', () => {
  scenario('no place bursts beside a half-empty one of its kind', (seed) => {
    const { solution } = plan(shelves('case', 4, 500), [cloths(46, 'cotton'), cloths(46, 'linen')], seed);
    const heights = [...solution.spots.values()].map((spots) => spots.reduce((sum, spot) => sum + spot.heightMm, 0));
    expect(solution.spots.size).toBe(4);
    expect(Math.max(...heights)).toBeLessThan(1.25 * Math.min(...heights));
  });

  for (const grows of ['cotton', 'linen'])
    scenario(`what grows gets the place where it can: ${grows}`, (seed) => {
      const { placesOf } = plan(
        [...shelves('near', 1, 500), ...shelves('tall', 1, 1500, {}, { heightMm: 450 })],
        [cloths(18, 'cotton'), cloths(18, 'linen')],
        seed,
        { growth: [{ groupId: `fabric:fibre:${grows}`, perYear: 0.6, isSaid: false }] },
      );
      expect(placesOf(grows)).toEqual(['tall-Shelf 1']);
    });

  scenario('one cloth more moves that cloth and at most one other', (seed) => {
    const owned = [
      cloths(14, 'cotton'),
      cloths(14, 'linen'),
      cloths(14, 'wool'),
      things(12, 'notion', 'zips', [9, 4, 210]),
      patterns(20),
    ];
    const places = [...shelves('case', 4, 500), ...tower('tower', 3, 2500)];
    const first = plan(places, owned, seed).solution;
    const homes = new Map(first.assignments.map((one) => [one.lotId, one]));
    const settled = owned.map((list) =>
      list.map(({ item, lot }) => {
        const home = homes.get(lot.id)!;
        // Adopted, and nothing carried yet: only where it belongs is known.
        return { item, lot: { ...lot, homeId: home.placeId, homeForm: home.form, homeOrder: home.order } };
      }),
    );
    const more = cloths(15, 'cotton').slice(14);
    const next = plan(places, [...settled, more], seed + 10).solution;
    const moved = next.assignments.filter(
      ({ lotId, placeId }) => homes.has(lotId) && homes.get(lotId)!.placeId !== placeId,
    );
    expect(moved.length).toBeLessThanOrEqual(1);
  });

  scenario('the mirrored room has the mirrored plan', (seed) => {
    const owned = [
      cloths(14, 'cotton'),
      cloths(14, 'linen'),
      patterns(20),
      things(5, 'tool', 'gauge', [150, 20, 25], { uses: 25 }),
    ];
    const room = (isMirrored: boolean) => {
      const x = (from: number, width: number) => (isMirrored ? 4000 - from - width : from);
      const at = withStations({ [CUTTING]: [x(2600, 0), 1500] });
      // The door is left out of it: it is in one of the two walls.
      return [
        { ...at, room: { ...at.room!, doors: [] } },
        ...shelves('a', 3, x(200, 800)),
        ...shelves('b', 3, x(1900, 800)),
        ...tower('c', 3, x(3200, 440)),
      ];
    };
    expect(plan(room(true), owned, seed).solution.assignments).toEqual(
      plan(room(false), owned, seed).solution.assignments,
    );
  });
});
