import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import type { PlaceId } from '../../../core/records/index.ts';
import { getAncestor } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { PlaceActs } from '../room/PlaceActs.tsx';
import { PlaceShown } from './shown/PlaceShown.tsx';
import { t } from '../../language/index.ts';

const LabelRow = lazy(async () => ({ default: (await import('./LabelRow.tsx')).LabelRow }));

/** The ticket of a compartment or bin, with what is done with it. */
export function PlaceTicket({ id }: { id: PlaceId }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const tree = getTree(household);
  const place = tree.places.get(id);
  if (!place || !tree.leaves.includes(place))
    return <p className="text-stone">{t('That place is no longer in the room.')}</p>;
  const unit = getAncestor(tree, id, 'unit')!;
  const slot = getAncestor(tree, id, 'slot')!;
  return (
    <PlaceShown
      household={household}
      place={place}
      label={
        <Suspense>
          <LabelRow label={place.label ?? null} of={`place:${id}`} />
        </Suspense>
      }
      count={
        <Link to={`/bench/count/${id}`} className="text-woad underline underline-offset-4">
          {t('Count it')}
        </Link>
      }
    >
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button onClick={() => show({ type: 'editUnit', id: unit.id })}>
          {unit.unit?.kind === 'cubes' ? t('Edit the shelf') : t('Edit the piece')}
        </Button>
        <Button onClick={() => show({ type: 'editSlot', id: slot.id })}>{t('Edit this place')}</Button>
      </div>
      <PlaceActs place={place} />
      <section aria-label={t('What plans may do here')} className="stitched-t mt-3 flex flex-wrap gap-x-5 gap-y-1 pt-2">
        <WishButton wish={{ kind: 'stays', placeId: id }}>{t('Plans leave this place as it is')}</WishButton>
        <WishButton wish={{ kind: 'stays', placeId: unit.id }}>
          {t('Plans leave {unit} as it is', { unit: unit.name })}
        </WishButton>
        <WishButton wish={{ kind: 'free', placeId: id }}>{t('Plans keep it free')}</WishButton>
      </section>
    </PlaceShown>
  );
}
