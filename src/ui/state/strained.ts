import type { PlaceId } from '../../core/records/index.ts';
import { formatPlaceName } from '../../core/storage/index.ts';
import { computePlaceState } from '../../core/whereabouts/index.ts';
import { formatMass } from '../../core/units/index.ts';
import { useApp } from './app.ts';
import { getTree } from './derived.ts';
import { getLotsByPlace } from './whereabouts.ts';
import { t } from '../language/index.ts';

/** After something was put into places: says which of them hold or carry too much now, for it was done all the same. */
export function tellStrained(placeIds: readonly PlaceId[], done: string): void {
  const { household, tell } = useApp.getState();
  if (!household) return;
  const tree = getTree(household);
  const { units } = household.settings;
  const said = [...new Set(placeIds)].flatMap((id) => {
    const place = tree.places.get(id);
    if (!place) return [];
    const state = computePlaceState(household, tree, place, getLotsByPlace(household).get(id) ?? [], 'is');
    const name = formatPlaceName(tree, id);
    if (state.isOverFull) return t('Now {name} is over full: what is in it does not lie in it.', { name });
    if (!state.isTooHeavy) return [];
    return t('Now {name} is too heavy: {mass} where it carries {most}.', {
      name,
      mass: formatMass(state.massG, units),
      most: formatMass(state.loadG, units),
    });
  });
  if (said.length > 0) tell({ tone: 'fault', text: `${done} ${said.join(' ')}`, canUndo: true });
}
