import { linkClass } from './Button.tsx';
import { takesRoom } from '../../core/records/index.ts';
import { useHousehold } from '../state/app.ts';
import { derive, getTree } from '../state/derived.ts';
import { t } from '../language/index.ts';
import { Linked } from './Linked.tsx';

/** What a household has not yet; null where it has both. */
export const getLacking = derive((household): 'both' | 'things' | 'places' | null => {
  const hasPlaces = getTree(household).leaves.length > 0;
  const hasThings = [...household.lots.values()].some((lot) => takesRoom(lot));
  if (hasPlaces && hasThings) return null;
  return hasPlaces ? 'things' : hasThings ? 'places' : 'both';
});

interface NeedsFirstProps {
  /** What is not there yet; empty where the screen says it itself. */
  readonly says: string;
  readonly needs: 'both' | 'things' | 'places';
}

/** What a screen needs before it is of use, and the way to say it. */
export function NeedsFirst({ says, needs }: NeedsFirstProps) {
  const lacking = getLacking(useHousehold());
  const isLacking = (one: 'things' | 'places') =>
    (needs === 'both' || needs === one) && (lacking === 'both' || lacking === one);
  const [things, places] = [isLacking('things'), isLacking('places')];
  if (!things && !places) return null;
  return (
    <div className="p-5">
      {says !== '' && <p className="font-display text-xl font-semibold">{says}</p>}
      <ul className="mt-2 space-y-1">
        {places && (
          <li>
            <Linked
              says={t('<furnish>Say what stands in the room</furnish>: shelves, drawers, bins.')}
              to={{ furnish: '/room/plan?do=furnish' }}
              className={linkClass}
            />
          </li>
        )}
        {things && (
          <li>
            <Linked
              says={t(
                '<heaps>Say how much you own, by the heap</heaps>, or <stash>thing by thing</stash>, or bring in <list>a list</list>.',
              )}
              to={{ heaps: '/heaps', stash: '/stash', list: '/list' }}
              className={linkClass}
            />
          </li>
        )}
      </ul>
    </div>
  );
}
