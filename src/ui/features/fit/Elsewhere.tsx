import { useMemo } from 'react';
import type { Household, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useAnswer } from '../../state/useAnswer.ts';
import { getTree } from '../../state/derived.ts';
import { chooseOffers, listTags, type Offer } from './offers.ts';

const HOW =
  'Really packed there, with what lies there in this plan, and what all that comes to a month, beside where the plan has it.';
interface ElsewhereProps {
  /** The household as planned. */
  readonly household: Household;
  readonly groupId: string;
  readonly from: PlaceId;
  /** The other places of the group. */
  readonly kin: ReadonlySet<PlaceId>;
  readonly onChoose: (to: Offer) => void;
}

/** Where else what a group has in a place could be, with what each would cost: the cheapest, in a drawer, in a bin, in sight. */
export function Elsewhere({ household, groupId, from, kin, onChoose }: ElsewhereProps) {
  const about = useMemo(() => ({ groupId, from }), [groupId, from]);
  const { answer, again } = useAnswer(household, 'pieceVerdicts', about);
  const tree = getTree(household);
  if (again) return <Unanswered again={again} />;
  if (!answer) return <p className="py-1 text-sm text-stone">Trying every other place …</p>;
  const tagsOf = (id: PlaceId) => listTags(household, tree, id, kin);
  const offers = chooseOffers(
    answer.filter((one) => one.isGood),
    tagsOf,
  );
  if (offers.length === 0)
    return <p className="py-1 text-sm text-stone">No other place takes it beside what lies there.</p>;
  return (
    <ul aria-label="Elsewhere" className="my-1 max-w-xl border-l-4 border-woad bg-linen px-3 py-1">
      {offers.map((offer) => (
        <li key={offer.placeId} className="flex flex-wrap items-baseline gap-x-3 text-sm" {...explained(HOW)}>
          <Button look="quiet" onClick={() => onChoose(offer)}>
            {formatPlaceName(tree, offer.placeId)}
          </Button>
          <span className="text-stone">
            {[...tagsOf(offer.placeId), wordMore(offer.moreSeconds)].filter(Boolean).join(', ')}
          </span>
        </li>
      ))}
    </ul>
  );
}

function wordMore(seconds: number): string {
  if (Math.abs(seconds) < 3) return 'as good';
  return `${formatMinutes(Math.abs(seconds))} a month ${seconds > 0 ? 'more' : 'less'}`;
}
