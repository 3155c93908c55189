import type { Household } from '../../../core/records/index.ts';
import type { Looked } from '../../state/appState.ts';
import { getGroups } from '../../state/derived.ts';
import { computeWhereabouts, getLotsByPlace } from '../../state/whereabouts.ts';
import { wordGroup } from '../../text/index.ts';
import { Piece } from './Piece.tsx';
import type { Disagreement } from './disagreement.ts';

interface LookedPiecesProps {
  readonly looked: Looked;
  /** The household as planned. */
  readonly household: Household;
  readonly disagree: Disagreement;
}

/** Under the ticket of a thing or place of a plan: what can be said against where it is, or what is in it. */
export function LookedPieces({ looked, household, disagree }: LookedPiecesProps) {
  const groups = getGroups(household);
  const placeId = looked.type === 'place' ? looked.id : computeWhereabouts(household, looked.id).placeId;
  if (placeId === null) return null;
  const there = new Set((getLotsByPlace(household).get(placeId) ?? []).map(({ id }) => id));
  const mine = groups.filter(({ lots }) =>
    lots.some(({ id }) => (looked.type === 'lot' ? id === looked.id : there.has(id))),
  );
  if (mine.length === 0) return null;
  return (
    <section aria-label="Say otherwise" className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">Not what you want?</h3>
      <ul>
        {looked.type === 'lot' && (
          <li className="flex flex-wrap items-baseline gap-x-2">
            This one
            <Piece {...{ household, placeId, disagree }} groupId={mine[0]!.id} lotId={looked.id} />
          </li>
        )}
        {mine.map((group) => (
          <li key={group.id} className="flex flex-wrap items-baseline gap-x-2">
            {looked.type === 'lot' ? `All ${wordGroup(group, household)} here` : wordGroup(group, household)}
            <Piece {...{ household, placeId, disagree }} groupId={group.id} />
          </li>
        ))}
      </ul>
    </section>
  );
}
