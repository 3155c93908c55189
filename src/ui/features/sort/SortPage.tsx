import { useCallback, useMemo, useState } from 'react';
import { getWholeId, type Group, findSmallestHolder } from '../../../core/grouping/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { NeedsFirst } from '../../components/NeedsFirst.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { GroupTicket } from './GroupTicket.tsx';
import { KindSection } from './KindSection.tsx';
import { t } from '../../language/index.ts';

/** So many lots are tried in all places while one looks on. */
const MOST_TRIED = 4000;
const MOST_NAMED = 3;

/** Each kind sorted by a school of one's own, with what every group holds and the room it needs. */
export function SortPage() {
  const household = useHousehold();
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const [groupId, setGroupId] = useState<string | null>(null);
  const groups = useGroups(household);
  // Cut up or made one again, the group at hand is its first part, or the whole.
  const chosen =
    groups.find((group) => group.id === groupId) ??
    groups.find((group) => groupId !== null && getWholeId(group.id) === getWholeId(groupId));
  const choose = useCallback(
    (group: Group) => {
      show(null);
      setGroupId(group.id);
    },
    [show],
  );
  const byKind = useMemo(() => {
    const of = (kind: Kind) => groups.filter((group) => group.kind === kind);
    return KINDS.map((kind) => ({ kind, groups: of(kind) })).filter((one) => one.groups.length > 0);
  }, [groups]);
  const small = groups.filter((group) => group.lots.length <= 2).length;
  const tree = getTree(household);
  // In a very large household each group's ticket tells it.
  const large = useMemo(
    () =>
      household.lots.size > MOST_TRIED
        ? []
        : groups.filter((group) => findSmallestHolder(household, tree, group.lots) === null),
    [household, tree, groups],
  );
  return (
    <Page
      title={t('Sort')}
      asideLabel={ticket ? t('Ticket') : t('Group')}
      aside={
        ticket ? (
          <>
            {chosen && (
              <Button look="quiet" onClick={() => show(null)}>
                {t('← Back to {group}', { group: wordGroup(chosen, household) })}
              </Button>
            )}
            <TicketPane hint="" />
          </>
        ) : chosen ? (
          <GroupTicket group={chosen} />
        ) : (
          <p className="text-stone">{t('Choose a group to see what is in it, in the order it would stand.')}</p>
        )
      }
      foot={
        <>
          <Figure
            value={String(groups.length)}
            label={t('groups')}
            how={t('As each kind is sorted now; press a group, and each of its figures says how it was made.')}
          />
          <Figure
            value={String(small)}
            label={t('of one or two, too small for a place of their own')}
            how={t(
              'Groups with no more than two things. What a group needs adds up its things in each form they all allow: spines or rolls side by side, piles on top of each other, or litres with the air that stays between (three quarters of a bin for soft goods, five eighths for hard ones).',
            )}
          />
          {large.length > 0 && (
            <Figure
              value={String(large.length)}
              label={t('too large for any one place: {groups}', {
                groups: large
                  .slice(0, MOST_NAMED)
                  .map((group) => wordGroup(group, household))
                  .concat(large.length > MOST_NAMED ? ['…'] : [])
                  .join(', '),
              })}
              how={t(
                'Groups that no place of the household takes whole, even empty, with real packing; the ticket of each says where to cut it.',
              )}
            />
          )}
        </>
      }
    >
      <div className="min-h-0 flex-1 px-4 pb-4 md:overflow-y-auto md:px-5">
        <NeedsFirst says={t('There is nothing to sort yet.')} needs="things" />
        {useGrown(byKind, 1).map(({ kind, groups: ofKind }) => (
          <KindSection
            key={kind}
            kind={kind}
            groups={ofKind}
            chosenId={chosen?.kind === kind ? chosen.id : null}
            onChoose={choose}
          />
        ))}
      </div>
    </Page>
  );
}
