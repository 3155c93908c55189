import { useMemo } from 'react';
import { computeNeeds, type Group } from '../../../core/grouping/index.ts';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { explainNeeds } from '../../text/needs.ts';

/** The room that a group takes, at the end of its heading. */
export function GroupNeed({ group }: { group: Group }) {
  const household = useHousehold();
  const needs = useMemo(() => computeNeeds(group, household), [group, household]);
  const [need] = explainNeeds(needs, household.settings.units);
  if (!need) return null;
  return (
    <span className="ml-auto hidden truncate text-sm text-stone md:inline" {...explained(need.how)}>
      {need.words}
    </span>
  );
}
