import { describe, expect, it } from 'vitest';
import { computeGroups } from '../grouping/index.ts';
import { getAncestor, createPlaceTree } from '../storage/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createRun } from '../../solver/solve.ts';
import { withMoreCloth, withoutPlace } from './without.ts';

const { household } = createSampleHousehold(1, 120);
const tree = createPlaceTree(household.places);
const placed = [...household.lots.values()].filter((lot) => lot.placeId !== undefined);

describe('a household as it might be', () => {
  it('lacks a piece with all its places, and what lay there lies out', () => {
    const unit = getAncestor(tree, placed[0]!.placeId!, 'unit')!;
    const without = withoutPlace(household, unit.id);
    const isIn = (id: string) => getAncestor(tree, id as never, 'unit')?.id === unit.id;
    expect([...without.places.keys()].filter(isIn)).toEqual([]);
    const there = placed.filter((lot) => isIn(lot.placeId!));
    expect(there.length).toBeGreaterThan(2);
    for (const lot of there) {
      expect(without.lots.get(lot.id)).toMatchObject({ state: 'out' });
      expect(without.lots.get(lot.id)).not.toHaveProperty('placeId');
      expect(without.lots.get(lot.id)).not.toHaveProperty('homeId');
    }
    expect(without.lots.size).toBe(household.lots.size);
    // The household itself is as it was.
    expect(household.lots.get(placed[0]!.id)!.placeId).toBe(placed[0]!.placeId);
    expect(() => createRun(without, 1).getSolution()).not.toThrow();
  });

  it('lacks the furniture of a room, not the room', () => {
    const room = tree.rooms[0]!;
    const without = withoutPlace(household, room.id);
    expect(without.places.has(room.id)).toBe(true);
    expect(createPlaceTree(without.places).getChildren(room.id)).toEqual([]);
  });

  it('has twenty metres more of a cloth, in pieces like those that are there', () => {
    const group = computeGroups(household).find((one) => one.kind === 'fabric' && one.lots.length > 4)!;
    const more = withMoreCloth(household, group, 20_000)!;
    const added = [...more.lots.values()].filter((lot) => !household.lots.has(lot.id));
    expect(added.reduce((sum, lot) => sum + lot.lengthMm!, 0)).toBeCloseTo(20_000, 6);
    expect(computeGroups(more).find((one) => one.id === group.id)!.lots).toHaveLength(group.lots.length + added.length);
    expect(createRun(more, 1).facts.lots.length).toBe(createRun(household, 1).facts.lots.length + added.length);
    expect(
      withMoreCloth(
        household,
        computeGroups(household).find((one) => one.kind === 'tool')!,
        1000,
      ),
    ).toBeNull();
  });
});
