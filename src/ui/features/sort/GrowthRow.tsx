import { createGrow } from '../../../core/acts/index.ts';
import { getWholeId, type Group } from '../../../core/grouping/index.ts';
import { computeGrowth } from '../../../core/learning/index.ts';
import { Row } from '../../components/fields.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { world } from '../../state/world.ts';
import { wordGroup } from '../../text/index.ts';
import { useMemo } from 'react';

const CHOICES: readonly (readonly [number, string])[] = [
  [0, 'not at all'],
  [0.1, 'a little: 10 % a year'],
  [0.25, '25 % a year'],
  [0.5, '50 % a year'],
  [1, 'doubles in a year'],
];

const wordGrowth = (perYear: number) => (perYear === 0 ? 'no' : `${Math.round(100 * perYear)} % a year`);

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
      name="Grows"
      how="What was received less what was cut, used up and let go in the last year, in things; the weeks in which the stash was written down do not count, and small groups and young daybooks are believed less. Plans leave room for half a year of it."
    >
      <select
        aria-label={`How fast ${wordGroup(group, household)} grows`}
        className="h-11 w-44 rounded border border-thread bg-paper px-1 text-ink md:h-8"
        value={said?.perYear ?? ''}
        onChange={({ target: { value } }) =>
          void act((now) => createGrow(now, id, value === '' ? null : Number(value)), 'Kept for the next plan.')
        }
      >
        <option value="">by the daybook: {wordGrowth(shown)}</option>
        {said && !CHOICES.some(([perYear]) => perYear === said.perYear) && (
          <option value={said.perYear}>{wordGrowth(said.perYear)}</option>
        )}
        {CHOICES.map(([perYear, words]) => (
          <option key={perYear} value={perYear}>
            {words}
          </option>
        ))}
      </select>
    </Row>
  );
}
