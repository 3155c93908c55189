import { lazy, Suspense } from 'react';
import { useNavigate } from 'react-router';
import { getFetchSeconds, type LotId, type Plan, type Score } from '../../../core/records/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { useFitRun } from './fitRun.ts';
import { Comparison, Searching } from './Comparison.tsx';
import { usePlanStanding, type LookedAt } from './usePlanStanding.ts';
import { AskedLine, Carried, Freed, Getting, MendedLine, Proof } from './PlanLines.tsx';
import { Rules, WishList } from './WishList.tsx';
import { MOST_KEPT, createAdopt, createCarryAll, createKeepPlan } from '../../../core/acts/index.ts';
import { createDivideHeaps, createGatherHeaps } from '../../../core/heaps/index.ts';
import { toHomePlan } from '../../../core/suppose/index.ts';
import { formatNumber, t } from '../../language/index.ts';

const Curve = lazy(async () => ({ default: (await import('./Curve.tsx')).Curve }));
const BalanceLine = lazy(async () => ({ default: (await import('./BalanceLine.tsx')).BalanceLine }));
const WhatIf = lazy(async () => ({ default: (await import('./WhatIf.tsx')).WhatIf }));
const Wares = lazy(async () => ({ default: (await import('./Wares.tsx')).Wares }));
const GotList = lazy(async () => ({ default: (await import('./GotList.tsx')).GotList }));
const NearerList = lazy(async () => ({ default: (await import('./NearerList.tsx')).NearerList }));
const PartsChart = lazy(async () => ({ default: (await import('./PartsChart.tsx')).PartsChart }));

/** Plan A, Plan B …: the first letter that is free. */
function nextName(kept: readonly Plan[]): string {
  const letter = [...'ABCDEFGH'].find((one) => !kept.some((plan) => plan.name === `Plan ${one}`));
  return t('Plan {letter}', { letter: letter ?? '…' });
}

const SECONDS = [3, 10, 30, 120] as const;

interface PlanNewsProps {
  readonly of: LookedAt;
  readonly moves: number;
  readonly today: Score | null;
}

/** What there is to say of the plan that was found: checks, proof, what it frees, what is stale. */
function PlanNews({ of: { isAdopted, isKept, isOld, staleWords }, moves, today }: PlanNewsProps) {
  const household = useHousehold();
  const run = useFitRun();
  const { status, plan, checks, note, curve, bound, supposed, got } = run;
  return (
    <>
      {status === 'failed' && (
        <p role="alert" className="mt-3 border-l-4 border-madder bg-linen p-3">
          {t('The search broke off ({note}). Nothing was changed; try again.', { note })}
        </p>
      )}
      {plan && status === 'done' && (
        <p
          className="mt-3"
          {...explained(
            t(
              'Things that are in another place or form than the plan has them; a checker of its own goes over every place of a plan.',
            ),
          )}
        >
          {isAdopted && `${t('Adopted.')} `}
          {t('{moves, plural, one {# thing} other {# things}} to carry or refold.', { moves })}{' '}
          <span className="text-stone">
            {isKept
              ? t('Kept as {plan}.', { plan: household.plans.get(plan.id)?.name ?? t('a plan') })
              : checks?.findings === 0
                ? t('Every place was packed and {tests} checks passed.', { tests: formatNumber(checks.tests) })
                : t('{findings} checks failed; do not adopt it.', { findings: checks?.findings ?? 0 })}
          </span>
        </p>
      )}
      {plan && supposed === null && status === 'done' && (
        <Suspense>
          <NearerList plan={plan} />
        </Suspense>
      )}
      {plan && got && status === 'done' && (
        <Suspense>
          <GotList unplaced={plan.unplaced.length} />
        </Suspense>
      )}
      {plan && supposed === null && status === 'done' && <Carried plan={plan} />}
      {plan && supposed === null && status === 'done' && <Freed plan={plan} />}
      {run.asked && plan && status === 'done' && <AskedLine asked={run.asked} plan={plan} />}
      {run.mended && status === 'done' && <MendedLine mended={run.mended} />}
      {plan && bound && !run.mended && status === 'done' && <Proof bound={bound} />}
      {plan && supposed && status === 'done' && (
        <p className="mt-3 border-l-4 border-woad bg-linen p-3">
          {t('This is only a try: look at it on the wall and in the lists, then drop it.')}
        </p>
      )}
      {today && curve && status === 'done' && (
        <Suspense>
          <Curve today={today} />
        </Suspense>
      )}
      {plan && (isOld || (staleWords !== null && !isAdopted)) && status === 'done' && (
        <section aria-label={t('What has changed since')} className="mt-3 border-l-4 border-weld bg-linen p-3">
          <p {...explained(t('Things and places that the plan does not know, or knows and are no more.'))}>
            {staleWords
              ? t('Things have changed since this plan was made: {changes}.', { changes: staleWords })
              : t('Things have changed since this plan was made.')}
          </p>
          <Button className="mt-2" onClick={() => run.startRepair(household, plan)}>
            {t('Place only that anew')}
          </Button>
        </section>
      )}
    </>
  );
}

