import { createBelongIn, createLieIn } from '../../../core/acts/index.ts';
import type { PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordCount } from '../../text/index.ts';
import { PickFor } from './bulk.tsx';
import type { StashRow } from './rows.ts';

/** Where all that is ticked lies now, and where it belongs. */
export function BulkPlaces({ rows }: { rows: readonly StashRow[] }) {
  const tree = getTree(useHousehold());
  const ids = rows.map(({ lot }) => lot.id);
  const words = wordCount(rows.length, 'thing');
  const places = tree.leaves.map(({ id }) => [id, formatPlaceName(tree, id)] as const);
  if (places.length === 0) return null;
  const nameOf = (id: string) => formatPlaceName(tree, id as PlaceId);
  const lieIn = (id: string) => {
    const placeId = id === 'out' ? null : (id as PlaceId);
    const told = placeId ? `${words} lie in ${nameOf(placeId)} now.` : `${words} are out now.`;
    return act((now) => createLieIn(now, ids, placeId, words, world.nowMs()), told);
  };
  return (
    <>
      <PickFor
        label="All of it lies in"
        first="Lies in …"
        of={[['out', 'no place: it is out'], ...places]}
        onPick={lieIn}
      />
      <PickFor
        label="All of it belongs in"
        first="Belongs in …"
        of={places}
        onPick={(id) =>
          act(
            (now) => createBelongIn(now, ids, id as PlaceId, words, world.nowMs()),
            `${words} belong in ${nameOf(id)} now.`,
          )
        }
      />
    </>
  );
}
