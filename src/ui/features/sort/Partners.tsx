import { useMemo } from 'react';
import { type Group, proposePartners } from '../../../core/grouping/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { explained } from '../../components/explained.ts';
import { WishButton } from '../../components/WishButton.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { getGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { wordKeeper } from '../../text/keepers.ts';
import { t } from '../../language/index.ts';

/** With what a group could share a place that it does not fill, and what keeps the two apart there. */
export function Partners({ group }: { group: Group }) {
  const household = useHousehold();
  const tree = getTree(household);
  const groups = getGroups(household);
  const partners = useMemo(() => proposePartners(household, tree, groups, group), [household, tree, groups, group]);
  return (
    <section aria-label={t('A place to share')} className="mt-4">
      <h3
        className="font-bold"
        {...explained(
          t(
            'Groups of the same kind first, the nearest in sorting before others, then those used at the same station. Every place was tried as if it were empty, the smallest first, within your fill target and with real packing.',
          ),
          t('How these were chosen'),
        )}
      >
        {t('Too small for a place of its own')}
      </h3>
      {partners.length === 0 && <p className="text-stone">{t('No group near it would fit into one place with it.')}</p>}
      <ul>
        {partners.map(({ group: other, holder, keeper }) => (
          <li key={other.id} className="dotted-row py-1.5">
            <p
              {...explained(
                t(
                  'The share of that place which both would take were it empty; the divider is as deep and high as the row, the bag a third larger than what is in it.',
                ),
                t('How full it would be'),
              )}
            >
              {t('With')} <strong>{wordGroup(other, household)}</strong>
              {t(': {placeName} would take both, {share} % full, {keeper}.', {
                placeName: formatPlaceName(tree, holder.place.id),
                share: Math.round(holder.share * 100),
                keeper: wordKeeper(keeper, household.settings.units),
              })}
            </p>
            <WishButton wish={{ kind: 'together', groupIds: [group.id, other.id] }}>
              {t('Plans keep the two together')}
            </WishButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
