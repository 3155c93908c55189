import type { PlaceId } from '../../core/records/index.ts';
import { formatPlaceName } from '../../core/storage/index.ts';
import { useApp } from './app.ts';
import { getTree } from './derived.ts';
import { isOverFull } from '../../core/acts/index.ts';

/** After something was put into places: says which of them is over full now, for it was done all the same. */
export function tellOverFull(placeIds: readonly PlaceId[], done: string): void {
  const { household, tell } = useApp.getState();
  if (!household) return;
  const tree = getTree(household);
  const full = [...new Set(placeIds)].filter((id) => isOverFull(household, tree, id));
  if (full.length === 0) return;
  const names = full.map((id) => formatPlaceName(tree, id)).join(', ');
  tell({ tone: 'fault', text: `${done} Now ${names} is over full: what is in it does not lie in it.`, canUndo: true });
}
