import { useMemo } from 'react';
import { Link } from 'react-router';
import type { Household, LotId } from '../../core/records/index.ts';
import { getTree } from '../state/derived.ts';
import { getLotsByPlace } from '../state/whereabouts.ts';
import { explained } from './explained.ts';
import { computeAround, computeContents } from '../../core/whereabouts/index.ts';
import { t } from '../language/index.ts';

/** More than so many are counted. */
const NAMED = 4;

/** What is in front of a thing, behind it and on top of it, where it lies now. */
export function Around({ household, id }: { household: Household; id: LotId }) {
  const placeId = household.lots.get(id)?.placeId ?? null;
  const around = useMemo(() => {
    if (placeId === null) return null;
    const lots = getLotsByPlace(household).get(placeId) ?? [];
    return computeAround(computeContents(household, getTree(household), placeId, lots), id);
  }, [household, placeId, id]);
  if (!around) return null;
  const lines = [
    [t('In front of it'), around.inFront],
    [t('On top of it'), around.onTop],
    [t('Behind it'), around.behind],
  ] as const;
  const told = lines.filter(([, ids]) => ids.length > 0);
  if (told.length === 0) return null;
  return (
    <ul
      aria-label={t('What lies around it')}
      className="mt-1 text-stone"
      {...explained(
        t('From how the place was packed with all that lies in it: seen from the front, the nearest first.'),
      )}
    >
      {told.map(([words, ids]) => (
        <li key={words}>
          {words}:{' '}
          {ids.slice(0, NAMED).map((one, i) => (
            <span key={one}>
              {i > 0 && ', '}
              <Link to={`/find/${one}`} className="text-woad underline">
                {household.items.get(household.lots.get(one)!.itemId)?.name}
              </Link>
            </span>
          ))}
          {ids.length > NAMED && t(' and {named} more', { named: ids.length - NAMED })}
        </li>
      ))}
    </ul>
  );
}
