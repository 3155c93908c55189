import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Place, PlaceId, UnitSpec } from '../records/index.ts';
import {
  checkContainers,
  checkUnitOnWall,
  computeCeilingMm,
  findFreeX,
  computeReach,
  computeSlots,
  computeStandPoint,
  computeWayMm,
  createPlaceTree,
  formatPlaceName,
} from './index.ts';
import { applyUnitSpec } from './boards.ts';

const CUBES: UnitSpec = {
  kind: 'cubes',
  wallId: 'east',
  xMm: 100,
  yMm: 0,
  widthMm: 1054,
  heightMm: 1746,
  depthMm: 390,
  boardMm: 16,
  columns: 3,
  rows: 5,
  isAnchored: true,
  loadG: undefined,
};

describe('units', () => {
  it('derive inner sizes from the boards: 3 × 330 mm wide, 5 × 330 mm high', () => {
    const layout = computeSlots(CUBES);
    expect(layout.ok && layout.slots).toHaveLength(15);
    const c3 = layout.ok && layout.slots.find((one) => one.name === 'C3')?.slot;
    expect(c3).toMatchObject({ widthMm: 330, heightMm: 330, depthMm: 374, xMm: 16 + 2 * 346, yMm: 16 + 2 * 346 });
  });

  it('refuse boards thicker than their room', () => {
    expect(computeSlots({ ...CUBES, boardMm: 260 })).toMatchObject({ ok: false, fault: { code: 'no-inner-width' } });
    expect(computeSlots({ ...CUBES, rows: 40, boardMm: 30 })).toMatchObject({
      ok: false,
      fault: { code: 'no-inner-height' },
    });
  });

  it('keep their slots where they are when they grow or shrink', () => {
    let id = 0;
    const createId = () => `n${(id += 1)}`;
    const first = applyUnitSpec('u' as PlaceId, null, CUBES, [], createId);
    if (!first.ok) throw new Error('no slots');
    const dark = first.kept.map((slot): Place =>
      slot.name === 'A5' ? { ...slot, slot: { ...slot.slot!, light: 'dark' } } : slot,
    );
    const next = applyUnitSpec('u' as PlaceId, CUBES, { ...CUBES, columns: 2, widthMm: 900 }, dark, createId);
    if (!next.ok) throw new Error('no slots');
    expect(next.removed.map((slot) => slot.name)).toEqual(['C5', 'C4', 'C3', 'C2', 'C1']);
    const lowest = next.kept.find((slot) => slot.name === 'A5');
    expect(lowest?.id).toBe(dark[0]!.id);
    expect(lowest?.slot).toMatchObject({ light: 'dark', widthMm: (900 - 48) / 2 });
    // A row more comes on top: all below are what they were, and are counted anew from the top.
    const taller = applyUnitSpec('u' as PlaceId, CUBES, { ...CUBES, rows: 6, heightMm: 2200 }, dark, createId);
    if (!taller.ok) throw new Error('no slots');
    expect(taller.removed).toEqual([]);
    expect(taller.kept.find((slot) => slot.id === dark[0]!.id)).toMatchObject({ name: 'A6', slot: { light: 'dark' } });
  });

  it('stand within the wall and under the slope', () => {
    const wall = {
      from: { xMm: 0, yMm: 0 },
      to: { xMm: 0, yMm: 3100 },
      ceiling: [
        { xMm: 0, yMm: 2300 },
        { xMm: 2300, yMm: 2300 },
        { xMm: 3100, yMm: 1100 },
      ],
    };
    // Half-way down the slope: 2300 - 600.
    expect(computeCeilingMm(wall.ceiling, 2700)).toBe(1700);
    expect(checkUnitOnWall(CUBES, wall)).toBeNull();
    expect(checkUnitOnWall({ ...CUBES, xMm: 2200 }, wall)).toMatchObject({ code: 'beyond-wall', availableMm: 900 });
    expect(checkUnitOnWall({ ...CUBES, xMm: 2000 }, wall)).toMatchObject({ code: 'above-ceiling' });
  });
});

