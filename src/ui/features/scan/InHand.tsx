import { createReturn } from '../../../core/acts/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useHand } from '../../state/hand.ts';
import { act } from '../../state/hands.ts';
import { putBack } from '../../state/putBack.ts';
import { t } from '../../language/index.ts';

/** What was scanned and is carried, with where each lives. */
export function InHand({ ids }: { ids: readonly LotId[] }) {
  const household = useHousehold();
  const drop = (id: LotId) => useHand.setState(({ ids: all }) => ({ ids: all.filter((one) => one !== id) }));
  const held = ids.flatMap((id) => {
    const lot = household.lots.get(id);
    const item = lot && household.items.get(lot.itemId);
    return lot && item && lot.state !== 'in' && lot.state !== 'gone' ? [{ lot, item }] : [];
  });
  const tree = getTree(household);
  if (held.length === 0) return null;
  return (
    <section aria-label={t('In your hand')} className="max-w-xl">
      <h2 className="font-display text-xl font-semibold">{t('In your hand')}</h2>
      <ul>
        {held.map(({ lot, item }) => (
          <li key={lot.id} className="dotted-row flex flex-wrap items-center gap-x-3 py-1.5">
            <Swatch item={item} className="size-9 shrink-0" />
            <span className="min-w-0 flex-1">
              <span data-name className="block font-semibold">
                {item.name}
              </span>
              <span className="block text-sm text-stone">
                {lot.homeId
                  ? t('lives in {placeName}', { placeName: formatPlaceName(tree, lot.homeId) })
                  : t('has no home yet')}
              </span>
            </span>
            {lot.state === 'lent' ? (
              <Button
                look="quiet"
                onClick={() => void act((now) => createReturn(now, lot.id, world.nowMs())).then(() => drop(lot.id))}
              >
                {t('It came back')}
              </Button>
            ) : (
              <Button
                look="quiet"
                disabled={lot.homeId === undefined}
                onClick={() =>
                  void putBack(lot.id).then((isDone) => {
                    if (isDone) drop(lot.id);
                  })
                }
              >
                {t('Home with it')}
              </Button>
            )}
            <Button look="quiet" aria-label={t('Lay {name} down', { name: item.name })} onClick={() => drop(lot.id)}>
              {t('Lay it down')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
