import { memo, useMemo, useState } from 'react';
import type { Group } from '../../../core/grouping/index.ts';
import type { Household, LotId, Stowage } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { explained } from '../../components/explained.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { paintBands } from '../../drawing/bands.ts';
import { useOpen } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordGroup } from '../../text/index.ts';
import { Beside } from './Beside.tsx';
import { Piece } from './Piece.tsx';
import type { Disagreement } from './disagreement.ts';
import { wordOddity, type OddityNames } from '../../text/oddities.ts';
import type { ByGroup, Oddity, WayOut } from '../../../workers/protocol.ts';
import { perLanguage, t } from '../../language/index.ts';

interface GroupListProps {
  /** As it is planned, or as it is today. */
  readonly household: Household;
  /** Null: today. */
  readonly plan: Stowage | null;
  /** As it is today, whatever is planned. */
  readonly today: Household;
  readonly disagree: Disagreement | null;
  /** It was mended for what was just refused: the keys go on from its top. */
  readonly isMended: boolean;
}

const HOW = perLanguage(() =>
  t(
    'The way to each thing of the group and back, looking for it and looking in the wrong place first, for as often as it is used; all groups together make the minutes of the plan.',
  ),
);

const HOW_FULL = perLanguage(() =>
  t('What all that lies there takes of the place, by the measure that it is filled by.'),
);
const HOW_CHANGE = perLanguage(() =>
  t('Things of the group that the plan has in another place than they are in today.'),
);
const HOW_ODD = perLanguage(() =>
  t(
    'Strangers that share a place, groups in more than two pieces of furniture, places fuller than they should be, small things loose on open shelves and things on tables; what costs most comes first.',
  ),
);
const HOW_OUT = perLanguage(() =>
  t(
    'What would change if all of the group went into the cheapest place that takes it, all that counts, with everything else left.',
  ),
);

/** How many lots of each group the plan brings to another place. */
function countComing(groups: readonly Group[], plan: Stowage, today: Household): Map<string, number> {
  const groupOf = new Map<LotId, string>();
  for (const group of groups) for (const lot of group.lots) groupOf.set(lot.id, group.id);
  const coming = new Map<string, number>();
  for (const { lotId, placeId } of plan.assignments) {
    const id = groupOf.get(lotId);
    if (id === undefined || today.lots.get(lotId)?.placeId === placeId) continue;
    coming.set(id, (coming.get(id) ?? 0) + 1);
  }
  return coming;
}

/** A way out that costs more a month is told, and not offered. */
const WORTH_DOING_SECONDS = 60;

/** So many are read at once. */
const MOST_READ = 6;

const takeFocus = (heading: HTMLHeadingElement | null) => heading?.focus();

/** What is odd, the dearest first. */
interface OdditiesProps extends Pick<GroupListProps, 'isMended' | 'disagree'> {
  readonly oddities: readonly Oddity[];
  readonly names: OddityNames;
}

function Oddities({ oddities, names, isMended, disagree }: OdditiesProps) {
  const [isAll, setAll] = useState(false);
  const more = oddities.length - MOST_READ;
  return (
    <section aria-label={t('To look at')} className="mt-3">
      <h2
        ref={isMended ? takeFocus : undefined}
        tabIndex={-1}
        className="font-display text-lg font-semibold"
        {...explained(HOW_ODD())}
      >
        {oddities.length === 0
          ? t('Nothing odd in it')
          : t('{oddities, plural, one {# thing} other {# things}} to look at', { oddities: oddities.length })}
      </h2>
      <ul>
        {(isAll ? oddities : oddities.slice(0, MOST_READ)).map((oddity, i) => {
          const { what, out } = wordOddity(oddity, names);
          return (
            <li key={i} className="my-1 border-l-4 border-weld bg-linen px-3 py-1.5" {...explained(HOW_OUT())}>
              {what} <span className="text-stone">{out}</span>{' '}
              {disagree && 'out' in oddity && oddity.out && oddity.out.moreSeconds <= WORTH_DOING_SECONDS && (
                <WayOutButton out={oddity.out} names={names} disagree={disagree} />
              )}
            </li>
          );
        })}
      </ul>
      {more > 0 && !isAll && (
        <Button look="quiet" onClick={() => setAll(true)} {...explained(HOW_ODD())}>
          {t('{more} more', { more })}
        </Button>
      )}
    </section>
  );
}

interface WayOutButtonProps {
  readonly out: WayOut;
  readonly names: OddityNames;
  readonly disagree: Disagreement;
}

function WayOutButton({ out, names: { household, groups, namePlace }, disagree }: WayOutButtonProps) {
  const group = groups.get(out.groupId);
  if (!group) return null;
  const words = t('{group}: to {place}.', {
    group: wordGroup(group, household),
    place: namePlace(out.placeId),
  });
  return (
    <Button look="quiet" aria-label={t('Do that. {words}', { words })} onClick={() => disagree.send(out, words, null)}>
      {t('Do that')}
    </Button>
  );
}

