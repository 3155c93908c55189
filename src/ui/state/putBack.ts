import type { LotId, PlaceId } from '../../core/records/index.ts';
import { createPutBack, type Draft } from '../../core/tracking/index.ts';
import { useApp, world } from './app.ts';

/** After something was put into places: says which of them is over full now, for it was done all the same. */
export async function tellOverFull(placeIds: readonly PlaceId[], done: string): Promise<void> {
  const [{ isOverFull }, { formatPlaceName }, { getTree }] = await Promise.all([
    import('../../core/tracking/putActs.ts'),
    import('../../core/storage/index.ts'),
    import('./derived.ts'),
  ]);
  const { household, tell } = useApp.getState();
  if (!household) return;
  const tree = getTree(household);
  const full = [...new Set(placeIds)].filter((id) => isOverFull(household, tree, id));
  if (full.length === 0) return;
  const names = full.map((id) => formatPlaceName(tree, id)).join(', ');
  tell({ tone: 'fault', text: `${done} Now ${names} is over full: what is in it does not lie in it.`, canUndo: true });
}

/** Puts a lot back to its home, and says so where that is over full then. */
export async function putBack(id: LotId): Promise<boolean> {
  const { act, household } = useApp.getState();
  const lot = household?.lots.get(id);
  let draft: Draft | null = null;
  const isDone = await act((now) => {
    const made = createPutBack(now, id, world.nowMs());
    if (made.ok) draft = made.value;
    return made;
  });
  if (isDone && draft !== null && lot?.homeId) await tellOverFull([lot.homeId], 'It is back.');
  return isDone;
}
