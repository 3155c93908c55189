import { getOrderBehind } from '../../../core/acts/index.ts';
import type { Household, Lot, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { PlaceSelect } from '../../components/PlaceSelect.tsx';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { t } from '../../language/index.ts';

/** The place that one goes through, where it is still there. */
function findSessionPlace(household: Household, id: string | null): PlaceId | null {
  return getTree(household).leaves.find((leaf) => leaf.id === id)?.id ?? null;
}

/** A lot as it is taken in while one goes through a place: it lies there, behind what lies there already. */
export function inSession(household: Household, lot: Lot): Lot {
  const placeId = findSessionPlace(household, useChoices.getState().sessionPlaceId);
  if (placeId === null || lot.state !== 'out') return lot;
  return { ...lot, state: 'in', placeId, order: getOrderBehind(household, placeId) };
}

/** The place that one goes through, by its name; null where none is said. */
export function useSessionName(): string | null {
  const household = useHousehold();
  const placeId = findSessionPlace(
    household,
    useChoices((state) => state.sessionPlaceId),
  );
  return placeId && formatPlaceName(getTree(household), placeId);
}

/** Says which place one goes through; it holds until another is said. */
export function Session() {
  const household = useHousehold();
  const tree = getTree(household);
  const placeId = findSessionPlace(
    household,
    useChoices((state) => state.sessionPlaceId),
  );
  if (tree.leaves.length === 0) return null;
  return (
    <label className="flex min-w-0 items-center gap-2 text-sm text-stone">
      <span className="whitespace-nowrap">{t('What I add lies in')}</span>
      <PlaceSelect
        tree={tree}
        label={t('What I add lies in')}
        none={t('no place yet')}
        value={placeId}
        onChoose={(id) => useChoices.setState({ sessionPlaceId: id })}
        className={`h-11 max-w-56 min-w-0 rounded border bg-paper px-1 text-ink md:h-8 ${placeId ? 'border-woad font-semibold' : 'border-thread'}`}
      />
    </label>
  );
}