/** So many places of a group are named at once. */
const MOST_HOMES = 8;

interface GroupRowProps {
  readonly of: ByGroup['groups'][number];
  readonly names: OddityNames;
  /** How many of it come from elsewhere; null where nothing is planned. */
  readonly comes: number | null;
  readonly disagree: Disagreement | null;
}

/** A group: its homes and how full they are, what is beside it, what changes, and its minutes. */
const GroupRow = memo(function GroupRow({
  of: { groupId, homes, beside, seconds, homeless },
  names,
  comes,
  disagree,
}: GroupRowProps) {
  const open = useOpen();
  const [isAll, setAll] = useState(false);
  const { household, groups, namePlace } = names;
  const group = groups.get(groupId)!;
  const name = wordGroup(group, household);
  const count = group.lots.length;
  const others = beside.flatMap(({ groupId: id, kinship }) => {
    const other = groups.get(id);
    return other ? [{ group: other, kinship }] : [];
  });
  return (
    <li className="dotted-row mb-2 min-w-0 pb-2 [contain-intrinsic-size:auto_110px] [content-visibility:auto]">
      <div className="flex items-baseline gap-x-2">
        <h3 data-name className="font-bold">
          {name}
        </h3>
        <span className="text-sm text-stone" {...explained(t('Things of this group.'))}>
          {count}
        </span>
        <span aria-hidden className="h-3 min-w-8 flex-1" style={{ background: paintBands(group, household) }} />
        <span className="tabular" {...explained(HOW())}>
          {formatMinutes(seconds)}
        </span>
      </div>
      <ul className={disagree ? '' : 'flex flex-wrap gap-x-3'}>
        {(isAll ? homes : homes.slice(0, MOST_HOMES)).map(({ placeId, count: there, fill }) => (
          <li key={placeId} className="flex flex-wrap items-baseline gap-x-1.5">
            <button
              type="button"
              className="min-h-11 text-left text-woad underline underline-offset-2 md:min-h-7"
              onClick={() => open({ type: 'place', id: placeId })}
            >
              {namePlace(placeId)}
            </button>
            {homes.length > 1 && <span {...explained(t('Things of the group that are there.'))}>{there}</span>}
            <span className="text-sm text-stone" {...explained(HOW_FULL())}>
              {t('{fill} % full', { fill: Math.round(100 * fill) })}
            </span>
            {disagree && <Piece {...{ household, groupId, placeId, disagree }} />}
          </li>
        ))}
        {homes.length > MOST_HOMES && !isAll && (
          <li>
            <Button look="quiet" onClick={() => setAll(true)} {...explained(t('Other places of the group.'))}>
              {t('{count} more', { count: homes.length - MOST_HOMES })}
            </Button>
          </li>
        )}
      </ul>
      <p className="text-sm text-stone" {...explained(HOW_CHANGE())}>
        <Beside {...{ household, group, others, disagree }} />
        {homeless > 0 && t('{homeless, plural, one {# thing} other {# things}} without a home. ', { homeless })}
        {comes !== null && (comes === 0 ? t('Stays as it is.') : t('{comes} of {count} to bring.', { comes, count }))}
      </p>
    </li>
  );
});

/** So many groups are drawn at once. */
const GROWS = 6;

export const GoingThrough = () => <p className="p-5 text-stone">{t('Going through it group by group …')}</p>;

/** An arrangement as one thinks of it: what is odd about it, then every group. */
export function GroupList({ household, plan, today, disagree, isMended }: GroupListProps) {
  const { answer: told, again } = useAnswer(household, 'byGroup', null);
  const all = useGroups(household);
  const coming = useMemo(() => (plan ? countComing(all, plan, today) : null), [all, plan, today]);
  const names = useMemo((): OddityNames => {
    const tree = getTree(household);
    return {
      household,
      groups: new Map(all.map((group) => [group.id, group])),
      namePlace: (id) => formatPlaceName(tree, id),
      isPlan: plan !== null,
    };
  }, [household, plan, all]);
  // What was told of the household before stands there until it is gone through anew.
  const groups = useMemo(() => told?.groups.filter(({ groupId }) => names.groups.has(groupId)) ?? [], [told, names]);
  const shown = useGrown(groups, GROWS);
  if (again) return <Unanswered again={again} />;
  if (!told) return <GoingThrough />;
  return (
    <div className="min-h-0 flex-1 px-4 pb-6 md:overflow-y-auto md:px-5">
      <Oddities oddities={told.oddities} {...{ names, isMended, disagree }} />
      <ul aria-label={t('By groups')} className="mt-4 grid gap-x-8 lg:grid-cols-2">
        {shown.map((one) => (
          <GroupRow
            key={one.groupId}
            of={one}
            names={names}
            comes={coming && (coming.get(one.groupId) ?? 0)}
            disagree={disagree}
          />
        ))}
      </ul>
    </div>
  );
}