describe('a new piece', () => {
  const at = (xMm: number, widthMm: number, yMm = 0, heightMm = 800) =>
    ({ xMm, yMm, widthMm, heightMm }) as Parameters<typeof findFreeX>[0][number];
  const piece = { yMm: 0, widthMm: 700, heightMm: 1000 };
  it.each([
    ['an empty wall', [], 0],
    ['a wall with a gap', [at(0, 400), at(1200, 500)], 400],
    ['a wall whose gap is too narrow', [at(0, 400), at(1000, 500)], 1500],
    ['a wall with a shelf above it', [at(0, 900, 1500, 300)], 0],
    ['a wall with one thing over another', [at(0, 2000), at(300, 200), at(2000, 100)], 2100],
    ['a full wall', [at(0, 3500)], null],
  ] as const)('on %s stands where there is room', (_, standing, x) => expect(findFreeX(standing, piece, 4000)).toBe(x));
});

describe('places', () => {
  const { household } = createSampleHousehold();
  const tree = createPlaceTree(household.places);

  it('are named from the unit down', () => {
    const c3 = tree.leaves.find((place) => place.name === 'C3')!;
    expect(formatPlaceName(tree, c3.id)).toBe('Tall cubes › C3');
    expect(tree.getPath(c3.id)[0]?.name).toBe('Heron Loft');
  });

  it('say their room where another room has a piece of the same name', () => {
    const cupboard = [...household.places.values()].find(({ name }) => name === 'Cupboard')!;
    const renamed = new Map(household.places).set(cupboard.id, { ...cupboard, name: 'Tall cubes' });
    const twins = createPlaceTree(renamed);
    const c3 = twins.leaves.find((place) => place.name === 'C3')!;
    expect(formatPlaceName(twins, c3.id)).toBe('Heron Loft: Tall cubes › C3');
    expect(twins.leaves.map(({ id }) => formatPlaceName(twins, id))).toContain('Landing: Tall cubes › Shelf 2');
    expect(formatPlaceName(twins, twins.rooms[0]!.id)).toBe('');
  });

  it('report orphans and wrong levels, and list no leaf below them', () => {
    const places = new Map(household.places);
    const c3 = tree.leaves.find((place) => place.name === 'C3')!;
    places.set(c3.id, { ...c3, parentId: 'r1' as PlaceId });
    places.set('x' as PlaceId, { ...c3, id: 'x' as PlaceId, parentId: 'nowhere' as PlaceId });
    const broken = createPlaceTree(places);
    expect(broken.faults).toEqual(
      expect.arrayContaining([
        { code: 'wrong-parent', placeId: c3.id },
        { code: 'missing-parent', placeId: 'x' },
      ]),
    );
    expect(broken.leaves).toHaveLength(44);
  });

  it('are reached by the shares of stature', () => {
    expect([400, 600, 1000, 1600, 2100].map((mm) => computeReach(mm, 1680))).toEqual([
      'kneel',
      'bend',
      'easy',
      'stretch',
      'stool',
    ]);
  });

  it('are as far as one walks, over both doors to another room', () => {
    const cupboard = tree.leaves.find((place) => formatPlaceName(tree, place.id).startsWith('Cupboard'))!;
    const to = computeStandPoint(tree, cupboard);
    const from = { roomId: 'r1' as PlaceId, xMm: 2600, yMm: 1000 };
    const byHand = Math.hypot(2600, 300) + 1500 + Math.hypot(to.xMm - 500, to.yMm - 1100);
    expect(computeWayMm(tree, from, to)).toBeCloseTo(byHand, 6);
  });

  it('take containers that fit and refuse others with the measure', () => {
    const slot = tree.leaves.find((place) => place.name === 'C3')!.slot!;
    const bin = [...household.places.values()].find((place) => place.name === 'Batting')!.container!;
    expect(checkContainers(slot, [bin])).toBeNull();
    expect(checkContainers(slot, [bin, bin])).toEqual({
      code: 'too-wide',
      index: 1,
      neededMm: 636,
      availableMm: 330,
    });
    expect(checkContainers(slot, [{ ...bin, outerHeightMm: 340 }])).toMatchObject({
      code: 'too-high',
      availableMm: 330,
    });
  });
});