/** What can be done with it. */
function PlanButtons({ of }: { of: LookedAt }) {
  const { hasAdopted, toCarry, isAdopted, kept, isKept, isStale, count, canGoOn, homeless } = of;
  const household = useHousehold();
  const run = useFitRun();
  const { status, plan, checks, supposed, start, stop, discard } = run;
  const navigate = useNavigate();
  const fitSeconds = useChoices((state) => state.fitSeconds);
  const show = useApp((state) => state.show);
  // A ticket that lies over the plan's makes way for it.
  const search = () => {
    show(null);
    void learnAndSearch();
  };
  const learnAndSearch = async () => {
    // What the daybook shows of how often things are used is taken over first.
    const { createLearn } = await import('../../../core/learning/index.ts');
    const { events } = useApp.getState();
    await act((now) => createLearn(now, events, world.nowMs()));
    // A heap goes where there is room for its parts.
    await act((now) => createDivideHeaps(now, () => world.createId() as LotId));
    const now = useApp.getState().household ?? household;
    // The same search would only find the same plan: it looks on from there while nothing has changed.
    if (canGoOn && now === household) run.goOn(now, fitSeconds);
    else start(now, 1, fitSeconds);
  };
  const carry = async () => {
    const isDone = await act((now) =>
      createCarryAll(now, t('{n, plural, one {# thing} other {# things}}', { n: toCarry }), world.nowMs()),
    );
    // Parts of a heap that came into one place are one again.
    if (isDone) await act((now) => createGatherHeaps(now));
  };

  return (
    <>
      {status === 'running' ? (
        <Button look="strong" className="mt-4 w-full" data-key="s" onClick={stop}>
          {t('Stop and keep the best')} <kbd className="pl-1 font-normal">S</kbd>
        </Button>
      ) : (
        <div className="mt-4 grid grid-cols-[1fr_auto] gap-2">
          {plan && !isAdopted && supposed === null && (
            <Button
              look="strong"
              className="col-span-2"
              data-key="a"
              disabled={isKept ? isStale : checks?.findings !== 0}
              onClick={() =>
                void act((now) =>
                  createAdopt(
                    now,
                    plan,
                    t('{minutes} a month', { minutes: formatMinutes(getFetchSeconds(plan.score)) }),
                    world.nowMs(),
                  ),
                )
              }
            >
              {t('Adopt this plan')} <kbd className="pl-1 font-normal">A</kbd>
            </Button>
          )}
          {toCarry > 0 && (
            <>
              <Button
                look={isAdopted ? 'strong' : 'plain'}
                className="col-span-2"
                onClick={() => void navigate('/moves')}
              >
                {t('Carry it out, step by step')}
              </Button>
              <Button look="quiet" className="col-span-2" onClick={() => void carry()}>
                {t('All {carry} are carried home already', { carry: toCarry })}
              </Button>
            </>
          )}
          <Button look={plan || toCarry > 0 ? 'plain' : 'strong'} disabled={count === 0} data-key="s" onClick={search}>
            {canGoOn ? t('Look on from here') : plan && supposed === null ? t('Search again') : t('Find a plan')}{' '}
            <kbd className="pl-1 font-normal">S</kbd>
          </Button>
          <SearchSeconds />
          <Button
            className="col-span-2"
            disabled={count === 0}
            data-key="k"
            onClick={() => {
              show(null);
              run.startCurve(household, 1, fitSeconds);
            }}
          >
            {t('What would few moves bring?')} <kbd className="pl-1 font-normal">K</kbd>
          </Button>
          {!plan && hasAdopted && homeless > 0 && (
            <Button className="col-span-2" onClick={() => run.startRepair(household, toHomePlan(household))}>
              {t('Find homes for what has none, and leave the rest')}
            </Button>
          )}
          {plan && !isAdopted && supposed === null && !household.plans.has(plan.id) && (
            <Button
              className="col-span-2"
              disabled={kept.length >= MOST_KEPT}
              onClick={() =>
                void act(
                  (now) => createKeepPlan(now, plan, nextName(kept)),
                  t('Kept beside the others as {nextName}.', { nextName: nextName(kept) }),
                )
              }
            >
              {kept.length >= MOST_KEPT ? t('Four plans are kept: drop one first') : t('Keep this plan')}
            </Button>
          )}
          {plan && !isAdopted && (
            <Button look="quiet" className="col-span-2" onClick={discard}>
              {supposed ? t('Back to how it is') : t('Drop this plan')}
            </Button>
          )}
        </div>
      )}
    </>
  );
}

