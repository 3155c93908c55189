import { useMemo, useState } from 'react';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { getTree } from '../../state/derived.ts';
import { wordGroup } from '../../text/index.ts';
import { Elsewhere } from './Elsewhere.tsx';
import type { Disagreement } from './disagreement.ts';
import { getPieces } from './pieces.ts';
import { t } from '../../language/index.ts';

interface PieceProps {
  /** The household as planned. */
  readonly household: Household;
  readonly groupId: string;
  readonly placeId: PlaceId;
  /** Only this one of it; all that the group has there otherwise. */
  readonly lotId?: LotId;
  readonly disagree: Disagreement;
}

/** What can be said against where a group, or one thing of it, is in a plan: not there, or elsewhere. */
export function Piece({ household, groupId, placeId, lotId, disagree }: PieceProps) {
  const [isAsked, setAsked] = useState(false);
  const piece = getPieces(household)
    .get(placeId)
    ?.find(({ group }) => group.id === groupId);
  const lotIds = useMemo(() => (lotId ? [lotId] : (piece?.lotIds ?? [])), [lotId, piece]);
  if (!piece) return null;
  const nameOf = (id: PlaceId) => formatPlaceName(getTree(household), id);
  const item = lotId && household.items.get(household.lots.get(lotId)!.itemId);
  const name = item ? item.name : wordGroup(piece.group, household);
  return (
    <>
      {!lotId && (
        <Button
          look="quiet"
          aria-label={t('{name}: not in {place}', { name, place: nameOf(placeId) })}
          onClick={() =>
            disagree.refuse(
              groupId,
              placeId,
              t('{name}: not in {place} from now on.', { name, place: nameOf(placeId) }),
            )
          }
        >
          {t('Not here')}
        </Button>
      )}
      <Button
        look="quiet"
        aria-label={t('{name}: elsewhere than {place}', { name, place: nameOf(placeId) })}
        aria-expanded={isAsked}
        onClick={() => setAsked(!isAsked)}
      >
        {t('Elsewhere')}
      </Button>
      {isAsked && (
        <div className="w-full">
          <Elsewhere
            household={household}
            groupId={groupId}
            lotIds={lotIds}
            onChoose={(to, withId) =>
              disagree.send(
                to,
                t('{name}: to {place}.', { name, place: nameOf(to.placeId) }),
                withId === null ? null : [groupId, withId],
              )
            }
          />
        </div>
      )}
    </>
  );
}
