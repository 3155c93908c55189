import { createBelongIn, createLieIn } from '../../../core/acts/index.ts';
import type { PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { PickFor } from './bulk.tsx';
import type { StashRow } from './rows.ts';
import { t } from '../../language/index.ts';

/** Where all that is ticked lies now, and where it belongs. */
export function BulkPlaces({ rows }: { rows: readonly StashRow[] }) {
  const tree = getTree(useHousehold());
  const ids = rows.map(({ lot }) => lot.id);
  const words = t('{n, plural, one {# thing} other {# things}}', { n: rows.length });
  const places = tree.leaves.map(({ id }) => [id, formatPlaceName(tree, id)] as const);
  if (places.length === 0) return null;
  const nameOf = (id: string) => formatPlaceName(tree, id as PlaceId);
  const lieIn = (id: string) => {
    const placeId = id === 'out' ? null : (id as PlaceId);
    const told = placeId
      ? t('{n, plural, one {# thing lies} other {# things lie}} in {place} now.', {
          n: rows.length,
          place: nameOf(placeId),
        })
      : t('{n, plural, one {# thing is} other {# things are}} out now.', { n: rows.length });
    return act((now) => createLieIn(now, ids, placeId, words, world.nowMs()), told);
  };
  return (
    <>
      <PickFor
        label={t('All of it lies in')}
        first={t('Lies in …')}
        of={[['out', t('no place: it is out')], ...places]}
        onPick={lieIn}
      />
      <PickFor
        label={t('All of it belongs in')}
        first={t('Belongs in …')}
        of={places}
        onPick={(id) =>
          act(
            (now) => createBelongIn(now, ids, id as PlaceId, words, world.nowMs()),
            t('{n, plural, one {# thing belongs} other {# things belong}} in {place} now.', {
              n: rows.length,
              place: nameOf(id),
            }),
          )
        }
      />
    </>
  );
}
