import { createWish } from '../../../core/acts/index.ts';
import type { PlaceId } from '../../../core/records/index.ts';
import { useApp } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { world } from '../../state/world.ts';
import { withElsewhere } from './offers.ts';
import { useFitRun } from './fitRun.ts';

/** Says that a group is not to be in a place, from now on, and mends the plan in hand around it. */
export function useRefusal(): (groupId: string, placeId: PlaceId, words: string) => void {
  const refuse = async (groupId: string, placeId: PlaceId, words: string) => {
    const { plan, startAround } = useFitRun.getState();
    const wish = { id: world.createId(), kind: 'notIn' as const, lotIds: [], groupIds: [groupId], placeId };
    const isDone = await act((now) => createWish(now, wish), words);
    const { household } = useApp.getState();
    if (isDone && plan && household) startAround(household, plan, words);
  };
  return (...about) => void refuse(...about);
}

/** Puts what a group has in one place into another, in the plan in hand; what stands is checked and priced anew. */
export function useElsewhere(): (to: Parameters<typeof withElsewhere>[1], words: string) => void {
  return (to, words) => {
    const { plan, startAround } = useFitRun.getState();
    const { household } = useApp.getState();
    if (plan && household) startAround(household, plan, words, withElsewhere(plan, to));
  };
}
