import type { LotId } from '../../core/records/index.ts';
import { useApp, world } from './app.ts';
import { act } from './hands.ts';
import type { Draft } from '../../core/daybook/index.ts';
import { t } from '../language/index.ts';

/** Puts a lot back to its home, and says so where that is over full then. */
export async function putBack(id: LotId): Promise<boolean> {
  const { createPutBack } = await import('../../core/acts/index.ts');
  const { household } = useApp.getState();
  const lot = household?.lots.get(id);
  let draft: Draft | null = null;
  const isDone = await act((now) => {
    const made = createPutBack(now, id, world.nowMs());
    if (made.ok) draft = made.value;
    return made;
  });
  if (isDone && draft !== null && lot?.homeId) {
    const { tellStrained } = await import('./strained.ts');
    tellStrained([lot.homeId], t('It is back.'));
  }
  return isDone;
}
