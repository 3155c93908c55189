import { createBond, createWish } from '../../../core/acts/index.ts';
import { useApp } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { world } from '../../state/world.ts';
import { useFitRun } from './fitRun.ts';
import type { Disagreement } from './disagreement.ts';
import { withElsewhere, type Offer } from './offers.ts';

/** Does something, then mends the plan that was in hand around it. */
async function mendAround(
  words: string,
  doFirst: Parameters<typeof act>[0] | null,
  to: Offer | null = null,
): Promise<void> {
  const { plan, startAround } = useFitRun.getState();
  if (doFirst && !(await act(doFirst, words))) return;
  const { household } = useApp.getState();
  if (plan && household) startAround(household, plan, words, to ? withElsewhere(plan, to) : plan);
}

const DISAGREEMENT: Disagreement = {
  refuse(groupId, placeId, words) {
    const wish = { id: world.createId(), kind: 'notIn' as const, lotIds: [], groupIds: [groupId], placeId };
    void mendAround(words, (now) => createWish(now, wish));
  },
  send(to, words, pair) {
    void mendAround(words, pair && ((now) => createBond(now, pair, 'near')), to);
  },
  bind(pair, kinship, words) {
    void mendAround(words, (now) => createBond(now, pair, kinship));
  },
};

/** Null where nothing can be said: no plan is in hand, or it is only supposed. */
export function useDisagreement(): Disagreement | null {
  return useFitRun(({ plan, supposed, status }) =>
    plan && supposed === null && status === 'done' ? DISAGREEMENT : null,
  );
}
