import { Suspense, useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { LotId } from '../../../core/records/index.ts';
import { listReviewInSlices, takeSitting, USUAL_PACE_SECONDS, type ReviewEntry } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { deriveSlowly } from '../../state/slowly.ts';
import { getToday, type Today } from '../../state/today.ts';
import { OneThing } from './OneThing.tsx';
import { ThroughEnd } from './ThroughEnd.tsx';
import { YearTabs } from './YearTabs.tsx';
import { wordReviewReason } from '../../text/year.ts';
import { t } from '../../language/index.ts';

const MINUTES = 15;
/** A pause is no pace. */
const MOST_SECONDS = 60;

/** What is gone through on a day, and what was asked for besides. */
interface Asked {
  readonly today: Today;
  readonly ids: readonly string[] | null;
}

const asked = new WeakMap<Today, Map<Asked['ids'], Asked>>();

/** The same for as long as the same is asked. */
function getAsked(today: Today, ids: Asked['ids']): Asked {
  const known = asked.get(today) ?? new Map<Asked['ids'], Asked>();
  asked.set(today, known);
  const now = known.get(ids) ?? { today, ids };
  known.set(ids, now);
  return now;
}

const reviews = deriveSlowly(({ today: { household, events, nowMs }, ids }: Asked) =>
  listReviewInSlices(household, events, getTree(household), nowMs, new Set(ids ?? [])),
);

/** Going through the stash, a quarter of an hour at a time: what pays least for its room first, one key for each. */
export function ThroughPage() {
  return (
    <Page title={t('The year')} tabs={<YearTabs />}>
      <Suspense
        fallback={
          <p role="status" className="p-5 text-stone">
            {t('Looking at all of it …')}
          </p>
        }
      >
        <Through />
      </Suspense>
    </Page>
  );
}

function Through() {
  const household = useHousehold();
  // With the household that is shown, not before it.
  const events = useDeferredValue(useApp((state) => state.events));
  const [nowMs] = useState(() => world.nowMs());
  const ids = useDeferredValue(useChoices((state) => state.reviewIds));
  const pace = useChoices((state) => state.reviewPace) ?? USUAL_PACE_SECONDS;
  const [later, setLater] = useState<ReadonlySet<string>>(new Set());
  const [sinceMs, setSinceMs] = useState<number | null>(null);
  const wanted = useMemo(() => new Set(ids ?? []), [ids]);
  const all = reviews.use(getAsked(getToday(household, events, nowMs), ids));
  const left = all.filter(({ lot }) => wanted.has(lot.id) && !later.has(lot.id));
  const [entry] = left;
  const begin = () => {
    setLater(new Set());
    setSinceMs(world.nowMs());
    useChoices.setState({
      reviewIds: takeSitting(all, MINUTES, pace).map(({ lot }) => lot.id),
      reviewSinceMs: world.nowMs(),
    });
  };
  /** One's own pace, the last things counting most. */
  const next = () => {
    const at = world.nowMs();
    const seconds = sinceMs === null ? null : (at - sinceMs) / 1000;
    setSinceMs(at);
    if (seconds === null || seconds > MOST_SECONDS) return;
    useChoices.setState({ reviewPace: Math.max(2, 0.9 * pace + 0.1 * seconds) });
  };
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 py-4 md:px-8">
      {ids === null ? (
        <Begin all={all} sitting={takeSitting(all, MINUTES, pace).length} onBegin={begin} />
      ) : entry ? (
        <OneThing
          key={entry.lot.id}
          entry={entry}
          left={left.length}
          onLater={() => {
            setLater(new Set([...later, entry.lot.id]));
            next();
          }}
          onDone={next}
        />
      ) : (
        <ThroughEnd
          ids={ids as readonly LotId[]}
          waiting={later.size}
          onOn={() => setLater(new Set())}
          onEnd={() => useChoices.setState({ reviewIds: null })}
        />
      )}
      {ids !== null && entry && (
        <p className="mt-6 text-sm text-stone">
          {t('You can stop after any thing: it goes on here another day.')}{' '}
          <button
            type="button"
            className="min-h-9 text-woad underline underline-offset-4"
            onClick={() => setLater(new Set([...later, ...left.map(({ lot }) => lot.id)]))}
          >
            {t('That is enough for today')}
          </button>
        </p>
      )}
    </div>
  );
}

/** So many are named before one begins. */
const NAMED = 24;

interface BeginProps {
  readonly all: readonly ReviewEntry[];
  readonly sitting: number;
  readonly onBegin: () => void;
}

function Begin({ all, sitting, onBegin }: BeginProps) {
  const household = useHousehold();
  const things = all.length;
  if (things === 0)
    return (
      <>
        <p className="font-display text-[28px] font-semibold">{t('There is nothing to go through.')}</p>
        <p className="mt-2 max-w-xl">
          {t(
            'Cloth comes up here when it was not used for a year, other things after two; and what dries, what is there twice, and heirlooms to air.',
          )}
        </p>
        <p className="mt-2">
          <Link to="/year" className="text-woad underline">
            {t('What comes round')}
          </Link>
        </p>
      </>
    );
  return (
    <>
      <p
        className="font-display text-[28px] font-semibold"
        {...explained(
          t(
            'Cloth that was not used for a year, other things for two, what is past its day, what is much alike, heirlooms to air; less what you went through in the last nine months.',
          ),
        )}
      >
        {t('{things, plural, one {# thing} other {# things}} to go through', { things })}
      </p>
      <p className="mt-2 max-w-xl" {...explained(t('As many as go into fifteen minutes at your own pace.'))}>
        {t(
          'What pays least for its room comes first. A quarter of an hour takes about {sitting, plural, one {# thing} other {# things}}: one key for each, and U takes back.',
          { sitting },
        )}
      </p>
      <Button look="strong" className="mt-3" data-key="d" onClick={onBegin}>
        {t('Begin')} <kbd className="pl-1 font-normal">D</kbd>
      </Button>
      <section aria-label={t('What comes first')} className="mt-6">
        <h2 className="font-display text-lg font-semibold">{t('What comes first')}</h2>
        <ol className="gap-x-10 lg:columns-2">
          {all.slice(0, Math.min(NAMED, sitting)).map(({ lot, item, reasons }) => (
            <li key={lot.id} className="dotted-row flex min-h-9 break-inside-avoid items-center gap-3 py-1">
              <Swatch item={item} className="size-6 shrink-0" />
              <span data-name className="min-w-0 flex-1">
                <span className="font-semibold">{item.name}</span>{' '}
                <span className="text-sm text-stone">
                  {reasons.map((one) => wordReviewReason(one, household)).join('; ')}
                </span>
              </span>
            </li>
          ))}
        </ol>
      </section>
    </>
  );
}
