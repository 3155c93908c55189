import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Household, LotId, Wish } from '../records/index.ts';
import { parseRecord } from '../records/index.ts';
import type { Act } from './act.ts';
import { createLiftWish, createWish, findWish } from './wishActs.ts';
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

  it('must be something that can be asked', () => {
    const wrong = { ...household.settings, wishes: [{ ...wish, kind: 'dance' }] };
    expect(parseRecord('settings', wrong).ok).toBe(false);
  });
});
