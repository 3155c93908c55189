import { format } from 'date-fns';
import { useState } from 'react';
import { applyMerge, getLater, type Conflict, type MergePlan, type Side } from '../../core/merging/index.ts';
import type { EventId } from '../../core/records/index.ts';
import { formatPlaceName } from '../../core/storage/index.ts';
import { useApp, useHousehold, world } from '../state/app.ts';
import { replace } from '../state/hands.ts';
import { getTree } from '../state/derived.ts';
import { wordEvent } from '../text/index.ts';
import { Button } from './Button.tsx';
import { explained } from './explained.ts';
import { toTable } from '../../core/words/index.ts';
import { perLanguage, t } from '../language/index.ts';

const ASPECTS = perLanguage(() =>
  toTable<string>({
    '': t('whether it is there'),
    state: t('where it is'),
    homeId: t('where its home is'),
    lengthMm: t('how much there is'),
    reserved: t('what is promised of it'),
    parentId: t('where it stands'),
    learntPerMonth: t('how often it is used'),
    label: t('its label'),
  }),
);
/** More are decided by the later one, or by one press. */
const LISTED = 60;

/** Two daybooks of one household: what each has that the other has not, and what both changed, to be decided. */
export function JoinPanel({ plan, onDone }: { plan: MergePlan; onDone: () => void }) {
  const tell = useApp((state) => state.tell);
  const [sides, setSides] = useState<ReadonlyMap<string, Side>>(new Map());
  const [isJoining, setJoining] = useState(false);
  const { conflicts, mineNew, theirsNew } = plan;
  const sideOf = (conflict: Conflict) => sides.get(conflict.key) ?? getLater(conflict);
  const join = async () => {
    setJoining(true);
    const joined = applyMerge(plan, sideOf, { id: world.createId() as EventId, atMs: world.nowMs() });
    if (!joined.ok) {
      setJoining(false);
      const places = joined.fault.slice(0, 3).map(({ path }) => path);
      tell({
        tone: 'fault',
        text: t('They do not join as they are ({places}). Nothing was changed; mend it on one of the two first.', {
          places: places.join(', '),
        }),
        canUndo: false,
      });
      return;
    }
    // Photos that are here stay; those of the other device come.
    const isDone = await replace(
      { ...joined.value, photos: plan.theirs.photos ?? [] },
      t(
        'Joined {n, plural, one {# line} other {# lines}} of the other daybook. What was here before can be brought back.',
        { n: theirsNew.length },
      ),
      { from: plan.mine.events },
    );
    setJoining(false);
    if (isDone) onDone();
  };
  const all = (side: Side | null) =>
    setSides(side === null ? new Map() : new Map(conflicts.map((one) => [one.key, side] as const)));
  return (
    <section aria-label={t('Join the two daybooks')} className="mt-3 space-y-2">
      <p {...explained(t('Lines of the two daybooks, compared by what they are, not by when they were written.'))}>
        {t(
          'The same household, continued elsewhere: {theirs, plural, one {# line of its daybook is} other {# lines of its daybook are}} new here, and {mine, plural, one {# line of this one is} other {# lines of this one are}} not in the file.',
          { theirs: theirsNew.length, mine: mineNew.length },
        )}
      </p>
      {conflicts.length > 0 && (
        <>
          <p>
            {t(
              '{conflicts, plural, one {# thing} other {# things}} changed in both. Of each, the later is chosen; choose otherwise where it is not so. Whatever you choose, every line of both stays in the daybook.',
              { conflicts: conflicts.length },
            )}
          </p>
          <div className="flex flex-wrap gap-3">
            <Button look="quiet" onClick={() => all(null)}>
              {t('The later of each')}
            </Button>
            <Button look="quiet" onClick={() => all('mine')}>
              {t('All as it is here')}
            </Button>
            <Button look="quiet" onClick={() => all('theirs')}>
              {t('All as in the file')}
            </Button>
          </div>
          <ul aria-label={t('Changed in both')} className="max-h-96 overflow-y-auto">
            {conflicts.slice(0, LISTED).map((conflict) => (
              <ConflictLine
                key={conflict.key}
                plan={plan}
                conflict={conflict}
                side={sideOf(conflict)}
                onChoose={(side) => setSides(new Map(sides).set(conflict.key, side))}
              />
            ))}
          </ul>
          {conflicts.length > LISTED && (
            <p className="text-stone" {...explained(t('Counted; they are decided as the buttons above say.'))}>
              {t('and {listed} more, decided likewise.', { listed: conflicts.length - LISTED })}
            </p>
          )}
        </>
      )}
      <Button look="strong" disabled={isJoining} onClick={() => void join()}>
        {isJoining ? t('Joining …') : t('Join both')}
      </Button>
    </section>
  );
}

function ConflictLine({
  plan,
  conflict,
  side,
  onChoose,
}: {
  plan: MergePlan;
  conflict: Conflict;
  side: Side;
  onChoose: (side: Side) => void;
}) {
  const household = useHousehold();
  const { units } = household.settings;
  const { table, id, aspect, mine, theirs } = conflict;
  const itemOf = (lotId: string) =>
    [household, plan.theirs.household]
      .map((one) => one.items.get(one.lots.get(lotId as never)?.itemId as never)?.name)
      .find(Boolean);
  const name =
    table === 'lots'
      ? (itemOf(id) ?? theirs.subject)
      : table === 'places'
        ? formatPlaceName(getTree(household), id as never) || theirs.subject
        : table === 'items'
          ? (household.items.get(id as never)?.name ?? theirs.subject)
          : theirs.subject;
  const ways = [
    ['mine', t('Here'), mine],
    ['theirs', t('In the file'), theirs],
  ] as const;
  return (
    <li className="dotted-row py-1.5">
      <fieldset>
        <legend className="font-semibold">
          {name} <span className="font-normal text-stone">{ASPECTS()[aspect] ?? t('what it says')}</span>
        </legend>
        {ways.map(([which, words, event]) => (
          <label key={which} className="flex min-h-11 items-center gap-2 md:min-h-8">
            <input
              type="radio"
              name={conflict.key}
              className="size-4 accent-woad"
              checked={side === which}
              onChange={() => onChoose(which)}
            />
            <span {...explained(t('The last line of that daybook that has to do with it.'))}>
              {words}: {event ? `${wordEvent(event, units)}, ${format(event.atMs, t('d MMM HH:mm'))}` : t('as it was')}
            </span>
          </label>
        ))}
      </fieldset>
    </li>
  );
}
