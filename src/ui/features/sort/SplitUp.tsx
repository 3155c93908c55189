import { useMemo } from 'react';
import { getWholeId, type Group, proposeSplit } from '../../../core/grouping/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { getGroups } from '../../state/groups.ts';
import { joinAnd } from '../../text/grammar.ts';
import { wordGroup } from '../../text/index.ts';
import { wordSplitBy } from '../../text/schools.ts';
import { BoundaryStrip } from './BoundaryStrip.tsx';
import { getSplitScale, listSplitMarks } from './measures.ts';
import { createSplit } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** Where a group that no place holds is best cut; or, where it is cut, its boundaries to move. */
export function SplitUp({ group }: { group: Group }) {
  const household = useHousehold();
  const tree = getTree(household);
  const groups = getGroups(household);
  const wholeId = getWholeId(group.id);
  const split = household.settings.splits?.find((one) => one.groupId === wholeId);
  const proposal = useMemo(
    () => (split ? null : proposeSplit(household, tree, group)),
    [split, household, tree, group],
  );
  const parts = groups.filter((one) => getWholeId(one.id) === wholeId);
  if (split) {
    const scale = getSplitScale(split.by, household.settings.units);
    return (
      <section aria-label={t('Kept in parts')} className="mt-4">
        <h3 className="font-bold">{t('Kept in parts by {splitBy}', { splitBy: wordSplitBy(split.by) })}</h3>
        <BoundaryStrip
          label={t('parts by {splitBy}', { splitBy: wordSplitBy(split.by) })}
          marks={listSplitMarks(household, parts, split.by)}
          at={split.at}
          {...scale}
          nameClass={(index, at) =>
            index === 0 ? t('up to') : t('from {format}', { format: scale.format(at[index - 1]!) })
          }
          onChange={(at) => void act((now) => createSplit(now, wholeId, split.by, at))}
        />
        <Button look="quiet" onClick={() => void act((now) => createSplit(now, wholeId, split.by, []))}>
          {t('One group again')}
        </Button>
      </section>
    );
  }
  if (!proposal)
    return (
      <p className="mt-3 text-stone">
        {t('Some of it goes into no place that takes the rest: sort it further, or by hand.')}
      </p>
    );
  const { by, at, parts: sizes, place } = proposal;
  const format = getSplitScale(by, household.settings.units).format;
  return (
    <section aria-label={t('Too large for one place')} className="mt-4">
      <h3 className="font-bold">{t('Too large for one place')}</h3>
      <p
        {...explained(
          t(
            'As few parts as fit within your fill target into the place that takes most of it, each really packed; alike in size, and cut where a boundary is easily said.',
          ),
          t('How the cuts were found'),
        )}
      >
        {t(
          'Cut by {splitBy} at {at}, it is {parts, plural, one {# part} other {# parts}} with {counts} things; each would fill a place such as {placeName} to {percent} % or less.',
          {
            splitBy: wordSplitBy(by),
            at: at.map(format).join(', '),
            parts: sizes.length,
            counts: joinAnd(sizes.map((part) => String(part.lots))),
            placeName: formatPlaceName(tree, place.id),
            percent: Math.round(Math.max(...sizes.map((part) => part.share)) * 100),
          },
        )}
      </p>
      <Button
        className="mt-2"
        onClick={() =>
          void act(
            (now) => createSplit(now, wholeId, by, at),
            t('{group} is kept in {sizes, plural, one {# part} other {# parts}}.', {
              group: wordGroup(group, household),
              sizes: sizes.length,
            }),
          )
        }
      >
        {t('Keep it in these parts')}
      </Button>
    </section>
  );
}
