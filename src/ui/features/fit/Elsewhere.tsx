import { useMemo, useState } from 'react';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useAnswer } from '../../state/useAnswer.ts';
import { getTree } from '../../state/derived.ts';
import { getGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { wordGroupVerdict } from '../../text/verdicts.ts';
import { getPieces } from './pieces.ts';
import { chooseOffers, listTags, type Offer } from './offers.ts';
import { perLanguage, t } from '../../language/index.ts';
import { wordChange } from '../../text/change.ts';

const HOW = perLanguage(() =>
  t(
    'Really packed there, with what lies there in this plan, and what all that comes to a month, beside where the plan has it.',
  ),
);

interface ElsewhereProps {
  /** The household as planned. */
  readonly household: Household;
  /** Of one group, all in one place. */
  readonly lotIds: readonly LotId[];
  readonly groupId: string;
  readonly onChoose: (to: Offer, withGroupId: string | null) => void;
}

/** The places of each group, by its id. */
function listPlacesOf(household: Household): ReadonlyMap<string, ReadonlySet<PlaceId>> {
  const places = new Map<string, Set<PlaceId>>();
  for (const { group, placeId } of [...getPieces(household).values()].flat())
    places.set(group.id, (places.get(group.id) ?? new Set()).add(placeId));
  return places;
}

/**
 * Where else a few things could be, with what each place would cost: the cheapest, in a drawer, in a bin, in sight, with
 * the rest of their group, or with another group that one asks for.
 */
export function Elsewhere({ household, lotIds, groupId, onChoose }: ElsewhereProps) {
  const { answer, again } = useAnswer(household, 'lotsVerdicts', lotIds);
  const [withId, setWith] = useState('');
  const tree = getTree(household);
  const groups = getGroups(household);
  const placesOf = useMemo(() => listPlacesOf(household), [household]);
  if (again) return <Unanswered again={again} />;
  if (!answer) return <p className="py-1 text-sm text-stone">{t('Trying every other place …')}</p>;
  const kin = placesOf.get(groupId) ?? new Set();
  const asked = placesOf.get(withId) ?? new Set();
  const company = groups.find(({ id }) => id === withId);
  const tagsOf = (id: PlaceId) => [
    ...(company && asked.has(id) ? [t('with {group}', { group: wordGroup(company, household) })] : []),
    ...listTags(household, tree, id, kin),
  ];
  const good = answer.filter((one) => one.isGood);
  const offers = company ? good.filter(({ placeId }) => asked.has(placeId)) : chooseOffers(good, tagsOf);
  const barred = answer.filter((one) => !one.isGood && asked.has(one.placeId));
  return (
    <div className="my-1 max-w-xl border-l-4 border-woad bg-linen px-3 py-1">
      {offers.length === 0 && (
        <p className="py-1 text-sm text-stone">
          {company ? t('None of its places takes it.') : t('No other place takes it beside what lies there.')}
        </p>
      )}
      <ul aria-label={t('Elsewhere')}>
        {offers.map((offer) => (
          <li key={offer.placeId} className="flex flex-wrap items-baseline gap-x-3 text-sm" {...explained(HOW())}>
            <Button look="quiet" onClick={() => onChoose(offer, company ? withId : null)}>
              {formatPlaceName(tree, offer.placeId)}
            </Button>
            <span className="text-stone">
              {[...tagsOf(offer.placeId), wordMore(offer.moreSeconds)].filter(Boolean).join(', ')}
            </span>
          </li>
        ))}
        {barred.map((one) => (
          <li key={one.placeId} className="py-1 text-sm text-stone" {...explained(HOW())}>
            {wordGroupVerdict(one, formatPlaceName(tree, one.placeId), household)}
          </li>
        ))}
      </ul>
      <label className="flex flex-wrap items-center gap-2 py-1 text-sm text-stone">
        {t('with')}
        <select
          className="h-11 max-w-full rounded border border-thread bg-paper px-1 text-ink md:h-8"
          value={withId}
          onChange={(event) => setWith(event.target.value)}
        >
          <option value="">{t('any group, or none')}</option>
          {groups
            .filter(({ id }) => id !== groupId && placesOf.has(id))
            .map((group) => (
              <option key={group.id} value={group.id}>
                {wordGroup(group, household)}
              </option>
            ))}
        </select>
      </label>
    </div>
  );
}

const wordMore = (seconds: number): string => (Math.abs(seconds) < 3 ? t('as good') : wordChange(seconds));
