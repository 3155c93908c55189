import { useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { cutBlock, type StepPlace, type Step } from '../../../core/moves/index.ts';
import type { Household, Lot, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatMass, formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { PlacePicture } from '../../drawing/PlacePicture.tsx';
import { TablePicture } from '../../drawing/TablePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act, undo } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { getWhereabouts } from '../../state/whereabouts.ts';
import { wordEvent, wordForm, wordStanding } from '../../text/index.ts';
import { wordDeed, wordDone, wordSpot } from '../../text/moves.ts';
import { useMoveRun } from './moveRun.ts';
import { useMoves } from './useMoves.ts';
import { createGatherHeaps } from '../../../core/heaps/index.ts';
import { createDoesNotFit, createLeaveBins, createNotFound, createStep } from '../../../core/acts/index.ts';
import { withAct } from '../../../core/suppose/index.ts';
import { getUndoable } from '../../../core/daybook/index.ts';
import { t } from '../../language/index.ts';

/** One step at a time, large enough to be read with both hands full. */
export function StepPage() {
  const { household, steps, progress, onTable, leftSeconds, skipped } = useMoves();
  const isRefitting = useMoveRun((state) => state.isRefitting);
  const minutes = useChoices((state) => state.moveMinutes);
  const sinceMs = useChoices((state) => state.movingSinceMs);
  const navigate = useNavigate();
  // The clock is looked at between steps.
  const [nowMs, setNowMs] = useState(() => world.nowMs());
  const back = () => void navigate('/moves');

  if (!steps || !progress)
    return (
      <Frame onBack={back}>
        <p role="status" className="font-display text-xl">
          {isRefitting ? t('Looking for another home …') : t('Looking for an order that works …')}
        </p>
      </Frame>
    );
  const spentSeconds = sinceMs === null ? 0 : Math.max(0, (nowMs - sinceMs) / 1000);
  const restSeconds = Math.max(0, minutes * 60 - spentSeconds);
  const block = cutBlock(steps, progress.next, restSeconds, onTable);
  const isTimeUp = onTable === 0 && block !== null && block.seconds > restSeconds && spentSeconds > 0;
  if (!block || isTimeUp || sinceMs === null) {
    const goOn = () => {
      useChoices.setState({ movingSinceMs: world.nowMs() });
      setNowMs(world.nowMs());
    };
    return (
      <Frame onBack={back}>
        <p className="font-display text-[28px] leading-tight font-semibold">
          {!block
            ? skipped.length > 0
              ? t('All that was not skipped is home.')
              : t('Everything is home.')
            : sinceMs === null
              ? t('How long do you have?')
              : t('That is it for now.')}
        </p>
        {block && (
          <p className="mt-2" {...explained(t('What is left, by the figures in House.'))}>
            {onTable === 0 && `${t('Nothing lies on the table.')} `}
            {t(
              '{steps, plural, one {# step is left} other {# steps are left}}, {minutes} of work. You can leave it like this as long as you like.',
              { steps: steps.length - progress.next, minutes: formatMinutes(leftSeconds) },
            )}
          </p>
        )}
        <div className="mt-5 flex flex-wrap gap-3">
          {block && (
            <Button look="strong" data-key="g" onClick={goOn}>
              {t('{minutes, plural, one {# minute} other {# minutes}} more', { minutes })}{' '}
              <kbd className="pl-1 font-normal">G</kbd>
            </Button>
          )}
          <Button look={block ? 'plain' : 'strong'} onClick={back}>
            {t('To the list')}
          </Button>
        </div>
      </Frame>
    );
  }

  const step = steps[progress.next]!;
  const which = progress.left[progress.next]!;
  const isLast = progress.next === steps.length - 1;
  const done = () => {
    const names = which.flatMap((id) => household.items.get(household.lots.get(id)!.itemId)?.name ?? []);
    const words = wordDone(step, names, getTree(household));
    void act((now) => createStep(now, step, which, words, world.nowMs())).then((isDone) => {
      setNowMs(world.nowMs());
      // Said quietly above, where it does not lie over the next step.
      if (isDone) useApp.getState().tell(null);
      // Parts of a heap that came into one place are one again.
      if (isDone && isLast) void act((now) => createGatherHeaps(now));
    });
  };
  const skip = () => useChoices.setState({ skippedIds: [...new Set([...skipped, ...which])] });
  const leave = () => {
    void act((now) => createLeaveBins(now, step.bins?.map(({ placeId }) => placeId) ?? [], world.nowMs()));
  };
  const isMore = block.to - progress.next - 1;
  return (
    <Frame turn={t('Step {next} of {steps}', { next: progress.next + 1, steps: steps.length })} onBack={back}>
      <LastDone />
      <StepCard household={household} step={step} which={which} />
      <div className="sticky bottom-16 mt-4 grid grid-cols-2 gap-3 bg-mist py-2 md:-bottom-4 md:flex md:pb-4">
        <Button
          look="strong"
          autoFocus
          className="min-h-14 text-lg md:px-10"
          data-key="d"
          key={progress.next}
          onClick={done}
        >
          {t('Done')} <kbd className="pl-1 font-normal">D</kbd>
        </Button>
        <Button className="min-h-14 md:px-6" data-key="s" onClick={step.bins ? leave : skip}>
          {step.bins ? t('Leave it where it stands') : t('Skip for now')} <kbd className="pl-1 font-normal">S</kbd>
        </Button>
      </div>
      <p
        className="mt-4 text-stone"
        {...explained(
          t(
            'What these steps take by the figures in House, up to where the table is clear; and the time you said you have, less what went by.',
          ),
        )}
      >
        {isMore === 0
          ? t('The last of this go, {minutes} of work.', { minutes: formatMinutes(block.seconds) })
          : t('{steps, plural, one {# more step} other {# more steps}} in this go, {minutes} of work.', {
              steps: isMore,
              minutes: formatMinutes(block.seconds),
            })}{' '}
        {restSeconds > 0
          ? t('You have {minutes}.', { minutes: formatMinutes(restSeconds) })
          : t('The time is up, and then the table is clear.')}
      </p>
    </Frame>
  );
}

function Frame({ turn, onBack, children }: { turn?: string; onBack: () => void; children: ReactNode }) {
  return (
    <Page title={t('Moves')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        <p className="mb-2 flex flex-wrap items-baseline gap-x-5">
          <Button look="quiet" data-key="escape" onClick={onBack}>
            {t('← The whole list')}
          </Button>
          {turn !== undefined && (
            <span
              className="tabular font-semibold"
              {...explained(t('Its turn in the list as it was last worked out.'))}
            >
              {turn}
            </span>
          )}
        </p>
        {children}
      </div>
    </Page>
  );
}

/** What was done before this, and how to take it back. */
function LastDone() {
  const events = useApp((state) => state.events);
  const units = useHousehold().settings.units;
  const last = getUndoable(events);
  if (last?.type !== 'carried') return null;
  return (
    <p className="mb-2 flex items-baseline gap-3 text-sm text-stone">
      <span className="min-w-0 truncate">{wordEvent(last, units)}</span>
      <Button look="quiet" onClick={() => void undo(last)}>
        {t('Undo')} <kbd className="font-normal">U</kbd>
      </Button>
    </p>
  );
}

function StepCard({ household, step, which }: { household: Household; step: Step; which: readonly LotId[] }) {
  const tree = getTree(household);
  const { units } = household.settings;
  const lots = which.flatMap((id) => household.lots.get(id) ?? []);
  // Where it lies about there is no wall to draw.
  const isTwo = (step.kind === 'carry' || step.bins !== undefined) && !NOWHERE.has(step.from);
  const mostPx = isTwo ? TWO_PX : ONE_PX;
  const after = useMemo(
    () => withAct(household, createStep(household, step, which, '', world.nowMs())),
    [household, step, which],
  );
  return (
    <section aria-label={t('Step')}>
      <h2
        className="font-display text-[28px] leading-tight font-semibold"
        {...explained(t('What goes from one place to one other, as much of it as one person lifts and holds at once.'))}
      >
        {wordDeed(
          step,
          lots.map((lot) => household.items.get(lot.itemId)!.name),
          tree,
        )}
      </h2>
      <p className="mt-1 text-stone" {...explained(t('All that is carried at once, weighed or computed, added up.'))}>
        {formatMass(step.massG, units)}
        {step.isEmptied &&
          !step.bins &&
          t('; {spot} is empty then, for what comes next', { spot: wordSpot(step.from, tree) })}
      </p>
      <div className={isTwo ? '' : 'md:flex md:gap-8'}>
        <div className={`mt-3 grid gap-x-8 gap-y-4 ${isTwo ? 'md:grid-cols-2' : 'md:w-[58%] md:shrink-0'}`}>
          {(step.kind === 'carry' || step.bins) && (
            <SpotPicture spot={step.from} shown={step.bins?.[0]?.placeId} lots={which} mark="from" mostPx={mostPx} />
          )}
          <SpotPicture
            spot={step.to}
            lots={step.kind === 'carry' && step.to !== 'table' ? [] : which}
            mark="to"
            ghosts={which}
            mostPx={mostPx}
            after={after}
          />
        </div>
        <ul aria-label={t('Things')} className={isTwo ? 'mt-4 md:columns-2 md:gap-8' : 'mt-4 min-w-0 flex-1 md:mt-10'}>
          {lots.map((lot) => (
            <ThingLine key={lot.id} household={household} step={step} lot={lot} name={wordSpot(step.to, tree)} />
          ))}
        </ul>
      </div>
    </section>
  );
}

/** Two walls beside each other, or one below the words, with the key in sight. */
const [TWO_PX, ONE_PX] = [400, 420];
/** No wall of the room. */
const NOWHERE: ReadonlySet<string> = new Set(['aside', 'about', 'idle']);

interface SpotPictureProps {
  readonly spot: StepPlace;
  /** The container that is carried, which shows where it stands. */
  readonly shown?: PlaceId | undefined;
  readonly lots: readonly LotId[];
  readonly mark: 'from' | 'to';
  /** Things as they stand when the step is done. */
  readonly ghosts?: readonly LotId[];
  readonly mostPx: number;
  readonly after?: Household | null;
}

function SpotPicture({ spot, shown, lots, mark, ghosts = lots, after = null, mostPx }: SpotPictureProps) {
  const tree = getTree(useHousehold());
  const place = spot === 'table' || NOWHERE.has(spot) ? null : spot;
  return (
    <div>
      <p className="text-lg">
        <span className="text-stone">{mark === 'from' ? t('From ') : t('To ')}</span>
        <strong>{wordSpot(spot, tree)}</strong>
      </p>
      {spot === 'table' && <TablePicture lots={lots} mark={mark} />}
      {place !== null && tree.places.has(place as PlaceId) && (
        <PlacePicture place={shown ?? (place as PlaceId)} lots={ghosts} mark={mark} after={after} mostPx={mostPx} />
      )}
    </div>
  );
}

function ThingLine({ household, step, lot, name }: { household: Household; step: Step; lot: Lot; name: string }) {
  const item = household.items.get(lot.itemId)!;
  const where = getWhereabouts(household, lot.id);
  const form = step.forms[step.lotIds.indexOf(lot.id)];
  const toPlace = household.places.has(step.to as never) ? (step.to as NonNullable<Lot['placeId']>) : null;
  const facts = [
    lot.state === 'in' && where.standing ? wordStanding(where.standing) : '',
    form !== undefined && form !== lot.form
      ? t('from {before} to {after}', { before: wordForm(lot.form), after: wordForm(form) })
      : '',
  ].filter(Boolean);
  const doesNotFit = async () => {
    if (!toPlace) return;
    if (await act((now) => createDoesNotFit(now, lot.id, toPlace, world.createId(), world.nowMs())))
      useMoveRun.getState().refit(item.name);
  };
  return (
    <li className="dotted-row flex items-center gap-3 py-1.5 break-inside-avoid">
      <Swatch item={item} className="size-9 shrink-0" />
      <span className="min-w-0 flex-1">
        <span className="block break-words font-semibold">{item.name}</span>
        {facts.length > 0 && (
          <span
            className="block truncate text-sm text-stone"
            {...explained(t('Where it stands now, as its place is packed.'))}
          >
            {facts.join('; ')}
          </span>
        )}
      </span>
      {step.kind !== 'order' && (
        <span className="flex shrink-0 gap-2 text-sm">
          <Button
            look="quiet"
            aria-label={t('{name} is not found', { name: item.name })}
            onClick={() => void act((now) => createNotFound(now, lot.id, world.nowMs()))}
          >
            {t('Not there')}
          </Button>
          {toPlace && (
            <Button
              look="quiet"
              aria-label={t('{name} does not fit {other}', { name: item.name, other: name })}
              onClick={() => void doesNotFit()}
            >
              {t('Does not fit')}
            </Button>
          )}
        </span>
      )}
    </li>
  );
}
