import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
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
import { YearTabs } from './YearTabs.tsx';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

function wordCarried(moves: number, stuck: number, turn: 'goes' | 'comes'): string {
  if (stuck === 0) return t('{moves, plural, one {# thing} other {# things}} to carry.', { moves });
  return turn === 'goes'
    ? t(
        '{moves, plural, one {# thing} other {# things}} to carry; {stuck, plural, one {# thing finds} other {# things find}} no room there.',
        { moves, stuck },
      )
    : t(
        '{moves, plural, one {# thing} other {# things}} to carry; {stuck, plural, one {# thing} other {# things}} found the old place taken.',
        { moves, stuck },
      );
}

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
    <Page title={t('The year')} tabs={<YearTabs />}>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-4 md:px-8">
        <Button look="quiet" data-key="escape" className="mb-2" onClick={() => void navigate('/year')}>
          {t('← What comes round')}
        </Button>
        {!season ? (
          <p className="font-display text-[28px] font-semibold">{t('This season is no longer there.')}</p>
        ) : (
          <>
            <p className="font-display text-[28px] font-semibold">
              <span data-name>{season.name}</span> {turn === 'goes' ? t('goes away') : t('comes back')}
            </p>
            <p className="mt-1" {...explained(t('Each was really packed into its place beside what belongs there.'))}>
              {plan.moves.length === 0 && plan.stuckIds.length === 0
                ? turn === 'goes'
                  ? t('All of it is away already.')
                  : t('Nothing of it is away.')
                : wordCarried(plan.moves.length, plan.stuckIds.length, turn)}
            </p>
            <ul aria-label={t('What is carried')} className="mt-3 max-w-2xl">
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
                  <span className="text-madder">{t('stays where it is')}</span>
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
                    t('{season}: each has its place. Moves says how to carry it.', { season: season.name }),
                  ).then((isDone) => isDone && void navigate('/moves'))
                }
              >
                {t('That is where it goes')} <kbd className="pl-1 font-normal">D</kbd>
              </Button>
            )}
            <p className="mt-3 text-sm text-stone">
              <Linked
                says={t('What finds no room is put away by hand from its ticket, or <fit>Fit</fit> makes room.')}
                to={{ fit: '/fit' }}
              />
            </p>
          </>
        )}
      </div>
    </Page>
  );
}
