import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { cutBlock, listTrees, type Block, type Step } from '../../../core/moves/index.ts';
import { type LotId } from '../../../core/records/index.ts';
import { formatMinutes, formatVolume } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField } from '../../components/fields.tsx';
import { SCREENFUL, useGrown } from '../../components/useGrown.ts';
import { getLacking, NeedsFirst } from '../../components/NeedsFirst.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { wordBlock } from '../../text/moves.ts';
import { useMoveRun } from './moveRun.ts';
import { HOW_SECONDS, StepLine } from './StepLine.tsx';
import { StagingForm } from './StagingForm.tsx';
import { useMoves } from './useMoves.ts';
import { formatNumber, t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

const MINUTES = [15, 30, 45, 60, 90, 120, 240] as const;

/** From how things are to the plan that was adopted: all that is to be carried, in an order that works. */
export function MovesPage() {
  const { household, steps, progress, skipped, onTable, leftSeconds, run } = useMoves();
  const { status, found, note, isRefitting } = run;
  const hasPlan = [...household.plans.values()].some((plan) => plan.adoptedAtMs !== undefined);
  const left = steps && progress ? steps.length - progress.next : 0;
  return (
    <Page
      title={t('Moves')}
      foot={
        steps && left > 0 ? (
          <>
            <Figure
              value={String(left)}
              label={t('{left, plural, one {step left} other {steps left}}', { left })}
              how={t(
                'Trips, each from one place to one place with what one person carries at once, and places to be put in order; those that are done are not counted.',
              )}
            />
            <Figure value={formatMinutes(leftSeconds)} label={t('of work')} how={HOW_SECONDS()} />
            {found && progress?.next === 0 && (
              <Figure
                value={t('{trips} of {leastTrips}', { trips: found.trips, leastTrips: found.leastTrips })}
                label={t('trips, and the least there could be')}
                how={t(
                  'The best of {tries} orders that were tried; none could do with fewer than the second figure: every two places between which something goes, by what one lifts and holds.',
                  { tries: formatNumber(found.tries) },
                )}
              />
            )}
          </>
        ) : undefined
      }
      asideLabel={t('Before you begin')}
      isAsideFirst
      aside={steps && left > 0 ? <Begin steps={steps} next={progress!.next} onTable={onTable} /> : undefined}
    >
      {status === 'failed' ? (
        <p role="alert" className="p-5">
          {t('No order was found: {note}. Nothing was moved.', { note })}{' '}
          <Button look="quiet" onClick={() => useMoveRun.getState().start(household, skipped)}>
            {t('Try again')}
          </Button>
        </p>
      ) : !steps ? (
        <Searching isRefitting={isRefitting} />
      ) : left === 0 ? (
        <>
          <Stuck />
          <NothingLeft hasPlan={hasPlan} skipped={skipped} />
        </>
      ) : (
        <StepList steps={steps} next={progress!.next} left={progress!.left} skipped={skipped} onTable={onTable} />
      )}
    </Page>
  );
}

function Searching({ isRefitting }: { isRefitting: boolean }) {
  const progress = useMoveRun((state) => state.progress);
  return (
    <div role="status" className="p-5">
      <p className="font-display text-xl">
        {isRefitting ? t('Looking for another home …') : t('Looking for an order that works …')}
      </p>
      {progress && (
        <p className="mt-1 text-stone" {...explained(t('The best order so far, and what no order could do without.'))}>
          {t('{trips, plural, one {# trip} other {# trips}} so far; no order needs fewer than {leastTrips}.', {
            trips: progress.trips,
            leastTrips: progress.leastTrips,
          })}
        </p>
      )}
      {progress && (
        <Button className="mt-3" data-key="escape" onClick={() => useMoveRun.getState().stop()}>
          {t('Take the best so far')}
        </Button>
      )}
    </div>
  );
}

function NothingLeft({ hasPlan, skipped }: { hasPlan: boolean; skipped: readonly LotId[] }) {
  const isLacking = getLacking(useHousehold()) !== null;
  if (isLacking) return <NeedsFirst says={t('There is nothing to carry yet.')} needs="both" />;
  return (
    <div className="p-5">
      <p className="font-display text-[25px] font-semibold">
        {skipped.length > 0
          ? t('All that was not skipped is home.')
          : hasPlan
            ? t('Everything is home.')
            : t('Nothing to carry.')}
      </p>
      {skipped.length > 0 ? (
        <Skipped skipped={skipped} />
      ) : (
        <p className="mt-1 max-w-xl text-stone">
          {hasPlan ? t('The plan is carried out.') : t('No plan was adopted yet.')}{' '}
          <Linked
            says={t('<fit>Fit</fit> finds a plan; once it is adopted, what to carry stands here step by step.')}
            to={{ fit: '/fit' }}
          />
        </p>
      )}
    </div>
  );
}

/** What has no room where the plan wants it: it is said, and where to go with it. */
function Stuck() {
  const household = useHousehold();
  const ids = useMoveRun((state) => state.found?.stuckIds) ?? [];
  const refit = useMoveRun((state) => state.refit);
  const names = ids.flatMap((id) => {
    const lot = household.lots.get(id);
    return lot && lot.homeId !== undefined && lot.placeId !== lot.homeId
      ? (household.items.get(lot.itemId)?.name ?? [])
      : [];
  });
  if (names.length === 0) return null;
  return (
    <div role="alert" className="my-3 max-w-4xl border-l-4 border-weld bg-linen p-3 print:border">
      <p
        {...explained(
          t(
            'Every order that was tried left these without room at their home: each place was really packed with all that lives there.',
          ),
        )}
      >
        {t(
          '{count, plural, one {# thing would not go in where the plan wants it} other {# things would not go in where the plan wants them}}, and stay where they are: {names}{more}.',
          {
            count: names.length,
            names: names.slice(0, 6).join(', '),
            more: names.length > 6 ? t(' and {names} more', { names: names.length - 6 }) : '',
          },
        )}
      </p>
      <Button
        className="mt-2"
        onClick={() =>
          refit(names.length === 1 ? names[0]! : t('{n, plural, one {# thing} other {# things}}', { n: names.length }))
        }
      >
        {t('{names, plural, one {Find it another home} other {Find them other homes}}', { names: names.length })}
      </Button>
    </div>
  );
}

function Skipped({ skipped }: { skipped: readonly LotId[] }) {
  return (
    <p
      className="my-2 flex flex-wrap items-center gap-x-3"
      {...explained(t('What was skipped stays where it is, and the order counts on it there.'))}
    >
      {t('{skipped, plural, one {# thing} other {# things}} skipped for now.', { skipped: skipped.length })}
      <Button look="quiet" onClick={() => useChoices.setState({ skippedIds: [] })}>
        {t('Take them up again')}
      </Button>
    </p>
  );
}

/** The table, the time one has, and off one goes. */
function Begin({ steps, next, onTable }: { steps: readonly Step[]; next: number; onTable: number }) {
  const household = useHousehold();
  const navigate = useNavigate();
  const found = useMoveRun((state) => state.found);
  const minutes = useChoices((state) => state.moveMinutes);
  const { units } = household.settings;
  const block = cutBlock(steps, next, minutes * 60, onTable) as Block;
  const begin = () => {
    useChoices.setState({ movingSinceMs: world.nowMs() });
    void navigate('/moves/step');
  };
  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">
        {next === 0 ? t('Before you begin') : t('Going on')}
      </h2>
      <SelectField
        label={t('I have')}
        value={String(minutes)}
        onChange={(event) => useChoices.setState({ moveMinutes: Number(event.target.value) })}
      >
        {MINUTES.map((one) => (
          <option key={one} value={one}>
            {one < 120 ? t('{minutes} minutes', { minutes: one }) : t('{hours} hours', { hours: one / 60 })}
          </option>
        ))}
      </SelectField>
      <p className="mt-2" {...explained(HOW_SECONDS())}>
        {wordBlock(block, minutes)}
      </p>
      <Button look="strong" className="mt-3 w-full" data-key="s" onClick={begin}>
        {next === 0 ? t('Begin') : t('Go on')} <kbd className="pl-1 font-normal">S</kbd>
      </Button>
      <Button className="mt-2 w-full" onClick={() => window.print()}>
        {t('Print the list')}
      </Button>
      <StagingForm />
      {found && (
        <p
          className="mt-3 text-sm text-stone"
          {...explained(t('What lies on the table at once, each thing by its measures, at the fullest moment.'))}
        >
          {found.peakMm3 > 1e5
            ? t('At its fullest it carries {volume}.', { volume: formatVolume(found.peakMm3, units) })
            : t('It is not needed: everything goes straight where it belongs.')}
        </p>
      )}
      {found && found.asideIds.length > 0 && (
        <p className="mt-2 border-l-4 border-weld bg-linen p-3 text-sm">
          {t(
            'The table is too small for all of it: {asideIds, plural, one {# thing} other {# things}} go out of the way first, and come back last.',
            { asideIds: found.asideIds.length },
          )}
          {found.leastTableMm3 !== null &&
            t(' A table for {volume} would do without.', { volume: formatVolume(found.leastTableMm3, units) })}
        </p>
      )}
      <p
        className="mt-3 text-sm text-stone"
        {...explained(t('What is usually said of lifting; a doctor or the work you do may say less.'))}
      >
        {t(
          'Heavy things first and low; no more than 10 kg at once, 5 kg above the shoulder. Stand on a step stool, not on a chair, and anchor tall pieces before you fill them.',
        )}
      </p>
    </>
  );
}

function StepList({
  steps,
  next,
  left,
  skipped,
  onTable,
}: {
  steps: readonly Step[];
  next: number;
  left: readonly (readonly LotId[])[];
  skipped: readonly LotId[];
  onTable: number;
}) {
  const household = useHousehold();
  const minutes = useChoices((state) => state.moveMinutes);
  const end = cutBlock(steps, next, minutes * 60, onTable)?.to ?? steps.length;
  const ahead = useMemo(() => steps.slice(next), [steps, next]);
  const trees = useMemo(() => listTrees(getTree(household), ahead), [household, ahead]);
  return (
    <div className="min-h-0 flex-1 px-4 pb-6 md:overflow-y-auto md:px-5">
      <Stuck />
      {skipped.length > 0 && <Skipped skipped={skipped} />}
      <ol aria-label={t('Steps')} className="max-w-4xl">
        {useGrown(ahead, SCREENFUL).map((step, i) => (
          <StepLine
            key={next + i}
            step={step}
            at={next + i}
            tree={trees[i]!}
            lots={left[next + i]!}
            reach={next + i + 1 === end && end < steps.length ? minutes : null}
          />
        ))}
      </ol>
    </div>
  );
}
