import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeGroups } from '../grouping/index.ts';
import { createPlaceTree, formatPlaceName } from '../storage/index.ts';
import { listNamed } from './naming.ts';

describe('what places are named for', () => {
  const { household } = createSampleHousehold();
  const tree = createPlaceTree(household.places);
  const groups = computeGroups(household);
  const named = listNamed(
    tree.leaves.map((place) => tree.getPath(place.id)),
    groups,
    household.items,
  );
  const of = (name: string) => {
    const i = tree.leaves.findIndex((place) => formatPlaceName(tree, place.id) === name);
    return { kinds: [...new Set(named[i]!.fitting.map((g) => groups[g]!.kind))], weight: named[i]!.weight };
  };

  it('is told by their own words, then by those of the furniture around them, which weigh more', () => {
    expect(of('Tall cubes › C1 › Skirt kit')).toEqual({ kinds: ['kit'], weight: 1 });
    expect(of('Pattern chest › Drawer 2')).toEqual({ kinds: ['pattern'], weight: 3 });
    expect(of('Spool wall › Pins')).toEqual({ kinds: ['thread'], weight: 3 });
  });

  it('is nothing where the words only tell one place from another, or speak of the work that is done there', () => {
    expect([...household.items.values()].some(({ name }) => name === 'Long strips')).toBe(true);
    for (const name of ['Long shelf › Shelf 1', 'Cutting table › Top', 'Eave chest › Drawer 1', 'Tall cubes › A2'])
      expect(of(name), name).toEqual({ kinds: [], weight: 0 });
  });
});
