import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import type { LotId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import type { Questions } from '../../../workers/protocol.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { PreviewContext, useApp, useHousehold, useIsWhole, world } from '../../state/app.ts';
import { putBack } from '../../state/putBack.ts';
import { getAsPlanned, getTree } from '../../state/derived.ts';
import { useAnswer, type Answer } from '../../state/useAnswer.ts';
import { wordAmount } from '../../text/index.ts';
import { wordSince } from '../../text/bench.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Listed, LISTED, Rest } from './Listed.tsx';
import { useSaveDue } from './useSaveDue.ts';
import { findStrays, type OnBench } from './benchFacts.ts';
import { t } from '../../language/index.ts';

const SaveReminder = lazy(async () => ({
  default: (await import('./SaveReminder.tsx')).SaveReminder,
}));
const NeedsFirst = lazy(async () => ({ default: (await import('../../components/NeedsFirst.tsx')).NeedsFirst }));
const Welcome = lazy(async () => ({ default: (await import('../stash/Welcome.tsx')).Welcome }));
const StrainedLists = lazy(async () => ({ default: (await import('./StrainedLists.tsx')).StrainedLists }));
const MissingList = lazy(async () => ({ default: (await import('./AwayLists.tsx')).MissingList }));
const LentList = lazy(async () => ({ default: (await import('./AwayLists.tsx')).LentList }));
const DueList = lazy(async () => ({ default: (await import('./DueList.tsx')).DueList }));
const DriftedLabels = lazy(async () => ({ default: (await import('./DriftedLabels.tsx')).DriftedLabels }));

/** What has no home as things are, or one that it was never carried to. */
function Homeless({ things }: { things: readonly OnBench[] }) {
  const household = useHousehold();
  const navigate = useNavigate();
  return (
    <Listed
      title={t('Needs a home')}
      action={
        <Button data-key="p" onClick={() => void navigate('/bench/away')}>
          {t('Put away')} <kbd className="pl-1 font-normal">P</kbd>
        </Button>
      }
    >
      <Lines
        things={things}
        words={({ lot, item }) =>
          lot.homeId === undefined
            ? wordAmount(item, lot, household.settings.units)
            : t('planned: {placeName}', { placeName: formatPlaceName(getTree(getAsPlanned(household)), lot.homeId) })
        }
      />
    </Listed>
  );
}

/** The first screen: what is out and where it goes, what needs a home, what is over full, what comes next. */
export function BenchPage() {
  const isWhole = useIsWhole();
  const glimpse = useApp((state) => state.glimpse);
  return (
    <PreviewContext value={isWhole || !glimpse ? null : glimpse.household}>
      <OnBenchNow isWhole={isWhole} isAllOut={isWhole || glimpse?.isAllOut === true} />
    </PreviewContext>
  );
}

/** All of it; or, until the household was read, what is out, or the newest of that. */
function OnBenchNow({ isWhole, isAllOut }: { isWhole: boolean; isAllOut: boolean }) {
  const household = useHousehold();
  const [nowMs] = useState(() => world.nowMs());
  const show = useApp((state) => state.show);
  const { out, homeless, missing, midway, toCarry } = findStrays(household);
  const strained = useAnswer(isWhole ? household : null, 'strained', null);
  const over = strained.answer && strained.answer.full.length;
  const heavy = strained.answer?.heavy.length ?? 0;
  const isClear =
    isWhole && out.length + homeless.length + missing.length + midway.length + (over ?? 0) + heavy + toCarry === 0;
  const isEmpty = isWhole && household.lots.size === 0;
  const isSaveDue = useSaveDue() && isWhole;
  return (
    <Page
      title={t('Bench')}
      aside={<TicketPane hint={t('The ticket of what you pick up from the bench hangs here.')} />}
      foot={
        <>
          <Figure
            value={isAllOut ? String(out.length) : '…'}
            label={t('out')}
            how={t('Things that were taken out and have a home to go back to.')}
          />
          <Figure
            value={isWhole ? String(homeless.length) : '…'}
            label={t('without a home')}
            how={t('Things that no plan and no hand has given a place yet.')}
          />
          <Figure
            value={over === null ? (strained.again ? '–' : '…') : String(over)}
            label={t('{over, plural, one {place over full} other {places over full}}', { over: over ?? 0 })}
            how={t('Places whose things do not really go in together: each was packed with what lies in it.')}
          />
          <Figure
            value={isWhole ? String(toCarry) : '…'}
            label={t('to carry home')}
            how={t('Things that are in another place than their home, or folded another way.')}
          />
        </>
      }
    >
      <Suspense>
        <Welcome />
      </Suspense>
      <div className="min-h-0 flex-1 space-y-7 px-4 py-4 md:overflow-y-auto md:px-5">
        <section aria-label={t('On the bench')} aria-busy={!isWhole}>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <h2 className="font-display text-xl font-semibold">
              {isEmpty
                ? t('Nothing is in yet.')
                : out.length === 0
                  ? isClear
                    ? t('All is where it belongs.')
                    : t('Nothing is out.')
                  : t('Out now')}
            </h2>
            <BenchActs hasOut={out.length > 0} />
          </div>
          {out.length > 0 && <Top things={out} nowMs={nowMs} onShow={(id) => show({ type: 'lot', id })} />}
          {isAllOut && <Rest count={out.length - LISTED} />}
        </section>
        <Suspense>
          {isEmpty && <NeedsFirst says="" needs="both" />}
          {isSaveDue && <SaveReminder />}
        </Suspense>
        {isWhole && <Below nowMs={nowMs} strained={strained} />}
      </div>
    </Page>
  );
}

/** All else of the bench, below what is out. */
function Below({ nowMs, strained }: { nowMs: number; strained: Answer<Questions['strained']['answer']> }) {
  const household = useHousehold();
  const navigate = useNavigate();
  const { homeless, missing, lent, midway, toCarry } = findStrays(household);
  return (
    <div className="gap-x-10 *:mb-7 *:break-inside-avoid xl:columns-2">
      {homeless.length > 0 && <Homeless things={homeless} />}
      {(toCarry > 0 || midway.length > 0) && (
        <Listed
          title={t('The plan is not carried out yet')}
          action={<Button onClick={() => void navigate('/moves')}>{t('On with it')}</Button>}
        >
          <p
            {...explained(
              t(
                'Things that are in another place than their home or were never carried there, and what waits on the table meanwhile.',
              ),
            )}
          >
            {t('{carry, plural, one {# thing} other {# things}} to carry', { carry: toCarry })}
            {midway.length > 0 &&
              t('; {midway, plural, one {# thing} other {# things}} on the table or out of the way meanwhile', {
                midway: midway.length,
              })}
            .
          </p>
        </Listed>
      )}
      <Suspense>{missing.length > 0 && <MissingList things={missing} nowMs={nowMs} />}</Suspense>
      <Suspense>
        <StrainedLists {...strained} />
        <DriftedLabels />
      </Suspense>
      <Suspense>
        <DueList nowMs={nowMs} />
      </Suspense>
      <Suspense>{lent.length > 0 && <LentList things={lent} nowMs={nowMs} />}</Suspense>
    </div>
  );
}

/** Where one goes on to from the bench. */
function BenchActs({ hasOut }: { hasOut: boolean }) {
  const navigate = useNavigate();
  return (
    <>
      <Button data-key="s" onClick={() => void navigate('/scan')}>
        {t('Scan')} <kbd className="pl-1 font-normal">S</kbd>
      </Button>
      <Button data-key="o" onClick={() => void navigate('/bench/count')}>
        {t('Count')} <kbd className="pl-1 font-normal">O</kbd>
      </Button>
      <Button data-key="v" onClick={() => void navigate('/year')}>
        {t('The year')} <kbd className="pl-1 font-normal">V</kbd>
      </Button>
      <Button look="quiet" onClick={() => void navigate('/daybook')}>
        {t('Daybook')} <kbd className="font-normal">J</kbd>
      </Button>
      {hasOut && (
        <Button look="strong" data-key="y" onClick={() => void navigate('/bench/tidy')}>
          {t('Tidy up')} <kbd className="pl-1 font-normal">Y</kbd>
        </Button>
      )}
    </>
  );
}

/** The table top with what lies on it, each thing in its own cloth. */
function Top({ things, nowMs, onShow }: { things: readonly OnBench[]; nowMs: number; onShow: (id: LotId) => void }) {
  const household = useHousehold();
  const tree = getTree(household);
  return (
    <>
      <ul
        aria-label={t('What lies on the bench')}
        className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(168px,1fr))] gap-y-3"
      >
        {things.slice(0, LISTED).map(({ lot, item }) => (
          <li key={lot.id} className="flex flex-col justify-end border-b-8 border-walnut/70 pr-4 pt-2">
            <button type="button" className="block w-full text-left hover:bg-linen" onClick={() => onShow(lot.id)}>
              <span data-name className="block leading-tight font-semibold break-words">
                {item.name}
              </span>
              <span
                className="block text-sm text-stone"
                {...explained(t('When it was taken out, as the daybook has it.'))}
              >
                {wordSince(lot.sinceMs, nowMs)}
              </span>
            </button>
            <Button
              look="quiet"
              className="kept-on-paper block text-left leading-tight"
              aria-label={t('Put {name} back in {placeName}', {
                name: item.name,
                placeName: formatPlaceName(tree, lot.homeId!),
              })}
              onClick={() => void putBack(lot.id)}
            >
              → {formatPlaceName(tree, lot.homeId!)}
            </Button>
            <Swatch item={item} className="mt-1 h-9 w-full" />
          </li>
        ))}
      </ul>
    </>
  );
}

function Lines({ things, words }: { things: readonly OnBench[]; words: (thing: OnBench) => string }) {
  return (
    <>
      <ul>
        {things.slice(0, LISTED).map((thing) => (
          <LotLine key={thing.lot.id} id={thing.lot.id} item={thing.item} how={t('As its ticket says.')}>
            {words(thing)}
          </LotLine>
        ))}
      </ul>
      <Rest count={things.length - LISTED} />
    </>
  );
}
