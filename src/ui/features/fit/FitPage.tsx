import { Suspense, useDeferredValue, useMemo, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { getLacking, NeedsFirst } from '../../components/NeedsFirst.tsx';
import { Page, tabClass } from '../../components/Page.tsx';
import { useIsPhone } from '../../components/phone.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { LookedTicket } from '../ticket/shown/LookedTicket.tsx';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { useFitRun } from './fitRun.ts';
import { GoingThrough, GroupList } from './GroupList.tsx';
import { KeptPlans } from './KeptPlans.tsx';
import { MoveList } from './MoveList.tsx';
import { PlanTicket } from './PlanTicket.tsx';
import { PlanWall } from './PlanWall.tsx';
import { listMoves } from './planMoves.ts';
import { UnplacedList } from './UnplacedList.tsx';
import { LookedPieces } from './LookedPieces.tsx';
import { useDisagreement } from './useDisagreement.ts';
import { listKept } from '../../../core/acts/index.ts';
import { Preview } from '../../components/Preview.tsx';
import { previewPlan, withCure } from '../../../core/suppose/index.ts';
import { perLanguage, t } from '../../language/index.ts';

/** The plan hangs beside all the others; on a phone it is the first of them. */
type Tab = 'plan' | 'groups' | 'wall' | 'moves' | 'unplaced' | 'kept';

const HOW_TAB = perLanguage((): Record<Tab, string> => ({
  plan: t('What it takes a month, and what a plan saves.'),
  groups: t('Every group with its homes, and what is odd about them.'),
  wall: t('The room, wall by wall, drawn to scale.'),
  moves: t('Things that the plan has in another place, or kept in another way, than they are today.'),
  unplaced: t('Things that take room and have no place of their own.'),
  kept: t('Plans that were kept beside each other.'),
}));

function Tabs({
  tabs,
  chosen,
  onChoose,
}: {
  tabs: readonly (readonly [Tab, string])[];
  chosen: Tab;
  onChoose: (tab: Tab) => void;
}) {
  return (
    <ul className="flex gap-1">
      {tabs.map(([id, name]) => (
        <li key={id}>
          <button
            type="button"
            aria-pressed={id === chosen}
            className={tabClass(id === chosen)}
            {...explained(HOW_TAB()[id])}
            onClick={() => onChoose(id)}
          >
            {name}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Finds a plan while one watches, shows it beside today, and adopts it. */
export function FitPage() {
  const isLacking = getLacking(useHousehold()) !== null;
  if (!isLacking) return <Fitting />;
  return (
    <Page title={t('Fit')}>
      <NeedsFirst says={t('There is nothing to plan yet.')} needs="both" />
    </Page>
  );
}

/** As much of a search as is shown beside its ticket. */
const toShown = ({ plan, bestSoFar, supposed, household, status, asked }: ReturnType<typeof useFitRun.getState>) => ({
  plan,
  bestSoFar,
  supposed: supposed === null ? null : household,
  isRunning: status === 'running',
  isMended: asked !== null,
});

function Fitting() {
  const real = useHousehold();
  // A plan of a large household is drawn in slices.
  const { plan, bestSoFar, supposed, isRunning, isMended } = useDeferredValue(useFitRun(useShallow(toShown)));
  const household = supposed ?? real;
  const startSupposed = useFitRun((state) => state.startSupposed);
  const disagree = useDisagreement();
  const ticket = useApp((state) => state.ticket);
  const looked = useApp((state) => state.looked);
  const show = useApp((state) => state.show);
  const look = useApp((state) => state.look);
  const isPhone = useIsPhone();
  const [chosen, setChosen] = useState<Tab>('plan');
  const tab = chosen === 'plan' && !isPhone ? 'groups' : chosen;
  const [isToday, setToday] = useState(false);
  // While it searches, the best so far is drawn.
  const drawn = plan ?? bestSoFar;
  const planned = useMemo(() => (drawn ? previewPlan(household, drawn) : null), [household, drawn]);
  const plannedTree = getTree(planned ?? household);
  const arrivals = useMemo(() => (plan ? listMoves(household, plannedTree, plan) : []), [household, plannedTree, plan]);
  const bins = plan?.bins ?? [];
  const moves = arrivals.reduce((sum, one) => sum + one.moves.length, bins.length);
  const shown = isToday ? null : planned;
  /** What is only looked at; null where today is shown as it is. */
  const seen = shown ?? supposed;
  const isOpen = ticket !== null || looked !== null;
  const turn = () => {
    setToday(!isToday);
    // What was chosen stays chosen: of the plan it is only looked at, of today it is the thing itself.
    if (looked && !isToday && supposed === null) show(looked);
    else if (isToday && (ticket?.type === 'lot' || ticket?.type === 'place')) look(ticket);
  };

  const tabs: readonly [Tab, string][] = [
    ...(isPhone ? [['plan', t('Plan')] as [Tab, string]] : []),
    ['groups', t('By groups')],
    ['wall', plan ? t('The plan on the wall') : bestSoFar ? t('The best so far') : t('Today on the wall')],
    ['moves', `${t('What moves')}${plan ? ` ${moves}` : ''}`],
    ['unplaced', `${t('Without a home')}${plan ? ` ${plan.unplaced.length}` : ''}`],
    ['kept', t('Kept {listKept}', { listKept: listKept(real).length })],
  ];
  return (
    <Page
      title={t('Fit')}
      tabs={<Tabs tabs={tabs} chosen={tab} onChoose={setChosen} />}
      asideLabel={isOpen ? t('Ticket') : t('Plan')}
      aside={
        (isOpen || !isPhone) && (
          <>
            {isOpen && (
              <Button look="quiet" className="mb-2" onClick={() => show(null)}>
                {t('← Back to the plan')}
              </Button>
            )}
            {ticket && <TicketPane hint="" />}
            {looked && (
              <Preview of={seen}>
                <LookedTicket looked={looked}>
                  {shown && disagree && <LookedPieces looked={looked} household={shown} disagree={disagree} />}
                </LookedTicket>
              </Preview>
            )}
            {/* Under a thing's ticket it still hears its keys. */}
            {!isPhone && (
              <div hidden={isOpen}>
                <PlanTicket moves={moves} />
              </div>
            )}
          </>
        )
      }
    >
      {tab === 'plan' && (
        <div className="bg-paper p-5">
          <PlanTicket moves={moves} />
        </div>
      )}
      {tab === 'groups' && !isRunning && (
        <Preview of={seen}>
          <Suspense fallback={<GoingThrough />}>
            <GroupList
              household={shown ?? household}
              today={household}
              plan={plan}
              isMended={isMended}
              disagree={shown && disagree}
            />
          </Suspense>
        </Preview>
      )}
      {(tab === 'wall' || (tab === 'groups' && isRunning)) && (
        <Preview of={seen}>
          <PlanWall
            household={shown ?? household}
            state={shown === null ? 'today' : plan === null ? 'best' : 'plan'}
            disagree={shown && disagree}
          >
            {plan && (
              <Button look="quiet" data-key="v" aria-pressed={isToday} onClick={turn}>
                {isToday ? t('Show the plan') : t('Show today')} <kbd className="font-normal">V</kbd>
              </Button>
            )}
          </PlanWall>
        </Preview>
      )}
      {tab === 'moves' &&
        (plan ? (
          <Preview of={supposed}>
            <MoveList arrivals={arrivals} bins={bins} planned={plannedTree} />
          </Preview>
        ) : (
          <p className="p-5 text-stone">{t('Find a plan first: then it says here what you would carry.')}</p>
        ))}
      {tab === 'unplaced' && (
        <Preview of={supposed}>
          <UnplacedList
            plan={plan}
            onTry={supposed === null ? (cure, words) => startSupposed(withCure(real, cure), words) : null}
          />
        </Preview>
      )}
      {tab === 'kept' && <KeptPlans />}
    </Page>
  );
}
