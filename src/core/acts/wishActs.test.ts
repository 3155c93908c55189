import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Household, LotId, PlaceId, Wish } from '../records/index.ts';
import { parseRecord } from '../records/index.ts';
import type { Act } from './act.ts';
import { createBond, createLiftWish, createRule, createWish, findBond, findWish } from './wishActs.ts';
import { applyChanges } from '../daybook/fold.ts';

function apply(household: Household, draft: Act): Household {
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(household, draft.value.changes);
  if (!next.ok) throw new Error('not applied');
  return next.value;
}

describe('what is asked of every plan', () => {
  const { household } = createSampleHousehold(1, 20);
  const wish: Wish = { id: 'w1', kind: 'apart', lotIds: ['a', 'b'] as LotId[], groupIds: [], placeId: undefined };

  it('is kept with the settings, found again in any order, and lifted', () => {
    const asked = apply(household, createWish(household, wish));
    expect(parseRecord('settings', asked.settings).ok).toBe(true);
    expect(findWish(asked, { ...wish, lotIds: ['b', 'a'] as LotId[] })?.id).toBe('w1');
    expect(findWish(asked, { ...wish, kind: 'together' })).toBeNull();
    expect(findWish(asked, { ...wish, lotIds: ['a'] as LotId[] })).toBeNull();
    const lifted = apply(asked, createLiftWish(asked, 'w1'));
    expect(findWish(lifted, wish)).toBeNull();
  });

  it('is a rule that takes the place of what it was learnt from', () => {
    const notIn = (id: string, placeId: string): Wish => ({
      ...wish,
      id,
      kind: 'notIn',
      lotIds: [],
      groupIds: ['g'],
      placeId: placeId as PlaceId,
    });
    const asked = [notIn('a', 'p1'), notIn('b', 'p2'), wish].reduce(
      (now, one) => apply(now, createWish(now, one)),
      household,
    );
    const ruled = apply(asked, createRule(asked, notIn('c', 'u'), ['a', 'b']));
    expect(ruled.settings.wishes?.map(({ id }) => id)).toEqual(['w1', 'c']);
  });

  it('says how two groups get on, whichever comes first, until the rules say it again', () => {
    const bound = apply(household, createBond(household, ['x', 'y'], 'near'));
    expect(findBond(bound, ['y', 'x'])).toBe('near');
    const other = apply(bound, createBond(bound, ['y', 'x'], 'clash'));
    expect(other.settings.bonds).toEqual([{ groupIds: ['y', 'x'], kinship: 'clash' }]);
    expect(findBond(apply(other, createBond(other, ['x', 'y'], null)), ['x', 'y'])).toBeNull();
    expect(parseRecord('settings', { ...other.settings, bonds: [{ groupIds: ['x', 'x'], kinship: 'near' }] }).ok).toBe(
      false,
    );
  });

  it('must be something that can be asked', () => {
    const wrong = { ...household.settings, wishes: [{ ...wish, kind: 'dance' }] };
    expect(parseRecord('settings', wrong).ok).toBe(false);
  });
});