function SearchSeconds() {
  const fitSeconds = useChoices((choices) => choices.fitSeconds);
  return (
    <label className="flex max-w-full items-center gap-2 text-stone">
      {t('for')}
      <select
        aria-label={t('How long to search')}
        className="h-11 min-w-0 flex-1 rounded border border-thread bg-paper px-1 text-ink md:h-9"
        value={fitSeconds}
        onChange={(event) => useChoices.setState({ fitSeconds: Number(event.target.value) })}
      >
        {SECONDS.map((one) => (
          <option key={one} value={one}>
            {one < 60 ? `${one} s` : t('{minutes} min', { minutes: one / 60 })}
          </option>
        ))}
      </select>
    </label>
  );
}

/** The plan's ticket: how it stands beside today, and what to do with it. */
export function PlanTicket({ moves }: { moves: number }) {
  const household = useHousehold();
  const run = useFitRun();
  const { status, progress, plan, checks, seconds, supposed } = run;
  const { answer: today, again } = useAnswer(household, 'today', null);
  const { answer: strained } = useAnswer(household, 'strained', null);
  const of = usePlanStanding();
  const { count } = of;

  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">
        {supposed ??
          (status === 'running' ? t('Looking for a plan') : plan ? t('A plan beside today') : t('How it stands today'))}
      </h2>
      {status === 'running' ? (
        run.isGetting ? (
          <Getting />
        ) : (
          <Searching progress={progress} seconds={seconds} today={today} />
        )
      ) : (
        <>
          <Unanswered again={again} />
          <Comparison
            today={today}
            plan={plan?.score ?? null}
            unplaced={plan?.unplaced.length ?? 0}
            homeless={of.homeless}
            findings={checks?.findings ?? 0}
            strained={strained}
            crowded={of.crowded}
          />
        </>
      )}
      {status !== 'running' && supposed === null && (
        <Suspense>
          <BalanceLine />
        </Suspense>
      )}
      <PlanNews of={of} moves={moves} today={today} />
      {status !== 'running' && supposed === null && <Rules />}
      <PlanButtons of={of} />
      {count > 0 && (
        // It remembers what was asked while the answer is looked for.
        <div hidden={status === 'running'}>
          <Suspense>
            <WhatIf />
            <Wares />
          </Suspense>
        </div>
      )}
      {status !== 'running' && supposed === null && <WishList />}
      {today && status !== 'running' && (
        <Suspense>
          <PartsChart today={today} plan={plan?.score ?? null} />
        </Suspense>
      )}
    </>
  );
}
