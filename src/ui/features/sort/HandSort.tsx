import { useState } from 'react';
import type { Group } from '../../../core/grouping/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { createPick } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

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
    const lots = t('{n, plural, one {# thing} other {# things}}', { n: picked.size });
    const told = into
      ? t('{lots} put with {group}.', { lots, group: wordGroup(into, household) })
      : t('{lots} sorted by the rule again.', { lots });
    if (await act((now) => createPick(now, [...picked], into?.id ?? null), told)) onDone();
  };
  return (
    <section aria-label={t('Sort by hand')} className="mt-2 space-y-2 border-l-4 border-woad bg-linen p-3">
      <p>{t('Tick what belongs elsewhere; it stays where you put it, whatever the rule says.')}</p>
      <SelectField label={t('Put it with')} value={groupId} onChange={(event) => setGroupId(event.target.value)}>
        <option value="">{t('choose a group')}</option>
        {others.map((one) => (
          <option key={one.id} value={one.id}>
            {wordGroup(one, household)}
          </option>
        ))}
      </SelectField>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={picked.size === 0 || !target} onClick={() => void put(target!)}>
          {t('Put {picked, plural, one {# thing} other {# things}} there', { picked: picked.size })}
        </Button>
        {[...picked].some((id) => byHand.has(id)) && (
          <Button onClick={() => void put(null)}>{t('Back to the rule')}</Button>
        )}
        <Button look="quiet" onClick={onDone}>
          {t('Leave it')}
        </Button>
      </div>
    </section>
  );
}
