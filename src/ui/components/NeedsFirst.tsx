import { Link } from 'react-router';
import { linkClass } from './Button.tsx';
import { takesRoom } from '../../core/records/index.ts';
import { useHousehold } from '../state/app.ts';
import { derive, getTree } from '../state/derived.ts';
import { t } from '../language/index.ts';

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
            <Link to="/room/plan?do=furnish" className={linkClass}>
              {t('Say what stands in the room')}
            </Link>
            {t(': shelves, drawers, bins.')}
          </li>
        )}
        {things && (
          <li>
            <Link to="/heaps" className={linkClass}>
              {t('Say how much you own, by the heap')}
            </Link>
            {t(', or')}{' '}
            <Link to="/stash" className={linkClass}>
              {t('thing by thing')}
            </Link>
            {t(', or bring in')}{' '}
            <Link to="/list" className={linkClass}>
              {t('a list')}
            </Link>
            .
          </li>
        )}
      </ul>
    </div>
  );
}
