import type { LotId } from '../../../../core/records/index.ts';
import { Button } from '../../../components/Button.tsx';
import { Unanswered } from '../../../components/Unanswered.tsx';
import { useHousehold } from '../../../state/app.ts';
import { getGroups } from '../../../state/groups.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { useAnswer } from '../../../state/useAnswer.ts';
import { wordGroup } from '../../../text/index.ts';
import { t } from '../../../language/index.ts';

/** Over a wall that shows where a thing could go: what is said of the place one points at. */
export function LotBar({ lotId }: { lotId: LotId }) {
  const household = useHousehold();
  const { answer: verdicts, again } = useAnswer(household, 'verdicts', lotId);
  const name = household.items.get(household.lots.get(lotId)?.itemId ?? ('' as never))?.name ?? '';
  return <Bar name={name} verdicts={verdicts} again={again} />;
}

export function GroupBar({ groupId }: { groupId: string }) {
  const household = useHousehold();
  const { answer: verdicts, again } = useAnswer(household, 'groupVerdicts', groupId);
  const group = getGroups(household).find((one) => one.id === groupId);
  return (
    <Bar
      name={group ? t('all of {group}', { group: wordGroup(group, household) }) : ''}
      verdicts={verdicts}
      again={again}
    />
  );
}

interface BarProps {
  readonly name: string;
  readonly verdicts: readonly { readonly isGood: boolean }[] | null;
  readonly again: (() => void) | null;
}

function Bar({ name, verdicts, again }: BarProps) {
  const { words, isGood } = useRebuild();
  const count = verdicts?.filter((verdict) => verdict.isGood).length ?? 0;
  const hint = verdicts
    ? t('{count} of {verdicts} places take {name}. Point at one, drag it there, or Tab to it and press Enter.', {
        count,
        verdicts: verdicts.length,
        name,
      })
    : t('Trying every place for {name}…', { name });
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 border-b border-thread bg-linen px-5 py-1.5">
      <p
        role="status"
        className={`text-[15px] ${words === '' ? 'text-stone' : isGood ? 'font-semibold' : 'font-semibold text-madder'}`}
      >
        {words === '' ? hint : words}
      </p>
      <Unanswered again={again} />
      <Button
        look="quiet"
        data-key="escape"
        onClick={() => useRebuild.setState({ lotId: null, groupId: null, words: '', isGood: true })}
      >
        {t('Leave it where it is')}
      </Button>
    </div>
  );
}
