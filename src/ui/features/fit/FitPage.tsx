import { useMemo, useState, type ReactNode } from 'react';
import { computeWallDrawing } from '../../../core/drawing/index.ts';
import type { Household } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { Page, tabClass } from '../../components/Page.tsx';
import { WallView } from '../../drawing/WallView.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { findWallOrMain, getTree, getWalls } from '../../state/derived.ts';
import { explained } from '../../components/explained.ts';
import { wordCount } from '../../text/index.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { useFitRun } from './fitRun.ts';
import { KeptPlans } from './KeptPlans.tsx';
import { MoveList } from './MoveList.tsx';
import { PlanTicket } from './PlanTicket.tsx';
import { listMoves } from './planMoves.ts';
import { UnplacedList } from './UnplacedList.tsx';
import { listKept } from '../../../core/acts/index.ts';
import { Preview } from '../../components/Preview.tsx';
import { previewPlan } from '../../../core/suppose/index.ts';

type Tab = 'wall' | 'moves' | 'unplaced' | 'kept';

/** Finds a plan while one watches, shows it beside today, and adopts it. */
export function FitPage() {
  const real = useHousehold();
  const plan = useFitRun((state) => state.plan);
  const bestSoFar = useFitRun((state) => state.bestSoFar);
  const supposed = useFitRun((state) => (state.supposed === null ? null : state.household));
  const household = supposed ?? real;
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const [tab, setTab] = useState<Tab>('wall');
  const [isToday, setToday] = useState(false);
  const tree = getTree(household);
  const arrivals = useMemo(() => (plan ? listMoves(household, tree, plan) : []), [household, tree, plan]);
  const moves = arrivals.reduce((sum, one) => sum + one.moves.length, 0);
  // While it searches, the best so far is drawn.
  const drawn = plan ?? bestSoFar;
  const planned = useMemo(() => (drawn ? previewPlan(household, drawn) : null), [household, drawn]);
  const shown = isToday ? null : planned;

  const tabs: readonly [Tab, string][] = [
    ['wall', plan ? 'The plan on the wall' : bestSoFar ? 'The best so far' : 'Today on the wall'],
    ['moves', `What moves${plan ? ` ${moves}` : ''}`],
    ['unplaced', `Without a home${plan ? ` ${plan.unplaced.length}` : ''}`],
    ['kept', `Kept ${listKept(real).length}`],
  ];
  return (
    <Page
      title="Fit"
      tabs={
        <ul className="flex gap-1">
          {tabs.map(([id, name]) => (
            <li key={id}>
              <button
                type="button"
                aria-pressed={id === tab}
                className={tabClass(id === tab)}
                onClick={() => setTab(id)}
              >
                {name}
              </button>
            </li>
          ))}
        </ul>
      }
      asideLabel={ticket ? 'Ticket' : 'Plan'}
      aside={
        <>
          {ticket && (
            <Preview of={shown ?? supposed}>
              <Button look="quiet" onClick={() => show(null)}>
                ← Back to the plan
              </Button>
              <TicketPane hint="" />
            </Preview>
          )}
          {/* Under a thing's ticket it still hears its keys. */}
          <div hidden={ticket !== null}>
            <PlanTicket moves={moves} />
          </div>
        </>
      }
    >
      {tab === 'wall' && (
        <PlanWall household={shown ?? household} state={shown === null ? 'today' : plan === null ? 'best' : 'plan'}>
          {plan && (
            <Button look="quiet" data-key="v" aria-pressed={isToday} onClick={() => setToday(!isToday)}>
              {isToday ? 'Show the plan' : 'Show today'} <kbd className="font-normal">V</kbd>
            </Button>
          )}
        </PlanWall>
      )}
      {tab === 'moves' &&
        (plan ? (
          <Preview of={supposed}>
            <MoveList arrivals={arrivals} />
          </Preview>
        ) : (
          <p className="p-5 text-stone">Find a plan first; then what it would have you carry stands here.</p>
        ))}
      {tab === 'unplaced' && (
        <Preview of={supposed}>
          <UnplacedList plan={plan} />
        </Preview>
      )}
      {tab === 'kept' && <KeptPlans />}
    </Page>
  );
}

interface PlanWallProps {
  readonly household: Household;
  readonly state: 'today' | 'best' | 'plan';
  readonly children: ReactNode;
}

const AS = { today: 'As it is today', best: 'The best so far, not packed yet', plan: 'As planned' } as const;

function PlanWall({ household, state, children }: PlanWallProps) {
  const show = useApp((state) => state.show);
  const ticket = useApp((state) => state.ticket);
  const lastWall = useChoices((state) => state.wallId);
  const tree = getTree(household);
  const chosen = findWallOrMain(household, lastWall);
  const drawing = useMemo(
    () => (chosen ? computeWallDrawing(household, tree, chosen.room, chosen.wall, 'is') : null),
    [household, tree, chosen],
  );
  if (!chosen || !drawing) return null;
  const over = [...drawing.places.values()].filter((one) => one.isOverFull).length;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-5 pt-2">
        <label className="flex items-center gap-2 text-stone">
          Wall
          <select
            className="h-11 rounded border border-thread bg-paper px-2 text-ink md:h-8"
            value={chosen.id}
            onChange={(event) => useChoices.setState({ wallId: event.target.value })}
          >
            {getWalls(household).map(({ id, room, wall }) => (
              <option key={id} value={id}>
                {`${room.name}: ${wall.name}`}
              </option>
            ))}
          </select>
        </label>
        {children}
        <span
          className="text-stone"
          {...explained(
            'Places of this wall whose lots do not lie in them without overlapping, or take more than they measure.',
          )}
        >
          {AS[state]}: {wordCount(over, 'place')} over full on this wall.
        </span>
      </div>
      <WallView
        drawing={drawing}
        label={`${chosen.wall.name}, ${state === 'today' ? 'as it is today' : 'as planned'}`}
        units={household.settings.units}
        chosenPlace={ticket?.type === 'place' ? ticket.id : null}
        chosenLot={ticket?.type === 'lot' ? ticket.id : null}
        namePlace={(id) => formatPlaceName(tree, id)}
        onPlace={(id) => show({ type: 'place', id })}
        onLot={(id) => show({ type: 'lot', id })}
      />
    </>
  );
}
