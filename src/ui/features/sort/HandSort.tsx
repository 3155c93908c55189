import { useState } from 'react';
import type { Group } from '../../../core/grouping/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getGroups } from '../../state/groups.ts';
import { wordCount, wordGroup } from '../../text/index.ts';
import { createPick } from '../../../core/acts/index.ts';

interface HandSortProps {
  readonly group: Group;
  readonly picked: ReadonlySet<LotId>;
  readonly onDone: () => void;
}

/** Puts what is ticked into another group, whatever the rule says, or leaves it to the rule again. */
export function HandSort({ group, picked, onDone }: HandSortProps) {
  const household = useHousehold();
  const [groupId, setGroupId] = useState('');
  // Those of the same kind first: a scrap or a tool may go with any of them.
  const others = getGroups(household)
    .filter((one) => one.id !== group.id)
    .toSorted((a, b) => Number(b.kind === group.kind) - Number(a.kind === group.kind));
  const target = others.find((one) => one.id === groupId);
  const byHand = new Set(household.settings.handPicks?.map((pick) => pick.lotId));
  const put = async (into: Group | null) => {
    const lots = wordCount(picked.size, 'thing');
    const told = into ? `${lots} put with ${wordGroup(into, household)}.` : `${lots} sorted by the rule again.`;
    if (await act((now) => createPick(now, [...picked], into?.id ?? null), told)) onDone();
  };
  return (
    <section aria-label="Sort by hand" className="mt-2 space-y-2 border-l-4 border-woad bg-linen p-3">
      <p>Tick what belongs elsewhere; it stays where you put it, whatever the rule says.</p>
      <SelectField label="Put it with" value={groupId} onChange={(event) => setGroupId(event.target.value)}>
        <option value="">choose a group</option>
        {others.map((one) => (
          <option key={one.id} value={one.id}>
            {wordGroup(one, household)}
          </option>
        ))}
      </SelectField>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={picked.size === 0 || !target} onClick={() => void put(target!)}>
          {`Put ${wordCount(picked.size, 'thing')} there`}
        </Button>
        {[...picked].some((id) => byHand.has(id)) && <Button onClick={() => void put(null)}>Back to the rule</Button>}
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </section>
  );
}
