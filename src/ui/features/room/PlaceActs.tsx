import type { Place } from '../../../core/records/index.ts';
import { divideSlot, getAncestor } from '../../../core/storage/index.ts';
import { formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { follow } from '../../state/follow.ts';
import { getTree } from '../../state/derived.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { wordSlotFits } from '../../text/rebuild.ts';
import { HookPanel } from './HookPanel.tsx';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { judgeDraft } from '../../../core/suppose/index.ts';
import { t } from '../../language/index.ts';

const DIVIDED = new Set(['cubes', 'bookcase', 'closet']);

/** What can be done to a compartment or a bin right from its ticket. */
export function PlaceActs({ place }: { place: Place }) {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const show = useApp((state) => state.show);
  const tell = useApp((state) => state.tell);
  const isCarried = useRebuild((state) => state.carriedId === place.id);
  const unit = getAncestor(tree, place.id, 'unit')!;
  const slot = getAncestor(tree, place.id, 'slot')!;

  const divide = async (axis: 'shelf' | 'upright') => {
    const parts = divideSlot(unit.unit!, place, tree.getChildren(unit.id), axis, world.createId);
    if (!parts.ok) {
      const size = formatSize(parts.fault.availableMm, units);
      const text =
        parts.fault.code === 'too-many'
          ? t('{place} is parted as often as it can be.', { place: place.name })
          : t('{place} has {size}: too little for two compartments.', { place: place.name, size });
      tell({ tone: 'fault', text, canUndo: false });
      return;
    }
    const fits = judgeDraft(household, parts.value);
    const words = wordSlotFits(fits, tree, axis, units);
    const isDone = await edit(
      household,
      (from) => createSavePlaces(from, unit.name, parts.value, [], world.nowMs()),
      t('Divided {place}.', { place: place.name }),
    );
    if (isDone) useRebuild.setState({ isOn: true, words, isGood: fits.every((fit) => fit.isFit) });
  };
  const toPool = async (isRetired: boolean) => {
    const { at: _at, ...plain } = place.container!;
    const container = isRetired ? { ...plain, isRetired: true } : plain;
    const idle: Place = { ...place, parentId: undefined, order: tree.pool.length, container };
    await follow(
      edit(household, (from) => createSavePlaces(from, place.name, [idle], [], world.nowMs())),
      { type: 'pool' },
    );
  };

  if (place.container) {
    const stands = tree.getChildren(slot.id).filter((one) => one.id !== place.id);
    return (
      <section aria-label={t('The bin')} className="stitched-t mt-3 pt-2">
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          <Button
            look="quiet"
            data-key="m"
            aria-pressed={isCarried}
            onClick={() =>
              useRebuild.setState({ isOn: true, carriedId: isCarried ? null : place.id, words: '', isGood: true })
            }
          >
            {t('Put it elsewhere')} <kbd className="font-normal">M</kbd>
          </Button>
          <Button look="quiet" onClick={() => void toPool(false)}>
            {t('To the idle bins')}
          </Button>
          <Button look="quiet" onClick={() => void toPool(true)}>
            {t('Retire it')}
          </Button>
        </div>
        {stands.length > 0 && (
          <p className="mt-1 text-sm text-stone">
            {t('In the same place:')}{' '}
            {stands.map((one) => (
              <Button
                key={one.id}
                look="quiet"
                className="mr-2 text-sm"
                onClick={() => show({ type: 'place', id: one.id })}
              >
                {one.name}
              </Button>
            ))}
          </p>
        )}
      </section>
    );
  }
  if (place.slot?.peg) return <HookPanel place={place} />;
  if (!DIVIDED.has(unit.unit!.kind) || place.slot?.mode === 'rail') return null;
  return (
    <div className="mt-2 flex flex-wrap gap-x-4">
      <Button look="quiet" onClick={() => void divide('shelf')}>
        {t('Divide with a shelf')}
      </Button>
      <Button look="quiet" onClick={() => void divide('upright')}>
        {t('… with an upright')}
      </Button>
    </div>
  );
}
