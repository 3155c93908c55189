import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { createTurn } from '../../../core/acts/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { planTurn } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordCount } from '../../text/index.ts';
import { YearTabs } from './YearTabs.tsx';

/** A turn of the season: what goes away or comes back, each with its place; taken on, it is carried like every plan. */
export function SeasonPage() {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const navigate = useNavigate();
  const { seasonId, turn: asked } = useParams();
  const turn = asked === 'comes' ? 'comes' : 'goes';
  const season = household.settings.seasons?.find(({ id }) => id === seasonId);
  const plan = useMemo(
    () => (season ? planTurn(household, events, season, turn) : { moves: [], stuckIds: [] }),
    [household, events, season, turn],
  );
  const tree = getTree(household);
  const nameOf = (id: (typeof plan.stuckIds)[number]) => household.items.get(household.lots.get(id)!.itemId)!;
  return (
    <Page title="The year" tabs={<YearTabs />}>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-4 md:px-8">
        <Button look="quiet" data-key="escape" className="mb-2" onClick={() => void navigate('/year')}>
          ← What comes round
        </Button>
        {!season ? (
          <p className="font-display text-[28px] font-semibold">This season is no longer there.</p>
        ) : (
          <>
            <p className="font-display text-[28px] font-semibold">
              <span data-name>{season.name}</span> {turn === 'goes' ? 'goes away' : 'comes back'}
            </p>
            <p className="mt-1" {...explained('Each was really packed into its place beside what belongs there.')}>
              {plan.moves.length === 0 && plan.stuckIds.length === 0
                ? turn === 'goes'
                  ? 'All of it is away already.'
                  : 'Nothing of it is away.'
                : `${wordCount(plan.moves.length, 'thing')} to carry${plan.stuckIds.length > 0 ? `; ${wordCount(plan.stuckIds.length, 'thing')} ${turn === 'goes' ? 'find no room there' : 'found their old place taken'}` : ''}.`}
            </p>
            <ul aria-label="What is carried" className="mt-3 max-w-2xl">
              {plan.moves.map(({ lotId, toId }) => (
                <li key={lotId} className="dotted-row flex items-center gap-3 py-1">
                  <Swatch item={nameOf(lotId)} className="size-6 shrink-0" />
                  <span className="min-w-0 flex-1" data-name>
                    {nameOf(lotId).name}
                  </span>
                  <span data-name className="text-stone">
                    {formatPlaceName(tree, toId)}
                  </span>
                </li>
              ))}
              {plan.stuckIds.map((id) => (
                <li key={id} className="dotted-row flex items-center gap-3 py-1">
                  <Swatch item={nameOf(id)} className="size-6 shrink-0" />
                  <span className="min-w-0 flex-1" data-name>
                    {nameOf(id).name}
                  </span>
                  <span className="text-madder">stays where it is</span>
                </li>
              ))}
            </ul>
            {plan.moves.length > 0 && (
              <Button
                look="strong"
                className="mt-4"
                data-key="d"
                onClick={() =>
                  void act(
                    (now) => createTurn(now, plan.moves, season.name, world.nowMs()),
                    `${season.name}: each has its place. Moves says how to carry it.`,
                  ).then((isDone) => isDone && void navigate('/moves'))
                }
              >
                That is where it goes <kbd className="pl-1 font-normal">D</kbd>
              </Button>
            )}
            <p className="mt-3 text-sm text-stone">
              What finds no room is put away by hand from its ticket, or{' '}
              <Link className="text-woad underline" to="/fit">
                Fit
              </Link>{' '}
              makes room.
            </p>
          </>
        )}
      </div>
    </Page>
  );
}
