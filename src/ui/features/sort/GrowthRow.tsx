import { createGrow } from '../../../core/acts/index.ts';
import { getWholeId, type Group } from '../../../core/grouping/index.ts';
import { computeGrowth } from '../../../core/learning/index.ts';
import { Row } from '../../components/fields.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { world } from '../../state/world.ts';
import { wordGroup } from '../../text/index.ts';
import { useMemo } from 'react';
import { perLanguage, t } from '../../language/index.ts';

const CHOICES = perLanguage((): readonly (readonly [number, string])[] => [
  [0, t('not at all')],
  [0.1, t('a little: 10 % a year')],
  [0.25, t('25 % a year')],
  [0.5, t('50 % a year')],
  [1, t('doubles in a year')],
]);

const wordGrowth = (perYear: number) =>
  perYear === 0 ? t('no') : t('{perYear} % a year', { perYear: Math.round(100 * perYear) });

/** How fast a group grows, as the daybook shows or as one says: plans leave room for half a year of it. */
export function GrowthRow({ group }: { group: Group }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const id = getWholeId(group.id);
  const shown = useMemo(
    () => computeGrowth(events, household, world.nowMs()).find(({ groupId }) => groupId === id)?.perYear ?? 0,
    [events, household, id],
  );
  const said = household.settings.growth?.find(({ groupId, isSaid }) => groupId === id && isSaid);
  return (
    <Row
      name={t('Grows')}
      how={t(
        'What was received less what was cut, used up and let go in the last year, in things; the weeks in which the stash was written down do not count, and small groups and young daybooks are believed less. Plans leave room for half a year of it.',
      )}
    >
      <select
        aria-label={t('How fast {group} grows', { group: wordGroup(group, household) })}
        className="field-sizing-content h-11 max-w-50 rounded text-sm font-normal border border-thread bg-paper px-1 text-ink md:h-8"
        value={said?.perYear ?? ''}
        onChange={({ target: { value } }) =>
          void act((now) => createGrow(now, id, value === '' ? null : Number(value)), t('Kept for the next plan.'))
        }
      >
        <option value="">{t('by the daybook: {growth}', { growth: wordGrowth(shown) })}</option>
        {said && !CHOICES().some(([perYear]) => perYear === said.perYear) && (
          <option value={said.perYear}>{wordGrowth(said.perYear)}</option>
        )}
        {CHOICES().map(([perYear, words]) => (
          <option key={perYear} value={perYear}>
            {words}
          </option>
        ))}
      </select>
    </Row>
  );
}
