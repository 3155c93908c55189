import type { Household } from '../../../core/records/index.ts';
import type { Looked } from '../../state/appState.ts';
import { getWhereabouts } from '../../state/whereabouts.ts';
import { wordGroup } from '../../text/index.ts';
import { Piece } from './Piece.tsx';
import type { Disagreement } from './disagreement.ts';
import { getPieces } from './pieces.ts';
import { t } from '../../language/index.ts';

interface LookedPiecesProps {
  readonly looked: Looked;
  /** The household as planned. */
  readonly household: Household;
  readonly disagree: Disagreement;
}

/** Under the ticket of a thing or place of a plan: what can be said against where it is, or what is in it. */
export function LookedPieces({ looked, household, disagree }: LookedPiecesProps) {
  const placeId = looked.type === 'place' ? looked.id : getWhereabouts(household, looked.id).placeId;
  const pieces = (placeId && getPieces(household).get(placeId)) || [];
  const mine = looked.type === 'place' ? pieces : pieces.filter(({ lotIds }) => lotIds.includes(looked.id));
  if (placeId === null || mine.length === 0) return null;
  return (
    <section aria-label={t('Say otherwise')} className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">{t('Not what you want?')}</h3>
      <ul>
        {looked.type === 'lot' && (
          <li className="flex flex-wrap items-baseline gap-x-2">
            {t('This one')}
            <Piece {...{ household, placeId, disagree }} groupId={mine[0]!.group.id} lotId={looked.id} />
          </li>
        )}
        {mine.map(({ group }) => (
          <li key={group.id} className="flex flex-wrap items-baseline gap-x-2">
            {looked.type === 'lot'
              ? t('All {group} here', { group: wordGroup(group, household) })
              : wordGroup(group, household)}
            <Piece {...{ household, placeId, disagree }} groupId={group.id} />
          </li>
        ))}
      </ul>
    </section>
  );
}
