import type { LotId, PlaceId } from '../../core/records/index.ts';
import { world } from './app.ts';
import { act } from './hands.ts';
import { t } from '../language/index.ts';

/** Puts a lot back to its home, and says so where that is over full then. */
export async function putBack(id: LotId): Promise<boolean> {
  const { createPutBack } = await import('../../core/acts/index.ts');
  let homeId: PlaceId | undefined;
  const isDone = await act((now) => {
    const made = createPutBack(now, id, world.nowMs());
    homeId = made.ok ? now.lots.get(id)?.homeId : undefined;
    return made;
  });
  if (isDone && homeId !== undefined) {
    const { tellStrained } = await import('./strained.ts');
    tellStrained([homeId], t('It is back.'));
  }
  return isDone;
}
