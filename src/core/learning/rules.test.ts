import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeGroups } from '../grouping/index.ts';
import type { Household, PlaceId, Wish } from '../records/index.ts';
import { createPlaceTree, formatPlaceName } from '../storage/index.ts';
import { listRules } from './rules.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const groups = computeGroups(household);
const find = (name: string) => tree.leaves.find((place) => formatPlaceName(tree, place.id) === name)!.id;
const cloth = groups.filter(({ kind }) => kind === 'fabric').map(({ id }) => id);

function refuse(...refused: (readonly [groupId: string, place: string])[]): Household {
  const wishes = refused.map(([groupId, place], i): Wish => ({
    id: `w${i}`,
    kind: 'notIn',
    lotIds: [],
    groupIds: [groupId],
    placeId: find(place),
  }));
  return { ...household, settings: { ...household.settings, wishes } };
}

describe('what was refused twice', () => {
  it('is offered as a rule of the piece of furniture, in the place of the two refusals', () => {
    const asked = refuse([cloth[0]!, 'Low shelves › Shelf A1'], [cloth[0]!, 'Low shelves › Shelf B2']);
    const unit = [...household.places.values()].find(({ name }) => name === 'Low shelves')!.id;
    expect(listRules(asked, tree, groups)).toEqual([
      {
        key: expect.any(String) as string,
        wish: { kind: 'notIn', lotIds: [], groupIds: [cloth[0]], placeId: unit },
        insteadOf: ['w0', 'w1'],
      },
    ]);
  });

  it('is offered of all of a kind where two of it were refused in one place', () => {
    const asked = refuse([cloth[0]!, 'Eave chest › Drawer 1'], [cloth[1]!, 'Eave chest › Drawer 1']);
    const [rule, ...others] = listRules(asked, tree, groups);
    expect(others).toEqual([]);
    expect(rule!.wish).toEqual({
      kind: 'notIn',
      lotIds: [],
      groupIds: cloth,
      placeId: find('Eave chest › Drawer 1') as PlaceId,
    });
  });

  it('is no rule where it was refused once, or of different kinds, or of groups that are no more', () => {
    const pattern = groups.find(({ kind }) => kind === 'pattern')!.id;
    expect(listRules(refuse([cloth[0]!, 'Low shelves › Shelf A1']), tree, groups)).toEqual([]);
    const mixed = refuse([cloth[0]!, 'Eave chest › Drawer 1'], [pattern, 'Eave chest › Drawer 1']);
    expect(listRules(mixed, tree, groups)).toEqual([]);
    const gone = refuse(
      ['fabric:fibre:none', 'Low shelves › Shelf A1'],
      ['fabric:fibre:none', 'Low shelves › Shelf B1'],
    );
    expect(listRules(gone, tree, groups)).toEqual([]);
  });
});
